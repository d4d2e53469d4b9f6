import { expect, test } from '@playwright/test'
import { Technician } from './technician'

// warm every afternoon: the second stage stops at its low-ambient lockout
test('a lockout that stays open is traced, repaired, proven and reported, and is the same on another device', async ({
  page,
  browser,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.open('RTU-2')
  await expect(page.getByRole('button', { name: /Call: Cooling, both stages/ })).toBeVisible()
  await technician.measure('EC.Y2O', 'TB.C', '25.0')
  await technician.measure('LAL.1', 'TB.C', '25.0')
  await technician.measure('LAL.2', 'TB.C', '0')
  await expect(
    page.getByText('25.0 V at LAL.1, 0 V at LAL.2: it stops between these two.').first(),
  ).toBeVisible()
  await technician.repairLeader(/Low-ambient lockout: open/)

  await technician.tab('Prove')
  await expect(page.getByRole('button', { name: 'Sign off: repaired' })).toBeDisabled()
  await technician.prove('Cooling, both stages', '25.1 V; 13.2 13.1 13.4 A')
  await technician.signOff('The second stage runs again.')
  await expect(
    page.getByText('Not proven on this visit: off, fan, cooling, first stage, heating.'),
  ).toBeVisible()
  await page.reload()
  await expect(page.getByText('The second stage runs again.')).toBeVisible()

  const other = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const second = new Technician(await other.newPage())
  await second.signIn()
  await second.page.goto(page.url())
  await expect(second.page.getByText('The second stage runs again.')).toBeVisible()
  await expect(second.page.getByText(/^LAL\.2 to TB\.C/)).toBeVisible()
  expect([...technician.complaints, ...second.complaints]).toEqual([])
  await other.close()
})

test('what cannot be read is asked about, and what is undone is gone', async ({ page }) => {
  const technician = new Technician(page)
  await technician.signIn()
  await technician.open('RTU-1')
  await technician.enter('TB.R', 'TB.C', '88')
  await expect(page.getByText(/No state of this circuit gives that/)).toBeVisible()
  await technician.press('Log 88 V')
  await expect(page.getByText('88 V logged')).toBeVisible()
  await technician.press('Undo')
  await expect(page.getByText('88 V', { exact: true })).toHaveCount(0)
  expect(technician.complaints).toEqual([])
})
