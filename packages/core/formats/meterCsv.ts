import Papa from 'papaparse'
import type { DropPoint } from '../visit/entry'

/** A logged stretch: seconds, and one column a channel. */
export interface MeterLog {
  readonly seconds: readonly number[]
  readonly channels: readonly (DropPoint & { readonly values: readonly number[] })[]
}

/** A meter log that cannot be used: which line and column, and what to do. */
export class MeterCsvError extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'MeterCsvError'
  }
}

const mostRows = 200_000

/**
 * Reads a meter's comma-separated log: a head line `seconds, FROM to TO, …` (or `FROM-TO`, or one point,
 * taken to
 * `common`), then numbers. Throws MeterCsvError.
 */
export function readMeterCsv(text: string, common: string): MeterLog {
  const { data, errors } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const [problem] = errors.filter(({ type }) => type !== 'Delimiter')
  if (problem) throw new MeterCsvError(`line ${(problem.row ?? 0) + 1}: ${problem.message}`)
  const [head, ...lines] = data
  if (!head || head.length < 2)
    throw new MeterCsvError(
      'line 1: needs a column of seconds and at least one channel, such as “seconds,TB.R to TB.C”',
    )
  if (lines.length < 3) throw new MeterCsvError('fewer than three lines of numbers: export the whole stretch')
  if (lines.length > mostRows)
    throw new MeterCsvError(`more than ${mostRows} lines: export a shorter stretch`)
  const channels = head.slice(1).map((name, k) => channelOf(name.trim(), k + 2, common))
  const number = (line: number, column: number): number => {
    const cell = lines[line][column]?.trim() ?? ''
    const value = Number(cell)
    if (cell === '' || !Number.isFinite(value))
      throw new MeterCsvError(`line ${line + 2}, column ${column + 1}: “${cell}” is not a number`)
    return value
  }
  const seconds = lines.map((_, line) => number(line, 0))
  seconds.forEach((at, k) => {
    if (k > 0 && at < seconds[k - 1])
      throw new MeterCsvError(`line ${k + 2}: time goes backwards, ${at} after ${seconds[k - 1]}`)
  })
  return {
    seconds,
    channels: channels.map((channel, k) => ({
      ...channel,
      values: lines.map((_, line) => number(line, k + 1)),
    })),
  }
}

function channelOf(name: string, column: number, common: string): DropPoint {
  const [from = '', to = common] = name.split(/\s+to\s+|-(?=[A-Z][A-Z0-9]*\.)/)
  if (from === '')
    throw new MeterCsvError(`line 1, column ${column}: a channel needs a name, such as “TB.R to TB.C”`)
  return { from, to }
}

/** A moment at which channels fell: the first, those that fell with it, those that held. */
export interface DropOut {
  readonly atSeconds: number
  readonly lastsSeconds: number
  readonly first: DropPoint
  readonly fell: readonly DropPoint[]
  readonly held: readonly DropPoint[]
}

/** Share of a channel's usual value below which it has fallen. */
const fallenShare = 0.6
/** Channels that fall within this of the first one fell with it, seconds. */
const togetherSeconds = 1.5

/** The drop-outs of a stretch: every time some channel leaves its usual value. */
export function dropOutsOf({ seconds, channels }: MeterLog): readonly DropOut[] {
  const usual = channels.map(
    ({ values }) => [...values].sort((a, b) => a - b)[Math.floor(0.75 * values.length)],
  )
  const isFallen = (channel: number, k: number): boolean =>
    usual[channel] > 0 && channels[channel].values[k] < fallenShare * usual[channel]
  const point = ({ from, to }: DropPoint): DropPoint => ({ from, to })
  const drops: DropOut[] = []
  for (let k = 0; k < seconds.length; k++) {
    const first = channels.findIndex((_, channel) => isFallen(channel, k))
    if (first < 0) continue
    let end = k
    while (end + 1 < seconds.length && channels.some((_, channel) => isFallen(channel, end + 1))) end += 1
    const within = (channel: number): boolean => {
      for (let at = k; at <= end && seconds[at] - seconds[k] <= togetherSeconds; at++)
        if (isFallen(channel, at)) return true
      return false
    }
    drops.push({
      atSeconds: seconds[k],
      lastsSeconds: seconds[end] - seconds[k],
      first: point(channels[first]),
      fell: channels.filter((_, channel) => within(channel)).map(point),
      held: channels.filter((_, channel) => !within(channel)).map(point),
    })
    k = end
  }
  return drops
}
