import { display, type Meter } from '../circuit/meter'
import type { Evidence } from './evidence'

/** Meter functions as one says them to a helper. */
export const meterWords: Readonly<Record<Meter, string>> = {
  volts: 'AC volts', loz: 'AC volts, low impedance', ohms: 'Ohms', amps: 'Clamp amps', dc: 'DC volts', millivolts: 'AC millivolts',
}

/** A probability as a technician would say it. */
export function oddsWords(probability: number): string {
  if (probability >= 0.95) return 'nearly certain'
  if (probability >= 0.7) return 'very likely'
  if (probability >= 0.4) return 'likely'
  if (probability >= 0.15) return 'possible'
  if (probability >= 0.03) return 'less likely'
  return 'unlikely'
}

/** What a look shows, as one says it. */
const lookWords: Readonly<Record<string, string>> = {
  'pulled-in': 'pulled in', 'dropped-out': 'dropped out', 'lamp-on': 'lamp on', 'lamp-off': 'lamp off', 'open-drawn': 'drawn open', shut: 'shut',
}
export const seenWords = (seen: string): string => lookWords[seen] ?? seen.replaceAll('-', ' ')

/** A piece of evidence in a sentence. */
export function evidenceWords(piece: Evidence): string {
  if (piece.kind === 'look') return `${piece.of}: ${seenWords(piece.what)} (${piece.standing.call})`
  const where = piece.meter === 'amps' ? `in the wire ${piece.from} to ${piece.to}` : `${piece.from} to ${piece.to}`
  return `${display(piece.value, piece.meter)} ${where} (${piece.standing.call}${piece.standing.power === 'off' ? ', isolated' : ''})`
}
