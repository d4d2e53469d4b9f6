import { ohms } from './inputs'
import { benchTool, shown, type Verdict } from './tool'

/** A made contact reads less; its leads and clips are in it. */
const madeOhms = 2

type Pin = 'A' | 'B' | 'C'
type Pair = readonly [Pin, Pin]
const pairs = [
  ['A', 'B'],
  ['A', 'C'],
  ['B', 'C'],
] as const satisfies readonly Pair[]

const made = (readings: readonly number[]): readonly Pair[] => pairs.filter((_, k) => readings[k] < madeOhms)

/** Roles of three pins by which of their pairs are made at rest, and with the coil fed. */
export function rolesOf(
  rest: readonly number[],
  fed: readonly number[],
): { readonly common: Pin; readonly resting: Pin; readonly making: Pin } | null {
  const [[atRest, ...restMore], [whenFed, ...fedMore]] = [made(rest), made(fed)]
  if (!atRest || !whenFed || restMore.length > 0 || fedMore.length > 0) return null
  const common = atRest.find((pin) => whenFed.includes(pin))
  const resting = atRest.find((pin) => pin !== common)
  const making = whenFed.find((pin) => pin !== common)
  return common && resting && making && resting !== making ? { common, resting, making } : null
}

function withoutRoles(rest: readonly number[], fed: readonly number[]): Pick<Verdict, 'level' | 'words'> {
  const [atRest, whenFed] = [made(rest), made(fed)]
  const same = atRest.map(String).join() === whenFed.map(String).join()
  if (atRest.length === 0 && whenFed.length === 0)
    return { level: 'watch', words: 'Nothing is made either way: these are not pins of one pole.' }
  if (same)
    return {
      level: 'act',
      words:
        'Nothing changes over: the coil is not fed or is open, the armature sticks, or a contact is welded.',
    }
  if (atRest.length === 0)
    return {
      level: 'good',
      words: `One throw, open at rest: it makes ${whenFed.map((pair) => pair.join('–')).join(', ')}.`,
    }
  if (whenFed.length === 0)
    return {
      level: 'good',
      words: `One throw, closed at rest: it opens ${atRest.map((pair) => pair.join('–')).join(', ')}.`,
    }
  return { level: 'act', words: 'More than one pair is made at once: throws joined by weld or char.' }
}

export const relayContacts = benchTool({
  id: 'relay-contacts',
  title: 'Relay: which pin is which?',
  group: 'Contactor and relay',
  use: 'A relay with no drawing on it: three pins of a pole by meter, at rest and with its coil fed.',
  source: 'The common is in the pair that is made at rest and in the pair that is made when fed',
  caution: 'On the bench or with every wire off its contacts, and its coil alone fed.',
  example: { restAB: Infinity, restAC: 0.2, restBC: Infinity, fedAB: Infinity, fedAC: Infinity, fedBC: 0.3 },
  inputs: {
    restAB: ohms('A–B at rest'),
    restAC: ohms('A–C at rest'),
    restBC: ohms('B–C at rest'),
    fedAB: ohms('A–B, coil fed'),
    fedAC: ohms('A–C, coil fed'),
    fedBC: ohms('B–C, coil fed'),
  },
  find: ({ restAB, restAC, restBC, fedAB, fedAC, fedBC }) => {
    const [rest, fed] = [
      [restAB, restAC, restBC],
      [fedAB, fedAC, fedBC],
    ]
    const roles = rolesOf(rest, fed)
    if (!roles) return { ...withoutRoles(rest, fed), lines: [] }
    const worst = Math.max(...[...rest, ...fed].filter((reading) => reading < madeOhms))
    return {
      level: worst > 0.5 ? 'watch' : 'good',
      words: `Common is ${roles.common}, at rest made to ${roles.resting}, fed to ${roles.making}.`,
      lines: [{ what: 'Worst made contact, leads in it', value: shown(worst, 'Ω') }],
    }
  },
})
