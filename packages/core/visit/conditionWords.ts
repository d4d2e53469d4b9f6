import type { Condition } from '../parts/kind'
import { unitShown, usualUnits, valueShown, valueWords } from '../physics/displayUnits'

/** A condition that can be measured, as one says it. */
export interface ConditionWords {
  readonly id: Condition
  readonly words: string
  readonly unit: string
  /** Asked for only where some part of the unit answers to it. */
  readonly where?: 'read'
  /** How long it takes to measure. */
  readonly seconds: number
  /** What must be known before it is measured; empty for nothing. */
  readonly caution: string
}

const thermometer = { unit: '°F', seconds: 20, caution: '' } as const
const hygrometer = { unit: '%', where: 'read', seconds: 30, caution: '' } as const
const gauge = {
  unit: 'psig',
  where: 'read',
  seconds: 150,
  caution: 'Gauges only by someone licensed for refrigerants; eyes and hands covered.',
} as const

export const measuredConditions: readonly ConditionWords[] = [
  { id: 'outdoorDryBulb', words: 'Outdoor temperature', ...thermometer },
  { id: 'returnDryBulb', words: 'Return air', ...thermometer },
  {
    id: 'supplyVolts',
    words: 'Supply, leg to leg (one leg alone: to neutral)',
    unit: 'V',
    seconds: 30,
    caution: '',
  },
  { id: 'outdoorHumidity', words: 'Outdoor humidity', ...hygrometer },
  { id: 'returnHumidity', words: 'Return humidity', ...hygrometer },
  { id: 'pipe', words: 'Water pipe', ...thermometer, where: 'read' },
  { id: 'suctionPressure', words: 'Suction pressure', ...gauge },
  { id: 'suctionPressure2', words: 'Suction pressure, circuit 2', ...gauge },
  { id: 'dischargePressure', words: 'Discharge pressure', ...gauge },
  { id: 'dischargePressure2', words: 'Discharge pressure, circuit 2', ...gauge },
  { id: 'liquidPressure', words: 'Liquid pressure', ...gauge },
  { id: 'coilTemperature', words: 'Indoor coil, surface', ...thermometer, where: 'read' },
  { id: 'outdoorCoilTemperature', words: 'Outdoor coil, surface', ...thermometer, where: 'read' },
  {
    id: 'heaterTemperature',
    words: 'Air at the heating limit',
    ...thermometer,
    where: 'read',
    seconds: 60,
    caution: 'Hot, with live heaters beside it: a probe through the cabinet’s side, nothing put inside.',
  },
]

export const conditionNamed = (of: string): Pick<ConditionWords, 'words' | 'unit' | 'caution'> =>
  measuredConditions.find(({ id }) => id === of) ?? { words: of, unit: '', caution: '' }

/** A condition with its value: “Outdoor temperature 55 °F”. */
export function conditionWords(of: string, value: number, units = usualUnits): string {
  const { words, unit } = conditionNamed(of)
  return `${words} ${valueWords(value, unit, units)}`
}

/** Between which values a condition lies; an end that is left out is open. */
export interface ConditionSpan {
  readonly above?: number
  readonly below?: number
}

/** A stretch of a condition: “50 to 75 °F”, “above 190 °F”. */
export function spanWords(of: string, { above, below }: ConditionSpan, units = usualUnits): string {
  const { unit } = conditionNamed(of)
  const shown = [above, below].map((end) => (end === undefined ? null : valueShown(end, unit, units)))
  const [from, to] = shown
  const words = from === null ? `below ${to}` : to === null ? `above ${from}` : `${from} to ${to}`
  return `${words} ${unitShown(unit, units)}`.trim()
}
