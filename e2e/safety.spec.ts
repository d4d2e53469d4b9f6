import { expect, test } from '@playwright/test'
import { Technician } from './technician'

test('a bridge does not leave silently; left with its particulars it is in the shop’s register', async ({
  page,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.take('HP-1', 'No heat')
  await page.getByRole('button', { name: /^Temporary measures/ }).click()
  await technician.press('Tone set on the pair')
  await page.getByLabel('Where, or what is off').fill('Y1 pair')
  await technician.press('Record: Tone set on the pair')
  await technician.press('Close')
  await technician.isolate()
  await page.getByRole('button', { name: /^Power: / }).click()
  await expect(page.getByText(/Take it off before power returns/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Power on', exact: true })).toBeDisabled()
  await technician.press('Close')
  await page.getByRole('button', { name: /^Temporary measures/ }).click()
  await technician.press(/Tone set .*: it is off/)
  await technician.press('Restricted service')
  await page.getByLabel('Where, or what is off').fill('emergency heat only')
  await technician.press('Record: Restricted service')
  await technician.press('Close')
  await technician.powerOn()
  await technician.tab('Prove')
  await expect(page.getByRole('button', { name: 'Left restricted' })).toBeDisabled()
  await technician.press('Temporary measures')
  await technician.press(/Restricted service.*: leave it/)
  for (const [label, words] of [
    ['Hazard', 'costs more'],
    ['Reason', 'coil undecided'],
    ['Authorised by', 'B. Holm'],
    ['Who was told', 'front desk'],
  ])
    await page.getByLabel(label, { exact: true }).fill(words)
  await technician.press('1 week')
  await technician.press('Leave it, with its end date')
  await technician.press('Close')
  await technician.press('Left restricted')
  await expect(page.getByText('Left with restricted service')).toBeVisible()
  await page.goto('/temporary')
  await expect(page.getByText('Restricted service: emergency heat only')).toBeVisible()
  await expect(page.getByText('7 d left')).toBeVisible()
  expect(technician.complaints).toEqual([])
})

test('a high-pressure control cannot be joined across, and found bridged it makes the visit unsafe', async ({
  page,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.take('RTU-1', 'Not cooling')
  await page.getByRole('button', { name: 'Outcomes, alternatives, can’t reach it' }).click()
  await technician.press('Do something to it')
  await technician.press('Join two points')
  await page.getByLabel('Find a point').fill('HPS1.1')
  await page.getByRole('link', { name: 'HPS1.1', exact: true }).click()
  await page.getByLabel('Find a point').fill('HPS1.2')
  await page.getByRole('link', { name: 'HPS1.2', exact: true }).click()
  await expect(page.getByText(/never bridged, not for a test/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Joined', exact: true })).toBeDisabled()
  await technician.press('Close')
  await technician.tab('Look')
  await technician.press('Something is not as it was built')
  await technician.press('A switch bridged')
  await technician.press('Choose a part')
  await page.getByLabel('Find a part').fill('HPS1')
  await page.getByRole('link', { name: 'Part HPS1', exact: true }).click()
  await page.getByLabel('Hazard').fill('No high-pressure protection')
  await technician.press('Record it as found')
  await expect(page.getByText(/^Unsafe\. HPS1 found bridged/)).toBeVisible()
  await technician.press('Meant so')
  await technician.tab('Prove')
  await expect(page.getByRole('button', { name: 'Sign off: repaired' })).toBeDisabled()
  await expect(page.getByText(/this is no repair/).first()).toBeVisible()
  expect(technician.complaints).toEqual([])
})
