import { microfarads, ohms } from './inputs'
import { benchTool, percent, shown, type Level, type Verdict } from './tool'

/** A start capacitor is marked with a range; what is below it has lost its value. */
const leastShare = 0.9
/** The contact of a potential relay rests closed: more than this is burnt. */
const contactOhms = 1
/** Its coil has many turns, for the volts that the start winding makes. */
const coil = { least: 1000, most: 30_000 } as const

interface Part {
  readonly level: Level
  readonly words: string
}

const good: Part = { level: 'good', words: '' }

const ofCapacitor = (share: number): Part =>
  share >= leastShare ? good : { level: 'act', words: 'The start capacitor has lost its value.' }

function ofContact(contact: number | undefined): Part {
  if (contact === undefined || contact <= contactOhms) return good
  return {
    level: 'act',
    words: 'Its contact does not make at rest: the capacitor never comes in, and the motor hums.',
  }
}

function ofCoil(coilOhms: number | undefined): Part {
  if (coilOhms === undefined || (coilOhms >= coil.least && coilOhms <= coil.most)) return good
  return {
    level: 'act',
    words:
      coilOhms > coil.most
        ? 'Its coil is open: the capacitor stays in until it bursts. Check the capacitor too.'
        : 'Its coil has too few ohms for a potential relay: shorted turns, or these are other pins.',
  }
}

export const hardStart = benchTool({
  id: 'hard-start',
  title: 'Hard-start parts',
  group: 'Motors and capacitors',
  use: 'A compressor hums or starts hard: start capacitor and potential relay, out of the circuit.',
  source: 'Start capacitor within its marked range; relay contact closed at rest, coil some kilohms',
  caution: 'Discharge the capacitor through its bleeder before anything is touched.',
  example: { measured: 96, marked: 88, contact: 0.2, coil: 10_500 },
  inputs: { measured: microfarads('Start capacitor'), marked: microfarads('Marked, from') },
  extras: {
    contact: ohms('Relay contact, 1–2, at rest'),
    coil: ohms('Relay coil, 2–5'),
  },
  find: ({ measured, marked, contact, coil: coilOhms }): Verdict => {
    const parts = [ofCapacitor(measured / marked), ofContact(contact), ofCoil(coilOhms)]
    const wrong = parts.filter(({ level }) => level === 'act')
    return {
      level: wrong.length > 0 ? 'act' : 'good',
      words: wrong.length > 0 ? wrong.map(({ words }) => words).join(' ') : 'Nothing wrong with these parts.',
      lines: [
        { what: 'Of the least that is marked', value: percent(measured / marked, 0) },
        ...(contact === undefined ? [] : [{ what: 'Contact at rest', value: shown(contact, 'Ω') }]),
        ...(coilOhms === undefined ? [] : [{ what: 'Coil', value: shown(coilOhms / 1000, 'kΩ') }]),
      ],
    }
  },
})
