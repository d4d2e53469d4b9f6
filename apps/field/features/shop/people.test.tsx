import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { ShopPerson } from '@jokulgale/contract/people'
import { storeWithPlaces, testSite } from '../places/testPlaces'
import { Refused, request } from '../sync/request'
import { renderInApp } from '../testApp'
import { InviteScreen } from './InviteScreen'
import { LicenceForm } from './LicenceForm'
import { PasswordForm } from './PasswordForm'
import { PersonRow } from './PersonRow'

const mockRefresh = jest.fn(() => Promise.resolve())
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }))
jest.mock('../sync/SyncContext', () => ({ useSync: () => ({ refresh: mockRefresh }) }))
jest.mock('../sync/request', () => ({
  ...jest.requireActual<object>('../sync/request'),
  request: jest.fn(),
}))
const asked = jest.mocked(request)
beforeEach(() => {
  asked.mockReset()
  // a page has an address; the test's has none
  Object.defineProperty(window, 'location', {
    value: { origin: 'https://jokulgale.example' },
    configurable: true,
  })
})

const siteId = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c02'

const withSite = () => storeWithPlaces({ sites: [{ ...testSite, id: siteId }] })

const link = { path: '/join/abc', expiresAt: '2026-12-24T12:00:00Z', mailedTo: null }

describe('an invitation', () => {
  const named = (): void => {
    fireEvent.changeText(screen.getByLabelText('Name'), 'Odd Lind')
    fireEvent.changeText(screen.getByLabelText('E-mail'), 'odd@skerry.example')
  }

  test('is made for a name and an e-mail, and its link is shown once to be handed on', async () => {
    renderInApp(<InviteScreen />, withSite())
    fireEvent.press(screen.getByText('Make the link'))
    expect((await screen.findAllByText(/missing|e-mail|name/)).length).toBeGreaterThan(0)
    expect(asked).not.toHaveBeenCalled()
    named()
    asked.mockResolvedValueOnce(link)
    fireEvent.press(screen.getByText('Make the link'))
    expect(await screen.findByText('https://jokulgale.example/join/abc')).toBeTruthy()
    expect(asked).toHaveBeenCalledWith('POST', '/people/invitations', {
      name: 'Odd Lind',
      email: 'odd@skerry.example',
      role: 'technician',
      site: '',
    })
    expect(screen.queryByText('Make the link')).toBeNull()
  })

  test('of a reader names the one site', async () => {
    renderInApp(<InviteScreen />, withSite())
    named()
    expect(screen.queryByText('Skerry Baths')).toBeNull()
    fireEvent.press(screen.getByText(/reader/i))
    expect(screen.getByText(/one site; changes nothing/)).toBeTruthy()
    fireEvent.press(screen.getByText('Skerry Baths'))
    asked.mockResolvedValueOnce(link)
    fireEvent.press(screen.getByText('Make the link'))
    await waitFor(() => {
      expect(asked.mock.lastCall?.[2]).toMatchObject({ role: 'reader', site: siteId })
    })
  })

  test('of somebody who is here already is refused at its field', async () => {
    renderInApp(<InviteScreen />, withSite())
    named()
    asked.mockRejectedValueOnce(
      new Refused(409, { error: 'no', fields: [{ field: 'email', message: 'is in this shop already' }] }),
    )
    fireEvent.press(screen.getByText('Make the link'))
    expect(await screen.findByText('is in this shop already')).toBeTruthy()
    expect(screen.getByLabelText('Name').props.value).toBe('Odd Lind')
  })
})

describe('a person of the shop', () => {
  const odd: ShopPerson = {
    id: 'p',
    name: 'Odd Lind',
    email: 'odd@skerry.example',
    role: 'technician',
    site: null,
    hasSecondFactor: true,
    closed: false,
  }
  const show = (person: Partial<ShopPerson> = {}, isOwner = true) => {
    const onChanged = jest.fn()
    const whole = { ...odd, ...person }
    renderInApp(<PersonRow person={whole} isOwner={isOwner} isMe={false} onChanged={onChanged} />, withSite())
    return onChanged
  }

  test('is opened by the owner alone', () => {
    show({}, false)
    fireEvent.press(screen.getByText('Odd Lind'))
    expect(screen.queryByText('Leaves the shop')).toBeNull()
  })

  test('who leaves is closed in two presses', async () => {
    const onChanged = show()
    fireEvent.press(screen.getByText('Odd Lind'))
    fireEvent.press(screen.getByText('Leaves the shop'))
    expect(asked).not.toHaveBeenCalled()
    asked.mockResolvedValueOnce(undefined)
    fireEvent.press(screen.getByText('Close Odd Lind: no more sign-in'))
    await waitFor(() => {
      expect(onChanged).toHaveBeenCalled()
    })
    expect(asked).toHaveBeenCalledWith('POST', '/people/p/close', {})
  })

  test('that is refused says why, and nothing has changed', async () => {
    const onChanged = show({ role: 'owner' })
    fireEvent.press(screen.getByText('Odd Lind'))
    fireEvent.press(screen.getByText('Leaves the shop'))
    asked.mockRejectedValueOnce(new Error('a shop keeps an owner'))
    fireEvent.press(screen.getByText('Close Odd Lind: no more sign-in'))
    expect(await screen.findByText('A shop keeps an owner')).toBeTruthy()
    expect(onChanged).not.toHaveBeenCalled()
  })

  test('whose authenticator is lost is let in by the password alone again', async () => {
    const onChanged = show()
    fireEvent.press(screen.getByText('Odd Lind'))
    asked.mockResolvedValueOnce(undefined)
    fireEvent.press(screen.getByText(/Authenticator lost/))
    await waitFor(() => {
      expect(onChanged).toHaveBeenCalled()
    })
    expect(asked).toHaveBeenCalledWith('POST', '/people/p/second-factor-end', {})
  })

  test('who is closed stays in the record; the name alone may go', () => {
    show({ closed: true })
    expect(screen.getByText(/closed/)).toBeTruthy()
    fireEvent.press(screen.getByText('Odd Lind'))
    expect(screen.getByText('Replace the name for good')).toBeTruthy()
    expect(screen.queryByText('Leaves the shop')).toBeNull()
  })
})

describe('one’s own', () => {
  test('password is changed with the old one, and what was typed is gone afterwards', async () => {
    renderInApp(<PasswordForm />)
    fireEvent.press(screen.getByText('Change it'))
    fireEvent.changeText(screen.getByLabelText('Present password'), 'six wet gloves')
    fireEvent.changeText(screen.getByLabelText('New password, ten letters or more'), 'short')
    fireEvent.press(screen.getByText('Change the password'))
    await waitFor(() => {
      expect(screen.getAllByText(/ten/).length).toBeGreaterThan(0)
    })
    expect(asked).not.toHaveBeenCalled()
    fireEvent.changeText(screen.getByLabelText('New password, ten letters or more'), 'seven dry gloves')
    asked.mockResolvedValueOnce(undefined)
    fireEvent.press(screen.getByText('Change the password'))
    expect(await screen.findByText(/Your other devices are signed out/)).toBeTruthy()
    fireEvent.press(screen.getByText('Change it'))
    expect(screen.getByLabelText('Present password').props.value).toBe('')
  })

  test('licence is kept, and the reports have it', async () => {
    renderInApp(<LicenceForm licence="" />)
    fireEvent.changeText(screen.getByLabelText(/^Licence number/), 'SK-1234')
    asked.mockResolvedValueOnce(undefined)
    fireEvent.press(screen.getByText('Keep it'))
    await waitFor(() => {
      expect(mockRefresh).toHaveBeenCalled()
    })
    expect(asked).toHaveBeenCalledWith('POST', '/licence', { licence: 'SK-1234' })
  })
})
