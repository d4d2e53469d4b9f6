import { megohms } from './inputs'
import { benchTool, shown, type Verdict } from './tool'

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
  find: ({ winding }): Verdict => {
    const lines = [{ what: 'Measured', value: shown(winding, 'MΩ', winding < 10 ? 2 : 0) }]
    if (winding < 0.1) return { level: 'act', words: 'Shorted to ground for practical purposes.', lines }
    if (winding < 1)
      return {
        level: 'act',
        words: 'Suspect: wet, dirty or failing. Do not energise before it is cleared.',
        lines,
      }
    return winding < 5
      ? { level: 'watch', words: 'Below 5 MΩ: note it, and measure again warm and dry.', lines }
      : { level: 'good', words: 'Good in service.', lines }
  },
})
