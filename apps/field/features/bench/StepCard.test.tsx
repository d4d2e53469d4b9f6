import { fireEvent, render, screen } from '@testing-library/react-native'
import { useState } from 'react'
import type { Found, ListStep } from '@jokulgale/core/bench/lists/checkList'
import { StepCard } from './StepCard'

const look: ListStep = { id: 'pan', does: 'Look at the pan', should: 'Dry.', wrong: 'It stands full.' }
const read: ListStep = {
  id: 'coil',
  does: 'Ohms of the pole, open',
  should: 'OL.',
  wrong: 'It is welded.',
  reading: { meter: 'ohms', from: 'CC1.L1', to: 'CC1.T1', least: 1000, most: Infinity },
}

/** A card that remembers what was found, as its list does. */
function Card({
  step,
  onFound,
}: {
  readonly step: ListStep
  readonly onFound: (found: Found | null) => void
}) {
  const [found, setFound] = useState<Found | null>(null)
  return (
    <StepCard
      step={step}
      number={1}
      found={found ?? undefined}
      onFound={(next) => {
        setFound(next)
        onFound(next)
      }}
    />
  )
}

test('what was seen is said in one press, and what it means where it is wrong', () => {
  const onFound = jest.fn()
  render(<Card step={look} onFound={onFound} />)
  expect(screen.queryByText('It stands full.')).toBeNull()
  fireEvent.press(screen.getByText('Wrong'))
  expect(onFound).toHaveBeenLastCalledWith('wrong')
  expect(screen.getByText('It stands full.')).toBeTruthy()
  fireEvent.press(screen.getByText('Could not'))
  expect(onFound).toHaveBeenLastCalledWith('not-tried')
  expect(screen.queryByText('It stands full.')).toBeNull()
})

test('a value is judged as it is typed, OL is an answer, and an emptied field is none', () => {
  const onFound = jest.fn()
  render(<Card step={read} onFound={onFound} />)
  const field = screen.getByLabelText('Step 1, Ω')
  fireEvent.changeText(field, '0,4')
  expect(onFound).toHaveBeenLastCalledWith(0.4)
  expect(screen.getByText('It is welded.')).toBeTruthy()
  fireEvent.press(screen.getByText('OL'))
  expect(onFound).toHaveBeenLastCalledWith(Infinity)
  expect(screen.queryByText('It is welded.')).toBeNull()
  fireEvent.changeText(field, '')
  expect(onFound).toHaveBeenLastCalledWith(null)
})
