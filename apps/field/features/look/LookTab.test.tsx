import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { LookTab } from './LookTab'

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }))
jest.mock('../sync/SyncContext', () => ({ useSync: () => ({ takePhoto: jest.fn() }) }))

const complaint: EntryBody = { kind: 'complaint', complaint: 'not-cooling', words: 'It blows warm' }
const show = (...entries: readonly EntryBody[]) =>
  renderVisit('rooftop-two-stage', entries, (visit) => <LookTab visit={visit} />)
const said = (onSaid: ReturnType<typeof show>): readonly EntryBody[] =>
  onSaid.mock.calls.map(([body]) => body)

test('without a complaint nothing else is asked, and it is kept in the customer’s words', () => {
  const onSaid = show()
  expect(screen.queryByText('First look, before any power changes')).toBeNull()
  fireEvent.changeText(screen.getByLabelText('In the customer’s words'), '  It blows warm ')
  fireEvent.press(screen.getByText('Not cooling'))
  expect(said(onSaid)).toEqual([complaint])
  expect(screen.getByText('“It blows warm”')).toBeTruthy()
})

test('what looks right is evidence of the part that was looked at', async () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByLabelText('Filters clean: right'))
  await waitFor(() => {
    expect(said(onSaid)).toContainEqual({ kind: 'observation', of: 'FILT', what: 'clean' })
  })
  expect(said(onSaid)[0]).toEqual({ kind: 'first-look', item: 'air-filter', is: 'right' })
})

test('of breakers that are not all on it is said which, and nothing of the disconnect', async () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByLabelText('Breakers on, none tripped: wrong'))
  fireEvent.press(await screen.findByText(/: tripped$/))
  expect(said(onSaid).filter(({ kind }) => kind === 'observation')).toEqual([
    { kind: 'observation', of: 'BR', what: 'tripped' },
  ])
})

test('a disconnect that is not on is off', async () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByLabelText('Disconnect on: wrong'))
  await waitFor(() => {
    expect(said(onSaid)).toContainEqual({ kind: 'observation', of: 'DS', what: 'off' })
  })
})

test('what looks wrong asks for its words, which are kept beside it', async () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByLabelText('No burnt, chafed or hanging wires: wrong'))
  const field = await screen.findByLabelText('What is wrong, and who switched it off if somebody did')
  fireEvent.press(screen.getByText('Keep the note'))
  expect(said(onSaid)).toHaveLength(1)
  fireEvent.changeText(field, 'yellow rubbed through at the hinge')
  fireEvent.press(screen.getByText('Keep the note'))
  expect(said(onSaid).at(-1)).toEqual({
    kind: 'first-look',
    item: 'wires',
    is: 'wrong',
    words: 'No burnt, chafed or hanging wires: yellow rubbed through at the hinge',
  })
})

test('all that is right at once leaves what was said to be wrong', async () => {
  const wrong: EntryBody = { kind: 'first-look', item: 'wires', is: 'wrong', words: 'burnt' }
  const onSaid = show(complaint, wrong)
  fireEvent.press(screen.getByText('All of these are right'))
  await waitFor(() => {
    expect(said(onSaid).map((body) => body.kind === 'first-look' && body.item)).toContain('jumpers')
  })
  expect(said(onSaid).some((body) => body.kind === 'first-look' && body.item === 'wires')).toBe(false)
})

test('all at once says of each part what its own “Right” says', async () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByText('All of these are right'))
  await waitFor(() => {
    expect(said(onSaid)).toContainEqual({ kind: 'first-look', item: 'jumpers', is: 'right' })
  })
  expect(said(onSaid)).toContainEqual({ kind: 'observation', of: 'FILT', what: 'clean' })
})

test('weather is entered by its pad, and stands as measured then', () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByText(/^Outdoor temperature: .*\(not measured\)$/))
  for (const digit of ['6', '1']) fireEvent.press(screen.getByLabelText(digit))
  fireEvent.press(screen.getByText(/^Log/))
  expect(said(onSaid)).toEqual([{ kind: 'condition', of: 'outdoorDryBulb', value: 61 }])
  expect(screen.getByText('Outdoor temperature: 61 °F')).toBeTruthy()
})

test('a fault lamp is said by its code, and what it said last stands beside its part', () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByText('Phase monitor: not looked at'))
  fireEvent.press(screen.getByLabelText(/^dark: /))
  expect(said(onSaid)).toEqual([{ kind: 'observation', what: 'code', of: 'PM', words: 'dark' }])
  expect(screen.getByText('Phase monitor: dark')).toBeTruthy()
})

describe('altered by somebody', () => {
  const open = (...entries: readonly EntryBody[]) => {
    const onSaid = show(complaint, ...entries)
    fireEvent.press(screen.getByText('Something is not as it was built'))
    return onSaid
  }

  test('two terminals that were found joined are recorded with what can happen', async () => {
    const onSaid = open()
    fireEvent.press(screen.getByText('Two terminals joined'))
    fireEvent.press(screen.getByText('Record it as found'))
    expect(said(onSaid)).toEqual([])
    fireEvent.changeText(screen.getByLabelText('Hazard'), 'The blower never rests')
    fireEvent.press(screen.getByText('Record it as found'))
    await waitFor(() => {
      expect(screen.getByText('Something is not as it was built')).toBeTruthy()
    })
    const [body] = said(onSaid)
    expect(body).toMatchObject({ kind: 'alteration', what: 'joined', hazard: 'The blower never rests' })
  })

  test('a terminal that the unit has not is named, and nothing is recorded', () => {
    const onSaid = open()
    fireEvent.press(screen.getByText('Two terminals joined'))
    fireEvent.changeText(screen.getByLabelText('To'), 'TB.Q9')
    expect(screen.getByText('TB.Q9 is not on this unit')).toBeTruthy()
    fireEvent.changeText(screen.getByLabelText('Hazard'), 'Unknown')
    fireEvent.press(screen.getByText('Record it as found'))
    expect(said(onSaid)).toEqual([])
  })

  test('a switch that somebody put into a lead is recorded with its lead', async () => {
    const onSaid = open()
    fireEvent.press(screen.getByText('A switch added in a lead'))
    fireEvent.press(screen.getByLabelText('Choose a lead'))
    fireEvent.changeText(screen.getByLabelText('Find a lead'), 'TB.Y1 to PL.1A')
    fireEvent.press(screen.getByLabelText('Lead yellow 80'))
    fireEvent.press(screen.getByText('Record it as found'))
    await waitFor(() => {
      expect(screen.getByText('Something is not as it was built')).toBeTruthy()
    })
    expect(said(onSaid)).toMatchObject([{ kind: 'alteration', what: 'added', of: 'TB.Y1-PL.1A' }])
    expect(screen.getByText('Lead TB.Y1-PL.1A found with a switch in it that is not drawn')).toBeTruthy()
  })

  test('a guard that was bridged keeps the visit unsafe until it is corrected', () => {
    const found: EntryBody = {
      kind: 'alteration',
      what: 'bridged',
      of: 'HPS1',
      hazard: 'Nothing stops the pressure',
      owner: '',
    }
    const onSaid = show(complaint, found)
    expect(screen.getByText(/A safety control is out of its circuit/)).toBeTruthy()
    fireEvent.press(screen.getByText('Meant so'))
    expect(screen.getByText(/A safety control is out of its circuit/)).toBeTruthy()
    expect(said(onSaid)).toMatchObject([{ kind: 'alteration-settled', of: 'HPS1', as: 'accepted' }])
  })
})

test('a part that others replaced already is chosen by a few letters and recorded with who did', () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByText('Somebody replaced a part'))
  fireEvent.press(screen.getByText('Record it'))
  expect(said(onSaid)).toEqual([])
  fireEvent.press(screen.getByLabelText('Choose a part'))
  fireEvent.changeText(screen.getByLabelText('Find a part'), 'compressor contactor 1')
  fireEvent.press(screen.getByLabelText('Part CC1'))
  fireEvent.changeText(screen.getByLabelText('By whom'), ' Customer ')
  fireEvent.press(screen.getByText('Record it'))
  expect(said(onSaid)).toEqual([{ kind: 'replaced', of: 'CC1', by: 'Customer' }])
  expect(screen.getByText(/contactor 1, by Customer$/)).toBeTruthy()
})

test('who makes the call is said, and that they confirmed it only where it is not the thermostat', () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByText('Its thermostat'))
  expect(screen.queryByText('They confirmed that they are calling')).toBeNull()
  fireEvent.press(screen.getByText('Building system'))
  fireEvent.press(screen.getByText('They confirmed that they are calling'))
  expect(said(onSaid)).toEqual([
    { kind: 'controls', by: 'thermostat' },
    { kind: 'controls', by: 'building' },
    { kind: 'controls', by: 'building', confirmed: true },
  ])
})

test('a control is asked for its stored code, beside what its lamp shows now', () => {
  const onSaid = show(complaint)
  fireEvent.press(screen.getByText('Ignition control: stored code not asked for'))
  expect(screen.queryByLabelText(/^steady/)).toBeNull()
  fireEvent.press(screen.getByLabelText('4 flashes: Limit string open'))
  expect(said(onSaid)).toEqual([{ kind: 'observation', what: 'stored', of: 'IC', words: '4 flashes' }])
  expect(screen.getByText('Ignition control: stored code 4 flashes')).toBeTruthy()
  fireEvent.press(screen.getByText('Ignition control: stored code 4 flashes'))
  fireEvent.press(screen.getByLabelText(/^no stored code: /))
  expect(screen.getByText('Ignition control: no stored code')).toBeTruthy()
})
