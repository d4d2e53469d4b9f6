import type { Condition } from '../parts/kind'
import { returnAirSpan, type UsualSpan } from './usualSpan'
import { unitShown, usualUnits, valueShown, valueWords } from '../physics/displayUnits'

/** A condition that can be measured, as one says it. */
export interface ConditionWords {
  readonly id: Condition
  readonly words: string
  readonly unit: string
  /** Asked for only where some part of the unit answers to it. */
  readonly where?: 'read'
  readonly usual: UsualSpan
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
  { id: 'outdoorDryBulb', words: 'Outdoor temperature', usual: [-40, 130], ...thermometer },
  { id: 'returnDryBulb', words: 'Return air', usual: returnAirSpan, ...thermometer },
  {
    id: 'supplyVolts',
    words: 'Supply, leg to leg (one leg alone: to neutral)',
    usual: [80, 630],
    unit: 'V',
    seconds: 30,
    caution: '',
  },
  { id: 'outdoorHumidity', words: 'Outdoor humidity', usual: [3, 100], ...hygrometer },
  { id: 'returnHumidity', words: 'Return humidity', usual: [5, 100], ...hygrometer },
  { id: 'pipe', words: 'Water pipe', usual: [30, 215], ...thermometer, where: 'read' },
  { id: 'suctionPressure', words: 'Suction pressure', usual: [0, 250], ...gauge },
  { id: 'suctionPressure2', words: 'Suction pressure, circuit 2', usual: [0, 250], ...gauge },
  { id: 'dischargePressure', words: 'Discharge pressure', usual: [0, 700], ...gauge },
  { id: 'dischargePressure2', words: 'Discharge pressure, circuit 2', usual: [0, 700], ...gauge },
  { id: 'liquidPressure', words: 'Liquid pressure', usual: [0, 700], ...gauge },
  { id: 'coilTemperature', words: 'Indoor coil, surface', usual: [-10, 140], ...thermometer, where: 'read' },
  {
    id: 'outdoorCoilTemperature',
    words: 'Outdoor coil, surface',
    usual: [-40, 160],
    ...thermometer,
    where: 'read',
  },
  {
    id: 'heaterTemperature',
    words: 'Air at the heating limit',
    usual: [30, 350],
    ...thermometer,
    where: 'read',
    seconds: 60,
    caution: 'Hot, with live heaters beside it: a probe through the cabinet’s side, nothing put inside.',
  },
]

/** A condition by its name; of one that nobody measures nothing is usual. */
export const conditionNamed = (
  of: string,
): Pick<ConditionWords, 'words' | 'unit' | 'caution'> & { readonly usual: UsualSpan | null } =>
  measuredConditions.find(({ id }) => id === of) ?? { words: of, unit: '', caution: '', usual: null }

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
