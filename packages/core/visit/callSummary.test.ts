import { callSummary } from './callSummary'
import type { EntryBody } from './entry'
import type { Entry } from './log'

const entry = (id: string, wall: number, body: EntryBody): Entry => ({
  id,
  visit: 'v',
  by: 'p',
  clock: { wall, counter: 0, device: 'a' },
  body,
})
const asked = entry('1', 1, { kind: 'complaint', complaint: 'no-heat', words: 'Cold since Monday' })
const arrived = entry('2', 2, { kind: 'arrived' })
const signed = entry('3', 3, { kind: 'sign-off', outcome: 'repaired', words: 'Heats again' })

test('a call waits, is under way, is closed, in whatever order its entries come in', () => {
  expect(callSummary([asked])).toMatchObject({
    state: 'waiting',
    complaint: 'no-heat',
    words: 'Cold since Monday',
  })
  expect(callSummary([arrived, asked]).state).toBe('under-way')
  expect(callSummary([{ ...arrived, by: 'q' }, asked]).technician).toBe('q')
  expect(callSummary([asked]).technician).toBe('p')
  expect(callSummary([signed, asked, arrived])).toMatchObject({ state: 'closed', outcome: 'repaired' })
})

test('a sign-off that was taken back closes nothing; the last complaint is the one', () => {
  const back = entry('4', 4, { kind: 'retracted', entry: '3' })
  expect(callSummary([asked, arrived, signed, back])).toMatchObject({ state: 'under-way', outcome: '' })
  const again = entry('5', 5, { kind: 'complaint', complaint: 'no-air', words: '' })
  expect(callSummary([again, asked]).complaint).toBe('no-air')
})
