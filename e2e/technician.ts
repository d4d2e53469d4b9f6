import { expect, type Page } from '@playwright/test'

/** A technician at the phone: the few things that every journey does. */
export class Technician {
  readonly complaints: string[] = []

  constructor(readonly page: Page) {
    page.on('console', (message) => { if (message.type() === 'error') this.complaints.push(message.text()) })
    page.on('pageerror', (error) => { this.complaints.push(error.message) })
  }

  async signIn(): Promise<void> {
    await this.page.goto('/')
    await this.page.getByLabel('E-mail').fill('ines@skerry.example')
    await this.page.getByLabel('Password').fill('north-stairs-480')
    await this.page.getByRole('button', { name: 'Sign in' }).click()
    await expect(this.page.getByRole('heading', { name: 'Calls' })).toBeVisible()
  }

  async open(unit: string): Promise<void> {
    await this.page.getByRole('link', { name: `${unit},` }).first().click()
    const start = this.page.getByRole('button', { name: 'I am here: start' })
    await start.click()
    await this.page.getByRole('tab', { name: 'Trace' }).click()
    await expect(this.page.getByRole('button', { name: 'Outcomes, alternatives, can’t reach it' })).toBeVisible({ timeout: 60_000 })
  }

  /** Types a number on the application's own pad and logs it. */
  async type(value: string): Promise<void> {
    for (const key of value) await this.page.getByRole('button', { name: key === '.' ? 'Point' : key, exact: true }).click()
    await this.page.getByRole('button', { name: /^Log / }).click()
  }

  /** Measures between two points of one's own choice. */
  async measure(from: string, to: string, value: string): Promise<void> {
    await this.enter(from, to, value)
    await expect(this.page.getByText(/ logged$/)).toBeVisible()
  }

  /** The same, without waiting for it to be taken. */
  async enter(from: string, to: string, value: string): Promise<void> {
    await this.page.getByRole('button', { name: 'Outcomes, alternatives, can’t reach it' }).click()
    await this.page.getByRole('button', { name: 'Any other reading' }).click()
    await this.choose(from)
    if (to !== 'TB.C') {
      await this.page.getByRole('button', { name: 'Black TB.C' }).click()
      await this.choose(to)
    }
    await this.type(value)
  }

  private async choose(point: string): Promise<void> {
    await this.page.getByLabel('Find a point').fill(point)
    await this.page.getByRole('link', { name: point, exact: true }).click()
  }
}
