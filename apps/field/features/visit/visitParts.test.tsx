import { act, fireEvent, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderInApp } from '../testApp'
import { Arrival } from './Arrival'
import { ClosedVisit } from './ClosedVisit'
import { SafetyLine } from './SafetyLine'
import { Tabs } from './Tabs'
import { renderVisit } from './testVisit'

const mockNavigate = jest.fn()
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: mockNavigate }) }))
jest.mock('../sync/request', () => ({ request: () => Promise.reject(new Error('no signal')) }))
jest.mock('../../workers/diagnosis', () => ({
  diagnosisService: () => ({
    briefSoFar: () => new Promise(() => undefined),
    brief: () => new Promise(() => undefined),
  }),
}))

describe('on arrival', () => {
  const show = (...entries: readonly EntryBody[]) =>
    renderVisit('rooftop-two-stage', entries, (visit) => <Arrival visit={visit} />)

  test('the complaint stands there in its words and the customer’s, and one press starts', () => {
    const onSaid = show({ kind: 'complaint', complaint: 'not-cooling', words: 'It blows warm' })
    expect(screen.getByText('Not cooling')).toBeTruthy()
    expect(screen.getByText('“It blows warm”')).toBeTruthy()
    fireEvent.press(screen.getByText('I am here: start'))
    expect(onSaid).toHaveBeenCalledWith({ kind: 'arrived' })
  })

  test('what the unit needs care of is said before anybody starts, the edge of its roof among it', () => {
    show()
    expect(screen.getByText(/edge/)).toBeTruthy()
    expect(screen.getByText(/hung a lock/)).toBeTruthy()
  })

  test('where another makes the call they are asked first', () => {
    show({ kind: 'controls', by: 'building', telephone: '555 0100' })
    expect(screen.getByText(/555 0100: ask them by telephone/)).toBeTruthy()
  })

  test('nothing stands there of what nobody has written', () => {
    show()
    expect(screen.queryByText(/^[.,\s]+$/)).toBeNull()
  })
})

describe('a visit that is closed', () => {
  const show = (...later: readonly EntryBody[]) =>
    renderVisit(
      'fan-coil-cooling',
      [
        {
          kind: 'sign-off',
          outcome: 'left-off',
          words: 'Motor on order',
          told: 'front desk',
          until: '2031-02-01',
        },
        ...later,
      ],
      (visit) => <ClosedVisit visit={visit} />,
    )

  test('says how it ended, and takes what comes later under its own date', async () => {
    const onSaid = show()
    expect(screen.getByText('Motor on order')).toBeTruthy()
    fireEvent.press(screen.getByText('Add it, dated today'))
    expect(onSaid).not.toHaveBeenCalled()
    fireEvent.changeText(screen.getByLabelText('What is to be added'), ' The motor came ')
    await act(async () => {
      fireEvent.press(screen.getByText('Add it, dated today'))
      await Promise.resolve()
    })
    expect(onSaid).toHaveBeenCalledWith({ kind: 'note', words: 'The motor came' })
    expect(screen.getByText('Added since')).toBeTruthy()
  })

  test('leads to its report', () => {
    show()
    fireEvent.press(screen.getByText('Open the report'))
    expect(mockNavigate).toHaveBeenCalledWith('/visits/v/report')
  })
})

describe('a safety control out of its circuit', () => {
  const joined: EntryBody = {
    kind: 'alteration',
    what: 'joined',
    of: 'HPS.1',
    to: 'HPS.2',
    hazard: 'nothing stops the compressor at high pressure',
  }

  test('is said on every screen of the visit', () => {
    renderVisit('fan-coil-cooling', [joined], (visit) => <SafetyLine visit={visit} />)
    expect(screen.getByText(/^Unsafe\. .*Leave the unit off and tell somebody\.$/)).toBeTruthy()
  })

  test('and nothing is said where there is none', () => {
    renderVisit('fan-coil-cooling', [], (visit) => <SafetyLine visit={visit} />)
    expect(screen.queryByText(/^Unsafe/)).toBeNull()
  })
})

test('the tabs say where one is, and lead elsewhere', () => {
  const onChoose = jest.fn()
  renderInApp(<Tabs now="trace" onChoose={onChoose} />)
  expect(screen.getAllByRole('tab')).toHaveLength(5)
  expect(screen.getAllByRole('tab', { selected: true })).toEqual([screen.getByRole('tab', { name: 'Trace' })])
  fireEvent.press(screen.getByLabelText('Prove'))
  expect(onChoose).toHaveBeenCalledWith('prove')
})
