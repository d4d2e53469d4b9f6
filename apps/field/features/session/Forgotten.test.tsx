import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import { renderInApp } from '../testApp'
import { Refused, request } from '../sync/request'
import { Forgotten } from './Forgotten'

jest.mock('../sync/request', () => ({
  ...jest.requireActual<object>('../sync/request'),
  request: jest.fn(),
}))
const asked = jest.mocked(request)
beforeEach(() => {
  asked.mockReset()
})

test('without an e-mail nothing is asked, and it says where to type one', async () => {
  renderInApp(<Forgotten email=" " />)
  fireEvent.press(screen.getByText('Forgotten? Send me a link'))
  expect(await screen.findByText(/Type your e-mail above first/)).toBeTruthy()
  expect(asked).not.toHaveBeenCalled()
})

test('a link is asked for once, and the answer tells nobody who has an account', async () => {
  asked.mockResolvedValue(undefined)
  renderInApp(<Forgotten email=" nell@gannet.example " />)
  fireEvent.press(screen.getByText('Forgotten? Send me a link'))
  expect(await screen.findByText(/If nell@gannet.example has an account here/)).toBeTruthy()
  expect(asked).toHaveBeenCalledWith('POST', '/forgotten', { email: 'nell@gannet.example' })
  expect(screen.queryByText('Forgotten? Send me a link')).toBeNull()
})

test('what the server answers is said, and it can be asked again', async () => {
  asked.mockRejectedValueOnce(new Refused(429, { error: 'too many sign-ins; wait a minute' }))
  renderInApp(<Forgotten email="nell@gannet.example" />)
  fireEvent.press(screen.getByText('Forgotten? Send me a link'))
  expect(await screen.findByText('Too many sign-ins; wait a minute')).toBeTruthy()
  asked.mockResolvedValue(undefined)
  fireEvent.press(screen.getByText('Forgotten? Send me a link'))
  await waitFor(() => {
    expect(screen.getByText(/a letter with a link is on its way/)).toBeTruthy()
  })
})
