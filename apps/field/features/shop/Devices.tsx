import type { SignedInDevice } from '@jokulgale/contract/people'
import { nearDayWords } from '../../ui/days'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { request } from '../sync/request'
import { useAsked } from './useAsked'

/** Where one is signed in, and the way out of all other devices. */
export function Devices() {
  const { value, problem, ask } = useAsked<{ devices: readonly SignedInDevice[] }>('/devices')
  const others = value?.devices.filter(({ isThis }) => !isThis) ?? []
  return (
    <Part title="Signed in on">
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      {value?.devices.map(({ id, words, since, isThis }) => (
        <Row
          key={id}
          title={isThis ? 'This device' : shortWords(words)}
          below={`since ${nearDayWords(since)}`}
        />
      ))}
      {others.length > 0 ? (
        <Press
          title="Sign out on all other devices"
          onPress={() => {
            request('DELETE', '/devices').then(ask, ask)
          }}
        />
      ) : null}
    </Part>
  )
}

/** What a browser calls itself, as far as a person can use it: the system that it runs on. */
const shortWords = (agent: string): string => /\(([^;)]+)/.exec(agent)?.[1] ?? 'Another device'
