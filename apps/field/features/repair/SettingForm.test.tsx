import { fireEvent, render, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { VisitUnderTest } from '../visit/testVisit'
import { SettingForm } from './SettingForm'

test('a setting is recorded from what to what, and only with both', () => {
  const onSaid = jest.fn<undefined, [EntryBody]>()
  render(
    <VisitUnderTest unit="rooftop-two-stage" entries={[]} onSaid={onSaid}>
      {(visit) => <SettingForm visit={visit} />}
    </VisitUnderTest>,
  )
  fireEvent.press(screen.getByText(/stages.*should be 2/i))
  const record = (): void => {
    fireEvent.press(screen.getByText('Record the change'))
  }
  record()
  expect(onSaid).not.toHaveBeenCalled()
  fireEvent.changeText(screen.getByLabelText(/^Found at/), ' 1 ')
  record()
  expect(onSaid).toHaveBeenCalledWith({ kind: 'setting', of: 'TS.stages', from: '1', to: '2' })
})
