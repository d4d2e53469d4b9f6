/** What a technician does at the phone, for measuring. */
export async function signIn(page, address) {
  await page.goto(address)
  await page.getByLabel('E-mail').fill('ines@skerry.example')
  await page.getByLabel('Password').fill('north-stairs-480')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('heading', { name: 'Calls' }).waitFor()
}

export async function takeCall(page, unit, complaint) {
  await page.getByRole('button', { name: 'New call: choose the unit' }).click()
  await page.getByLabel('Find').fill(unit)
  await page.getByRole('link', { name: unit, exact: true }).click()
  await page.getByRole('button', { name: 'Take a call on this unit' }).click()
  await page.getByRole('button', { name: complaint, exact: true }).click()
  await page.getByRole('button', { name: 'I am here: start' }).click()
}

/**
 * A call on RTU-1 whose first-stage low-pressure switch is open, from the board to the signed report,
 * following the asks:
 * counts every tap, digits of the number pad apart.
 */
export async function tapsOfCaseThree(browser, address, viewport) {
  const page = await (await browser.newContext({ viewport })).newPage()
  await signIn(page, address)
  let taps = 0
  let digits = 0
  const tap = async (locator) => {
    await locator.click()
    taps += 1
  }
  const button = (name) => page.getByRole('button', { name, exact: typeof name === 'string' }).last()
  const type = async (value) => {
    for (const key of value) {
      await page.getByRole('button', { name: key === '.' ? 'Point' : key, exact: true }).click()
      digits += 1
    }
    await tap(button(/^Log /))
  }
  await tap(page.getByRole('link', { name: 'RTU-1,' }).first())
  await tap(button('I am here: start'))
  await tap(button('All of these are right'))
  await tap(page.getByRole('tab', { name: 'Trace' }))
  const more = page.getByRole('button', { name: 'Outcomes, alternatives, can’t reach it' })
  await more.waitFor({ timeout: 60_000 })
  await page.waitForTimeout(3000)
  // the strip: two stops tapped put the leads there
  for (const [point, value] of [
    ['LPS1.1', '25.4'],
    ['LPS1.2', '0'],
  ]) {
    await tap(page.getByRole('button', { name: new RegExp(`^${point.replace('.', '\\.')}, `) }).first())
    await tap(button(`${point} to common`))
    await type(value)
    await page.getByText(/ logged$/).waitFor()
    await page.waitForTimeout(1500)
  }
  await tap(page.getByRole('tab', { name: 'Suspects' }))
  await tap(page.getByRole('button', { name: /Low-pressure switch 1: low-pressure switch open/ }).first())
  await tap(page.getByRole('button', { name: 'This was it: record the repair' }))
  await tap(page.getByRole('tab', { name: 'Prove' }))
  await tap(page.getByRole('button', { name: 'Values for Cooling, first stage' }))
  for (const [what, value] of [
    [/^Control power/, '25.4'],
    [/^Compressor 1, at C1\.T1/, '15.5'],
    [/^Compressor 1, at C1\.T2/, '15.6'],
    [/^Compressor 1, at C1\.T3/, '15.4'],
    [/^Return air/, '75'],
    [/^Supply air/, '56'],
  ]) {
    await tap(page.getByRole('button', { name: what }).last())
    await type(value)
  }
  for (const call of ['Cooling, first stage', 'Off', 'Fan', 'Cooling, both stages', 'Heating'])
    await tap(page.getByLabel(`${call}: proven`))
  await tap(button('All of these'))
  await page
    .getByLabel('For the building, in plain words')
    .fill('A leak let the charge go. Mended, charged, both stages run.')
  taps += 1
  await tap(button('Sign off: repaired'))
  await page.getByText('Repaired and proven').waitFor()
  await page.close()
  return { taps, digits }
}
