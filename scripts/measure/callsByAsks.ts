import type { Browser, Page } from '@playwright/test'
import { faultsOf } from '@jokulgale/core/diagram/faults'
import { complaintSaid } from '@jokulgale/core/visit/complaintSaid'
import { proofSheets } from '@jokulgale/core/visit/proofSheet'
import { builtInUnit } from '@jokulgale/core/units/index'
import { seeded } from '@jokulgale/core/world/random'
import { asDrawn, type Unlikeness } from '@jokulgale/core/world/siteUnit'
import { World } from '@jokulgale/core/world/world'
import { entriesSent, followAsks, powerOn } from './followAsks'
import { Hand, type Tapped } from './hand'

/** A call of which every tap is counted, from the board to the signed report. */
interface Call {
  readonly unit: string
  /** The built-in circuit of that unit. */
  readonly circuit: string
  readonly complaint: string
  /** What is wrong with it, by the fault’s name. */
  readonly fault: string
}

const calls: readonly Call[] = [
  { unit: 'RTU-1', circuit: 'rooftop-two-stage', complaint: 'Not cooling', fault: 'LPS1:tripped' },
  { unit: 'Flat 22 SHP', circuit: 'split-heat-pump', complaint: 'Not cooling', fault: 'CC1:coil-open' },
  { unit: 'Flat 3 FC', circuit: 'fan-coil-two-pipe', complaint: 'Cold', fault: 'CO:stuck-hot' },
  { unit: 'AH-2', circuit: 'air-handler-heat', complaint: 'Lukewarm or cold', fault: 'SQ:coil-open' },
]

/** Nothing unlike the drawing but the faults: trips stay, a motor may hum. */
const onlyFaults: Unlikeness = { ...asDrawn, faults: true }

export interface CallTapped extends Call, Tapped {
  /** What it was found to be. */
  readonly found: string
}

/** Every one of the calls, done by its asks alone. */
export async function callsByAsks(
  browser: Browser,
  signedIn: (page: Page) => Promise<void>,
  viewport: { readonly width: number; readonly height: number },
): Promise<readonly CallTapped[]> {
  const done: CallTapped[] = []
  for (const call of calls) {
    const context = await browser.newContext({ viewport })
    const page = await context.newPage()
    await page.clock.install()
    await signedIn(page)
    const hand = new Hand(page)
    const found = await wholeCall(hand, call)
    done.push({ ...call, found, ...hand.counted() })
    await context.close()
  }
  return done
}

async function wholeCall(hand: Hand, { unit, circuit, complaint, fault }: Call): Promise<string> {
  const { page } = hand
  const diagram = builtInUnit(circuit)
  const faults = faultsOf(diagram).filter(({ id }) => id === fault)
  if (faults.length === 0) throw new Error(`${circuit} has no fault ${fault}`)
  const said = complaintSaid(diagram, complaint)
  if (!said) throw new Error(`${circuit} has no complaint “${complaint}”`)
  const world = new World(diagram, { faults }, onlyFaults, seeded(480))
  await hand.press('New call: choose the unit')
  await page.getByLabel('Find').fill(unit)
  await hand.tap(page.getByRole('link', { name: unit, exact: true }))
  await hand.press('Take a call on this unit')
  await hand.press(complaint)
  await hand.press('I am here: start')
  await hand.press('All of these are right')
  await hand.tab('Trace')
  const found = await followAsks(hand, world, said.id)
  await repair(hand, found)
  await prove(hand, world, said.call)
  await hand.press('All of these')
  await page.getByLabel('For the building, in plain words').fill('Found, repaired, and it runs.')
  await hand.press('Sign off: repaired')
  await page.getByText('Repaired and proven').waitFor()
  return found
}

async function repair(hand: Hand, found: string): Promise<void> {
  await hand.tab('Suspects')
  await hand.tap(hand.page.getByRole('button', { name: `${found}, ` }).first())
  await hand.press(/^This is it$|^It is /)
  await hand.button('It is repaired').waitFor()
  const tripped = hand.page.getByRole('textbox', { name: 'What tripped it' })
  if (await tripped.isVisible()) await tripped.fill('a reason that was found')
  await hand.press('It is repaired')
}

/** The call that failed is run and every value of its sheet read, as a repaired unit gives it. */
async function prove(hand: Hand, { diagram }: World, call: string): Promise<void> {
  const { page } = hand
  if (await hand.button(/^Power: Isolated/).isVisible()) await powerOn(hand)
  await hand.tab('Prove')
  const conditions = (await entriesSent(hand)).flatMap((body) =>
    body.kind === 'condition' ? [[body.of, body.value] as const] : [],
  )
  const sheet = proofSheets(diagram, Object.fromEntries(conditions)).find((each) => each.call === call)
  if (!sheet) throw new Error(`no proof of ${call}`)
  await hand.press(`Values for ${sheet.words}`)
  const [first] = sheet.lines
  await hand.tap(page.getByRole('button', { name: `${first.what}, ` }))
  // the pad asks for one value after another
  for (const { what, expected } of sheet.lines)
    await hand.type((expected ?? (what.startsWith('Return') ? 75 : 56)).toFixed(1))
  const set = hand.button(`Set it: ${sheet.words}`)
  const proven = hand.button(`${sheet.words}: right`)
  const runs = page.getByText(/^It is set\. .* takes another/)
  await set.or(proven).or(runs).first().waitFor()
  if (await set.isVisible()) await hand.tap(set)
  await proven.or(runs).first().waitFor()
  // whoever waits for a delay does something else meanwhile
  if (!(await proven.isVisible())) await page.clock.fastForward('10:00')
  await hand.tap(proven)
}
