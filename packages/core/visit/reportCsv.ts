import Papa from 'papaparse'
import type { Report } from './report'

/** A report as rows for a spreadsheet: of what and when, section, what, value; a number stands apart from its unit. */
export function reportCsv({ head, sections }: Report): string {
  const of = [head.site, head.unit, head.times.join('; ')]
  return Papa.unparse(
    {
      fields: ['site', 'unit', 'date', 'section', 'what', 'value', 'number', 'unit of number', 'more'],
      data: sections.flatMap(({ title, lines }) =>
        lines.map(({ left, right, small, number }) => [
          ...of,
          title,
          left,
          right,
          number?.value ?? '',
          number?.unit ?? '',
          small,
        ]),
      ),
    },
    { escapeFormulae: true },
  )
}
