import { View } from 'react-native'
import type { Ask, LookAsk, MeasureAsk } from '@jokulgale/core/diagnosis/briefing'
import { partWords, type Diagram } from '@jokulgale/core/diagram/diagram'
import { isInWire } from '@jokulgale/core/circuit/meters'
import { meterCaution } from '@jokulgale/core/diagnosis/words'
import type { StandingAction } from '@jokulgale/core/visit/actions'
import { takenApart } from '@jokulgale/core/visit/poweredAgain'
import { meterCategory } from '@jokulgale/core/visit/meterCategory'
import { switchFirst } from '@jokulgale/core/visit/switchFirst'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { SpotThumb } from '../panel/SpotThumb'
import { usePanel } from '../panel/usePanel'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'
import { Line } from '../../ui/Line'

/** A step in words: what to set and do first, function and leads, and what it should be. */
export function AskWords({ ask, visit }: { readonly ask: Ask; readonly visit: OpenVisit }) {
  const { spots } = usePanel(visit)
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
  const spot = ask.do === 'measure' ? spots.get(ask.from) : undefined
  return (
    <View style={{ gap: 2 }}>
      <FirstSet ask={ask} visit={visit} />
      <Deed ask={ask} visit={visit} />
      <Line gap="small">
        <View style={{ flex: 1, gap: 2 }}>
          {ask.do === 'measure' ? (
            <>
              {ask.again || ask.meets ? <Words size="small">{ask.reason}</Words> : null}
              <Leads ask={ask} />
            </>
          ) : (
            <>
              <Words strong>{`Look at ${ask.ofWords}`}</Words>
              <Words size="small" quiet numberOfLines={1}>
                {ask.zone}
              </Words>
            </>
          )}
        </View>
        {ask.do === 'measure' && spot ? (
          <SpotThumb point={ask.from} words={`${ask.fromWords} · ${ask.zone}`} spot={spot} />
        ) : null}
      </Line>
      {meterNotices(ask, visit).map((words) => (
        <Notice key={words} kind="caution">
          {words}
        </Notice>
      ))}
      <Words size="small">
        {ask.do === 'measure' ? 'Should read ' : 'Should be '}
        <Words strong tabular>
          {ask.healthy}
        </Words>
        {ask.do === 'measure' && ask.like ? `, ${ask.like}` : ''}
      </Words>
    </View>
  )
}

/** What is said of the meter before a reading: made for the place, and for what it is set to. */
const meterNotices = (ask: LookAsk | MeasureAsk, { state, diagram }: OpenVisit): readonly string[] =>
  ask.do === 'look'
    ? []
    : [meterCategory(state, diagram, ask.meter, [ask.from, ask.to]), meterCaution(ask.meter)].filter(Boolean)

/** Function and leads, and where the first of them goes in words. */
function Leads({ ask }: { readonly ask: MeasureAsk }) {
  const palette = usePalette()
  return (
    <>
      <Line align="baseline" gap="small" wraps>
        <Words strong>{ask.meterWords}</Words>
        <Words strong color={palette.wrong}>{`${isInWire(ask.meter) ? 'wire' : 'red'} ${ask.from}`}</Words>
        <Words strong>{`${isInWire(ask.meter) ? 'to' : 'black'} ${ask.to}`}</Words>
      </Line>
      <Words size="small" quiet numberOfLines={1}>
        {`${ask.fromWords} · ${ask.zone}`}
      </Words>
    </>
  )
}

const switchWords = {
  isolate: 'Isolate the unit and prove it dead first.',
  'power-on': 'Switch the unit on first.',
  together: 'Before power comes back, everything goes back on: say so for each.',
} as const

/** The call and power that the step needs; entering what came of it says that the call is set. */
function FirstSet({ ask, visit }: { readonly ask: Ask; readonly visit: OpenVisit }) {
  const { power, standing } = visit.state
  const first = switchFirst(ask.power, power)
  const apart = takenApart(standing)
  const isApart = first === 'power-on' && apart.length > 0
  return (
    <>
      {ask.call === currentCall(visit) ? null : <Words>{`First set the call: ${ask.callWords}`}</Words>}
      {first ? <Notice kind="caution">{isApart ? switchWords.together : switchWords[first]}</Notice> : null}
      {power === 'on' && apart.length > 0 ? (
        <Notice kind="caution">{apartWhileOn(visit.diagram, apart)}</Notice>
      ) : null}
    </>
  )
}

/** Power came back with something still off or out: nothing reads as drawn then. */
function apartWhileOn(diagram: Diagram, apart: readonly StandingAction[]): string {
  const named = apart.map(({ of }) => partWords(diagram, of)).join(', ')
  return `Off or out with the power on: ${named}. Unless you mean it, isolate, put it back and say so.`
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
