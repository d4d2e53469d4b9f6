import { judge } from '../diagnosis/diagnose'
import { builtInUnit } from '../units/index'
import { dropOutsOf, MeterCsvError, readMeterCsv } from './meterCsv'

const log = (rows: readonly string[]): string => ['seconds,TB.R to TB.C,LPS1.1,LPS1.2', ...rows].join('\n')
const stretch = log([
  '0,25.1,25.0,25.0',
  '1,25.1,25.0,24.9',
  '2,25.2,25.0,0.1',
  '3,25.2,25.1,0',
  '4,25.1,25.0,24.9',
  '5,25.1,25.0,25',
  '6,25.1,25.0,25',
  '7,25.1,25,25',
])

test('what fell and what held is read off a logged stretch', () => {
  const [drop, ...others] = dropOutsOf(readMeterCsv(stretch, 'TB.C'))
  expect(others).toEqual([])
  expect(drop).toMatchObject({ atSeconds: 2, lastsSeconds: 1, first: { from: 'LPS1.2', to: 'TB.C' } })
  expect(drop.held.map(({ from }) => from)).toEqual(['TB.R', 'LPS1.1'])
})

test('suspects are those consistent with the drop-out, though every reading now is right', () => {
  const [{ fell, held }] = dropOutsOf(readMeterCsv(stretch, 'TB.C'))
  const { model, ranked } = judge(builtInUnit('rooftop-two-stage'), {
    complaint: '',
    entries: [
      { kind: 'call', call: 'cool1' },
      { kind: 'reading', meter: 'volts', from: 'LPS1.2', to: 'TB.C', value: 25 },
      { kind: 'drop-out', fell, held },
    ],
  })
  expect(model.hypotheses[ranked[0]].of).toContain('LPS1')
})

test.each([
  ['', /line 1/],
  ['seconds\n1\n2\n3', /at least one channel/],
  [log(['0,1,2,3']), /fewer than three/],
  [log(['0,1,2,3', '1,x,2,3', '2,1,2,3']), /line 3, column 2: “x”/],
  [log(['0,1,2,3', '2,1,2,3', '1,1,2,3']), /time goes backwards/],
  [log(['0,1,2,3', '1,1,2', '2,1,2,3']), /line 3, column 4/],
])('%j is refused with line, column and what is wrong', (text, message) => {
  expect(() => readMeterCsv(text, 'TB.C')).toThrow(MeterCsvError)
  expect(() => readMeterCsv(text, 'TB.C')).toThrow(message)
})
