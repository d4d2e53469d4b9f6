import { expect, type Page } from '@playwright/test'

/** A technician at the phone: the few things that every journey does. */
export class Technician {
  readonly complaints: string[] = []

  constructor(readonly page: Page) {
    page.on('console', (message) => {
      if (message.type() === 'error') this.complaints.push(message.text())
    })
    page.on('pageerror', (error) => {
      this.complaints.push(error.message)
    })
  }

  async signIn(): Promise<void> {
    await this.page.goto('/')
    await this.page.getByLabel('E-mail').fill('ines@skerry.example')
    await this.page.getByLabel('Password').fill('north-stairs-480')
    await this.press('Sign in')
    await expect(this.page.getByRole('heading', { name: 'Calls' })).toBeVisible()
  }

  press(name: string | RegExp): Promise<void> {
    return this.page
      .getByRole('button', { name, exact: typeof name === 'string' })
      .last()
      .click()
  }

  /** Opens a call of the board, arrives, and goes to the trace. */
  async open(unit: string): Promise<void> {
    await this.page
      .getByRole('link', { name: `${unit},` })
      .first()
      .click()
    await this.arrive()
  }

  /** Takes a new call on a unit from the board: the complaint as a chip. */
  async take(unit: string, complaint: string): Promise<void> {
    await this.press('New call: choose the unit')
    await this.page.getByLabel('Find').fill(unit)
    await this.page.getByRole('link', { name: unit, exact: true }).click()
    await this.press('Take a call on this unit')
    await this.press(complaint)
    await this.arrive()
  }

  private async arrive(): Promise<void> {
    await this.press('I am here: start')
    await this.tab('Trace')
    await expect(
      this.page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }),
    ).toBeVisible({ timeout: 60_000 })
  }

  async tab(name: string): Promise<void> {
    await this.page.getByRole('tab', { name }).click()
  }

  /** Says which call is set. */
  async set(call: string): Promise<void> {
    await this.page.getByRole('button', { name: /^Call: / }).click()
    await this.press(call)
  }

  /** Isolates every source, and proves it dead as the form asks. */
  async isolate(): Promise<void> {
    await this.page.getByRole('button', { name: /^Power: / }).click()
    await this.proveDead()
    await expect(this.page.getByRole('button', { name: /Power: Isolated/ })).toBeVisible()
  }

  /** The form of isolation, filled in as it asks. */
  async proveDead(): Promise<void> {
    await this.press('Isolate, lock, prove dead')
    for (const box of await this.page
      .getByRole('checkbox', { name: /locked and tagged|Stored energy|Tester proven on/ })
      .all())
      await box.click()
    const dead = this.page.getByRole('button', { name: /reads 0\sV( DC)?$/ })
    while (await dead.isVisible()) await dead.click()
    await this.page.getByRole('checkbox', { name: 'Tester proven again' }).click()
    await this.press('Isolated, proven dead')
  }

  async powerOn(): Promise<void> {
    await this.page.getByRole('button', { name: /^Power: / }).click()
    await this.press('Power on')
  }

  /** Types a number on the application's own pad and logs it; OL when it is null. */
  async type(value: string | null): Promise<void> {
    if (value === null) return this.press('OL, out of range')
    for (const key of value)
      await this.page.getByRole('button', { name: key === '.' ? 'Point' : key, exact: true }).click()
    await this.press(/^Log /)
  }

  /** Measures between two points of one's own choice. */
  async measure(from: string, to: string, value: string | null, meter = 'AC volts'): Promise<void> {
    await this.enter(from, to, value, meter)
    const logged = this.page.getByText(/ logged$/)
    // what cannot be is asked about once, and logged all the same
    await expect(logged.or(this.page.getByText(/To log it all the same/))).toBeVisible()
    if (!(await logged.isVisible())) await this.press(value === null ? 'OL, out of range' : /^Log /)
    await expect(logged).toBeVisible()
  }

  /** The same, without waiting for it to be taken. */
  async enter(from: string, to: string, value: string | null, meter = 'AC volts'): Promise<void> {
    await this.page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
    await this.press('Any other reading')
    await this.choose(from)
    if (meter !== 'AC volts') {
      await this.page.getByRole('button', { name: /^Function: / }).click()
      await this.press(meter)
    }
    const black = this.page.getByRole('button', { name: meter === 'Clamp amps' ? /^to / : /^Black / })
    if (!((await black.textContent()) ?? '').endsWith(` ${to}`)) {
      await black.click()
      await this.choose(to)
    }
    await this.type(value)
  }

  /** Does something to the unit: verb, then point or part. */
  async lift(point: string, lead: RegExp): Promise<void> {
    await this.page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
    await this.press('Do something to it')
    await this.press('Lift a lead')
    await this.choose(point)
    await this.press(lead)
  }

  /** Pulls a plug, or takes a fuse out. */
  async pull(part: string): Promise<void> {
    await this.page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
    await this.press('Do something to it')
    await this.press('Pull a plug')
    await this.press('Choose a part')
    await this.page.getByLabel('Find a part').fill(part)
    await this.page.getByRole('link', { name: `Part ${part}`, exact: true }).click()
  }

  /** Opens the suspect that leads, says that it is it, and that it is repaired. */
  async repairLeader(words: RegExp): Promise<void> {
    await this.tab('Suspects')
    // however far down the trace was
    await expect(this.page.getByRole('heading', { name: 'Suspects' })).toBeInViewport()
    const leader = this.page.getByRole('button', { name: words }).first()
    // all suspects are weighed before the first is named
    await expect(leader).toBeVisible({ timeout: 90_000 })
    await leader.click()
    await this.page
      .getByRole('button', { name: /^This is it$|^It is / })
      .first()
      .click()
    const repaired = this.page.getByRole('button', { name: 'It is repaired', exact: true })
    await expect(repaired).toBeVisible()
    // what only opened has a reason
    const tripped = this.page.getByRole('textbox', { name: 'What tripped it' })
    if (await tripped.isVisible()) await tripped.fill('a reason that was found')
    await repaired.click()
  }

  async prove(call: string, note: string): Promise<void> {
    await this.page.getByRole('button', { name: `Values for ${call}` }).click()
    await this.page.getByLabel(`Readings for ${call}`).fill(note)
    await this.run(call)
    await this.page.getByLabel(`${call}: right`).click()
  }

  /** On the proof sheet: sets a call if another is set, and knows that its delays are over. */
  async run(call: string): Promise<void> {
    const set = this.page.getByRole('button', { name: `Set it: ${call}`, exact: true })
    const over = this.page.getByRole('button', { name: 'It is over: it was calling before' })
    const proven = this.page.getByLabel(`${call}: right`)
    await expect(set.or(over).or(proven).first()).toBeVisible()
    if (await set.isVisible()) {
      await set.click()
      await expect(set).toBeHidden()
    }
    await expect(over.or(proven).first()).toBeVisible()
    if (!(await proven.isVisible())) await over.click()
    await expect(proven).toBeVisible()
  }

  /** Leaves a temporary measure on, with all that the register asks for. */
  async leaveOn(measure: RegExp, hazard: string, reason: string): Promise<void> {
    await this.press('Temporary measures')
    await this.press(measure)
    for (const [label, words] of [
      ['Hazard', hazard],
      ['Reason', reason],
      ['Authorised by', 'B. Holm'],
      ['Who was told', 'front desk'],
    ])
      await this.page.getByLabel(label, { exact: true }).last().fill(words)
    await this.press('1 week')
    await this.press('Leave it, with its end date')
    await this.press('Close')
  }

  async signOff(words: string): Promise<void> {
    await this.press('All of these')
    await this.page.getByLabel('For the building, in plain words').fill(words)
    await this.press('Sign off: repaired')
    await expect(this.page.getByText('Repaired and proven')).toBeVisible()
  }

  private async choose(point: string): Promise<void> {
    await this.page.getByLabel('Find a point').fill(point)
    await this.page.getByRole('link', { name: point, exact: true }).click()
  }
}
