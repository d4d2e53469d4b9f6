import { fireEvent, screen } from '@testing-library/react-native'
import { useState } from 'react'
import { plateRatings } from '@jokulgale/core/diagram/plateRatings'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { families } from '@jokulgale/core/families/index'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { renderInApp } from '../testApp'
import BareForm from './BareForm'
import FamilyForm from './FamilyForm'
import { PlateForm } from './PlateForm'

describe('a unit with no diagram', () => {
  test('has a name before it begins, and what is seen of it', () => {
    const onTake = jest.fn<undefined, [string]>()
    renderInApp(<BareForm onTake={onTake} />)
    fireEvent.press(screen.getByText('Begin with this'))
    expect(onTake).not.toHaveBeenCalled()
    fireEvent.changeText(screen.getByLabelText('What one would call it'), '  Wall fan coil ')
    fireEvent.press(screen.getByText('two'))
    fireEvent.press(screen.getByText('Begin with this'))
    const diagram = readLadder(onTake.mock.lastCall?.[0] ?? '')
    expect(diagram.title).toBe('Wall fan coil')
    expect(diagram.calls.map(({ id }) => id)).toEqual(expect.arrayContaining(['off', 'cool1', 'cool2']))
  })
})

describe('a unit of a family', () => {
  test.each(families.map(({ id, words }) => [id, words]))(
    '%s: as it is offered it can be taken',
    (_, words) => {
      const onTake = jest.fn<undefined, [string]>()
      renderInApp(<FamilyForm onTake={onTake} />)
      fireEvent.press(screen.getByText(words))
      fireEvent.press(screen.getByText('Take this circuit'))
      const diagram = readLadder(onTake.mock.lastCall?.[0] ?? '')
      // nobody has read its plate: nothing is judged by it
      expect(plateRatings(diagram).filter(({ isRead }) => isRead)).toEqual([])
    },
  )

  test('an option changes what is in it', () => {
    const onTake = jest.fn<undefined, [string]>()
    renderInApp(<FamilyForm onTake={onTake} />)
    const [listed] = families
    const family = listed.read()
    fireEvent.press(screen.getByText(family.words))
    fireEvent.press(screen.getByText('Take this circuit'))
    const [option] = family.optionsOf({}).filter(({ values }) => values.length > 1)
    const other = option.values.at(-1)
    fireEvent.press(screen.getAllByText(other?.words ?? '').at(-1) ?? screen.root)
    fireEvent.press(screen.getByText('Take this circuit'))
    const [[first], [second]] = onTake.mock.calls
    expect(second).not.toBe(first)
  })
})

describe('a plate', () => {
  const first = builtInUnitText('fan-coil-cooling')
  const show = () => {
    let now = first
    function Read() {
      const [text, setText] = useState(first)
      return (
        <PlateForm
          text={text}
          onEdited={(edited) => {
            now = edited
            setText(edited)
          }}
        />
      )
    }
    renderInApp(<Read />)
    return () => plateRatings(readLadder(now))
  }
  const [rating] = plateRatings(readLadder(first))
  const label = `${rating.part}  ${rating.words}`
  const read = (typed: string): void => {
    fireEvent.changeText(screen.getByLabelText(label), typed)
    fireEvent(screen.getByLabelText(label), 'blur')
  }

  test('a figure is kept when its field is left, with a comma or a point', () => {
    const ratings = show()
    read('12,5')
    expect(ratings()[0]).toMatchObject({ part: rating.part, value: 12.5, isRead: true })
  })

  test('what is no figure is said, and the one before stays', () => {
    const ratings = show()
    read('about ten')
    expect(ratings()[0].value).toBe(rating.value)
    expect(screen.getByLabelText(label).props.value).toBe('about ten')
  })

  test('left empty it counts as not known', () => {
    const ratings = show()
    read('12')
    read('')
    expect(ratings()[0].isRead).toBe(false)
  })
})
