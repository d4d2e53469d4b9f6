import { fireEvent, screen } from '@testing-library/react-native'
import type { Stop } from '@jokulgale/core/diagnosis/strip'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { builtInUnit, builtInUnitText } from '@jokulgale/core/units/index'
import { renderInApp } from '../testApp'
import { StopSheet } from './StopSheet'

const text = builtInUnitText('fan-coil-cooling')
const diagram = builtInUnit('fan-coil-cooling')
const wire = [...diagram.wires.values()].find(({ to }) => to === 'GR.A1')

const show = (by: Stop['by'], point: string) => {
  const onEdited = jest.fn<undefined, [string]>()
  const onClose = jest.fn()
  const stop = { point, words: 'as it is called', by } as Stop
  renderInApp(<StopSheet text={text} stop={stop} onEdited={onEdited} onClose={onClose} />)
  const after = () => readLadder(onEdited.mock.lastCall?.[0] ?? '')
  return { onEdited, onClose, after }
}

const atWire = () => show({ is: 'wire', id: wire?.id ?? '', color: 'x', number: '0' }, 'GR.A1')

test('a part is put into a wire: found by a few letters, under a name that is free', () => {
  const { after, onClose } = atWire()
  fireEvent.changeText(screen.getByLabelText('Kind of part'), 'limit')
  fireEvent.press(screen.getAllByText(/limit/)[0])
  const added = [...after().parts.values()].filter(({ id }) => !diagram.parts.has(id))
  expect(added).toHaveLength(1)
  const ends = [...after().wires.values()].flatMap(({ from, to }) => [from, to])
  expect(ends.filter((end) => end.startsWith(`${added[0].id}.`))).toHaveLength(2)
  expect(onClose).toHaveBeenCalled()
})

test('a wire gets the colour and number that its panel shows', () => {
  const { after } = atWire()
  fireEvent.changeText(screen.getByLabelText('Colour'), 'violet')
  fireEvent.changeText(screen.getByLabelText('Number'), '77')
  fireEvent.press(screen.getByText('Give it this label'))
  expect([...after().wires.values()]).toContainEqual(
    expect.objectContaining({ to: 'GR.A1', color: 'violet', number: '77' }),
  )
})

test('it lands on another terminal; one that is not there is said, and the sheet stays', () => {
  const { after, onEdited, onClose } = atWire()
  fireEvent.changeText(screen.getByLabelText('Terminal instead of GR.A1'), 'GR.A9')
  fireEvent.press(screen.getByText('Land it there'))
  expect(onEdited).not.toHaveBeenCalled()
  expect(onClose).not.toHaveBeenCalled()
  expect(screen.getByText(/GR\.A9/)).toBeTruthy()
  fireEvent.changeText(screen.getByLabelText('Terminal instead of GR.A1'), 'GR.A2')
  fireEvent.press(screen.getByText('Land it there'))
  expect([...after().wires.values()].some(({ from, to }) => from === wire?.from && to === 'GR.A2')).toBe(true)
})

const atPart = (part: string) => show({ is: 'part', part, words: 'a part', symbol: 'switch' }, `${part}.2`)

test('a part is taken out of the path, and its wires go on', () => {
  const { after } = atPart('LPS')
  fireEvent.press(screen.getByText('Take LPS out of the path'))
  expect(after().parts.has('LPS')).toBe(false)
  expect(after().wires.size).toBe(diagram.wires.size - 1)
})

test('one that other wires hang on is left, and why is said', () => {
  const { onEdited } = atPart('FLT')
  fireEvent.press(screen.getByText('Take FLT out of the path'))
  expect(onEdited).not.toHaveBeenCalled()
  expect(screen.getByText(/FLT has other wires than one to it/)).toBeTruthy()
})

test('where the path begins there is nothing before it to change', () => {
  show({ is: 'start' }, 'TB.R')
  expect(screen.getByText('This is where the path begins.')).toBeTruthy()
  expect(screen.queryByText('Put a part into this wire')).toBeNull()
})
