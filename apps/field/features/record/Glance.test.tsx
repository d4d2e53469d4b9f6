import { screen } from '@testing-library/react-native'
import type { UnitGlance } from '@jokulgale/contract/records'
import { renderInApp } from '../testApp'
import { Glance } from './Glance'

const nothing: UnitGlance = {
  last: null,
  defects: [],
  measures: [],
  drifting: [],
  contactors: [],
  changes: [],
  again: [],
  history: { series: [], replacements: [] },
}

test('of a unit that nobody has been to it says so', () => {
  renderInApp(<Glance glance={nothing} />)
  expect(screen.getByText('No earlier visit.')).toBeTruthy()
})

test('what was left on, what is open, what drifts and what is old is said', () => {
  renderInApp(
    <Glance
      glance={{
        ...nothing,
        last: { day: '3 May 2026', outcome: 'repaired', words: 'Runs', repairs: ['Contactor replaced'] },
        measures: [
          { id: 'a', words: 'Stand-in for FU', until: '9 May 2026' },
          { id: 'b', words: 'Heat off', until: '' },
        ],
        defects: [{ id: 'c', words: 'Curb leaks', since: '1 April 2026' }],
        drifting: ['Compressor 14.1 → 15.8 A'],
        contactors: [
          { words: 'Contactor 1', years: 9.4 },
          { words: 'Contactor 2', years: 3 },
        ],
        changes: ['PK1 taken out of the path'],
        again: ['FU: 2 times'],
      }}
    />,
  )
  for (const words of [
    'Stand-in for FU, left until 9 May 2026',
    'Heat off, left with no end date',
    'Open since 1 April 2026: Curb leaks',
    'Last visit 3 May 2026, repaired: Contactor replaced. Runs',
    'Drifting: Compressor 14.1 → 15.8 A',
    'Contactor 1: 9 years old',
    'Not wired as its diagram. PK1 taken out of the path',
    'Repaired more than once: FU: 2 times',
  ])
    expect(screen.getByText(words)).toBeTruthy()
})
