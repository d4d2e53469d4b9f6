import { resistance } from '../electric/law'
import { armatureIn, armatureSenses, coilBranch, ohmsAt, unlessHeld } from './coil'
import { contact, fixed, memory, position } from './contact'
import { feedsWindings } from './energising'
import { grounds, makesBadly, opens, shorts, sticks } from './fault'
import type { Branch, Now, PartFault, PartKind, Wants } from './kind'
import { legToLegPairs, poleNumbers, poleTerminals } from './poles'
import type { Settings } from './settings'

const switched = (s: Settings): readonly number[] =>
  poleNumbers(s.number('poles')).filter((pole) => !s.list('bars').includes(String(pole)))
const hasAuxiliary = (s: Settings): boolean => s.text('auxiliary') === 'yes'
/** Impedance of a coil wound for a line voltage, on 24 V; ohms. */
const wrongCoilOhms = 2500
const isIn = (now: Now): boolean =>
  armatureIn(now.volts.coil, now.settings.number('coilVolts'), now.is.armature === 'in')

/** How its armature, poles and auxiliary switch stand. */
function standsAs(s: Settings, armature: 'in' | 'out'): Readonly<Record<string, string>> {
  const made = position(armature === 'in')
  return {
    armature,
    ...Object.fromEntries(switched(s).map((pole) => [`pole${pole}`, made])),
    ...(hasAuxiliary(s) ? { auxiliary: made } : {}),
  }
}

/** What stays put when the armature does: every contact on its carrier. */
const staysPut = (s: Settings, armature: 'in' | 'out'): PartFault['effects'] =>
  Object.entries(standsAs(s, armature)).map(([branch, state]) => ({ does: 'hold', branch, state }))

/**
 * A contactor: coil `A1`–`A2`, poles `Ln`–`Tn`. Poles named in `bars` are bridged by a fixed bar and never
 * open.
 * An auxiliary switch, where fitted, is `13`–`14`, closed when the armature is in.
 */
export const contactor: PartKind = {
  kind: 'contactor',
  words: 'contactor',
  cause: 'contactor',
  symbol: 'coil',
  breaksLine: true,
  likelier: ['wear'],
  ageShown: true,
  // the middle of 4 to 6
  inrushTimes: 5,
  ratings: [
    ['coilVolts', 'Coil volts'],
    ['poles', 'Poles'],
    ['bars', 'Poles bridged by a bar'],
    ['auxiliary', 'Auxiliary switch'],
  ],
  lookWords: () => ['pulled-in', 'dropped-out'],
  beforeEnergising: feedsWindings,
  settings: { poles: 3, bars: '', coilVolts: 24, va: 8, coilOhms: 12, auxiliary: 'no' },
  madeFor: { circuit: 'control', at: (volts) => ({ coilVolts: volts, coilOhms: ohmsAt(volts, 24, 12) }) },
  moving: 'armature',
  terminals: (s) => [
    { name: 'A1', words: 'coil, call side' },
    { name: 'A2', words: 'coil, common side' },
    ...poleTerminals(s.number('poles')),
    ...(hasAuxiliary(s)
      ? [
          { name: '13', words: 'auxiliary switch, in' },
          { name: '14', words: 'auxiliary switch, out' },
        ]
      : []),
  ],
  branches: (s): readonly Branch[] => [
    coilBranch('coil', 'A1', 'A2', s.number('coilVolts'), s.number('va'), s.number('coilOhms')),
    ...poleNumbers(s.number('poles')).map((pole) =>
      s.list('bars').includes(String(pole))
        ? fixed(`bar${pole}`, `L${pole}`, `T${pole}`, 'conductor', resistance(0.0005))
        : contact(`pole${pole}`, `L${pole}`, `T${pole}`, 'open', 0.001),
    ),
    ...(hasAuxiliary(s) ? [contact('auxiliary', '13', '14', 'open', 0.02)] : []),
    memory('armature', ['in', 'out'], 'out'),
  ],
  senses: (s) => armatureSenses(s.number('coilVolts')),
  behave: (now): Wants => {
    return standsAs(now.settings, isIn(now) ? 'in' : 'out')
  },
  fromRest: (now) => unlessHeld(now, now.is.armature === 'in', standsAs(now.settings, 'out')),
  faults: (s): readonly PartFault[] => [
    opens('coil', 'coil open', 2.5, {
      cause: 'heat, age, a plate that did not come home',
      prove: 'ohms across the coil, a lead off',
    }),
    shorts('coil-shorted', 'coil', 0.4, 'coil shorted inside', 1.5, {
      cause: 'heat',
      prove: 'ohms across the coil, a lead off',
      shows: ['burnt'],
    }),
    grounds('A1', 'coil lead touches metal', 0.15),
    {
      name: 'wrong-coil',
      class: 'unlike',
      words: 'coil of a higher voltage fitted: does not pull in',
      prior: 0.25,
      cause: 'a substitute fitted by somebody',
      prove: 'read the coil’s own marking; its ohms',
      effects: [{ does: 'ohms', branch: 'coil', ohms: wrongCoilOhms }, ...staysPut(s, 'out')],
    },
    {
      name: 'jammed',
      class: 'stuck',
      words: 'armature does not come in though the coil is good',
      prior: 0.8,
      cause: 'insects, a burnt carrier, a warped plate',
      shows: ['insects'],
      effects: staysPut(s, 'out'),
    },
    {
      name: 'welded',
      class: 'stuck',
      words: 'stays in without its coil: poles welded, or the armature sticks',
      prior: 1,
      cause: 'short cycling, low coil volts; dirt or wear of the carrier',
      shows: ['burnt'],
      effects: staysPut(s, 'in'),
    },
    ...switched(s).flatMap((pole) => [
      opens(`pole${pole}`, `pole ${pole} does not make`, 1.5, {
        cause: 'burnt, pitted, an insect between',
        prove: 'volts across the pole with the coil in',
        shows: ['burnt'],
      }),
      sticks(`pole${pole}-welded`, [`pole${pole}`], 'closed', `pole ${pole} welded`, 0.5),
      makesBadly(`pole${pole}-burnt`, `pole${pole}`, 0.4, `pole ${pole} burnt: drops volts under load`, 1, {
        prove: 'millivolts across each pole under load',
        shows: ['burnt'],
      }),
    ]),
    ...(hasAuxiliary(s)
      ? [
          opens('auxiliary', 'auxiliary switch does not follow', 1),
          sticks('auxiliary-stuck', ['auxiliary'], 'closed', 'auxiliary switch stuck closed', 0.4),
        ]
      : []),
  ],
  pairs: (s) => legToLegPairs(s.number('poles')),
  looks: (now) => [now.is.armature === 'in' ? 'pulled-in' : 'dropped-out'],
  testBridge: 'never',
}
