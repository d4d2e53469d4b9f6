import { asTyped, isInWire, type Meter } from '../circuit/meters'
import { partWords, pointName, type Diagram } from '../diagram/diagram'
import { doneWords } from '../visit/doneWords'
import type { Evidence } from '../visit/evidence'
import { seenWords } from '../parts/lookVocabulary'
import type { Standing } from '../visit/standing'

/** Meter functions as one says them to a helper. */
export const meterWords: Readonly<Record<Meter, string>> = {
  volts: 'AC volts',
  loz: 'AC volts, low impedance',
  ohms: 'Ohms',
  amps: 'Clamp amps',
  dc: 'DC volts',
  millivolts: 'AC millivolts',
  megohms: 'Insulation, megohms at 500 V',
  microamps: 'DC microamps, in series',
  microfarads: 'Microfarads',
}

const meterCautions: Readonly<Partial<Record<Meter, string>>> = {
  millivolts:
    'Volts range first; millivolts only where that shows under 1 V. Across what is open stands the full supply.',
  megohms:
    'The tester puts out 500 V: isolated, apart from boards and drives, hands off; never on a compressor under vacuum. Discharge it afterwards.',
  microamps:
    'In series: power off, the wire off at one end, the meter between, power on. Off again before it goes back.',
  microfarads:
    'Discharge it through a resistor, measure that it is, and take its leads off; back on afterwards.',
}

/** What is to be minded with a function of the meter, before the leads touch; empty for most. */
export const meterCaution = (meter: Meter): string => meterCautions[meter] ?? ''

/** Probability from which a suspect is called possible. */
export const possibleFrom = 0.15

/** A probability as a technician would say it. */
export function oddsWords(probability: number): string {
  if (probability >= 0.95) return 'nearly certain'
  if (probability >= 0.7) return 'very likely'
  if (probability >= 0.4) return 'likely'
  if (probability >= possibleFrom) return 'possible'
  if (probability >= 0.03) return 'less likely'
  return 'unlikely'
}

/** Where a reading is taken, as one says it. */
export const placeWords = (meter: Meter, from: string, to: string): string =>
  `${isInWire(meter) ? 'in the wire ' : ''}${pointName(from)} to ${pointName(to)}`

/** Under which call or power state something was read. */
export function standingWords({ calls }: Diagram, call: string, power: Standing['power']): string {
  return power === 'off' ? 'isolated' : (calls.find(({ id }) => id === call)?.words.toLowerCase() ?? call)
}

/** A piece of evidence in a sentence. */
export function evidenceWords(diagram: Diagram, piece: Evidence): string {
  const { call, power, actions } = piece.standing
  const held = [standingWords(diagram, call, power), ...doneWords(diagram, actions)].join(', ')
  switch (piece.kind) {
    case 'found-set':
      return `${partWords(diagram, piece.found.part)}: ${piece.found.setting} found at ${piece.found.to}`
    case 'found-on':
      return `${piece.of} found on ${piece.at}`
    case 'drop-out':
      return `dropped out together: ${piece.fell.map(({ from, to }) => `${from} to ${to}`).join(', ')}`
    case 'stand-in':
      return `stand-in of ${piece.amps} A for ${partWords(diagram, piece.of)}: ${piece.result.replaceAll('-', ' ')} (${held})`
    case 'touched':
      return `${partWords(diagram, piece.of)} moved (${held})`
    case 'look':
      return `${partWords(diagram, piece.of)}: ${seenWords(piece.what)} (${held})`
    case 'reading':
      return `${asTyped(piece.value, piece.meter, piece.typed)} ${placeWords(piece.meter, piece.from, piece.to)} (${held})`
  }
}

/** How strongly evidence speaks against a suspect, by the log-likelihood it loses. */
export const againstWords = (loss: number): string =>
  loss > 6 ? 'rules it out' : loss > 4.5 ? 'strongly against it' : 'against it'

/** A series of proof readings in words. */
export const seriesWords = (what: string, values: readonly number[], unit: string): string =>
  `${what}: ${values.map((value) => value.toFixed(1)).join(' → ')} ${unit}`
