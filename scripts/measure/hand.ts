import type { Locator, Page } from '@playwright/test'

/** What a finger did on a call. */
export interface Tapped {
  readonly taps: number
  /** Digits of the number pad. */
  readonly digits: number
  /** What is confirmed one by one before hands go in: locks, tester, each leg dead, each lead. */
  readonly confirmations: number
}

/** A finger at the phone that counts what it does. */
export class Hand {
  private taps = 0
  private digits = 0
  private confirmations = 0

  constructor(readonly page: Page) {}

  counted(): Tapped {
    return { taps: this.taps, digits: this.digits, confirmations: this.confirmations }
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' }).last()
  }

  async tap(target: Locator): Promise<void> {
    await target.click()
    this.taps += 1
  }

  async press(name: string | RegExp): Promise<void> {
    await this.tap(this.button(name))
  }

  async confirm(target: Locator): Promise<void> {
    await target.click()
    this.confirmations += 1
  }

  /** A number on the pad, digit by digit, and logged; OL where it is null. */
  async type(value: string | null): Promise<void> {
    if (value === null) {
      await this.press('OL, out of range')
      return
    }
    const keys = this.button('Delete the last digit')
    await keys.waitFor()
    for (const digit of value) {
      await this.button(digit === '.' ? 'Point' : digit === '-' ? 'Minus' : digit).click()
      this.digits += 1
    }
    await this.press(/^Log /)
  }

  async tab(name: string): Promise<void> {
    await this.tap(this.page.getByRole('tab', { name }))
  }
}
