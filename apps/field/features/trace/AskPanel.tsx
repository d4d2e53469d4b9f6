import { useState } from 'react'
import { View } from 'react-native'
import type { Ask, LookAsk } from '@jokulgale/core/diagnosis/briefing'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { fonts, space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import type { ReadingWanted } from '../pad/ReadingSheet'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'
import { SeenSheet } from './SeenSheet'

interface AskPanelProps {
  readonly visit: OpenVisit
  readonly asks: readonly Ask[]
  readonly busy: boolean
  readonly story: string
  readonly onMeasure: (wanted: ReadingWanted) => void
}

/** The next reading, as one would say it to a helper, and the way to enter it. */
export function AskPanel({ visit, asks, busy, story, onMeasure }: AskPanelProps) {
  const [detail, setDetail] = useState(false)
  const [seeing, setSeeing] = useState(false)
  const seen = <SeenSheet visit={visit} open={seeing} onClose={() => { setSeeing(false) }} />
  const [first] = asks
  if (!first) {
    return (
      <View style={{ padding: space.medium, gap: space.small }}>
        <Words strong>{busy ? 'Working out the next reading …' : 'No reading would tell the rest apart.'}</Words>
        {story ? <Words size="small">{story}</Words> : null}
        <Press title="Enter another reading" onPress={() => { onMeasure({ meter: 'volts', from: '', to: visit.diagram.common }) }} />
        <Press title="Say what you see" onPress={() => { setSeeing(true) }} />
        {seen}
      </View>
    )
  }
  const cannot = (): void => {
    setDetail(false)
    void visit.say({ kind: 'unreachable', of: first.do === 'look' ? first.of : first.from })
  }
  const saw = (ask: LookAsk, what: string): void => {
    setDetail(false)
    void visit.say({ kind: 'observation', what, of: ask.of })
  }
  return (
    <View style={{ padding: space.medium, gap: space.small, opacity: busy ? 0.6 : 1 }}>
      {story ? <Words size="small" strong>{story}</Words> : null}
      <AskWords ask={first} visit={visit} />
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <Press title="More" label="Outcomes, alternatives, can’t reach it" onPress={() => { setDetail(true) }} />
        {first.do === 'measure' ? <Press grow kind="main" title="Enter the reading" onPress={() => { onMeasure(first) }} /> : null}
        {first.do === 'look' ? first.answers.map(({ what, words }) => (
          <Press key={what} grow kind="main" title={capital(words)} label={`${first.ofWords}: ${words}`} onPress={() => { saw(first, what) }} />
        )) : null}
      </View>
      <Sheet title="Next reading" open={detail} onClose={() => { setDetail(false) }}>
        <AskWords ask={first} visit={visit} />
        <Words size="small" quiet>{first.reason}</Words>
        {first.outcomes.map(({ shows, means, odds }) => (
          <View key={shows + means} style={{ flexDirection: 'row', gap: space.medium }}>
            <Words style={{ fontFamily: fonts.reading, minWidth: 84 }}>{shows}</Words>
            <Words size="small" style={{ flex: 1 }}>{`${odds}: ${means}`}</Words>
          </View>
        ))}
        <Press title="Can’t reach it" onPress={cannot} />
        {asks.length > 1 ? <Words strong role="heading" aria-level={3}>Or instead</Words> : null}
        {asks.slice(1).map((ask) => (ask.do === 'measure'
          ? <Press key={`${ask.meter} ${ask.from} ${ask.to} ${ask.call}`} title={`${ask.meterWords}: ${ask.from} to ${ask.to}, ${ask.callWords}`} onPress={() => { setDetail(false); onMeasure(ask) }} />
          : <LookRow key={ask.of} ask={ask} onSaw={(what) => { saw(ask, what) }} />))}
        <Press title="Any other reading" onPress={() => { setDetail(false); onMeasure({ meter: 'volts', from: '', to: visit.diagram.common }) }} />
        <Press title="Say what you see" onPress={() => { setDetail(false); setSeeing(true) }} />
      </Sheet>
      {seen}
    </View>
  )
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

function LookRow({ ask, onSaw }: { readonly ask: LookAsk; readonly onSaw: (what: string) => void }) {
  return (
    <View style={{ gap: space.hair }}>
      <Words>{`Look at ${ask.ofWords}`}</Words>
      <View style={{ flexDirection: 'row', gap: space.small }}>
        {ask.answers.map(({ what, words }) => <Press key={what} grow title={capital(words)} label={`${ask.ofWords}: ${words}`} onPress={() => { onSaw(what) }} />)}
      </View>
    </View>
  )
}

function AskWords({ ask, visit }: { readonly ask: Ask; readonly visit: OpenVisit }) {
  const palette = usePalette()
  const change = [
    ask.call === currentCall(visit) ? '' : `Set the call: ${ask.callWords}.`,
    ask.power === 'off' && visit.state.power !== 'isolated' ? 'Isolate the unit and prove it dead first.' : '',
    ask.power === 'on' && visit.state.power !== 'on' ? 'Switch the unit on first.' : '',
  ].filter(Boolean).join(' ')
  return (
    <View style={{ gap: 2 }}>
      {change ? <Notice kind="caution">{change}</Notice> : null}
      {ask.do === 'measure' ? (
        <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: space.small, flexWrap: 'wrap' }}>
          <Words strong>{ask.meterWords}</Words>
          <Words strong color={palette.wrong}>{`${ask.meter === 'amps' ? 'wire' : 'red'} ${ask.from}`}</Words>
          <Words strong>{`${ask.meter === 'amps' ? 'to' : 'black'} ${ask.to}`}</Words>
        </View>
      ) : <Words strong>{`Look at ${ask.ofWords}`}</Words>}
      <Words size="small" quiet numberOfLines={1}>{ask.do === 'measure' ? `${ask.fromWords} · ${ask.zone}` : ask.zone}</Words>
      <Words size="small">{ask.do === 'measure' ? 'Should read ' : 'Should be '}<Words strong style={{ fontFamily: fonts.reading }}>{ask.healthy}</Words></Words>
    </View>
  )
}
