import type { Page } from '@playwright/test'

/** A hand on the screen that counts what it does: a press, or a field filled in. */
export class Hand {
  interactions = 0
  constructor(readonly page: Page) {}

  async fill(label: string, text: string): Promise<void> {
    this.interactions += 1
    await this.page.getByLabel(label, { exact: true }).last().fill(text)
  }

  async press(name: string | RegExp, role: 'button' | 'link' | 'tab' = 'button'): Promise<void> {
    this.interactions += 1
    await this.page
      .getByRole(role, { name, exact: typeof name === 'string' })
      .last()
      .click()
  }
}
