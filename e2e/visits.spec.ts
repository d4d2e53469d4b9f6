import { expect, test } from '@playwright/test'
import { Technician } from './technician'

/** Runs in the page: stops of the path that are wholly in view, with nothing over them. */
function stopsInView(): number {
  return [...document.querySelectorAll('[id^="stop-"]')].filter((stop) => {
    const { left, right, top, bottom } = stop.getBoundingClientRect()
    return [top + 1, bottom - 1].every((y) => stop.contains(document.elementFromPoint((left + right) / 2, y)))
  }).length
}

test('rooftop: a lockout, and behind it a high-pressure switch, are found one after the other and proven', async ({
  page,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.take('RTU-2', 'Warm every afternoon')
  await technician.measure('LAL.1', 'TB.C', '25.0')
  await technician.measure('LAL.2', 'TB.C', '0')
  await technician.repairLeader(/Low-ambient lockout: open/)
  await technician.tab('Trace')
  await technician.measure('HPS2.1', 'TB.C', '25.0')
  await technician.measure('HPS2.2', 'TB.C', '0')
  await technician.repairLeader(/High-pressure switch 2/)
  await technician.tab('Prove')
  await technician.prove('Cooling, both stages', '25.1 V; both stages draw')
  await technician.signOff('Both stages cool again.')
  await expect(page.getByText(/shown by .*LAL\.2/).first()).toBeVisible()
  expect(technician.complaints).toEqual([])
})

test('two-pipe fan coil: the changeover sensor is stuck, proven by hand, replaced like for like', async ({
  page,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.take('Flat 3 FC', 'Cold')
  await technician.measure('HR.A1', 'HR.A2', '0')
  await technician.measure('CO.COM', 'TB.N', '120')
  await technician.measure('CO.COLD', 'TB.N', '0')
  await technician.measure('CO.HOT', 'TB.N', '120')
  await technician.repairLeader(/changeover stuck in its hot position/)
  await technician.isolate()
  await technician.press(/^As drawn: note all/)
  const leads = page.getByRole('checkbox', { name: /^CO\./ })
  await expect(leads).toHaveCount(5)
  for (const lead of await leads.all()) await lead.click()
  await technician.powerOn()
  await technician.tab('Prove')
  await technician.prove('Heating in cold-water season: electric', '8.3 A; valve shut')
  await technician.signOff('The sensor on the pipe was stuck; it heats again.')
  expect(technician.complaints).toEqual([])
})

test('split heat pump: the blower relay’s back-feed shows in the amps, call off', async ({ page }) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.take('Flat 22 SHP', 'Will not shut off')
  await technician.measure('HE1.2', 'LS1.1', '18.0', 'Clamp amps')
  await technician.measure('HR.NO1', 'HE1.1', '0', 'Clamp amps')
  await technician.measure('GR.NC1', 'PH.1A', '18.0', 'Clamp amps')
  await technician.repairLeader(/Blower relay: both throws of relay contact 1 joined/)
  await technician.tab('Prove')
  await technician.prove('Off', 'nothing runs')
  await technician.signOff('The blower rests again.')
  expect(technician.complaints).toEqual([])
})

test('split heat pump: a short is hunted with ohms, isolated, lead by lead', async ({ page }) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.take('Flat 22 SHP', 'Thermostat blank')
  await technician.isolate()
  await technician.pull('FU')
  await technician.measure('TB.R', 'EARTH', '0.6', 'Ohms')
  await technician.measure('TB.R', 'TB.C', '0.6', 'Ohms')
  await technician.lift('TB.R', /OR, to OT\.R$/)
  await technician.measure('TB.R', 'EARTH', null, 'Ohms')
  await technician.tab('Suspects')
  await expect(page.getByRole('button', { name: /TB\.R to OT\.R: chafed to metal/ }).first()).toBeVisible()
  expect(technician.complaints).toEqual([])
})

test('wide: a call is traced with the keyboard beside its suspects', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const technician = new Technician(await context.newPage())
  const { page } = technician
  await technician.signIn()
  await technician.take('RTU-1', 'Not cooling')
  await expect(page.getByRole('heading', { name: 'Suspects' })).toBeVisible({ timeout: 60_000 })
  await technician.measure('LPS1.1', 'TB.C', '26.3')
  await expect(page.getByText('26.3 V', { exact: true }).first()).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByText('26.3 V', { exact: true })).toHaveCount(0)
  await technician.measure('LPS1.1', 'TB.C', '25.4')
  await technician.measure('LPS1.2', 'TB.C', '0')
  await expect(page.getByRole('button', { name: /Low-pressure switch 1: open/ }).first()).toBeVisible()
  await page.keyboard.press('5')
  await expect(page.getByRole('heading', { name: 'Prove every call' })).toBeVisible()

  // the same at twice the size: what is proven is folded, and four stops at least are whole in view
  await page.setViewportSize({ width: 640, height: 400 })
  await technician.tab('Trace')
  await expect(page.getByRole('button', { name: /: \d+ stops before a live one/ })).toBeVisible()
  await expect.poll(() => page.evaluate(stopsInView)).toBeGreaterThanOrEqual(4)
  expect(technician.complaints).toEqual([])
  await context.close()
})
