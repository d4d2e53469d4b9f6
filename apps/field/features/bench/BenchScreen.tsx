import { useRouter } from 'expo-router'
import { useState } from 'react'
import { benchTools } from '@jokulgale/core/bench/index'
import { benchLists } from '@jokulgale/core/bench/lists/index'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Part } from '../../ui/Part'
import { Row } from '../../ui/Row'
import { Screen } from '../../ui/Screen'
import { Words } from '../../ui/Words'

/** The bench: every small calculation of the trade, by what it is about. Works without a unit and without a signal. */
export function BenchScreen({ visitId }: { readonly visitId: string | null }) {
  const router = useRouter()
  const [sought, setSought] = useState('')
  const words = sought.toLowerCase().split(' ')
  const fitting = [...benchTools, ...benchLists].filter(({ title, use, group }) =>
    words.every((word) => `${title} ${use} ${group}`.toLowerCase().includes(word)),
  )
  const groups = [...new Set(fitting.map(({ group }) => group))]
  return (
    <Screen head={<Heading title="Bench" back={visitId ? `/visits/${visitId}` : '/'} />}>
      <Field label="Find" value={sought} onChangeText={setSought} placeholder="capacitor, unbalance, tap" />
      {groups.map((group) => (
        <Part key={group} title={group}>
          {fitting
            .filter((tool) => tool.group === group)
            .map(({ id, title, use }) => (
              <Row
                key={id}
                title={title}
                below={use}
                onPress={() => {
                  router.navigate(visitId ? `/bench/${id}?visit=${visitId}` : `/bench/${id}`)
                }}
              />
            ))}
        </Part>
      ))}
      {fitting.length === 0 ? <Words quiet>{`No tool is about “${sought}”.`}</Words> : null}
    </Screen>
  )
}
