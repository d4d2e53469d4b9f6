import { act, render, screen } from '@testing-library/react-native'
import { Appearance, Text, type ColorSchemeName } from 'react-native'
import { useScheme } from './theme'

function Scheme() {
  return <Text>{useScheme()}</Text>
}

test('a device that turns dark turns every screen dark, however often it was drawn before', () => {
  let now: ColorSchemeName = 'light'
  const listeners = new Set<() => void>()
  const remove = jest.fn()
  jest.spyOn(Appearance, 'getColorScheme').mockImplementation(() => now)
  const listen = jest.spyOn(Appearance, 'addChangeListener').mockImplementation((listener) => {
    const notify = () => {
      listener({ colorScheme: now })
    }
    listeners.add(notify)
    return { remove }
  })
  const { rerender } = render(<Scheme />)
  rerender(<Scheme />)
  rerender(<Scheme />)
  // one that is taken away and put back while others are told would not be told
  expect(listen).toHaveBeenCalledTimes(1)
  expect(remove).not.toHaveBeenCalled()
  act(() => {
    now = 'dark'
    listeners.forEach((notify) => {
      notify()
    })
  })
  expect(screen.getByText('dark')).toBeTruthy()
})
