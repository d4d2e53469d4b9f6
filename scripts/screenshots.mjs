// Takes the pictures of docs/screenshots from a server with fresh demo data: node scripts/screenshots.mjs
// http://127.0.0.1:8080
import { chromium } from '@playwright/test'
import path from 'node:path'
import { root } from './house/paths.mjs'

const origin = process.argv[2] ?? 'http://127.0.0.1:8080'
const folder = path.join(root, 'docs', 'screenshots')
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
  ],
})
const phone = { width: 390, height: 844 }
const wide = { width: 1280, height: 800 }
const settle = 2500

async function visitor(viewport, colorScheme = 'light') {
  const page = await (await browser.newContext({ viewport, colorScheme })).newPage()
  const shoot = async (name) => {
    await page.waitForTimeout(settle)
    await page.screenshot({ path: path.join(folder, `${name}.png`) })
  }
  await page.goto(origin)
  await page.getByLabel('E-mail').fill('ines@skerry.example')
  await page.getByLabel('Password').fill('north-stairs-480')
  return {
    page,
    shoot,
    enter: async () => {
      await page.getByRole('button', { name: 'Sign in' }).click()
      await page.getByRole('heading', { name: 'Calls' }).waitFor()
    },
  }
}

const { page, shoot, enter } = await visitor(phone)
await enter()
await shoot('board')
await page.getByRole('link', { name: 'RTU-1,' }).first().click()
await shoot('call')
const address = page.url()
await page.getByRole('button', { name: 'I am here: start' }).click()
await shoot('first-look')
await page.getByRole('tab', { name: 'Trace' }).click()
await page
  .getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' })
  .waitFor({ timeout: 60_000 })
await shoot('ask')

async function measure(from, value) {
  await page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
  await page.getByRole('button', { name: 'Any other reading' }).click()
  await page.getByLabel('Find a point').fill(from)
  await page.getByRole('link', { name: from, exact: true }).click()
  for (const key of value)
    await page.getByRole('button', { name: key === '.' ? 'Point' : key, exact: true }).click()
  if (from === 'LPS1.1') await shoot('pad')
  await page.getByRole('button', { name: /^Log / }).click()
  await page.waitForTimeout(settle)
}
await page.getByRole('button', { name: /^Call: / }).click()
await page.getByRole('button', { name: 'Cooling, first stage', exact: true }).last().click()
await page.getByRole('button', { name: /^It is over/ }).click()
await measure('LPS1.1', '25.4')
await measure('LPS1.2', '0')
await shoot('trace')
await page.getByRole('button', { name: /^Power: / }).click()
await page.getByRole('button', { name: 'Isolate, lock, prove dead' }).click()
await shoot('isolate')
await page.getByRole('button', { name: 'Close', exact: true }).last().click()
const desk = await visitor(wide)
await desk.enter()
await desk.page.goto(address)
await desk.page.getByRole('tab', { name: 'Trace' }).click()
await desk.page.getByRole('heading', { name: 'Suspects' }).waitFor({ timeout: 60_000 })
await desk.page.getByRole('button', { name: 'Whole ladder' }).click()
await desk.page.getByLabel(/^Whole ladder, moved/).evaluate((ladder) => {
  // to where the control part begins
  ladder.scrollTop = 0.62 * ladder.scrollHeight
})
await desk.shoot('visit-wide')
const attic = await visitor(phone, 'dark')
await attic.enter()
await attic.page.goto(address)
await attic.page.getByRole('tab', { name: 'Trace' }).click()
await attic.page.locator('[data-settled="yes"]').waitFor({ timeout: 60_000 })
await attic.shoot('trace-dark')
await page.getByRole('tab', { name: 'Suspects' }).click()
await page
  .getByRole('button', { name: /Low-pressure switch 1/ })
  .first()
  .click()
await shoot('suspects')
await page.getByRole('button', { name: 'This is it' }).click()
await page.getByRole('button', { name: /^As drawn: note all/ }).click()
await page
  .getByRole('checkbox', { name: /^LPS1\./ })
  .first()
  .waitFor()
await shoot('repair')
for (const lead of await page.getByRole('checkbox', { name: /^LPS1\./ }).all()) await lead.click()
const tripped = page.getByRole('textbox', { name: 'What tripped it' })
if (await tripped.isVisible()) await tripped.fill('a service valve that was left closed')
await page.getByRole('button', { name: 'It is repaired' }).click()
await page.getByRole('tab', { name: 'Prove' }).click()
await page.getByRole('button', { name: 'Values for Cooling, first stage' }).click()
await page
  .getByRole('button', { name: /^Control power/ })
  .last()
  .click()
// one value follows another; the last is off, and looked at first
for (const value of ['25.4', '15.5', '15.6', '12.9']) {
  for (const key of value)
    await page.getByRole('button', { name: key === '.' ? 'Point' : key, exact: true }).click()
  await page.getByRole('button', { name: /^Log / }).click()
}
await page.getByRole('button', { name: 'Values for Cooling, first stage' }).scrollIntoViewIfNeeded()
await shoot('prove')
await page.getByLabel('Cooling, first stage: right').click()
await page
  .getByLabel('For the building, in plain words')
  .fill(
    'A leak let the charge go and the pressure switch did its work. Leak mended, charged, both stages to be watched.',
  )
await page.getByRole('button', { name: 'Sign off: repaired' }).click()
await shoot('report')
await page.goto(`${origin}/temporary`)
await shoot('temporary')
await page.goto(`${origin}/sites`)
await page.getByRole('button', { name: /Sealane Climbing Hall: which thermostat/ }).click()
await shoot('pairing')
await page.goto(`${origin}/sites`)
await page.getByRole('button', { name: 'Sealane Climbing Hall: add a unit' }).click()
await page.getByRole('link', { name: 'Choose its circuit' }).click()
await page.getByRole('button', { name: 'Put it together by its options' }).click()
await page.getByRole('button', { name: 'Rooftop unit', exact: true }).click()
await page.getByRole('button', { name: '480 V', exact: true }).click()
await shoot('options')
await page.goto(`${origin}/sites`)
await page.getByLabel('Find').fill('RTU-A')
await page.getByRole('link', { name: 'RTU-A', exact: true }).click()
await shoot('unit')
await page.getByRole('button', { name: 'Its circuit' }).click()
await page.getByText('What its loads draw').waitFor({ timeout: 60_000 })
await shoot('circuit')
await desk.page.goto(page.url())
await desk.page.getByLabel('Ladder text').waitFor({ timeout: 60_000 })
await desk.shoot('circuit-wide')
await browser.close()
