import Papa from 'papaparse'
import type { Report } from './report'

/** A report as rows for a spreadsheet: section, what, value, more. */
export const reportCsv = (report: Report): string =>
  Papa.unparse(
    {
      fields: ['section', 'what', 'value', 'more'],
      data: report.sections.flatMap(({ title, lines }) =>
        lines.map(({ left, right, small }) => [title, left, right, small]),
      ),
    },
    { escapeFormulae: true },
  )
