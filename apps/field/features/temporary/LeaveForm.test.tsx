import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { LeaveForm } from './LeaveForm'

const show = (bridge: EntryBody) => {
  const onDone = jest.fn()
  const onSaid = renderVisit('rooftop-two-stage', [bridge], (visit) => {
    const [measure] = visit.state.measures
    return measure ? <LeaveForm visit={visit} measure={measure} onDone={onDone} /> : null
  })
  return { onSaid, onDone }
}
const joined: EntryBody = { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.G' }
const say = (label: string, words: string): void => {
  fireEvent.changeText(screen.getByLabelText(label), words)
}

test('a measure is left only with hazard, reason, who allowed it, who was told, and an end', async () => {
  const { onSaid, onDone } = show(joined)
  const leave = (): void => {
    fireEvent.press(screen.getByText('Leave it, with its end date'))
  }
  say('Hazard', 'The fan never rests')
  say('Reason', 'Thermostat on order')
  say('Authorised by', 'Ragna')
  leave()
  say('Who was told', 'The porter')
  leave()
  expect(onSaid).not.toHaveBeenCalled()
  fireEvent.press(screen.getByText('3 days'))
  leave()
  await waitFor(() => {
    expect(onDone).toHaveBeenCalled()
  })
  const inThreeDays = new Date(Date.now() + 3 * 86_400_000)
  expect(onSaid).toHaveBeenCalledWith(
    expect.objectContaining({
      kind: 'temporary-left',
      entry: '0',
      hazard: 'The fan never rests',
      told: 'The porter',
      expires: expect.stringContaining(String(inThreeDays.getFullYear())),
    }),
  )
})

test('what passes by a safety control is said to be that, and another measure is not', () => {
  show({ kind: 'temporary', sort: 'bypass', of: 'HPS1.1', to: 'HPS1.2' })
  expect(screen.getByText(/leaves a safety control out of its circuit/)).toBeTruthy()
  screen.unmount()
  show(joined)
  expect(screen.queryByText(/leaves a safety control out of its circuit/)).toBeNull()
})
