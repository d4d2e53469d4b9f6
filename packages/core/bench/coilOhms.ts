import { ohms } from './inputs'
import { atParts, branchEnds, settingOf } from './unitPlaces'
import { benchTool, percent, shown } from './tool'

/** A coil is as wound within so much: temperature and meter counted in. */
const asWound = 0.35
/** Below this share of its ohms, turns are joined. */
const joinedBelow = 0.4

export const coilOhms = benchTool({
  id: 'coil-ohms',
  title: 'Coil: ohms',
  group: 'Contactor and relay',
  use: 'A coil has its volts and does nothing, or takes the fuse: is it open, or are its turns joined?',
  source: '24 V contactor coils 5–20 Ω, relay coils 40–150 Ω, 120 V coils 300–2,500 Ω; its own plate first',
  caution: 'Isolated and proven dead, and one lead of the coil off: what is in parallel reads lower.',
  example: { measured: 0.6, rated: 12 },
  inputs: { measured: ohms('Across the coil'), rated: ohms('As wound') },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const rated = settingOf(part, 'coilOhms')
      const coil = branchEnds(part, ({ role }) => role === 'coil')
      return rated === undefined || !coil
        ? null
        : {
            known: { rated },
            readings: { measured: { meter: 'ohms', ...coil } },
          }
    }),
  check: ({ rated }) =>
    rated > 0 && rated < Infinity ? [] : [{ input: 'rated', message: 'a coil has some ohms' }],
  find: ({ measured, rated }) => {
    const share = measured / rated
    const lines = [
      { what: 'Measured', value: shown(measured, 'Ω') },
      ...(share === Infinity ? [] : [{ what: 'Of what it was wound for', value: percent(share, 0) }]),
    ]
    if (share > 10) return { level: 'act', words: 'Open: replace it, and find out why it burnt.', lines }
    if (share < joinedBelow)
      return { level: 'act', words: 'Turns joined: it takes the fuse or the transformer when called.', lines }
    return Math.abs(share - 1) <= asWound
      ? { level: 'good', words: 'As it was wound: look at its volts and its armature.', lines }
      : { level: 'watch', words: 'Not as expected: is it a coil of other volts?', lines }
  },
})
