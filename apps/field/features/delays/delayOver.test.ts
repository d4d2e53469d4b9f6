/** @jest-environment jsdom */
import { askLeave, mayAsk, tellDelayOver } from './delayOver'

const shown = jest.fn()
class Notices {
  static permission: NotificationPermission = 'default'
  static requestPermission = jest.fn(() => {
    Notices.permission = 'granted'
    return Promise.resolve(Notices.permission)
  })
  constructor(title: string, { body }: { body: string }) {
    shown(title, body)
  }
}
const setHidden = (hidden: boolean): void => {
  Object.defineProperty(document, 'hidden', { value: hidden, configurable: true })
}

test('a device without notices, sound or vibration is told nothing, and nothing breaks', () => {
  expect(mayAsk()).toBe(false)
  expect(() => {
    tellDelayOver('over')
  }).not.toThrow()
})

test('a notice is shown where leave was given and the page is out of sight; leave is asked for once', async () => {
  Object.assign(globalThis, { Notification: Notices })
  setHidden(true)
  tellDelayOver('too early')
  expect(shown).not.toHaveBeenCalled()
  expect(mayAsk()).toBe(true)
  await askLeave()
  await askLeave()
  expect(Notices.requestPermission).toHaveBeenCalledTimes(1)
  tellDelayOver('RTU-1: the delay is over')
  expect(shown).toHaveBeenCalledWith('Jokulgale', 'RTU-1: the delay is over')
  setHidden(false)
  tellDelayOver('again')
  expect(shown).toHaveBeenCalledTimes(1)
})
