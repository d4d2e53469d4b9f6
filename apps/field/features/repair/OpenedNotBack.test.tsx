import { fireEvent, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { OpenedNotBack } from './OpenedNotBack'

const show = (...entries: readonly EntryBody[]) =>
  renderVisit('fan-coil-cooling', entries, (visit) => <OpenedNotBack visit={visit} />)
const blown: EntryBody = { kind: 'observation', what: 'blown', of: 'FU' }

test('a fuse that was seen blown is said to be renewed with one press, once its short is repaired', () => {
  const onSaid = show(blown, { kind: 'repair', of: 'CC1' })
  fireEvent.press(screen.getByText('Control fuse renewed, one of its rating'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'repair', of: 'FU' })
  expect(screen.queryByText('Opened, and not put back')).toBeNull()
})

test('nothing is asked for while the short is still to be found', () => {
  show(blown)
  expect(screen.queryByText('Opened, and not put back')).toBeNull()
})
