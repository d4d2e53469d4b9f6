import { useState } from 'react'
import { Text } from 'react-native'
import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import { brief, type Ask } from '@jokulgale/core/diagnosis/briefing'
import { builtInUnit } from '@jokulgale/core/units/index'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { schoolWords } from '@jokulgale/core/diagnosis/schools'
import { renderVisit } from '../visit/testVisit'
import type { OpenVisit } from '../visit/useVisit'
import { AskPanel } from './AskPanel'

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }))

const unit = 'rooftop-two-stage'
const complaint: EntryBody = { kind: 'complaint', complaint: 'not-cooling', words: '' }
const inFan: EntryBody = { kind: 'call', call: 'fan' }
const live: EntryBody = { kind: 'reading', meter: 'volts', from: 'TB.Y1', to: 'TB.C', value: 25.2 }
const onMeasure = jest.fn()
const onSuspects = jest.fn()

const weather: readonly EntryBody[] = [
  { kind: 'condition', of: 'outdoorDryBulb', value: 88 },
  { kind: 'condition', of: 'returnDryBulb', value: 76 },
  { kind: 'observation', what: 'dropped-out', of: 'CC1' },
]
const dead: EntryBody = { kind: 'reading', meter: 'volts', from: 'CC1.A1', to: 'TB.C', value: 0 }
// enough of them that a look is among them
const { asks } = brief(
  builtInUnit(unit),
  { complaint: 'not-cooling', entries: [{ kind: 'call', call: 'cool1' }, ...weather, live, dead] },
  { count: 20 },
)
const askTo = (sort: 'measure' | 'look'): Ask => {
  const found = asks.find((ask) => ask.do === sort)
  if (!found) throw new Error(`no ask to ${sort}`)
  return found
}

const show = (ask: Ask, entries: readonly EntryBody[], leading = '') =>
  renderVisit(unit, entries, (visit) => (
    <AskPanel
      visit={visit}
      asked={{ asks: [ask], busy: false, story: 'So far it is live.', warning: '', leading, answered: '' }}
      searching={{ school: 'best', onSchool: jest.fn() }}
      doings={{ onMeasure, onCondition: jest.fn(), onSaid: jest.fn(), onSuspects }}
    />
  ))

beforeEach(() => {
  onMeasure.mockClear()
})

test('in another call the ask says which to set, and entering the reading says that it is set', async () => {
  const ask = askTo('measure')
  const onSaid = show(ask, [complaint, inFan])
  expect(screen.getByText('First set the call: Cooling, first stage')).toBeTruthy()
  fireEvent.press(screen.getByText('It is set: enter the reading'))
  await waitFor(() => {
    expect(onMeasure).toHaveBeenCalledWith(ask)
  })
  expect(onSaid.mock.calls).toEqual([[{ kind: 'call', call: 'cool1' }]])
})

test('in its own call nothing is said before the reading', async () => {
  const onSaid = show(askTo('measure'), [complaint])
  expect(screen.queryByText(/^First set the call/)).toBeNull()
  fireEvent.press(screen.getByText('Enter the reading'))
  await waitFor(() => {
    expect(onMeasure).toHaveBeenCalledTimes(1)
  })
  expect(onSaid).not.toHaveBeenCalled()
})

test('what is seen is kept in the call that the ask names', async () => {
  const ask = askTo('look')
  if (ask.do !== 'look') throw new Error('no look')
  const onSaid = show(ask, [complaint, inFan])
  const [answer] = ask.answers
  fireEvent.press(screen.getByLabelText(`${ask.ofWords}: ${answer.words}`))
  await waitFor(() => {
    expect(onSaid).toHaveBeenCalledTimes(2)
  })
  expect(onSaid.mock.calls[0]).toEqual([{ kind: 'call', call: 'cool1' }])
  expect(onSaid.mock.calls[1][0]).toMatchObject({ kind: 'observation', of: ask.of, what: answer.what })
})

test('what cannot be reached is left out, by its point', () => {
  const ask = askTo('measure')
  const onSaid = show(ask, [complaint])
  fireEvent.press(screen.getByLabelText('More: outcomes, alternatives, can’t reach it'))
  fireEvent.press(screen.getByText('Can’t reach it'))
  expect(onSaid).toHaveBeenCalledWith({
    kind: 'unreachable',
    of: ask.do === 'measure' ? ask.from : '',
  })
})

test('a reading at rest leads to the isolation, and nothing is entered before it', () => {
  const ask = { ...askTo('measure'), power: 'off' } as const
  show(ask, [complaint])
  expect(screen.queryByText('Enter the reading')).toBeNull()
  fireEvent.press(screen.getByText('Isolate it'))
  expect(screen.getByText('Isolate and prove dead')).toBeTruthy()
  expect(onMeasure).not.toHaveBeenCalled()
})

test('a reading with power leads to the power, while the unit is isolated', () => {
  const ask = askTo('measure')
  const onSaid = show(ask, [complaint, { kind: 'power', is: 'isolated' }])
  fireEvent.press(screen.getByText('Switch it on'))
  fireEvent.press(screen.getByText('Power on'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'power', is: 'on' })
})

test('before power comes back the lead that is off goes on again', () => {
  const lifted: EntryBody = { kind: 'action', do: 'lift', of: 'TS.Y1-TB.Y1' }
  const onSaid = show(askTo('measure'), [complaint, { kind: 'power', is: 'isolated' }, lifted])
  expect(screen.getByText(/everything goes back on/)).toBeTruthy()
  expect(screen.queryByText('Switch it on')).toBeNull()
  fireEvent.press(screen.getByText('TS.Y1-TB.Y1 is landed'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'action', do: 'land', of: 'TS.Y1-TB.Y1' })
  expect(screen.getByText('Switch it on')).toBeTruthy()
})

test('with the power back and a lead still off it says which, before anything is read', () => {
  const lifted: EntryBody = { kind: 'action', do: 'lift', of: 'TS.Y1-TB.Y1' }
  const off: EntryBody = { kind: 'power', is: 'isolated' }
  const on: EntryBody = { kind: 'power', is: 'on' }
  show(askTo('measure'), [complaint, off, lifted, on])
  expect(screen.getByText(/^Off or out with the power on: TS\.Y1-TB\.Y1\./)).toBeTruthy()
})

test('after a repair it says to prove it, until something was read again', () => {
  const repair: EntryBody = { kind: 'repair', of: 'CC1' }
  show(askTo('measure'), [complaint, repair])
  expect(screen.getByText(/run it and prove it/)).toBeTruthy()
  screen.unmount()
  show(askTo('measure'), [complaint, repair, { kind: 'reading', meter: 'volts', from: 'TB.R', value: 25 }])
  expect(screen.queryByText(/run it and prove it/)).toBeNull()
})

test('an ask for a reading once more, or at what is to come out, says why', () => {
  const ask = askTo('measure')
  if (ask.do !== 'measure') throw new Error('no reading is asked for')
  show({ ...ask, again: true, reason: 'Once more, for a reason.' }, [complaint])
  expect(screen.getByText('Once more, for a reason.')).toBeTruthy()
  screen.unmount()
  show({ ...ask, again: false, meets: true, reason: 'At itself.' }, [complaint])
  expect(screen.getByText('At itself.')).toBeTruthy()
  screen.unmount()
  show({ ...ask, again: false, meets: false, reason: 'It parts two.' }, [complaint])
  expect(screen.queryByText('It parts two.')).toBeNull()
})

test('an ask that tells only what is wrong in one part says so, and shows the way to it', () => {
  show({ ...askTo('measure'), inside: 'Compressor contactor 1' }, [complaint], 'Compressor contactor 1')
  expect(
    screen.getByText('Most likely: Compressor contactor 1. This only tells what is wrong in it.'),
  ).toBeTruthy()
  expect(screen.queryByText('So far it is live.')).toBeNull()
  fireEvent.press(screen.getByText('Go to the suspects'))
  expect(onSuspects).toHaveBeenCalledTimes(1)
})

test('while an ask still tells the parts apart nothing leads away from it', () => {
  show(askTo('measure'), [complaint], 'Compressor contactor 1')
  expect(screen.queryByText('Go to the suspects')).toBeNull()
})

/** A panel whose ask becomes another one, as it does when one more entry has been worked out. */
function Becoming({ visit, from, to }: { readonly visit: OpenVisit; readonly from: Ask; readonly to: Ask }) {
  const [asks, setAsks] = useState([from])
  return (
    <>
      <Text
        onPress={() => {
          setAsks([to])
        }}
      >
        worked out
      </Text>
      <AskPanel
        visit={visit}
        asked={{ asks, busy: false, story: '', warning: '', leading: '', answered: '' }}
        searching={{ school: 'best', onSchool: jest.fn() }}
        doings={{ onMeasure, onCondition: jest.fn(), onSaid: jest.fn(), onSuspects }}
      />
    </>
  )
}

test('what is opened stays as it was when another ask comes, until another manner is chosen', async () => {
  const from = askTo('measure')
  if (from.do !== 'measure') throw new Error('no reading')
  const onSaid = renderVisit(unit, [complaint], (visit) => (
    <Becoming visit={visit} from={from} to={askTo('look')} />
  ))
  fireEvent.press(screen.getByLabelText(/^More/))
  fireEvent.press(screen.getByText('worked out'))
  expect(screen.getByText(`Pin ${from.from} on a picture`)).toBeTruthy()
  fireEvent.press(screen.getByText(schoolWords.split))
  expect(screen.queryByText(`Pin ${from.from} on a picture`)).toBeNull()
  fireEvent.press(screen.getByText('Can’t reach it'))
  await waitFor(() => {
    expect(onSaid).toHaveBeenCalledTimes(1)
  })
})

test('ohms that others should have as well say which', () => {
  const ask = askTo('measure')
  if (ask.do !== 'measure') throw new Error('no reading is asked for')
  show({ ...ask, healthy: '2.7 Ω', like: 'the same for all three pairs' }, [complaint])
  expect(screen.getByText(/^Should read 2\.7 Ω, the same for all three pairs$/)).toBeTruthy()
})
