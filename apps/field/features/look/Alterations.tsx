import { useRouter } from 'expo-router'
import { useState } from 'react'
import { alterationSorts, type AlterationSort } from '@jokulgale/core/visit/entry'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { boardHot, callTerminals } from '@jokulgale/core/diagram/roles'
import { alterationWords, takesGuardOut, type Alteration } from '@jokulgale/core/visit/temporary'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { PartChooser } from '../repair/PartChooser'
import { LeadChooser } from './LeadChooser'
import { MovedLead } from './MovedLead'
import type { OpenVisit } from '../visit/useVisit'

const sortWords: Readonly<Record<AlterationSort, string>> = {
  moved: 'A lead on another terminal',
  added: 'A switch added in a lead',
  bridged: 'A switch bridged',
  joined: 'Two terminals joined',
  substituted: 'Another part in its place',
  other: 'Something else',
}

/** What somebody changed before this visit. The unit is solved as found until it is put right. */
export function Alterations({ visit }: { readonly visit: OpenVisit }) {
  const [adding, setAdding] = useState(false)
  return (
    <Part title="Altered by somebody">
      {visit.state.alterations.map((alteration) => (
        <AlterationRow key={alteration.entry.id} visit={visit} alteration={alteration} />
      ))}
      {adding ? (
        <AlterationForm
          visit={visit}
          onDone={() => {
            setAdding(false)
          }}
        />
      ) : (
        <Press
          title="Something is not as it was built"
          onPress={() => {
            setAdding(true)
          }}
        />
      )}
    </Part>
  )
}

/** What the drawing of a unit can say. */
const drawable: ReadonlySet<AlterationSort> = new Set(['moved', 'joined'])

function AlterationRow({
  visit,
  alteration: { entry, body, settled },
}: {
  readonly visit: OpenVisit
  readonly alteration: Alteration
}) {
  const router = useRouter()
  const settle = (as: 'corrected' | 'accepted' | 'left-off'): void => {
    void visit.say({
      kind: 'alteration-settled',
      entry: entry.id,
      of: body.of,
      ...(body.to ? { to: body.to } : {}),
      as,
    })
  }
  const unsafe = settled?.as !== 'corrected' && takesGuardOut(visit.diagram, body)
  return (
    <Stack gap="hair">
      <Words strong>{alterationWords(body)}</Words>
      <Words size="small" quiet>
        {[body.hazard, body.owner ? `owner: ${body.owner}` : '', settled ? settled.as.replace('-', ' ') : '']
          .filter(Boolean)
          .join('; ')}
      </Words>
      {unsafe ? (
        <Notice kind="wrong">
          A safety control is out of its circuit: the unit is to be off and somebody told. This visit cannot
          be signed off as repaired.
        </Notice>
      ) : null}
      {settled?.as === 'accepted' && !unsafe && drawable.has(body.what) ? (
        <Press
          title="Draw it into the circuit"
          onPress={() => {
            router.navigate(`/units/${visit.unit.id}/circuit?asLeft=${visit.id}`)
          }}
        />
      ) : null}
      {settled ? null : (
        <Line wraps gap="small">
          <Press
            title="Corrected"
            onPress={() => {
              settle('corrected')
            }}
          />
          <Press
            title="Meant so"
            onPress={() => {
              settle('accepted')
            }}
          />
          <Press
            title="Unit left off"
            onPress={() => {
              settle('left-off')
            }}
          />
        </Line>
      )}
    </Stack>
  )
}

/** What is found joined most often: hot to the first call of the board, so that ventilation never stops. */
function usualJoin(diagram: Diagram): readonly [string, string] {
  const [fan = diagram.common] = callTerminals(diagram)
  return [boardHot(diagram) ?? diagram.common, fan]
}

/** Of a lead, not of a part. */
const ofLead: ReadonlySet<AlterationSort> = new Set(['moved', 'added'])

/** What is so of any lead that is not as it was drawn; whoever sees more writes it. */
const ofLeadHazard = 'The unit does not do what its drawing says'

function AlterationForm({ visit, onDone }: { readonly visit: OpenVisit; readonly onDone: () => void }) {
  const { diagram } = visit
  const [what, setWhat] = useState<AlterationSort | null>(null)
  const [of, setOf] = useState<string | null>(null)
  const [points, setPoints] = useState<readonly [string, string]>(() => usualJoin(diagram))
  const [hazard, setHazard] = useState('')
  const [owner, setOwner] = useState('')
  const [at, setAt] = useState<string | null>(null)
  const joined = what === 'joined'
  const ends: readonly [string | null, string | null] = {
    moved: [of, at] as const,
    joined: points,
    added: [of, ''] as const,
    bridged: [of, ''] as const,
    substituted: [of, ''] as const,
    other: [of, ''] as const,
  }[what ?? 'other']
  const known = joined ? points.every((point) => diagram.points.has(point)) : !ends.includes(null)
  const record = async (): Promise<void> => {
    if (!what) return
    const [first, second] = ends
    await visit.say({
      kind: 'alteration',
      what,
      of: first ?? '',
      ...(second ? { to: second } : {}),
      hazard: hazard.trim(),
      owner: owner.trim(),
    })
    onDone()
  }
  const choose = (sort: AlterationSort): void => {
    setWhat(sort)
    // a lead and a part are not the same thing to choose
    setOf(null)
    if (ofLead.has(sort) && hazard === '') setHazard(ofLeadHazard)
  }
  return (
    <Stack gap="small">
      <Chips
        label="What was altered"
        options={alterationSorts.map((id) => ({ id, words: sortWords[id] }))}
        chosen={what}
        onChoose={choose}
      />
      {joined ? (
        points.map((point, k) => (
          <Field
            key={k}
            label={k === 0 ? 'From' : 'To'}
            value={point}
            errorMessage={diagram.points.has(point) ? undefined : `${point} is not on this unit`}
            onChangeText={(text) => {
              setPoints(k === 0 ? [text, points[1]] : [points[0], text])
            }}
          />
        ))
      ) : what === 'moved' ? (
        <MovedLead diagram={diagram} lead={of} onLead={setOf} at={at} onAt={setAt} />
      ) : what === 'added' ? (
        <LeadChooser diagram={diagram} chosen={of} onChoose={setOf} />
      ) : what ? (
        <PartChooser diagram={diagram} chosen={of} onChoose={setOf} />
      ) : null}
      <Field
        label="Hazard"
        value={hazard}
        onChangeText={setHazard}
        placeholder="What can happen with it as it is"
      />
      <Field label="Whose it is, if known" value={owner} onChangeText={setOwner} />
      <Press
        kind="main"
        title="Record it as found"
        disabled={!what || !known || hazard.trim() === ''}
        onPress={() => {
          void record()
        }}
      />
    </Stack>
  )
}
