import { asTyped, unitOf } from '../circuit/meters'
import { callWords, type Diagram } from '../diagram/diagram'
import type { Of } from './fold'

export interface ReportLine {
  readonly left: string
  readonly right: string
  readonly small: string
  /** The same as a number with its unit, for other programs; a value out of range is null. */
  readonly number?: { readonly value: number | null; readonly unit: string }
}

export interface ReportSection {
  readonly title: string
  readonly lines: readonly ReportLine[]
  /** Said where there is nothing to list. */
  readonly none: string
}

export const line = (left: string, right = '', small = ''): ReportLine => ({ left, right, small })

/** A line whose value is what a meter showed. */
export const measured = (
  left: string,
  { value, meter, typed }: Pick<Of<'reading'>, 'value' | 'meter' | 'typed'>,
  small: string,
): ReportLine => ({
  ...line(left, asTyped(value, meter, typed), small),
  number: { value, unit: unitOf(meter) },
})

/** The call that something was seen in; empty where none is known. */
export const callOfLine = (diagram: Diagram, id: string | null): string =>
  id === null ? '' : callWords(diagram, id)
