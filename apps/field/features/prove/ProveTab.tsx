import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { signOffProblems } from '@jokulgale/core/visit/visitState'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

/** Repairs made, every call proven, and the way to close the visit. */
export function ProveTab({ visit }: { readonly visit: OpenVisit }) {
  const { state, diagram } = visit
  const palette = usePalette()
  return (
    <View style={{ gap: space.huge }}>
      <View style={{ gap: space.small }}>
        <Words strong quiet role="heading" aria-level={2}>Repair</Words>
        {state.repairs.length === 0 ? <Words quiet>None recorded. Open the suspect that it was, under Suspects, and record the repair there.</Words> : null}
        {state.repairs.map(({ entry, body }) => (
          <View key={entry.id} style={{ borderBottomWidth: 1, borderColor: palette.line, paddingVertical: space.small }}>
            <Words strong>{diagram.parts.get(body.of)?.words ?? body.of}</Words>
            {body.words ? <Words size="small" quiet>{body.words}</Words> : null}
          </View>
        ))}
      </View>
      <View style={{ gap: space.small }}>
        <Words strong quiet role="heading" aria-level={2}>Prove every call</Words>
        <Words size="small" quiet>Run each one; off means off. Volts, amps of each leg, return and supply after 10 to 15 minutes.</Words>
        {diagram.calls.map(({ id, words }) => <ProofRow key={id} visit={visit} call={id} words={words} />)}
      </View>
      <SignOff visit={visit} />
    </View>
  )
}

function ProofRow({ visit, call, words }: { readonly visit: OpenVisit; readonly call: string; readonly words: string }) {
  const palette = usePalette()
  const [noted, setNoted] = useState('')
  const last = visit.state.proofs.filter(({ body }) => body.call === call).at(-1)?.body
  const prove = (passed: boolean): void => {
    void visit.say({ kind: 'proof', call, words: noted.trim(), passed })
    setNoted('')
  }
  return (
    <View style={{ borderBottomWidth: 1, borderColor: palette.line, paddingVertical: space.small, gap: 6 }}>
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <Words style={{ flex: 1 }} strong>{words}</Words>
        <Words size="small" color={last ? (last.passed ? palette.good : palette.wrong) : palette.quiet}>{last ? (last.passed ? 'proven' : 'not right') : 'not proven yet'}</Words>
      </View>
      {last?.words ? <Words size="small" quiet>{last.words}</Words> : null}
      <Field label={`Readings for ${words}`} value={noted} onChangeText={setNoted} placeholder="25.1 V; 15.4 15.6 15.5 A; 74 °F in, 55 °F out" />
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <Press grow title="Right" label={`${words}: proven`} selected={last?.passed === true} onPress={() => { prove(true) }} />
        <Press grow title="Not right" label={`${words}: not right`} selected={last?.passed === false} onPress={() => { prove(false) }} />
      </View>
    </View>
  )
}

function SignOff({ visit }: { readonly visit: OpenVisit }) {
  const router = useRouter()
  const [words, setWords] = useState('')
  const problems = signOffProblems(visit.state)
  const close = async (outcome: 'repaired' | 'restricted' | 'left-off'): Promise<void> => {
    await visit.say({ kind: 'sign-off', outcome, words: words.trim() })
    router.navigate(`/visits/${visit.id}/report`)
  }
  if (visit.state.signOff) return <Press kind="main" title="Open the report" onPress={() => { router.navigate(`/visits/${visit.id}/report`) }} />
  return (
    <View style={{ gap: space.small }}>
      <Words strong quiet role="heading" aria-level={2}>Leave it</Words>
      <Field label="For the building, in plain words" value={words} onChangeText={setWords} multiline placeholder="What was found, what was done, what is still open" />
      {problems.map((problem) => <Notice key={problem} kind="caution">{problem}</Notice>)}
      <Press kind="main" title="Sign off: repaired" disabled={problems.length > 0} onPress={() => { void close('repaired') }} />
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <Press grow title="Left restricted" onPress={() => { void close('restricted') }} />
        <Press grow title="Left off" onPress={() => { void close('left-off') }} />
      </View>
    </View>
  )
}
