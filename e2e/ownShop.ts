import { expect, type Page } from '@playwright/test'
import { Technician } from './technician'

/** The owner of the shop that the journeys make for themselves. */
export const owner = { email: 'nell@gannet.example', password: 'six wet gloves' }

/** Signs in to it. */
export async function ownShop(page: Page): Promise<Technician> {
  const technician = new Technician(page)
  await page.goto('/')
  await page.getByLabel('E-mail').fill(owner.email)
  await page.getByLabel('Password').fill(owner.password)
  await technician.press('Sign in')
  await expect(page.getByRole('heading', { name: 'Calls' })).toBeVisible()
  return technician
}
