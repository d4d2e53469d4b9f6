import { useState } from 'react'
import { StyleSheet, View } from 'react-native'
import { partWords } from '@jokulgale/core/diagram/diagram'
import type { At, Of } from '@jokulgale/core/visit/fold'
import { openCauses, repairOf } from '@jokulgale/core/visit/openCauses'
import {
  repairPlan,
  repairSteps,
  usualTrip,
  withoutTrip,
  type RepairStep,
} from '@jokulgale/core/visit/repairSteps'
import { Field } from '../../ui/Field'
import { Icon } from '../../ui/Icon'
import { Line } from '../../ui/Line'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PhotoPress } from '../photo/PhotoPress'
import { withoutName } from '../suspects/withoutName'
import type { OpenVisit } from '../visit/useVisit'

const styles = StyleSheet.create({
  step: { flexDirection: 'row', alignItems: 'center', gap: space.small, paddingVertical: 2 },
})

const stepWords: Readonly<Record<Exclude<RepairStep, 'repaired'>, string>> = {
  isolated: 'Isolated and proven dead',
  'leads-noted': 'Its leads noted',
  'leads-back': 'Its leads back',
  'power-on': 'Power on',
  proven: 'Proven',
}

/** What was taken for the cause, how far its repair has come, and what else was repaired. */
export function CausePart({ visit }: { readonly visit: OpenVisit }) {
  const { state } = visit
  const alone = state.repairs.filter(({ body }) => !state.causes.some((cause) => cause.body.of === body.of))
  return (
    <Part title="Cause and repair">
      {state.rewirings.map(({ entry, body }) => (
        <Rewired key={entry.id} rewired={body} />
      ))}
      {state.causes.length + alone.length + state.rewirings.length === 0 ? (
        <Words quiet>
          Nothing yet. Open the suspect that it is, under Suspects, and say so there; or choose the part
          below.
        </Words>
      ) : null}
      {state.causes.map((cause) => (
        <Cause key={cause.entry.id} visit={visit} cause={cause} />
      ))}
      {alone.map(({ entry, body }) => (
        <Named key={entry.id} visit={visit} of={body.of} words={body.words ?? 'repaired'} />
      ))}
    </Part>
  )
}

/** A plan that was carried out, as it was: a list of what was done. */
function Rewired({ rewired: { words, done } }: { readonly rewired: Of<'rewired'> }) {
  return (
    <Stack gap="hair">
      <Words strong>{`Wired as planned: ${words}`}</Words>
      {done.map((each, k) => (
        <Words key={each} size="small">{`${k + 1}  ${each}`}</Words>
      ))}
    </Stack>
  )
}

function Cause({ visit, cause }: { readonly visit: OpenVisit; readonly cause: At<'cause'> }) {
  const { diagram, state, say } = visit
  const done = repairSteps(state, cause)
  const { steps, repaired } = repairPlan(diagram, cause.body)
  const usual = usualTrip(diagram, cause.body)
  const isOpen = openCauses(state).includes(cause)
  return (
    <Stack gap="small">
      <Named visit={visit} of={cause.body.of} words={cause.body.words ?? ''} />
      <View role="list" accessibilityLabel="How far its repair has come">
        {steps.map((step) => (
          <Step key={step} words={step === 'repaired' ? repaired : stepWords[step]} done={done.has(step)} />
        ))}
      </View>
      {usual !== null && (isOpen || withoutTrip(state, diagram).includes(cause)) ? (
        <TrippedBy
          usual={usual}
          onSaid={(trippedBy) => {
            void say({ ...repairOf(state, cause.body.of), trippedBy })
          }}
        />
      ) : isOpen ? (
        <Press
          // the main thing to do before is to isolate it, which the power in the bar is for
          kind={done.has('isolated') || !steps.includes('isolated') ? 'main' : 'side'}
          title="It is repaired"
          onPress={() => {
            void say(repairOf(state, cause.body.of))
          }}
        />
      ) : null}
    </Stack>
  )
}

interface NamedProps {
  readonly visit: OpenVisit
  readonly of: string
  readonly words: string
}

/** A part or wire, what was wrong with it, and the way to a photo of it. */
function Named({ visit, of, words }: NamedProps) {
  const name = partWords(visit.diagram, of)
  return (
    <Line align="center">
      <Stack grows>
        <Words strong>{name}</Words>
        {words ? (
          <Words size="small" quiet>
            {withoutName(words, name)}
          </Words>
        ) : null}
      </Stack>
      <PhotoPress visit={visit.id} shows={{ of }} label={of} />
    </Line>
  )
}

interface TrippedByProps {
  /** What usually trips it. */
  readonly usual: string
  readonly onSaid: (trippedBy: string) => void
}

/** What only opened has a reason, and is put right with it. */
function TrippedBy({ usual, onSaid }: TrippedByProps) {
  const [words, setWords] = useState('')
  const said = words.trim()
  return (
    <Stack gap="small">
      <Words size="small" quiet>
        {`Usually: ${usual}.`}
      </Words>
      <Field label="What tripped it" value={words} onChangeText={setWords} />
      <Press
        kind="main"
        title="It is repaired"
        disabled={said === ''}
        onPress={() => {
          onSaid(said)
        }}
      />
    </Stack>
  )
}

function Step({ words, done }: { readonly words: string; readonly done: boolean }) {
  const palette = usePalette()
  return (
    <View role="listitem" accessibilityLabel={`${words}: ${done ? 'done' : 'not yet'}`} style={styles.step}>
      <Icon name={done ? 'check' : 'circle'} size={16} color={done ? palette.good : palette.quiet} />
      <Words size="small" quiet={!done}>
        {words}
      </Words>
    </View>
  )
}
