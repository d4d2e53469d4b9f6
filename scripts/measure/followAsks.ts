import type { StoredEntry } from '@jokulgale/contract/visit'
import { meters, type Meter } from '@jokulgale/core/circuit/meters'
import { classesOf } from '@jokulgale/core/diagnosis/classes'
import { diagnose, modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { meterWords } from '@jokulgale/core/diagnosis/words'
import { complaintSaid } from '@jokulgale/core/visit/complaintSaid'
import { measuredConditions } from '@jokulgale/core/visit/conditionWords'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { gather } from '@jokulgale/core/visit/evidence'
import { seenWords } from '@jokulgale/core/parts/lookVocabulary'
import type { Standing } from '@jokulgale/core/visit/standing'
import type { World } from '@jokulgale/core/world/world'
import type { Hand } from './hand'

const mostAsks = 25
/** A suspect’s class is acted on from here. */
const actsFrom = 0.9

/** What the phone has sent of the visit that is open, as the server has it. */
export async function entriesSent({ page }: Hand): Promise<readonly EntryBody[]> {
  const visit = /visits\/([^/?]+)/.exec(page.url())?.[1] ?? ''
  const answer = await page.request.get(new URL(`/api/visits/${visit}/entries`, page.url()).href)
  const { entries } = (await answer.json()) as { readonly entries: readonly StoredEntry[] }
  return [...entries].sort((a, b) => a.sequence - b.sequence).map(({ body }) => body)
}

/** Waits until the ask on the screen is worked out and everything said has been sent. */
async function settled(hand: Hand): Promise<readonly EntryBody[]> {
  const { page } = hand
  for (let known = -1; ;) {
    await page.waitForTimeout(400)
    await page.locator('[data-settled="yes"]').waitFor({ timeout: 60_000 })
    const entries = await entriesSent(hand)
    if (entries.length === known) return entries
    known = entries.length
  }
}

/**
 * Does what the phone asks for, one ask after another, on a unit that answers as the real thing would, until
 * one class of suspects stands out. Gives the suspect that leads, as the phone says it.
 */
export async function followAsks(hand: Hand, world: World, complaint: string): Promise<string> {
  const { page } = hand
  const model = modelOf(world.diagram)
  // the weather of the day is that in which the unit was called for
  const home = complaintSaid(world.diagram, complaint)?.call ?? ''
  const classes = classesOf(model)
  for (let ask = 0; ask < mostAsks; ask++) {
    const entries = await settled(hand)
    const { belief, ranked } = diagnose(world.diagram, { complaint, entries })
    const [leader] = ranked
    const together = classes.reduce(
      (sum, of, h) => (of === classes[leader] ? sum + belief.probability[h] : sum),
      0,
    )
    if (ask > 0 && together >= actsFrom) return model.hypotheses[leader].words
    const { now } = gather(world.diagram, { complaint, entries })
    await answerAsk(hand, world, now, home)
  }
  throw new Error(`${await page.locator('[data-settled]').innerText()}: ${mostAsks} asks were not enough`)
}

async function answerAsk(hand: Hand, world: World, now: Standing, home: string): Promise<void> {
  const panel = hand.page.locator('[data-settled="yes"]')
  const words = await panel.innerText()
  const wait = /^Wait (\d+) min/m.exec(words)
  if (wait) {
    await hand.page.clock.fastForward(Number(wait[1]) * 60_000 + 1000)
    return
  }
  if (/Isolate the unit and prove it dead first/.test(words)) return isolate(hand)
  const back = panel.getByRole('button', { name: / is (landed|plugged in)$/ })
  if (await back.isVisible()) return hand.tap(back)
  if (/Switch the unit on first/.test(words)) {
    await hand.press('Switch it on')
    return hand.press('Power on')
  }
  const deed = panel.getByRole('button', { name: /: done$/ })
  if (await deed.isVisible()) return hand.tap(deed)
  const read = panel.getByRole('button', { name: /nter the reading$/ })
  if (await read.isVisible()) {
    await hand.tap(read)
    return enterReading(hand, world, callAsked(world, words, now))
  }
  const condition = measuredConditions.find((each) => words.includes(`Measure: ${each.words}`))
  if (condition) {
    await hand.press(`Enter it: ${condition.words}`)
    return hand.type(String(Math.round(world.condition(condition.id, home))))
  }
  const [, looked] = /^Look at (.+)$/m.exec(words) ?? []
  const part = [...world.diagram.parts.values()].find((each) => each.words === looked)
  if (!part) throw new Error(`an ask that nobody can follow: ${words}`)
  const seen = seenWords(world.look(callAsked(world, words, now), part.id))
  await hand.press(`${part.words}: ${seen}`)
}

/** The unit as the ask wants it: in the call that it names, where it names another than the one that is set. */
function callAsked({ diagram }: World, words: string, now: Standing): Standing {
  const [, asked] = /^First set the call: (.+)$/m.exec(words) ?? []
  const call = diagram.calls.find((each) => each.words === asked)?.id ?? now.call
  return { ...now, call, age: null }
}

/** The reading sheet says function and leads; what the unit gives there is typed as people type it. */
async function enterReading(hand: Hand, world: World, standing: Standing): Promise<void> {
  const said = async (name: RegExp): Promise<string> =>
    (await hand.button(name).innerText()).trim().split(' ').at(-1) ?? ''
  const shownAs = (await hand.button(/^Function: /).getAttribute('aria-label')) ?? ''
  const meter: Meter = meters.find((each) => shownAs.includes(`: ${meterWords[each]}.`)) ?? 'volts'
  const [from, to] = [await said(/^(Red|From) /), await said(/^(Black|to) /)]
  const value = world.measure(standing, meter, from, to)
  await hand.type(value === null ? null : value.toFixed(Math.abs(value) < 100 ? 1 : 0))
  const logged = hand.page.getByText(/ logged$/)
  await logged
    .or(hand.page.getByText(/To log it all the same/))
    .first()
    .waitFor()
  if (!(await logged.isVisible())) await hand.press(value === null ? 'OL, out of range' : /^Log /)
}

/** Every confirmation that comes before hands go in is counted apart: none of them may be saved. */
async function isolate(hand: Hand): Promise<void> {
  await hand.press('Isolate it')
  const boxes = hand.page.getByRole('checkbox', { name: /locked and tagged|Stored energy|proven on/ })
  for (const box of await boxes.all()) await hand.confirm(box)
  const dead = hand.page.getByRole('button', { name: /reads 0\sV( DC)?$/ })
  while (await dead.isVisible()) await hand.confirm(dead)
  await hand.confirm(hand.page.getByRole('checkbox', { name: 'Tester proven again' }))
  await hand.press('Isolated, proven dead')
}

export async function powerOn(hand: Hand): Promise<void> {
  await hand.press(/^Power: /)
  await hand.press('Power on')
}
