import type { CircuitChange } from './circuitChange'
import { leadWords } from './leadChange'
import { partChangeWords } from './partChange'

/** A change as a list to take to the unit: parts, leads, and the calls that prove it. */
export function changeText(title: string, { parts, leads, tooMuch, prove }: CircuitChange): string {
  const lines = [...parts.map(partChangeWords), ...leads.map(leadWords)]
  return [
    title,
    'Isolated, locked out and proven dead before a lead is moved.',
    ...lines.map((line, k) => `[ ] ${k + 1}  ${line}`),
    ...tooMuch.map((words) => `Mind: ${words}`),
    `Prove afterwards: ${prove.join(', ')}`,
  ].join('\n')
}
