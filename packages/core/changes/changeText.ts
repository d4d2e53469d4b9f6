import type { CircuitChange } from './circuitChange'
import { leadWords } from './leadChange'
import { partChangeWords } from './partChange'

/** What is done at the unit to make the change, part by part and lead by lead. */
export const workOf = ({ parts, leads }: Pick<CircuitChange, 'parts' | 'leads'>): readonly string[] => [
  ...parts.map(partChangeWords),
  ...leads.map(leadWords),
]

/** A change as a list to take to the unit: parts, leads, and the calls that prove it. */
export function changeText(title: string, change: CircuitChange): string {
  return [
    title,
    'Isolated, locked out and proven dead before a lead is moved.',
    ...workOf(change).map((line, k) => `[ ] ${k + 1}  ${line}`),
    ...change.givenUp.map((words) => `Given up: ${words}`),
    ...change.tooMuch.map((words) => `Mind: ${words}`),
    `Prove afterwards: ${change.prove.map(({ words }) => words).join(', ')}`,
  ].join('\n')
}
