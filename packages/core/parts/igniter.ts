import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed, memory } from './contact'
import { hasOhms, opens } from './fault'
import type { PartKind } from './kind'

/** It lights gas from this share of its rated volts. */
const lightsFrom = 0.75
/** Cold it has this share of the ohms that it has when hot. */
const coldShare = 0.4

/**
 * Hot-surface igniter: warm, and with the gas valve that it follows open, it lights the burner, and the flame
 * stands until the valve closes.
 */
export const igniter: PartKind = {
  kind: 'igniter',
  words: 'hot-surface igniter',
  cause: 'gas',
  symbol: 'heater',
  settings: { follows: '', volts: 24, watts: 40 },
  moving: 'burner',
  ratings: [
    ['volts', 'Volts'],
    ['watts', 'Watts'],
  ],
  terminals: () => [
    { name: '1', words: 'igniter, fed side' },
    { name: '2', words: 'igniter, common side' },
  ],
  branches: (s) => {
    const hotOhms = s.number('volts') ** 2 / s.number('watts')
    return [
      fixed('element', '1', '2', 'load', impedance(complex(hotOhms), coldShare * hotOhms)),
      memory('burner', ['out', 'lit'], 'out'),
    ]
  },
  senses: (s) => ({ volts: ['element'], steps: { element: [lightsFrom * s.number('volts')] } }),
  behave: (now) => {
    const hot = now.volts.element.size >= lightsFrom * now.settings.number('volts')
    const gas = now.followed === 'open'
    return { burner: gas && (hot || now.is.burner === 'lit') ? 'lit' : 'out' }
  },
  // what it cannot light does not burn on from the call before
  startsFrom: { burner: 'out' },
  faults: (s) => [
    opens('element', 'cracked, open', 3, {
      cause: 'age; touched with bare fingers; knocked in handling',
      prove: 'ohms across it, cold, its plug off: an open one reads OL',
    }),
    hasOhms(
      'aged',
      'element',
      (3 * s.number('volts') ** 2) / s.number('watts'),
      'aged: too cold to light the gas',
      0.6,
      { prove: 'amps while it warms up, against its watts' },
    ),
  ],
  lookWords: () => ['lit', 'glowing', 'out'],
  looks: (now) => [
    now.is.burner === 'lit'
      ? 'lit'
      : now.volts.element.size >= lightsFrom * now.settings.number('volts')
        ? 'glowing'
        : 'out',
  ],
}
