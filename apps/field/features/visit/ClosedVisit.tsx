import { useRouter } from 'expo-router'
import { useState } from 'react'
import { addendumWords } from '@jokulgale/core/visit/entryWords'
import { outcomeWords } from '@jokulgale/core/visit/report'
import { dayWords } from '../../ui/days'
import { Field } from '../../ui/Field'
import { FormFoot } from '../../ui/FormFoot'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Screen } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { UnsentNote } from '../sync/UnsentNote'
import type { OpenVisit } from './useVisit'

/** A visit that was signed off: it is closed, and what comes later is added under its own date. */
export function ClosedVisit({ visit }: { readonly visit: OpenVisit }) {
  const router = useRouter()
  const [words, setWords] = useState('')
  const { signOff, addenda } = visit.state
  if (!signOff) return null
  return (
    <Screen
      head={<Heading title={visit.unit.label} below={visit.site.name} back="/" />}
      foot={
        <FormFoot
          title="Open the report"
          onPress={() => {
            router.navigate(`/visits/${visit.id}/report`)
          }}
        />
      }
    >
      <UnsentNote />
      <Stack gap="small">
        <Words size="lead" strong>
          {outcomeWords[signOff.body.outcome]}
        </Words>
        <Words>{signOff.body.words}</Words>
        <Notice kind="plain">
          {`Signed off on ${dayWords(signOff.entry.clock.wall)}. The visit is closed: what comes later is added under its own date.`}
        </Notice>
      </Stack>
      {addenda.length > 0 ? (
        <Part title="Added since">
          {addenda.map((entry) => (
            <Row
              key={entry.id}
              title={addendumWords(entry.body, visit.diagram)}
              below={dayWords(entry.clock.wall)}
            />
          ))}
        </Part>
      ) : null}
      <Part title="Add to it">
        <Field label="What is to be added" value={words} onChangeText={setWords} multiline />
        <Press
          title="Add it, dated today"
          disabled={words.trim() === ''}
          onPress={() => {
            void visit.say({ kind: 'note', words: words.trim() }).then(() => {
              setWords('')
            })
          }}
        />
      </Part>
      <Press
        title="Take a new call on this unit"
        onPress={() => {
          router.navigate(`/units/${visit.unit.id}/call`)
        }}
      />
    </Screen>
  )
}
