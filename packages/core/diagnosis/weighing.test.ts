import { builtInUnit } from '../units/index'
import { diagnose } from './diagnose'
import { complaintOf, trueValue } from './trial'
import { atArrival } from '../visit/standing'

test('a circuit that will not rest may read anything, and so explains no one reading well, on whichever meter', () => {
  const diagram = builtInUnit('package-proving')
  const { model } = diagnose(diagram, { complaint: '', entries: [] })
  const truth = model.hypotheses.findIndex(({ id }) => id === 'DR:contact-open')
  const restless = model.hypotheses.findIndex(({ id }) => id === 'FU:clip1-loose')
  const complaint = complaintOf(model, truth)
  const { call } = diagram.complaints.find(({ id }) => id === complaint) ?? diagram.complaints[0]
  const standing = atArrival(diagram, call)
  expect(model.situation(standing).settle(restless).oscillates).toBe(true)
  for (const meter of ['volts', 'millivolts'] as const) {
    const reading = { meter, from: 'XF.S1', to: 'PB1.K' }
    const {
      belief: { probability },
    } = diagnose(diagram, {
      complaint,
      entries: [{ kind: 'reading', ...reading, value: trueValue(model, truth, standing, reading) }],
    })
    expect(probability[restless]).toBeLessThan(probability[truth])
  }
})
