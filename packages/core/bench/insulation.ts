import type { Part } from '../diagram/diagram'
import { insulationMegohms } from '../physics/insulation'
import { megohms } from './inputs'
import { benchTool, shown, type Verdict } from './tool'
import { atParts, branchEnds } from './unitPlaces'

const hasFrame = (part: Part): boolean => branchEnds(part, ({ name }) => name === 'frame') !== null

export const insulation = benchTool({
  id: 'insulation',
  title: 'Windings to ground, megohms',
  group: 'Motors and capacitors',
  use: 'Is a winding’s insulation to ground still good?',
  source:
    'IEEE 43: at least 5 MΩ for random-wound motors below 1 kV; below 0.1 MΩ shorted for practical purposes',
  caution:
    'Isolated and disconnected from electronics and drives; never a compressor under vacuum; the maker’s rule comes first.',
  example: { winding: 0.8 },
  inputs: { winding: megohms('Winding to ground') },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const { id, kind, settings } = part
      const [first] = kind.terminals(settings)
      // a drive has a frame too: the tester would take its transistors
      const isTested = (kind.symbol === 'motor' || kind.symbol === 'heater') && hasFrame(part)
      if (!isTested || !first) return null
      return {
        known: {},
        readings: { winding: { meter: 'megohms', from: `${id}.${first.name}`, to: 'EARTH' } },
      }
    }),
  find: ({ winding }): Verdict => {
    const lines = [{ what: 'Measured', value: shown(winding, 'MΩ', winding < 10 ? 2 : 0) }]
    if (winding < insulationMegohms.shorted)
      return { level: 'act', words: 'Shorted to ground for practical purposes.', lines }
    if (winding < insulationMegohms.suspect)
      return {
        level: 'act',
        words: 'Suspect: wet, dirty or failing. Do not energise before it is cleared.',
        lines,
      }
    return winding < insulationMegohms.sound
      ? { level: 'watch', words: 'Below 5 MΩ: note it, and measure again warm and dry.', lines }
      : { level: 'good', words: 'Good in service.', lines }
  },
})
