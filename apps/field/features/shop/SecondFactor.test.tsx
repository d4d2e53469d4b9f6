import { fireEvent, screen } from '@testing-library/react-native'
import { Refused, request } from '../sync/request'
import { renderInApp } from '../testApp'
import { SecondFactor } from './SecondFactor'

jest.mock('../sync/request', () => ({
  ...jest.requireActual<object>('../sync/request'),
  request: jest.fn(),
}))
const asked = jest.mocked(request)
beforeEach(() => {
  asked.mockReset()
})

const codeLabel = 'Code of your authenticator, or a spare one'

test('on by password, key and first code; the spare codes are shown until they are kept', async () => {
  asked.mockResolvedValueOnce({ isOn: false, spareLeft: 0 })
  renderInApp(<SecondFactor />)
  fireEvent.press(await screen.findByLabelText('Turn it on: the code of an authenticator'))
  fireEvent.changeText(screen.getByLabelText('Present password'), 'six wet gloves')
  asked.mockResolvedValueOnce({ secret: 'JBSWY3DPEHPK3PXP', uri: 'otpauth://totp/x', modules: ['10', '01'] })
  fireEvent.press(screen.getByText('Go on'))
  expect(await screen.findByText('JBSW Y3DP EHPK 3PXP')).toBeTruthy()
  expect(screen.getByLabelText('QR code of the key')).toBeTruthy()
  fireEvent.changeText(screen.getByLabelText(codeLabel), '12 34 56')
  asked.mockRejectedValueOnce(
    new Refused(422, {
      error: 'no',
      fields: [{ field: 'code', message: 'wrong, run out, or used already' }],
    }),
  )
  fireEvent.press(screen.getByText('Turn it on'))
  expect(await screen.findByText('wrong, run out, or used already')).toBeTruthy()
  asked.mockResolvedValueOnce({ codes: ['AAAA BBBB', 'CCCC DDDD'] })
  fireEvent.press(screen.getByText('Turn it on'))
  expect(await screen.findByText('AAAA BBBB\nCCCC DDDD')).toBeTruthy()
  asked.mockResolvedValueOnce({ isOn: true, spareLeft: 8 })
  fireEvent.press(screen.getByText('I have kept them'))
  expect(await screen.findByText(/Spare codes left: 8/)).toBeTruthy()
})

test('off by password and a code; few spare ones are said', async () => {
  asked.mockResolvedValueOnce({ isOn: true, spareLeft: 1 })
  renderInApp(<SecondFactor />)
  expect(await screen.findByText(/Few spare codes are left/)).toBeTruthy()
  fireEvent.press(screen.getByLabelText('Turn it off: the code of an authenticator'))
  fireEvent.press(screen.getByText('Turn it off'))
  expect(await screen.findByText('your present password is missing')).toBeTruthy()
  fireEvent.changeText(screen.getByLabelText('Present password'), 'six wet gloves')
  fireEvent.changeText(screen.getByLabelText(codeLabel), '123456')
  asked.mockResolvedValueOnce(undefined).mockResolvedValueOnce({ isOn: false, spareLeft: 0 })
  fireEvent.press(screen.getByText('Turn it off'))
  expect(await screen.findByText(/the password alone lets in/)).toBeTruthy()
  expect(asked).toHaveBeenCalledWith('POST', '/second-factor/end', {
    password: 'six wet gloves',
    code: '123456',
  })
})
