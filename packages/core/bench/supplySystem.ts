import { systemsLike, type SupplySystem } from '../parts/supply'
import { volts } from './inputs'
import { phasorPicture } from './phasors'
import { benchTool, shown, type Verdict } from './tool'

/** How near a supply's nominal volts a reading must be: what a utility allows, and some. */
const nearShare = 0.1
/** To ground this is nothing. */
const nothingVolts = 15

interface Legs {
  readonly between: readonly [ab: number, bc: number, ca: number]
  readonly toGround: readonly [a: number, b: number, c: number]
}

const isNear = (value: number, nominal: number): boolean => Math.abs(value / nominal - 1) < nearShare

/** Systems of three legs that these readings are of, their legs in any order. */
const systemsOf = ({ between, toGround }: Legs): readonly SupplySystem[] =>
  systemsLike('208Y/120').filter(({ legToLegVolts, toGroundVolts }) => {
    const [read, nominal] = [toGround, toGroundVolts].map((legs) => [...legs].sort((a, b) => a - b))
    return (
      between.every((value) => isNear(value, legToLegVolts)) &&
      read.every((value, k) => isNear(value, nominal[k]))
    )
  })

export const systemsRead = (legs: Legs): readonly string[] => systemsOf(legs).map(({ name }) => name)

const legNames = ['L1', 'L2', 'L3'] as const

function told({ between, toGround }: Legs): Pick<Verdict, 'level' | 'words'> {
  const [system] = systemsOf({ between, toGround })
  const mean = between.reduce((sum, value) => sum + value, 0) / 3
  const isWhole = between.every((value) => isNear(value, mean)) && mean > 100
  const dead = legNames.filter((_, k) => toGround[k] < nothingVolts)
  const high = Math.max(...toGround)
  if (isWhole && dead.length === 1)
    return {
      level: 'watch',
      words: `All three leg-to-leg values are there and ${dead[0]} is at ground: a corner-grounded delta. Three poles and a monitor for it; ${dead[0]} is a live conductor all the same.`,
    }
  if (system?.floats)
    return {
      level: 'watch',
      words: `${system.name}: as a rule nothing of it is bonded, and a first ground fault opens nothing. Find it before there is a second.`,
    }
  if (system && high > 1.4 * Math.min(...toGround))
    return {
      level: 'watch',
      words: `${system.name}: ${legNames[toGround.indexOf(high)]} is the high leg. Nothing for 120 V goes on it, no neutral load and no control transformer to neutral.`,
    }
  if (system) return { level: 'good', words: `${system.name}: each leg as it should be.` }
  if (dead.length > 0)
    return { level: 'act', words: `${dead.join(' and ')} to ground is nothing: lost, look upstream.` }
  if (isWhole)
    return {
      level: 'watch',
      words:
        'The legs are whole and stand at other volts to ground than any known system: an ungrounded delta, or a ground fault on one.',
    }
  return { level: 'act', words: 'The legs are uneven: a leg is low or lost behind volts that a motor makes.' }
}

export const supplySystem = benchTool({
  id: 'supply-system',
  title: 'Which supply is this?',
  group: 'Three phases',
  use: 'On arrival: three legs to each other and to ground tell the system, and which leg is high.',
  source: 'Nominal systems: 208Y/120, 240 delta plain or with a high leg 120/208/120, 480Y/277, 575Y/332',
  caution:
    'Live, and above 50 V: rated meter and gloves, one hand. 480 V and more belong to qualified people.',
  example: { voltsA: 241, voltsB: 239, voltsC: 240, groundA: 121, groundB: 208, groundC: 120 },
  inputs: {
    voltsA: volts('L1–L2'),
    voltsB: volts('L2–L3'),
    voltsC: volts('L3–L1'),
    groundA: volts('L1 to ground'),
    groundB: volts('L2 to ground'),
    groundC: volts('L3 to ground'),
  },
  check: ({ voltsA, voltsB, voltsC }) =>
    voltsA + voltsB + voltsC === 0
      ? [{ input: 'voltsA', message: 'no leg has any volts: is it on, and does the tester work?' }]
      : [],
  find: ({ voltsA, voltsB, voltsC, groundA, groundB, groundC }) => {
    const picture = phasorPicture(voltsA, voltsB, voltsC)
    return {
      ...told({ between: [voltsA, voltsB, voltsC], toGround: [groundA, groundB, groundC] }),
      lines: [{ what: 'Leg to leg, average', value: shown((voltsA + voltsB + voltsC) / 3, 'V') }],
      ...(picture ? { picture } : {}),
    }
  },
})
