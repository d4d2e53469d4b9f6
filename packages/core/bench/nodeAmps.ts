import { amps } from './inputs'
import { benchTool, percent, shown } from './tool'

/** Clamps are good to two per cent and five counts each. */
const clampShare = 0.02
const clampFloor = 0.05

export const nodeAmps = benchTool({
  id: 'node-amps',
  title: 'Where do the amps come from?',
  group: 'Electric heat',
  use: 'A heater heats, and its own feed carries too little: add what flows in and out at one point.',
  source: 'What flows into a point flows out of it (Kirchhoff); the clamp ± (2 % + 0.05 A)',
  example: { load: 20.4, feed: 0, other: 20.4 },
  inputs: { load: amps('In the load’s own lead'), feed: amps('In the feed that belongs to it') },
  extras: { other: amps('In the other wire at that point') },
  find: ({ load, feed, other }) => {
    const missing = load - feed
    const error = clampShare * (load + feed) + 2 * clampFloor
    const lines = [
      { what: 'Does not come by its feed', value: shown(missing, 'A') },
      { what: 'Give or take', value: shown(error, 'A') },
      ...(other === undefined || load === 0
        ? []
        : [{ what: 'The other wire has', value: `${shown(other, 'A')}, ${percent(other / load, 0)}` }]),
    ]
    if (load <= 2 * clampFloor)
      return { level: 'good', words: 'The load draws nothing: there is nothing to explain.', lines }
    if (Math.abs(missing) <= error)
      return { level: 'good', words: 'All of it comes by its own feed: no back-feed here.', lines }
    if (missing < 0)
      return {
        level: 'watch',
        words: 'The feed carries more than the load draws: something else hangs on it.',
        lines,
      }
    return other !== undefined && Math.abs(other - missing) <= error + clampShare * other
      ? { level: 'act', words: 'Back-fed by the other wire: it carries just what is missing.', lines }
      : { level: 'act', words: 'Back-fed: clamp the other wires at this point, one by one.', lines }
  },
})
