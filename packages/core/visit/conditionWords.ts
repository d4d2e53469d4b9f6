import type { Condition } from '../parts/kind'

/** A condition that can be measured, as one says it. */
export interface ConditionWords {
  readonly id: Condition
  readonly words: string
  readonly unit: string
  /** Asked for only where some part of the unit answers to it. */
  readonly where?: 'read'
}

export const measuredConditions: readonly ConditionWords[] = [
  { id: 'outdoorDryBulb', words: 'Outdoor temperature', unit: '°F' },
  { id: 'returnDryBulb', words: 'Return air', unit: '°F' },
  { id: 'supplyVolts', words: 'Supply, leg to leg', unit: 'V' },
  { id: 'outdoorHumidity', words: 'Outdoor humidity', unit: '%', where: 'read' },
  { id: 'returnHumidity', words: 'Return humidity', unit: '%', where: 'read' },
  { id: 'pipe', words: 'Pipe', unit: '°F', where: 'read' },
  { id: 'suctionPressure', words: 'Suction pressure', unit: 'psig', where: 'read' },
  { id: 'suctionPressure2', words: 'Suction pressure, circuit 2', unit: 'psig', where: 'read' },
  { id: 'dischargePressure', words: 'Discharge pressure', unit: 'psig', where: 'read' },
  { id: 'dischargePressure2', words: 'Discharge pressure, circuit 2', unit: 'psig', where: 'read' },
  { id: 'coilTemperature', words: 'Indoor coil', unit: '°F', where: 'read' },
]

export const conditionNamed = (of: string): Pick<ConditionWords, 'words' | 'unit'> =>
  measuredConditions.find(({ id }) => id === of) ?? { words: of, unit: '' }

/** A condition with its value: “Outdoor temperature 55 °F”. */
export function conditionWords(of: string, value: number): string {
  const { words, unit } = conditionNamed(of)
  return `${words} ${value} ${unit}`.trim()
}
