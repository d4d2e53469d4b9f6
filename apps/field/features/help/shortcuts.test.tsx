/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react-native'
import { useShortcuts } from './shortcuts'

const press = (key: string, on: EventTarget = window, more: KeyboardEventInit = {}): void => {
  on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))
}

test('a key does its thing, and nothing while it is switched off', () => {
  const act = jest.fn()
  const { rerender } = renderHook(
    ({ on }: { on: boolean }) => {
      useShortcuts({ m: act }, on)
    },
    {
      initialProps: { on: true },
    },
  )
  press('m')
  press('x')
  expect(act).toHaveBeenCalledTimes(1)
  rerender({ on: false })
  press('m')
  expect(act).toHaveBeenCalledTimes(1)
})

test('not while text is typed, not with a modifier, not under an open sheet', () => {
  const act = jest.fn()
  renderHook(() => {
    useShortcuts({ m: act }, true)
  })
  const field = document.body.appendChild(document.createElement('input'))
  press('m', field)
  press('m', window, { ctrlKey: true })
  const sheet = document.body.appendChild(document.createElement('div'))
  sheet.setAttribute('aria-modal', 'true')
  press('m')
  expect(act).not.toHaveBeenCalled()
  sheet.remove()
  press('m')
  expect(act).toHaveBeenCalledTimes(1)
})
