import type { Effect } from '../parts/effect'
import type { Settled } from './circuit'
import { playOn, type Stretch } from './timeline'

/** How a circuit stands for a part of the time, as effects that hold what moves, and how long, seconds. */
export interface LoopState {
  readonly held: readonly Effect[]
  readonly seconds: number
}

/**
 * Long enough for a thermostat to come back and for its compressor delay to pass, several times; what
 * chatters is left sooner.
 */
const watched = { seconds: 3600, solves: 150 } as const

/**
 * How a circuit that does not come to rest stands, in one of its rounds; empty where the clock brings it to
 * rest after all, or where it does not come round within the hour: it may chatter.
 */
export function loopOf(settled: Settled): readonly LoopState[] {
  if (!settled.oscillates) return []
  const { circuit, overrides } = settled
  const { round } = playOn(circuit, overrides, settled.states, watched)
  const { links } = circuit.network
  const moving = links.flatMap((_, link) =>
    round.some(({ states }) => states[link] !== round[0].states[link]) ? [link] : [],
  )
  return round.map(({ states, seconds }: Stretch) => {
    const rest = circuit.holding(settled, new Map(moving.map((link) => [link, states[link]])))
    // what would move in the end, had the round not begun anew before it does
    const ends = [rest.states, ...rest.cycle]
    const slow = links.flatMap((_, link) => (ends.every((end) => end[link] === states[link]) ? [] : [link]))
    const held = [...moving, ...slow].map((link): Effect => ({
      does: 'hold',
      branch: links[link].id,
      state: states[link],
    }))
    return { held, seconds }
  })
}
