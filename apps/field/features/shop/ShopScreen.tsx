import { useRouter } from 'expo-router'
import type { ShopPerson } from '@jokulgale/contract/people'
import type { SecurityEvent } from '@jokulgale/contract/security'
import { momentWords } from '../../ui/days'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Screen } from '../../ui/Screen'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { Devices } from './Devices'
import { LicenceForm } from './LicenceForm'
import { PasswordForm } from './PasswordForm'
import { PersonRow } from './PersonRow'
import { roleWords } from './roleWords'
import { SecondFactor } from './SecondFactor'
import { eventWords } from './eventWords'
import { UnitsForm } from '../units/UnitsForm'
import { useAsked } from './useAsked'

const shownEvents = 12

/** The shop: its people for those who may see them, and everybody's own way in. */
export function ShopScreen() {
  const router = useRouter()
  const session = useAppSelector((state) => state.session)
  const me = session.is === 'in' ? session.person : null
  const seesPeople = me?.role === 'owner' || me?.role === 'lead'
  const people = useAsked<{ people: readonly ShopPerson[] }>(seesPeople ? '/people' : null)
  const events = useAsked<{ events: readonly SecurityEvent[] }>(me?.role === 'owner' ? '/security' : null)
  const mine = useAppSelector(({ places }) => places.places?.people.find(({ id }) => id === me?.id))
  if (!me) return null
  return (
    <Screen head={<Heading title={me.shop.name} below={`${me.name}, ${roleWords[me.role]}`} back="/" />}>
      {people.problem ? <Notice kind="wrong">{people.problem}</Notice> : null}
      {people.value ? (
        <Part title="People">
          {people.value.people.map((person) => (
            <PersonRow
              key={person.id}
              person={person}
              isOwner={me.role === 'owner'}
              isMe={person.id === me.id}
              onChanged={people.ask}
            />
          ))}
          {me.role === 'owner' ? (
            <Press
              kind="main"
              title="Invite somebody"
              onPress={() => {
                router.navigate('/shop/invite')
              }}
            />
          ) : null}
        </Part>
      ) : null}
      {mine && me.role !== 'reader' ? <LicenceForm key={mine.licence} licence={mine.licence} /> : null}
      <UnitsForm />
      <PasswordForm />
      <SecondFactor />
      <Devices />
      {events.value ? (
        <Part title="What happened lately">
          {events.value.events.slice(0, shownEvents).map((event) => (
            <Row key={`${event.at} ${event.what}`} title={eventWords(event)} below={momentWords(event.at)} />
          ))}
        </Part>
      ) : null}
      {me.role === 'owner' ? (
        <Part title="Everything in one file">
          <Words size="small" quiet>
            People, sites, units, circuits, visits and pictures, in an open format: to keep, or to move the
            shop to another server.
          </Words>
          <Press
            title="Download the archive"
            onPress={() => {
              window.open('/api/shop/archive.zip', '_blank')
            }}
          />
        </Part>
      ) : null}
      {seesPeople ? null : (
        <Words quiet>The owner of the shop invites people and sets what each may do.</Words>
      )}
    </Screen>
  )
}
