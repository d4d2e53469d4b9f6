import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { judge } from './diagnose'

const across = (from: string, to: string, value: number): EntryBody => ({
  kind: 'reading',
  meter: 'volts',
  from,
  to,
  value,
})
/** The fan relay is in and its contact open. */
const one: readonly EntryBody[] = [
  volts('TB.Y1', 26),
  { kind: 'observation', what: 'pulled-in', of: 'GR' },
  across('IFM.C', 'IFM.R', 0),
  across('GR.COM1', 'GR.NO1', 238),
]
/** The contactor is in as well, and gives nothing on. */
const other: readonly EntryBody[] = [
  { kind: 'observation', what: 'pulled-in', of: 'CC1' },
  across('CC1.L1', 'CC1.L2', 238),
  across('CC1.T1', 'CC1.T2', 0),
]

/** What every two faults hold together that are an open relay contact and a pole of the contactor. */
function bothOpen(entries: readonly EntryBody[]): number {
  const { model, belief } = judge(builtInUnit('fan-coil-cooling'), { complaint: 'not-cooling', entries })
  return model.hypotheses.reduce(
    (sum, { id }, h) => (/^GR:made1-open \+ CC1:pole\d-open$/.test(id) ? sum + belief.probability[h] : sum),
    0,
  )
}

test('two faults are thought of where no single one explains all, though anything not as drawn would', () => {
  expect(bothOpen(one)).toBe(0)
  expect(bothOpen([...one, ...other])).toBeGreaterThan(0.1)
  expect(bothOpen([...one, ...other, across('CC1.T1', 'CC1.T2', 0)])).toBeGreaterThan(0.8)
})
