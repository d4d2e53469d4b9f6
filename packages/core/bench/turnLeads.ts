import { amps } from './inputs'
import { benchTool, percent, type Verdict } from './tool'
import { unbalanceOf } from './unbalance'

/** Below this the legs are even, and turning them tells nothing. */
const leastShare = 0.03

const leg = (values: readonly number[], mean: number): number =>
  values.reduce((far, value, k) => (Math.abs(value - mean) > Math.abs(values[far] - mean) ? k : far), 0)

const verdict = (level: Verdict['level'], words: string, lines: Verdict['lines']): Verdict => ({
  level,
  words,
  lines,
})

export const turnLeads = benchTool({
  id: 'turn-leads',
  title: 'Turn the leads: supply or motor?',
  group: 'Three phases',
  use: 'The legs draw unevenly. Move all three supply leads on by one terminal and read again.',
  source: 'A leg that moves with the supply is the supply’s; one that stays is the motor’s',
  caution: 'Isolate, lock and prove dead before the leads are moved. Turning all three keeps the direction.',
  example: { beforeA: 15, beforeB: 14.8, beforeC: 17.2, afterA: 17.1, afterB: 15.1, afterC: 14.7 },
  inputs: {
    beforeA: amps('T1, as it was'),
    beforeB: amps('T2, as it was'),
    beforeC: amps('T3, as it was'),
    afterA: amps('T1, leads turned on by one'),
    afterB: amps('T2, leads turned on by one'),
    afterC: amps('T3, leads turned on by one'),
  },
  check: ({ beforeA, beforeB, beforeC, afterA, afterB, afterC }) =>
    beforeA + beforeB + beforeC > 0 && afterA + afterB + afterC > 0
      ? []
      : [{ input: 'beforeA', message: 'read all three legs with the motor running, both times' }],
  find: ({ beforeA, beforeB, beforeC, afterA, afterB, afterC }) => {
    const before = [beforeA, beforeB, beforeC]
    const after = [afterA, afterB, afterC]
    const [was, is] = [unbalanceOf(before), unbalanceOf(after)]
    const lines = [
      { what: 'Unbalance before', value: percent(was.share) },
      { what: 'Unbalance after', value: percent(is.share) },
    ]
    if (was.share < leastShare && is.share < leastShare)
      return verdict('good', 'Even both times: there is nothing to look for.', lines)
    const [from, to] = [leg(before, was.mean), leg(after, is.mean)]
    if (from === to)
      return verdict('act', `It stays at T${to + 1}: the motor or its connection there.`, lines)
    if (to === (from + 1) % 3)
      return verdict('act', 'It moved on with the leads: the supply, or a pole ahead of them.', lines)
    return verdict('watch', 'It did neither stay nor move on by one: check the leads and read again.', lines)
  },
})
