import { fireEvent, screen } from '@testing-library/react-native'
import { brief } from '@jokulgale/core/diagnosis/briefing'
import { builtInUnit } from '@jokulgale/core/units/index'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { volts } from '@jokulgale/core/visit/testReadings'
import { renderVisit } from '../visit/testVisit'
import { SuspectsList } from './SuspectsList'

const unit = 'fan-coil-cooling'
const onCause = jest.fn()
const show = (...entries: readonly EntryBody[]) => {
  const briefing = brief(builtInUnit(unit), { complaint: 'not-cooling', entries })
  const onSaid = renderVisit(unit, entries, (visit) => (
    <SuspectsList briefing={briefing} visit={visit} onCause={onCause} />
  ))
  return { briefing, onSaid }
}
/** Volts on the coil, and nothing pulled in. */
const openCoil = [
  { kind: 'call', call: 'cool1' },
  volts('CC1.A1', 26, 'CC1.A2'),
  { kind: 'observation', what: 'dropped-out', of: 'CC1' },
] as const

test('before anything is read it says that nothing stands out, and what would', () => {
  show()
  expect(screen.getByText('Nothing has been read yet.')).toBeTruthy()
  expect(screen.queryByText('Cleared')).toBeNull()
})

test('a suspect opens to what speaks for it and how it is proven', () => {
  const { briefing } = show(...openCoil)
  const [lead] = briefing.suspects
  expect(lead.of).toEqual(['CC1'])
  expect(screen.queryByText(/^explains /)).toBeNull()
  fireEvent.press(screen.getByLabelText(`${lead.words}, ${lead.odds}`))
  for (const words of lead.explains) expect(screen.getByText(`explains ${words}`)).toBeTruthy()
  expect(screen.getByText('This is it')).toBeTruthy()
})

test('what is taken for the cause keeps its reasoning: the odds, what speaks for it, and its rivals', () => {
  const { briefing, onSaid } = show(...openCoil)
  const [lead] = briefing.suspects
  fireEvent.press(screen.getByLabelText(`${lead.words}, ${lead.odds}`))
  fireEvent.press(screen.getByText('This is it'))
  const [[body]] = onSaid.mock.calls
  expect(body).toMatchObject({ kind: 'cause', of: 'CC1', fault: lead.id, words: lead.words })
  if (body.kind !== 'cause') throw new Error('no cause was said')
  expect(body.reasoning?.chance).toBe(lead.probability)
  expect(body.reasoning?.shownBy).toEqual(lead.explains)
  expect(body.reasoning?.rivals.length).toBeGreaterThan(0)
  expect(onCause).toHaveBeenCalled()
})

test('why the odds were so before any reading is told when it is asked for', () => {
  const { briefing } = show(...openCoil)
  fireEvent.press(screen.getByText(/^Odds before any reading: /))
  for (const { reason } of briefing.reasons) expect(screen.getByText(reason)).toBeTruthy()
})
