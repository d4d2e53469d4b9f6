import { useRouter } from 'expo-router'
import { lazy, Suspense, useEffect, useState } from 'react'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import type { Of } from '@jokulgale/core/visit/fold'
import type { ProofSheet } from '@jokulgale/core/visit/proofLine'
import { restoredItems } from '@jokulgale/core/visit/restoredItems'
import { signOffProblems } from '@jokulgale/core/visit/signOff'
import { closingProblems } from '@jokulgale/core/visit/visitState'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { diagnosisService } from '../../workers/diagnosis'
import { OpenedNotBack } from '../repair/OpenedNotBack'
import { DoneNotUndone } from '../trace/DoneNotUndone'
import { BenchPress } from '../visit/BenchPress'
import type { OpenVisit } from '../visit/useVisit'
import { Defects } from './Defects'
import { LeaveForm } from './LeaveForm'
import { ProofRow } from './ProofRow'

/** Few visits are signed for: the field comes when there is somebody to sign. */
const SignatureField = lazy(() => import('./SignatureField'))

interface ProveTabProps {
  readonly visit: OpenVisit
  /** Delays of the call that is set; null while they are being solved. */
  readonly delays: Briefing['delays'] | null
  readonly onMeasures: () => void
}

/**
 * The proof sheet made from the unit, what is put back, what is still open, and the way to close the visit.
 */
export function ProveTab({ visit, delays, onMeasures }: ProveTabProps) {
  const { state, diagram, say } = visit
  const sheets = useProofSheets(visit)
  return (
    <Stack gap="huge">
      <Part title="Prove every call">
        <Words size="small" quiet>
          Run each one; off means off. Expected values are solved at the supply that you measured. Supply air
          after 10 to 15 minutes.
        </Words>
        {diagram.calls.map(({ id, words }) => (
          <ProofRow
            key={id}
            visit={visit}
            call={id}
            words={words}
            lines={sheets?.find(({ call }) => call === id)?.lines ?? null}
            delays={delays}
          />
        ))}
      </Part>
      <BenchPress visitId={visit.id} />
      <Part title="Put back">
        {restoredItems(diagram).map(({ id, words }) => (
          <Check
            key={id}
            title={words}
            on={state.restored.get(id) === true}
            onPress={() => {
              void say({ kind: 'restored', item: id, is: state.restored.get(id) !== true })
            }}
          />
        ))}
        <Press
          title="All of these"
          onPress={() => {
            void (async () => {
              for (const { id } of restoredItems(diagram))
                if (state.restored.get(id) !== true) await say({ kind: 'restored', item: id, is: true })
            })()
          }}
        />
      </Part>
      <Defects visit={visit} />
      <SignOff visit={visit} onMeasures={onMeasures} />
    </Stack>
  )
}

/** Solved in the worker for the conditions said so far; null until it is there. */
function useProofSheets({ ladder, bodies }: OpenVisit): readonly ProofSheet[] | null {
  const [sheets, setSheets] = useState<readonly ProofSheet[] | null>(null)
  const key = JSON.stringify(
    bodies.flatMap((body) => (body.kind === 'condition' ? [[body.of, body.value]] : [])),
  )
  useEffect(() => {
    let here = true
    void diagnosisService()
      .proof(ladder, Object.fromEntries(JSON.parse(key) as [string, number][]))
      .then(
        (found) => {
          if (here) setSheets(found)
        },
        () => undefined,
      )
    return () => {
      here = false
    }
  }, [ladder, key])
  return sheets
}

function SignOff({ visit, onMeasures }: { readonly visit: OpenVisit; readonly onMeasures: () => void }) {
  const router = useRouter()
  const [words, setWords] = useState('')
  const [signedBy, setSignedBy] = useState('')
  const [signature, setSignature] = useState('')
  const problems = signOffProblems(visit.state, visit.diagram)
  const always = closingProblems(visit.state)
  const close = async (closing: Omit<Of<'sign-off'>, 'kind'>): Promise<void> => {
    const by = signedBy.trim()
    const signed = by === '' ? {} : { signedBy: by, ...(signature === '' ? {} : { signature }) }
    await visit.say({ kind: 'sign-off', ...closing, ...signed })
    router.navigate(`/visits/${visit.id}/report`)
  }
  return (
    <Part title="Leave it">
      <Field
        label="For the building, in plain words"
        value={words}
        onChangeText={setWords}
        multiline
        placeholder="What was found, what was done, what is still open"
      />
      <Field label="Who signs for it, if somebody does" value={signedBy} onChangeText={setSignedBy} />
      {signedBy.trim() === '' ? null : (
        <Suspense fallback={null}>
          <SignatureField by={signedBy.trim()} onSigned={setSignature} />
        </Suspense>
      )}
      <OpenedNotBack visit={visit} />
      <DoneNotUndone visit={visit} />
      {problems.map((problem) => (
        <Notice key={problem} kind="caution">
          {problem}
        </Notice>
      ))}
      {always.length > 0 ? <Press title="Temporary measures" onPress={onMeasures} /> : null}
      <Press
        kind="main"
        title="Sign off: repaired"
        disabled={problems.length > 0}
        onPress={() => {
          void close({ outcome: 'repaired', words: words.trim() })
        }}
      />
      <LeaveForm
        words={words.trim()}
        isHeld={always.length > 0}
        onClose={(closing) => {
          void close(closing)
        }}
      />
    </Part>
  )
}
