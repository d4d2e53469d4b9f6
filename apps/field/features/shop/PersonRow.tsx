import { useState } from 'react'
import { View } from 'react-native'
import { isErased, roles, type MadeLink, type ShopPerson } from '@jokulgale/contract/people'
import { Chips } from '../../ui/Chips'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Sheet } from '../../ui/Sheet'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { request } from '../sync/request'
import { LinkToHand } from './LinkToHand'
import { roleWords } from './roleWords'

interface PersonRowProps {
  readonly person: ShopPerson
  readonly isOwner: boolean
  readonly isMe: boolean
  readonly onChanged: () => void
}

/** A person of the shop; for the owner, what can be done about their way in. */
export function PersonRow({ person, isOwner, isMe, onChanged }: PersonRowProps) {
  const [open, setOpen] = useState(false)
  const sites = useAppSelector((state) => state.places.places?.sites ?? [])
  const site = sites.find(({ id }) => id === person.site)?.name
  const hasName = !isErased(person)
  const below = [hasName ? person.email : '', person.closed ? 'closed' : roleWords[person.role], site].filter(
    Boolean,
  )
  const canOpen = isOwner && hasName
  return (
    <View>
      <Row
        title={isMe ? `${person.name} (you)` : person.name}
        below={below.join(' · ')}
        {...(canOpen
          ? {
              onPress: () => {
                setOpen(true)
              },
            }
          : {})}
      />
      <Sheet
        title={person.name}
        open={open}
        onClose={() => {
          setOpen(false)
        }}
      >
        <PersonOrGone
          person={person}
          onChanged={() => {
            setOpen(false)
            onChanged()
          }}
        />
      </Sheet>
    </View>
  )
}

type OfPerson = Pick<PersonRowProps, 'person' | 'onChanged'>

const PersonOrGone = (of: OfPerson) => (of.person.closed ? <GoneForm {...of} /> : <PersonForm {...of} />)

/** Somebody who is closed: what they entered stays; their name need not. */
function GoneForm({ person, onChanged }: OfPerson) {
  const [problem, setProblem] = useState('')
  return (
    <>
      <Words>Closed: in the record, and out of the shop.</Words>
      <Words size="small" quiet>
        Replacing the name takes name and e-mail out of the shop for good. What was entered stays, under
        nobody’s name.
      </Words>
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press
        title="Replace the name for good"
        onPress={() => {
          request('POST', `/people/${person.id}/erase`).then(onChanged, (error: unknown) => {
            setProblem(error instanceof Error ? error.message : String(error))
          })
        }}
      />
    </>
  )
}

function PersonForm({ person, onChanged }: OfPerson) {
  const [problem, setProblem] = useState('')
  const [link, setLink] = useState<MadeLink | null>(null)
  const [closing, setClosing] = useState(false)
  const attempt = (work: () => Promise<void>): void => {
    work().catch((error: unknown) => {
      setProblem(error instanceof Error ? error.message : String(error))
    })
  }
  const change = (path: string, body: unknown): void => {
    attempt(async () => {
      await request('POST', `/people/${person.id}/${path}`, body)
      onChanged()
    })
  }
  return (
    <>
      <Words>{person.email}</Words>
      <Chips
        label="Role"
        options={roles
          .filter((role) => role !== 'reader' || person.role === 'reader')
          .map((id) => ({ id, words: roleWords[id] }))}
        chosen={person.role}
        onChoose={(role) => {
          change('role', { role })
        }}
      />
      <Press
        title="Make a link for a new password"
        onPress={() => {
          attempt(async () => {
            setLink(await request<MadeLink>('POST', `/people/${person.id}/password-link`, {}))
          })
        }}
      />
      {link ? <LinkToHand link={link} /> : null}
      {person.hasSecondFactor ? (
        <Press
          title="Authenticator lost: end the second factor"
          onPress={() => {
            change('second-factor-end', {})
          }}
        />
      ) : null}
      {closing ? (
        <Press
          kind="main"
          title={`Close ${person.name}: no more sign-in`}
          onPress={() => {
            change('close', {})
          }}
        />
      ) : (
        <Press
          title="Leaves the shop"
          onPress={() => {
            setClosing(true)
          }}
        />
      )}
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
    </>
  )
}
