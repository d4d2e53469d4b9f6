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
