import { expect, test, type Page } from '@playwright/test'
import { runAxe } from './axe'
import { faintAmong } from './contrast'
import { Technician } from './technician'

const leastTarget = 48

/** What may be pressed and is smaller than a gloved thumb needs. */
const smallTargets = (page: Page): Promise<readonly string[]> =>
  page.evaluate(
    (least) =>
      [
        ...document.querySelectorAll(
          '[role="button"], [role="link"], [role="tab"], [role="checkbox"], button, input, textarea',
        ),
      ].flatMap((element) => {
        const box = element.getBoundingClientRect()
        const shown =
          box.width > 0 &&
          box.height > 0 &&
          !element.closest('[aria-hidden="true"]') &&
          element.getAttribute('tabindex') !== '-1'
        // a field is as large as the frame it stands in
        const frame = element.matches('input, textarea')
          ? (element.parentElement?.getBoundingClientRect() ?? box)
          : box
        return shown && (frame.height < least - 0.5 || frame.width < least - 0.5)
          ? [
              `${element.getAttribute('aria-label') ?? element.textContent}: ${Math.round(frame.width)}×${Math.round(frame.height)}`,
            ]
          : []
      }),
    leastTarget,
  )

/** What may differ in the dark. */
const ofColors = ['color-contrast', 'link-in-text-block']

/** What stands in the way of somebody on a screen as it is now; in the dark only what colours can change. */
async function barriers(page: Page, scheme: 'light' | 'dark'): Promise<readonly string[]> {
  await page.emulateMedia({ colorScheme: scheme })
  await page.waitForTimeout(scheme === 'light' ? 300 : 100)
  const { violations, incomplete } = await runAxe(page, scheme === 'dark' ? ofColors : null)
  return [
    ...violations.map(({ id, nodes }) => `${id} ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`),
    ...incomplete.filter(({ id }) => id !== 'color-contrast').map(({ id }) => `${id} undecided`),
    ...(await faintAmong(page, incomplete)),
  ]
}

test('nothing bars the way on any main screen, light or dark, and every target fits a thumb', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const technician = new Technician(await context.newPage())
  const { page } = technician
  const problems: string[] = []
  const check = async (screen: string): Promise<void> => {
    const found = [
      ...(await smallTargets(page)),
      ...(await barriers(page, 'dark')).map((what) => `${what}, dark`),
      ...(await barriers(page, 'light')),
    ]
    problems.push(...found.map((what) => `${screen}: ${what}`))
  }
  await page.goto('/')
  await page.getByLabel('E-mail').waitFor()
  await check('sign-in')
  await technician.signIn()
  await check('board')
  await page.goto('/sites')
  await page.getByText('Cordwain Row').first().waitFor()
  await check('sites')
  const unit = (await (await page.request.get('/api/places')).json()).units[0].id as string
  for (const [screen, address, shown] of [
    ['bench', '/bench', 'Run capacitor under load'],
    ['a tool', '/bench/capacitor', 'On its plate'],
    ['a list of the bench', '/bench/thermostat-check', 'Batteries'],
    ['a new site', '/sites/new', 'How to get in'],
    ['a list of units', '/sites/import', 'Or paste it here'],
    ['a unit edited', `/units/${unit}/edit`, 'Serial number'],
    ['circuit', `/units/${unit}/circuit`, 'What its loads draw'],
    ['shop', '/shop', 'Signed in on'],
    ['an invitation', '/shop/invite', 'May do'],
  ]) {
    await page.goto(address)
    await page.getByText(shown).first().waitFor()
    await check(screen)
  }
  await page.goto(`/units/${unit}/circuit`)
  await technician.press('As text')
  await page.getByLabel('Ladder text').waitFor()
  await check('circuit as text')
  await technician.press('Plate')
  await page.getByText('As the plate says').waitFor()
  await check('plate')
  await technician.press('Lead by lead')
  await check('lead by lead')
  await technician.press('What changes')
  await check('what changes')
  await page.goto(`/units/${unit}/edit`)
  await page.getByRole('link', { name: 'Choose its circuit' }).click()
  await technician.press('Put it together by its options')
  await technician.press('Rooftop unit')
  await check('a family')
  await technician.press('Close')
  await page.getByRole('link', { name: 'Choose its circuit' }).click()
  await technician.press('From nothing, lead by lead')
  await check('from nothing')
  await page.goto('/sites')
  await page.getByRole('button', { name: /Cordwain Row: which thermostat/ }).click()
  await page.getByRole('heading', { name: 'Proven pairs' }).waitFor()
  await check('pairing')
  await page.goto('/temporary')
  await page
    .getByText(/d left|Nothing is bridged/)
    .first()
    .waitFor()
  await check('register')
  await page.goto('/')
  await technician.take('Flat 22 SHP', 'Not cooling')
  await check('trace')
  await page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
  await check('next step')
  await technician.press('Close')
  for (const tab of ['Look', 'Suspects', 'Repair', 'Prove']) {
    await technician.tab(tab)
    await check(tab)
  }
  await technician.press('Entries: what was entered, and notes')
  await check('entries')
  await technician.press('Close')
  await technician.tab('Prove')
  await page.getByLabel('Who signs for it, if somebody does').fill('Ada Holm')
  await page.locator('canvas').waitFor()
  await check('signature')
  await page.getByRole('button', { name: /^Power: / }).click()
  await technician.press('Isolate, lock, prove dead')
  await check('isolate')
  await checkClosedAndJoin(page, check)
  expect(problems).toEqual([])
  await context.close()
})

/** A visit that is signed off, and what somebody sees who was invited. */
async function checkClosedAndJoin(page: Page, check: (screen: string) => Promise<void>): Promise<void> {
  const made = await page.evaluate(async () => {
    const post = async (address: string, body: unknown) =>
      (
        await fetch(`/api${address}`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        })
      ).json()
    const { units } = await (await fetch('/api/places')).json()
    const visit = crypto.randomUUID()
    await post('/visits', { id: visit, unit: units[0].id })
    const signOff = {
      kind: 'sign-off',
      outcome: 'left-off',
      words: 'On order',
      told: 'desk',
      until: '2031-02-01',
    }
    const clock = { wall: Date.now(), counter: 0, device: 'check' }
    await post('/entries', { entries: [{ id: crypto.randomUUID(), visit, clock, body: signOff }] })
    const email = `odd-${visit.slice(0, 8)}@skerry.example`
    const { path } = await post('/people/invitations', {
      name: 'Odd Lind',
      email,
      role: 'technician',
      site: '',
    })
    return { visit, path }
  })
  await page.goto(`/visits/${made.visit}`)
  await page.getByText('The visit is closed').waitFor()
  await check('a closed visit')
  await page.goto(`/visits/${made.visit}/report`)
  await page.getByText('On order').waitFor()
  await check('report')
  await page.goto(made.path)
  await page.getByText('Join Skerry').waitFor()
  await check('join')
}
