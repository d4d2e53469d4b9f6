import { View } from 'react-native'
import type { Ask } from '@jokulgale/core/diagnosis/briefing'
import { meterCaution } from '@jokulgale/core/diagnosis/words'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { fonts, space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'

/** A step in words: what to set and do first, function and leads, and what it should be. */
export function AskWords({ ask, visit }: { readonly ask: Ask; readonly visit: OpenVisit }) {
  const palette = usePalette()
  if (ask.do === 'wait') {
    return (
      <View style={{ gap: 2 }}>
        <Words strong>{`Wait ${Math.ceil(ask.seconds / 60)} min for ${ask.ofWords}`}</Words>
        <Words size="small" quiet>
          {ask.reason}
        </Words>
      </View>
    )
  }
  if (ask.do === 'condition') {
    return (
      <View style={{ gap: 2 }}>
        <Words strong>{`Measure: ${ask.ofWords}`}</Words>
        <Words size="small" quiet>
          {ask.reason}
        </Words>
        {ask.caution ? <Notice kind="caution">{ask.caution}</Notice> : null}
      </View>
    )
  }
  return (
    <View style={{ gap: 2 }}>
      <FirstSet ask={ask} visit={visit} />
      <Deed ask={ask} visit={visit} />
      {ask.do === 'measure' ? (
        <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: space.small, flexWrap: 'wrap' }}>
          <Words strong>{ask.meterWords}</Words>
          <Words strong color={palette.wrong}>{`${ask.meter === 'amps' ? 'wire' : 'red'} ${ask.from}`}</Words>
          <Words strong>{`${ask.meter === 'amps' ? 'to' : 'black'} ${ask.to}`}</Words>
        </View>
      ) : (
        <Words strong>{`Look at ${ask.ofWords}`}</Words>
      )}
      <Words size="small" quiet numberOfLines={1}>
        {ask.do === 'measure' ? `${ask.fromWords} · ${ask.zone}` : ask.zone}
      </Words>
      {ask.do === 'measure' && meterCaution(ask.meter) ? (
        <Notice kind="caution">{meterCaution(ask.meter)}</Notice>
      ) : null}
      <Words size="small">
        {ask.do === 'measure' ? 'Should read ' : 'Should be '}
        <Words strong style={{ fontFamily: fonts.reading }}>
          {ask.healthy}
        </Words>
      </Words>
    </View>
  )
}

/** The call and power that the step needs; entering what came of it says that the call is set. */
function FirstSet({ ask, visit }: { readonly ask: Ask; readonly visit: OpenVisit }) {
  const power =
    ask.power === 'off' && visit.state.power !== 'isolated'
      ? 'Isolate the unit and prove it dead first: power state above.'
      : ask.power === 'on' && visit.state.power !== 'on'
        ? 'Switch the unit on first: power state above.'
        : ''
  return (
    <>
      {ask.call === currentCall(visit) ? null : <Words>{`First set the call: ${ask.callWords}`}</Words>}
      {power ? <Notice kind="caution">{power}</Notice> : null}
    </>
  )
}

/** What is to be done before the reading, said to the log when it is done, and undone after it. */
function Deed({ ask, visit }: { readonly ask: Ask; readonly visit: OpenVisit }) {
  if (!ask.deed) return null
  const { verb, of, to, words, caution } = ask.deed
  return (
    <>
      <Press
        title={`${words}: done`}
        onPress={() => {
          void visit.say({ kind: 'action', do: verb, of, ...(to ? { to } : {}) })
        }}
      />
      {caution ? <Notice kind="caution">{caution}</Notice> : null}
    </>
  )
}
