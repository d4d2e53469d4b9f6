import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { SupplyFound } from './SupplyFound'

const show = (...entries: readonly EntryBody[]) =>
  renderVisit('rooftop-two-stage', entries, (visit) => <SupplyFound visit={visit} />)

test('the supply is as drawn until another is chosen by what a meter shows of it', async () => {
  const onSaid = show()
  fireEvent.press(screen.getByText('Supply: 208Y/120, as drawn'))
  fireEvent.press(screen.getByText('240 high leg: 240 V leg to leg, 120, 208, 120 V to ground'))
  await waitFor(() => {
    expect(screen.getByText('Supply: 240 high leg, as found')).toBeTruthy()
  })
  expect(onSaid.mock.calls).toEqual([[{ kind: 'supply', system: '240 high leg' }]])
})

test('one that nothing in the unit bears is named a danger', () => {
  show({ kind: 'reading', meter: 'volts', from: 'LB.L1', to: 'LB.L2', value: 481 })
  expect(
    screen.getByText(/^481 V from LB\.L1 to LB\.L2: no tap and no load of a unit for 240 V/),
  ).toBeTruthy()
})
