import { volts } from './inputs'
import { atParts, polesOf } from './unitPlaces'
import { benchTool, shown } from './tool'

/** Volts across a closed pole from which it stands open or burnt through; below, millivolts tell. */
const openFrom = 5

export const poleVolts = benchTool({
  id: 'pole-volts',
  title: 'Contactor: volts across each pole',
  group: 'Contactor and relay',
  use: 'It is pulled in and the load does not run: which pole does not pass its leg?',
  source: 'A closed pole has next to nothing across it; what stands across it does not reach the load',
  caution: 'Line voltage on both sides: rated leads and gloves, one hand.',
  example: { across1: 0.1, across2: 0.1, across3: 54 },
  inputs: { across1: volts('Across pole 1, pulled in'), across2: volts('Across pole 2, pulled in') },
  extras: { across3: volts('Across pole 3, pulled in') },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const poles = polesOf(part)
      return poles.length < 2
        ? null
        : {
            known: {},
            readings: Object.fromEntries(
              poles.slice(0, 3).map(([from, to], k) => [`across${k + 1}`, { meter: 'volts', from, to }]),
            ),
          }
    }),
  find: ({ across1, across2, across3 }) => {
    const across = [across1, across2, ...(across3 === undefined ? [] : [across3])]
    const open = across.flatMap((value, k) => (value >= openFrom ? [k + 1] : []))
    const lines = across.map((value, k) => ({ what: `Pole ${k + 1}`, value: shown(value, 'V') }))
    if (open.length === 0)
      return { level: 'good', words: 'All poles pass their leg. Millivolts say how well.', lines }
    return open.length === across.length
      ? {
          level: 'act',
          words: 'Every pole stands open: it is not pulled in, or only its armature moves.',
          lines,
        }
      : {
          level: 'act',
          words: `Pole ${open.join(' and ')} stands open. Isolate before the load burns on the legs that are left.`,
          lines,
        }
  },
})
