import { expect, test } from '@playwright/test'
import { Technician } from './technician'

/** From opening the bench to a verdict, with typical numbers. */
const mostTaps = 8

test('a tool gives its verdict in a few taps, with no unit, and names a number that cannot be', async ({
  page,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  let taps = 0
  const fill = async (label: string, text: string): Promise<void> => {
    taps += 1
    await page.getByLabel(label).fill(text)
  }
  taps += 2
  await technician.press('Bench: work something out')
  await page.getByRole('link', { name: 'Run capacitor under load' }).click()
  await fill('Amps in the start lead, A', '6,4')
  await fill('Volts across the capacitor, V', '372')
  await fill('On its plate, µF', '50')
  await expect(page.getByText('Weak: replace it.', { exact: true })).toBeVisible()
  await expect(page.getByText('45.6 µF')).toBeVisible()
  expect(taps).toBeLessThanOrEqual(mostTaps)
  await fill('Volts across the capacitor, V', '7200')
  await expect(page.getByText(/cannot be right/).first()).toBeVisible()
  await expect(page.getByText('Weak: replace it.', { exact: true })).toBeHidden()
  expect(technician.complaints).toEqual([])
})

test('on a visit a tool is filled from the unit, and what it finds is in the report', async ({ page }) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.take('RTU-1', 'Not cooling')
  await page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
  await technician.press('Bench: work something out')
  await page.getByRole('link', { name: 'Transformer: load and fuse' }).click()
  await expect(page.getByLabel('Rating, VA')).not.toHaveValue('')
  await page.getByLabel('Secondary amps, measured, A (if known)').fill('1.1')
  await technician.press('Put it in the visit')
  await expect(page.getByRole('tab', { name: 'Trace' })).toBeVisible()
  const visit = page.url().split('/').pop() ?? ''
  await expect(async () => {
    const { report } = await (await page.request.get(`/api/visits/${visit}/report.json`)).json()
    const section = report.sections.find(({ title }: { title: string }) => title === 'Worked out')
    expect(JSON.stringify(section.lines)).toContain('Transformer: load and fuse')
  }).toPass()
  expect(technician.complaints).toEqual([])
})
