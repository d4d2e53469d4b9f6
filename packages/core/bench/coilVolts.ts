import { ratedVolts, volts } from './inputs'
import { benchTool, percent, shown } from './tool'

/**
 * AC contactor coils (IEC 60947-4-1): must work from 85 % to 110 % of rated; this trade's pull in at about 75
 * %.
 */
const band = { least: 0.85, most: 1.1, pullsIn: 0.75 } as const

export const coilVolts = benchTool({
  id: 'coil-volts',
  title: 'Coil: are these volts enough?',
  group: 'Contactor and relay',
  use: 'A contactor that hums, chatters or stays out: is it the coil or what it is given?',
  source: 'IEC 60947-4-1: 85 to 110 % of rated; below about 75 % it chatters',
  example: { measured: 17.2, rated: 24 },
  inputs: { measured: volts('Across the coil, called'), rated: ratedVolts('Rated coil', 24) },
  find: ({ measured, rated }) => {
    const share = measured / rated
    const lines = [
      { what: 'Of rated', value: percent(share) },
      {
        what: 'Works for sure',
        value: `${shown(band.least * rated, 'V')} to ${shown(band.most * rated, 'V')}`,
      },
    ]
    if (share < 0.05) return { level: 'act', words: 'Nothing reaches the coil: trace the call.', lines }
    if (share < band.pullsIn)
      return {
        level: 'act',
        words: 'Too little to pull in: it hums and burns. Find what takes the volts.',
        lines,
      }
    if (share < band.least)
      return {
        level: 'watch',
        words: 'It may pull in and may chatter: below what the coil is made for.',
        lines,
      }
    return share > band.most
      ? { level: 'act', words: 'Too much: the coil overheats. Check the tap of the transformer.', lines }
      : { level: 'good', words: 'Enough: if it stays out, the coil is open or the armature stuck.', lines }
  },
})
