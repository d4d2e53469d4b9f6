import { act, fireEvent, screen } from '@testing-library/react-native'
import { useState } from 'react'
import { bareLadder, bareHeats, bareSupplies } from '@jokulgale/core/diagram/bareLadder'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { renderInApp } from '../testApp'
import { LeadsForm } from './LeadsForm'

jest.mock('../../workers/diagnosis', () => ({
  diagnosisService: () => ({ traced: (text: string) => Promise.resolve(text) }),
}))

const bare = bareLadder({
  title: 'Wall fan coil',
  unitClass: 'fan-coil',
  supply: bareSupplies[0],
  stages: 1,
  heat: bareHeats[0],
  control: 'transformer',
})

const show = () => {
  let now = bare
  function Traced() {
    const [text, setText] = useState(bare)
    return (
      <LeadsForm
        text={text}
        onEdited={(edited) => {
          now = edited
          setText(edited)
        }}
      />
    )
  }
  renderInApp(<Traced />)
  return { diagram: () => readLadder(now), isAsBefore: () => now === bare }
}

/** Presses, and lets what was drawn come back. */
const press = (what: ReturnType<typeof screen.getByText>): Promise<void> =>
  act(async () => {
    fireEvent.press(what)
    await Promise.resolve()
  })

const lead = (from: string, color: string): void => {
  fireEvent.changeText(screen.getByLabelText('From terminal'), from)
  fireEvent.changeText(screen.getByLabelText('Colour'), color)
}

const hot = 'TB.R'

test('a lead to a part that is not drawn yet makes the part, and the next one begins behind it', async () => {
  const { diagram } = show()
  lead(hot, 'red')
  fireEvent.press(screen.getByText('a part not drawn yet'))
  fireEvent.changeText(screen.getByLabelText('Kind of part'), 'float')
  fireEvent.press(screen.getByText('float switch'))
  fireEvent.changeText(screen.getByLabelText('Its name'), 'FLT')
  await press(screen.getByText('Draw this lead'))
  expect(diagram().parts.get('FLT')?.kind.kind).toBe('float-switch')
  expect([...diagram().wires.values()]).toContainEqual(
    expect.objectContaining({ from: hot, to: 'FLT.1', color: 'red', number: '1' }),
  )
  expect(screen.getByLabelText('From terminal').props.value).toBe('FLT.2')
  expect(screen.getByLabelText('Number').props.value).toBe('2')
})

test('a lead that nobody has followed stays open, is named, and lands when it is traced', async () => {
  const { diagram } = show()
  lead(hot, 'red')
  fireEvent.press(screen.getByText('not traced yet'))
  await press(screen.getByText('Draw this lead'))
  const field = screen.getByLabelText(`red 1 from ${hot} goes to`)
  fireEvent.changeText(field, diagram().common)
  await press(screen.getByLabelText('red 1 goes there'))
  expect(screen.queryByText('Not traced to their end yet')).toBeNull()
  expect([...diagram().wires.values()]).toContainEqual(
    expect.objectContaining({ from: hot, to: diagram().common }),
  )
})

test('what cannot be drawn is said, and nothing of it is kept', async () => {
  const { isAsBefore } = show()
  lead('XX.9', 'red')
  fireEvent.changeText(screen.getByLabelText('Terminal'), hot)
  await press(screen.getByText('Draw this lead'))
  expect(screen.getByText(/XX/)).toBeTruthy()
  expect(isAsBefore()).toBe(true)
})

test('a text that cannot be read is to be put right first', () => {
  renderInApp(<LeadsForm text="unit half" onEdited={jest.fn()} />)
  expect(screen.getByText('Put right what is marked first.')).toBeTruthy()
})
