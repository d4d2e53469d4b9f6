import { useState } from 'react'
import { fireEvent, screen } from '@testing-library/react-native'
import { brief, type Briefing } from '@jokulgale/core/diagnosis/briefing'
import { builtInUnit } from '@jokulgale/core/units/index'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { volts } from '@jokulgale/core/visit/testReadings'
import { Press } from '../../ui/Press'
import { renderVisit } from '../visit/testVisit'
import type { OpenVisit } from '../visit/useVisit'
import type { Judged } from '../visit/useBriefing'
import { SuspectsList } from './SuspectsList'

const unit = 'fan-coil-cooling'
const onCause = jest.fn()
const show = (...entries: readonly EntryBody[]) => showJudged('anew', ...entries)
const showJudged = (judged: Judged, ...entries: readonly EntryBody[]) => {
  const briefing = brief(builtInUnit(unit), { complaint: 'not-cooling', entries })
  const onSaid = renderVisit(unit, entries, (visit) => (
    <SuspectsList briefing={briefing} judged={judged} visit={visit} onCause={onCause} />
  ))
  return { briefing, onSaid }
}
interface RegroupedProps {
  readonly visit: OpenVisit
  readonly briefing: Briefing
  readonly both: readonly [Briefing['groups'], Briefing['groups']]
}

/** The same suspects, first in one grouping and then in the other. */
function Regrouped({ visit, briefing, both: [before, after] }: RegroupedProps) {
  const [groups, setGroups] = useState(before)
  return (
    <>
      <Press
        title="Judge anew"
        onPress={() => {
          setGroups(after)
        }}
      />
      <SuspectsList briefing={{ ...briefing, groups }} judged="anew" visit={visit} onCause={onCause} />
    </>
  )
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

test('nothing is taken for the cause by odds that leave out the last entry', () => {
  const { briefing, onSaid } = showJudged('not yet', ...openCoil)
  const [lead] = briefing.suspects
  fireEvent.press(screen.getByLabelText(`${lead.words}, ${lead.odds}`))
  expect(screen.getByText('The last entry is being weighed …')).toBeTruthy()
  fireEvent.press(screen.getByText('This is it'))
  expect(onSaid).not.toHaveBeenCalled()
})

test('a suspect that was opened stays open when it comes to stand in another group', () => {
  const briefing = brief(builtInUnit(unit), { complaint: 'not-cooling', entries: openCoil })
  const [lead] = briefing.suspects
  const alone = [
    { id: lead.id, words: lead.words, around: '', probability: 1, odds: lead.odds, suspects: [lead] },
  ]
  const [group] = alone
  const grouped = [{ ...group, id: 'both', around: 'CC1', suspects: briefing.suspects.slice(0, 2) }]
  renderVisit(unit, openCoil, (visit) => (
    <Regrouped visit={visit} briefing={briefing} both={[alone, grouped]} />
  ))
  fireEvent.press(screen.getByLabelText(`${lead.words}, ${lead.odds}`))
  fireEvent.press(screen.getByText('Judge anew'))
  expect(screen.getByText('This is it')).toBeTruthy()
})

test('where nothing can be judged anew the cause is kept without its odds', () => {
  const { briefing, onSaid } = showJudged('not', ...openCoil)
  const [lead] = briefing.suspects
  fireEvent.press(screen.getByLabelText(`${lead.words}, ${lead.odds}`))
  fireEvent.press(screen.getByText('This is it'))
  expect(onSaid.mock.calls[0][0]).toEqual({ kind: 'cause', of: 'CC1', fault: lead.id, words: lead.words })
})

test('why the odds were so before any reading is told when it is asked for', () => {
  const { briefing } = show(...openCoil)
  fireEvent.press(screen.getByText(/^Odds before any reading: /))
  for (const { reason } of briefing.reasons) expect(screen.getByText(reason)).toBeTruthy()
})
