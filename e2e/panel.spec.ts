import { expect, test } from '@playwright/test'
import { Technician } from './technician'

test('a test point is pinned on a picture of its panel once, and every later visit to the unit shows the spot', async ({
  page,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  const picture = await page.screenshot()
  const point = 'LPS1.1'
  /** The pad for a reading at the point. */
  const toThePad = async (): Promise<void> => {
    await page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
    await technician.press('Any other reading')
    await page.getByLabel('Find a point').fill(point)
    await page.getByRole('link', { name: point, exact: true }).click()
  }
  await technician.take('RTU-1', 'Not cooling')
  await toThePad()
  await technician.press(`Pin ${point} on a picture`)
  const chooser = page.waitForEvent('filechooser')
  await technician.press('Take a picture of the panel')
  await (await chooser).setFiles({ name: 'panel.png', mimeType: 'image/png', buffer: picture })
  const spot = page.getByRole('button', { name: `The spot of ${point} on the picture` })
  await expect(page.getByRole('button', { name: 'It is here' })).toBeDisabled()
  const { width, height } = (await spot.boundingBox()) ?? { width: 0, height: 0 }
  await spot.click({ position: { x: 0.25 * width, y: 0.6 * height } })
  await technician.press('It is here')
  const thumb = page.getByRole('button', { name: `Where ${point} is` }).first()
  await expect(thumb).toBeVisible()

  // another visit, of a page that has nothing of the first
  await page.goto('/')
  await technician.take('RTU-1', 'Not cooling')
  await toThePad()
  await thumb.click()
  const whole = page.getByRole('img', { name: `Picture: ${point} is in the ring` })
  await expect(whole).toBeVisible()
  expect(technician.complaints).toEqual([])
})
