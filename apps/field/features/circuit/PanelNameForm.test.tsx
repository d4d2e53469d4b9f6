import { fireEvent, screen } from '@testing-library/react-native'
import type { LadderEdit } from '@jokulgale/core/diagram/editLadder'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { builtInUnit, builtInUnitText } from '@jokulgale/core/units/index'
import { renderInApp } from '../testApp'
import { PanelNameForm } from './PanelNameForm'

const text = builtInUnitText('fan-coil-cooling')
const diagram = builtInUnit('fan-coil-cooling')

const shown = (point: string) => {
  const take = jest.fn<undefined, [LadderEdit]>()
  renderInApp(<PanelNameForm text={text} diagram={diagram} point={point} take={take} />)
  const edit = (): LadderEdit => take.mock.lastCall?.[0] ?? { is: 'problem', message: 'nothing was taken' }
  const after = () => {
    const now = edit()
    return now.is === 'text' ? readLadder(now.text) : null
  }
  return { edit, after }
}

test('a part is called what its panel calls it; its terminals are not for renaming', () => {
  const { after } = shown('GR.A1')
  expect(screen.queryByText('Call the terminal that')).toBeNull()
  fireEvent.changeText(screen.getByLabelText('Mark of the part'), 'K3')
  fireEvent.changeText(screen.getByLabelText('In words'), 'Fan relay, left')
  fireEvent.press(screen.getByText('Call the part that'))
  expect(after()?.parts.get('K3')?.words).toBe('Fan relay, left')
})

test('a terminal of a board too, and what cannot be is said', () => {
  const { edit, after } = shown('TB.R')
  fireEvent.changeText(screen.getByLabelText('Terminal, instead of R'), '24H')
  fireEvent.press(screen.getByText('Call the terminal that'))
  expect(after()?.hot).toBe('TB.24H')
  fireEvent.changeText(screen.getByLabelText('Mark of the part'), 'CC1')
  fireEvent.press(screen.getByText('Call the part that'))
  expect(edit()).toEqual({ is: 'problem', message: expect.stringMatching(/CC1 already/) })
})
