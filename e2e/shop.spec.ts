import { expect, test } from '@playwright/test'
import { Hand } from './hand'
import { ownShop, owner } from './ownShop'
import { Technician } from './technician'

test.use({ baseURL: process.env.E2E_OWN_ORIGIN })
test.describe.configure({ mode: 'serial' })

/** From a server with nothing on it to a unit of one's own being traced. */
const mostInteractions = 60

test('from nothing to one’s own unit, changed wire by wire, being traced', async ({ page }) => {
  const technician = new Technician(page)
  const hand = new Hand(page)
  await page.goto('/')
  await hand.fill('Name of the shop', 'Gannet Controls')
  await hand.fill('Your name', 'Nell Ferrow')
  await hand.fill('E-mail', owner.email)
  await hand.fill('Password, ten letters or more', 'short')
  await hand.press('Make the shop')
  await expect(page.getByText('a password has at least 10 letters')).toBeVisible()
  await hand.fill('Password, ten letters or more', owner.password)
  await hand.press('Make the shop')
  await hand.press('New call: choose the unit')
  await hand.press('Add a site')
  await hand.fill('Name of the site', 'Gannet Hall')
  await hand.press('Add the site')
  await hand.press('Gannet Hall: add a unit')
  await hand.fill('Label, as on its door', 'FC-4')
  await hand.press('Add the unit')
  await expect(page.getByText('choose the circuit that the unit has')).toBeVisible()
  await hand.press('Choose its circuit', 'link')
  await hand.fill('Find a circuit', 'cooling only')
  await hand.press(/Ceiling fan coil, cooling only/, 'link')
  await hand.press('Add the unit')
  await hand.press('Its circuit')
  await hand.press('Cooling')
  const before = hand.interactions
  await hand.press(/^LPS\.1/)
  await hand.fill('Kind of part', 'freeze')
  await hand.press(/freeze/i, 'link')
  await expect(page.getByRole('button', { name: /^FP\.1/ })).toBeVisible()
  await hand.press(/^HPS\.1/)
  await hand.fill('Kind of part', 'door')
  await hand.press(/door switch/i, 'link')
  await expect(page.getByRole('button', { name: /^DS\.1/ })).toBeVisible()
  expect(hand.interactions - before).toBeLessThanOrEqual(12)
  await hand.press('Undo')
  await expect(page.getByRole('button', { name: /^DS\.1/ })).toBeHidden()
  await hand.press('Keep this circuit')
  await hand.press('Take a call on this unit')
  await hand.press('Not cooling')
  await hand.press('I am here: start')
  await hand.press('Trace', 'tab')
  await expect(
    page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }),
  ).toBeVisible({
    timeout: 60_000,
  })
  expect(hand.interactions).toBeLessThanOrEqual(mostInteractions)
  // the part that was put in is diagnosed like any other
  await technician.set('Cooling')
  await technician.press(/^It is over/)
  await technician.measure('FP.1', 'TB.C', '26')
  await technician.measure('FP.2', 'TB.C', '0')
  await technician.tab('Suspects')
  await expect(page.getByRole('button', { name: /FP/ }).first()).toBeVisible()
  expect(technician.complaints.filter((text) => !/status of 401|400/.test(text))).toEqual([])
})

test('of a list of fifty units with five bad rows the good ones come in, and the bad ones are named', async ({
  page,
}) => {
  const technician = await ownShop(page)
  const rows = Array.from({ length: 50 }, (_, k) => {
    if (k === 3) return ',FC-104,fan-coil-cooling,,'
    if (k === 11) return 'Tern House,,fan-coil-cooling,,'
    if (k === 23) return 'Tern House,FC-123,steam engine,,'
    if (k === 31) return 'Tern House,FC-131,fan-coil-cooling,,2023-02-30'
    if (k === 44) return 'Tern House,FC-143,fan-coil-cooling,,'
    return `Tern House,FC-1${String(k).padStart(2, '0')},fan-coil-cooling,SN-${k},2016`
  })
  await page.goto('/sites/import')
  await page.getByLabel('Or paste it here').fill(['Site,Unit,Type,Serial,Installed', ...rows].join('\n'))
  await expect(page.getByText('45 of 50 rows can be brought in')).toBeVisible()
  for (const row of [5, 13, 25, 33, 46]) await expect(page.getByText(`Row ${row},`)).toBeVisible()
  await technician.press('Bring in 45 units')
  await page.getByLabel('Find').fill('FC-1')
  await expect(page.getByRole('link', { name: /^FC-1/ })).toHaveCount(45)
  const { units, sites } = await (await page.request.get('/api/places')).json()
  expect(sites.filter(({ name }: { name: string }) => name === 'Tern House')).toHaveLength(1)
  expect(units.find(({ label }: { label: string }) => label === 'FC-100')).toMatchObject({
    serial: 'SN-0',
    installed: '2016-01-01',
  })
})

test('a site, a unit and a call made with no signal are on the server when it returns', async ({
  page,
  context,
}) => {
  const technician = await ownShop(page)
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  await context.setOffline(true)
  const hand = new Hand(page)
  await hand.press('New call: choose the unit')
  await hand.press('Add a site')
  await hand.fill('Name of the site', 'Puffin Court')
  await hand.press('Add the site')
  await hand.press('Puffin Court: add a unit')
  await hand.fill('Label, as on its door', 'AH-9')
  await hand.press('Choose its circuit', 'link')
  await hand.fill('Find a circuit', 'two-pipe')
  await page
    .getByRole('link', { name: /comes with the program|Two-pipe|two-pipe/ })
    .first()
    .click()
  await hand.press('Add the unit')
  await hand.press('Take a call on this unit')
  await page.getByRole('button', { name: /^No / }).first().click()
  // the call is on the device once its visit is open
  await expect(page.getByRole('button', { name: 'I am here: start' })).toBeVisible()
  await page.reload()
  await context.setOffline(false)
  await expect(async () => {
    const { units } = await (await page.request.get('/api/places')).json()
    expect(units.map(({ label }: { label: string }) => label)).toContain('AH-9')
    const { items } = await (await page.request.get('/api/board')).json()
    expect(items.map(({ unit }: { unit: { label: string } }) => unit.label)).toContain('AH-9')
  }).toPass({ timeout: 60_000 })
  expect(technician.complaints.filter((text) => /TypeError|undefined/.test(text))).toEqual([])
})

test('a reader joins by a link, sees one site and can change nothing there', async ({ page, browser }) => {
  const technician = await ownShop(page)
  await page.goto('/shop/invite')
  await page.getByLabel('Name').last().fill('Ulla Hesk')
  await page.getByLabel('E-mail').fill('ulla@tern.example')
  await technician.press('reader of one site')
  await technician.press('Tern House')
  await technician.press('Make the link')
  const link = await page.getByText(/\/join\//).textContent()
  const other = await browser.newContext({ baseURL: process.env.E2E_OWN_ORIGIN })
  const reader = new Technician(await other.newPage())
  await reader.page.goto(link ?? '')
  await expect(reader.page.getByRole('heading', { name: 'Join Gannet Controls' })).toBeVisible()
  await reader.page.getByLabel('Password, ten letters or more').fill('twelve dry keys')
  await reader.press('Join')
  await reader.press('Sites and units')
  await expect(reader.page.getByRole('heading', { name: 'Tern House' })).toBeVisible()
  await expect(reader.page.getByText('Gannet Hall')).toBeHidden()
  await expect(reader.page.getByRole('button', { name: 'Add a site' })).toBeHidden()
  await reader.page.getByRole('link', { name: 'FC-100' }).click()
  await expect(reader.page.getByText(/serial SN-0/)).toBeVisible()
  await expect(reader.page.getByRole('button', { name: 'Take a call on this unit' })).toBeHidden()
  await other.close()
})

/** A family with six options changed, and its plate filled in. */
const mostForFamily = 30

test('a unit from a family: six options and its plate', async ({ page }) => {
  const technician = await ownShop(page)
  const hand = new Hand(page)
  await page.goto('/sites')
  await hand.press('Gannet Hall: add a unit')
  await hand.fill('Label, as on its door', 'RTU-9')
  await hand.press('Choose its circuit', 'link')
  await hand.press('Put it together by its options')
  await hand.press('Rooftop unit')
  await hand.press('480 V')
  await hand.press('one cooling stage')
  await hand.press('electric heat')
  await hand.press('no economizer')
  await hand.press('duct smoke detector')
  await hand.press('no control fuse')
  // what hangs on a second stage is not asked of a unit that has one
  await expect(page.getByText('Condenser fans run')).toBeHidden()
  await hand.press('Take this circuit')
  await hand.press('Add the unit')
  await hand.press('Its circuit')
  await hand.press('Plate')
  for (const [label, value] of [
    ['BR  Unit breaker, amps', '60'],
    ['C1  Compressor 1, rated amps', '24.2'],
    ['FM1  Condenser fan 1, rated amps', '1.5'],
    ['FM2  Condenser fan 2, rated amps', '1.5'],
    ['IFM  Blower motor, rated amps', '7.9'],
    ['HB1  Heater bank, watts', '15000'],
    ['XF  Control transformer, volt-amperes', '100'],
  ])
    await hand.fill(label, value)
  await hand.press('Keep this circuit')
  await expect(page.getByRole('heading', { name: 'RTU-9' })).toBeVisible()
  expect(hand.interactions).toBeLessThanOrEqual(mostForFamily)
  const kept = async (): Promise<{ title: string; ladder: string }> => {
    const { units, diagrams } = await (await page.request.get('/api/places')).json()
    const unit = units.find(({ label }: { label: string }) => label === 'RTU-9')
    return diagrams.find(({ id }: { id: string }) => id === unit?.diagram) ?? { title: '', ladder: '' }
  }
  await expect
    .poll(async () => (await kept()).ladder)
    .toContain('part C1 three-phase-compressor "Compressor 1" in condenser : amps 24.2')
  const { title, ladder } = await kept()
  expect(title).toBe(
    'Rooftop unit, 480 V, one cooling stage, electric heat, duct smoke detector, no control fuse',
  )
  // what was not filled in stays unread
  expect(ladder).toMatch(/part CH1 .* watts 80\?/)
  expect(technician.complaints).toEqual([])
})
