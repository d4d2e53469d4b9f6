import { memo, useState } from 'react'
import { Pressable, View } from 'react-native'
import type { Stop, Strip } from '@jokulgale/core/diagnosis/strip'
import { Icon } from '../../ui/Icon'
import { fonts, space, target, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { conductorWidth, PartMark, StopMark } from './Conductor'

interface StripViewProps {
  readonly strip: Strip
  readonly startsOpen: boolean
  readonly red: string
  readonly black: string
  readonly onStop: (point: string) => void
}

const stopHeight = 64
const partHeight = 46

/** One path of the call, running down from source to load and back to common. */
export function StripView({ strip, startsOpen, red, black, onStop }: StripViewProps) {
  const palette = usePalette()
  const [open, setOpen] = useState(startsOpen)
  const { stops } = strip
  return (
    <View>
      <Pressable accessibilityRole="button" aria-expanded={open} onPress={() => { setOpen(!open) }} style={{ flexDirection: 'row', alignItems: 'center', minHeight: target, gap: space.small }}>
        <Icon name={open ? 'chevron-down' : 'chevron-right'} color={palette.quiet} size={20} />
        <Words strong role="heading" aria-level={2} style={{ flex: 1 }}>{strip.words}</Words>
        <Words size="small" quiet>{`${stops.length} stops`}</Words>
      </Pressable>
      {open ? stops.map((stop, k) => (
        <StopRow key={stop.point} stop={stop} before={stops[k - 1]} after={stops[k + 1]}
          lead={stop.point === red ? 'red' : stop.point === black ? 'black' : null} onStop={onStop} />
      )) : null}
    </View>
  )
}

interface StopRowProps {
  readonly stop: Stop
  readonly before: Stop | undefined
  readonly after: Stop | undefined
  readonly lead: 'red' | 'black' | null
  readonly onStop: (point: string) => void
}

/** The element of a stop on the page, to bring it into view. */
export const stopElement = (point: string): string => `stop-${point}`

const stateWords = { live: 'live', dead: 'dead', unknown: 'not known' } as const

const StopRow = memo(function StopRow({ stop, before, after, lead, onStop }: StopRowProps) {
  const palette = usePalette()
  const reading = stop.measured === null ? null : `${stop.measured.toFixed(1)} V`
  const said = `${stop.point}, ${stateWords[stop.state]}, should read ${stop.expected.toFixed(1)} volts${reading ? `, read ${reading}` : ''}${stop.contradicted ? ', not as it should' : ''}${lead ? `, ${lead} lead goes here` : ''}`
  return (
    <View>
      {stop.by.is === 'part' ? (
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <PartMark symbol={stop.by.symbol} state={before?.state === stop.state ? stop.state : 'unknown'} height={partHeight} />
          <Words size="small" quiet style={{ flex: 1 }} numberOfLines={2}>{`${stop.by.part}  ${stop.by.words}`}</Words>
        </View>
      ) : null}
      <Pressable nativeID={stopElement(stop.point)} accessibilityRole="button" accessibilityLabel={said} onPress={() => { onStop(stop.point) }} style={{ flexDirection: 'row', alignItems: 'center', minHeight: stopHeight }}>
        <StopMark state={stop.state} above={before ? (before.state === stop.state ? stop.state : 'unknown') : null} below={after ? (after.state === stop.state ? stop.state : 'unknown') : null}
          height={stopHeight} lead={lead} measured={stop.measured !== null} />
        <View style={{ flex: 1, minWidth: conductorWidth }}>
          <Words strong style={{ fontFamily: fonts.strong }}>{stop.point}</Words>
          <Words size="small" quiet numberOfLines={2}>{[stop.by.is === 'wire' ? `${stop.by.color} ${stop.by.number}` : '', stop.zone === before?.zone ? '' : stop.zone].filter(Boolean).join(' · ')}</Words>
        </View>
        <View style={{ alignItems: 'flex-end' }}>
          {reading
            ? <Words size="reading" color={stop.contradicted ? palette.wrong : stop.state === 'live' ? palette.live : palette.dead}>{reading}</Words>
            : <Words size="small" color={stop.state === 'live' ? palette.live : palette.quiet} strong={stop.state !== 'unknown'}>{stateWords[stop.state]}</Words>}
          <Words size="small" quiet>{`${stop.contradicted ? '≠ ' : ''}should ${stop.expected.toFixed(1)} V`}</Words>
        </View>
      </Pressable>
    </View>
  )
})
