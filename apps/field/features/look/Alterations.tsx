import { useState } from 'react'
import { View } from 'react-native'
import { alterationSorts, type AlterationSort } from '@jokulgale/core/visit/entry'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { passesByGuard } from '@jokulgale/core/diagram/guards'
import { boardHot, callTerminals } from '@jokulgale/core/diagram/roles'
import { alterationWords, type Alteration } from '@jokulgale/core/visit/temporary'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PartChooser } from '../repair/PartChooser'
import type { OpenVisit } from '../visit/useVisit'

const sortWords: Readonly<Record<AlterationSort, string>> = {
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

function AlterationRow({
  visit,
  alteration: { entry, body, settled },
}: {
  readonly visit: OpenVisit
  readonly alteration: Alteration
}) {
  const settle = (as: 'corrected' | 'accepted' | 'left-off'): void => {
    void visit.say({
      kind: 'alteration-settled',
      entry: entry.id,
      of: body.of,
      ...(body.to ? { to: body.to } : {}),
      as,
    })
  }
  const unsafe =
    settled?.as !== 'corrected' &&
    body.what !== 'substituted' &&
    passesByGuard(visit.diagram, body.of, body.to)
  return (
    <View style={{ gap: space.hair }}>
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
      {settled ? null : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
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
        </View>
      )}
    </View>
  )
}

/** What is found joined most often: hot to the first call of the board, so that ventilation never stops. */
function usualJoin(diagram: Diagram): readonly [string, string] {
  const [fan = diagram.common] = callTerminals(diagram)
  return [boardHot(diagram) ?? diagram.common, fan]
}

function AlterationForm({ visit, onDone }: { readonly visit: OpenVisit; readonly onDone: () => void }) {
  const { diagram } = visit
  const [what, setWhat] = useState<AlterationSort | null>(null)
  const [of, setOf] = useState<string | null>(null)
  const [points, setPoints] = useState<readonly [string, string]>(() => usualJoin(diagram))
  const [hazard, setHazard] = useState('')
  const [owner, setOwner] = useState('')
  const joined = what === 'joined'
  const known = joined ? points.every((point) => diagram.points.has(point)) : of !== null
  const record = async (): Promise<void> => {
    if (!what) return
    await visit.say({
      kind: 'alteration',
      what,
      of: joined ? points[0] : (of ?? ''),
      ...(joined ? { to: points[1] } : {}),
      hazard: hazard.trim(),
      owner: owner.trim(),
    })
    onDone()
  }
  return (
    <View style={{ gap: space.small }}>
      <Chips
        label="What was altered"
        options={alterationSorts.map((id) => ({ id, words: sortWords[id] }))}
        chosen={what}
        onChoose={setWhat}
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
    </View>
  )
}
