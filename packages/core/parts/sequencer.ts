import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { ohmsAt } from './coil'
import { contact, fixed, position } from './contact'
import { shorts, opens, sticks } from './fault'
import type { PartKind } from './kind'
import { poleNumbers } from './poles'

/** Share of its rated volts at which the heater bends the contacts closed. */
const warmShare = 0.75

/**
 * A heat sequencer: a small heater at `H1`–`H2` bends contacts `nA`–`nB` closed one after another, and open
 * again.
 */
export const sequencer: PartKind = {
  kind: 'sequencer',
  words: 'heat sequencer',
  cause: 'heat-switching',
  symbol: 'coil',
  breaksLine: true,
  likelier: ['wear', 'cold-weather'],
  ratings: [['contacts', 'Contacts']],
  lookWords: () => ['pulled-in', 'dropped-out'],
  settings: { contacts: 2, volts: 24, ohms: 60 },
  madeFor: { circuit: 'control', at: (volts) => ({ volts, ohms: ohmsAt(volts, 24, 60) }) },
  moving: 'make1',
  terminals: (s) => [
    { name: 'H1', words: 'heater, call side' },
    { name: 'H2', words: 'heater, common side' },
    ...poleNumbers(s.number('contacts')).flatMap((n) => [
      { name: `${n}A`, words: `contact ${n}, in` },
      { name: `${n}B`, words: `contact ${n}, out` },
    ]),
  ],
  branches: (s) => [
    { ...fixed('coil', 'H1', 'H2', 'coil', impedance(complex(s.number('ohms')), s.number('ohms'))) },
    ...poleNumbers(s.number('contacts')).map((n) => contact(`make${n}`, `${n}A`, `${n}B`, 'open', 0.004)),
  ],
  senses: (s) => ({ volts: ['coil'], steps: { coil: [warmShare * s.number('volts')] } }),
  behave: (now) => {
    const made = position(now.volts.coil.size > warmShare * now.settings.number('volts'))
    return Object.fromEntries(poleNumbers(now.settings.number('contacts')).map((n) => [`make${n}`, made]))
  },
  delays: (s) =>
    poleNumbers(s.number('contacts')).flatMap((n) => [
      { branch: `make${n}`, to: 'closed', seconds: 20 + 30 * n },
      { branch: `make${n}`, to: 'open', seconds: 30 + 25 * (s.number('contacts') - n) },
    ]),
  faults: (s) => [
    opens('coil', 'sequencer heater open', 1.5, { prove: 'ohms across H1 and H2, a lead off' }),
    shorts('coil-shorted', 'coil', 0.6, 'sequencer heater shorted', 0.4),
    ...poleNumbers(s.number('contacts')).flatMap((n) => [
      opens(`make${n}`, `sequencer contact ${n} does not make`, 1, { shows: ['burnt'] }),
      sticks(`make${n}-welded`, [`make${n}`], 'closed', `sequencer contact ${n} stuck closed`, 0.9, {
        shows: ['burnt'],
        welds: true,
      }),
    ]),
  ],
  looks: (now) => [now.is.make1 === 'closed' ? 'pulled-in' : 'dropped-out'],
}
