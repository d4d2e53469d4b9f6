import { expect, test, type Page } from '@playwright/test'
import { runAxe } from './axe'

/** From one thing to the next that is needed, so many presses of Tab at the most. */
const mostTabs = 40

/** Moves the focus with Tab to what has this name, and says how many presses that took. */
async function tabTo(page: Page, name: RegExp): Promise<number> {
  for (let tabs = 1; tabs <= mostTabs; tabs++) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const at = document.activeElement
      return at ? (at.getAttribute('aria-label') ?? at.textContent) : ''
    })
    if (name.test(focused)) return tabs
  }
  throw new Error(`no way by Tab to ${String(name)}`)
}

async function enter(page: Page, name: RegExp): Promise<number> {
  const tabs = await tabTo(page, name)
  await page.keyboard.press('Enter')
  return tabs
}

/** What bars the way on the screen that is open. */
async function barriers(page: Page): Promise<readonly string[]> {
  const { violations } = await runAxe(page)
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
  )
}

test('at a desk, with the keyboard alone: a call is taken, a reading logged and taken back, the proof opened', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto('/')
  await expect(page.getByLabel('E-mail')).toBeVisible()
  await tabTo(page, /^E-mail$/)
  await page.keyboard.type('ines@skerry.example')
  await page.keyboard.press('Tab')
  await page.keyboard.type('north-stairs-480')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('table', { name: 'Calls' })).toBeVisible()
  expect(await barriers(page)).toEqual([])

  await enter(page, /^New call: choose the unit$/)
  await expect(page.getByLabel('Find')).toBeVisible()
  await tabTo(page, /^Find$/)
  await page.keyboard.type('Flat 22 SHP')
  await enter(page, /^Flat 22 SHP/)
  await expect(page.getByRole('button', { name: 'Take a call on this unit' })).toBeVisible()
  await enter(page, /^Take a call on this unit$/)
  await expect(page.getByRole('button', { name: 'No air' })).toBeVisible()
  await enter(page, /^No air$/)
  await expect(page.getByRole('button', { name: 'I am here: start' })).toBeVisible()
  await enter(page, /^I am here: start$/)
  await expect(page.getByRole('tab', { name: 'Trace' })).toBeVisible()

  // a tab by its number, the ask a few presses away
  await page.keyboard.press('2')
  await expect(page.getByRole('heading', { name: 'Suspects' })).toBeVisible({ timeout: 60_000 })
  await expect(page.locator('[data-settled=yes]')).toBeVisible({ timeout: 60_000 })
  expect(await tabTo(page, /Blower|Enter the reading|turning|pulled/i)).toBeLessThanOrEqual(mostTabs)

  // a reading is m, digits, Enter
  await page.keyboard.press('m')
  await expect(page.getByText('Reading', { exact: true }).first()).toBeVisible()
  await expect(page.getByLabel('Find a point')).toBeFocused()
  await page.keyboard.type('TB.G')
  await enter(page, /^TB\.G/)
  await page.keyboard.type('25.4')
  await page.keyboard.press('Enter')
  await expect(page.getByText('25.4 V', { exact: true }).first()).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByText('25.4 V', { exact: true })).toHaveCount(0)

  await enter(page, /^Whole ladder$/)
  await expect(page.getByLabel(/^Ladder of/)).toBeVisible()
  expect(await barriers(page)).toEqual([])

  await page.keyboard.press('5')
  await expect(page.getByRole('heading', { name: 'Prove every call' })).toBeVisible()
  await context.close()
})
