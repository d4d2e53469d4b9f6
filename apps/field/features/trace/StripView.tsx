import { memo, useState } from 'react'
import { Pressable, View } from 'react-native'
import type { Stop, StopState, Strip } from '@jokulgale/core/diagnosis/strip'
import type { PartSymbol } from '@jokulgale/core/parts/kind'
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
      <Pressable
        accessibilityRole="button"
        aria-expanded={open}
        onPress={() => {
          setOpen(!open)
        }}
        style={{ flexDirection: 'row', alignItems: 'center', minHeight: target, gap: space.small }}
      >
        <Icon name={open ? 'chevron-down' : 'chevron-right'} color={palette.quiet} size={20} />
        <Words strong role="heading" aria-level={2} style={{ flex: 1 }}>
          {strip.words}
        </Words>
        <Words size="small" quiet>{`${stops.length} stops`}</Words>
      </Pressable>
      {open
        ? stops.map((stop, k) => (
            <StopRow
              key={stop.point}
              {...rowOf(stops, k)}
              lead={stop.point === red ? 'red' : stop.point === black ? 'black' : null}
              onStop={onStop}
            />
          ))
        : null}
    </View>
  )
}

/**
 * A stop as its row shows it. All plain values: of a new briefing only the rows that say something else are
 * drawn again.
 */
interface Row extends Pick<Stop, 'point' | 'state' | 'contradicted'> {
  readonly measured: string
  readonly expected: string
  /** The wire that leads here, or nothing; and the section, where it is another than above. */
  readonly under: string
  readonly part: string
  readonly symbol: PartSymbol | null
  /** State of the conductor to the stop above and to the one below; null at an end. */
  readonly above: StopState | null
  readonly below: StopState | null
}

const between = (stop: Stop, other: Stop | undefined): StopState | null =>
  other ? (other.state === stop.state ? stop.state : 'unknown') : null

function rowOf(stops: readonly Stop[], k: number): Row {
  const stop = stops[k]
  const { point, state, contradicted, by, zone } = stop
  return {
    point,
    state,
    contradicted,
    measured: stop.measured === null ? '' : `${stop.measured.toFixed(1)} V`,
    expected: stop.expected.toFixed(1),
    under: [by.is === 'wire' ? `${by.color} ${by.number}` : '', zone === stops[k - 1]?.zone ? '' : zone]
      .filter(Boolean)
      .join(' · '),
    part: by.is === 'part' ? `${by.part}  ${by.words}` : '',
    symbol: by.is === 'part' ? by.symbol : null,
    above: between(stop, stops[k - 1]),
    below: between(stop, stops[k + 1]),
  }
}

interface StopRowProps extends Row {
  readonly lead: 'red' | 'black' | null
  readonly onStop: (point: string) => void
}

/** The element of a stop on the page, to bring it into view. */
export const stopElement = (point: string): string => `stop-${point}`

const stateWords = { live: 'live', dead: 'dead', unknown: 'not known' } as const

const StopRow = memo(function StopRow({
  point,
  state,
  contradicted,
  measured,
  expected,
  under,
  part,
  symbol,
  above,
  below,
  lead,
  onStop,
}: StopRowProps) {
  const palette = usePalette()
  const said = `${point}, ${stateWords[state]}, should read ${expected} volts${measured ? `, read ${measured}` : ''}${contradicted ? ', not as it should' : ''}${lead ? `, ${lead} lead goes here` : ''}`
  return (
    <View>
      {symbol ? (
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <PartMark symbol={symbol} state={above ?? 'unknown'} height={partHeight} />
          <Words size="small" quiet style={{ flex: 1 }} numberOfLines={2}>
            {part}
          </Words>
        </View>
      ) : null}
      <Pressable
        nativeID={stopElement(point)}
        accessibilityRole="button"
        accessibilityLabel={said}
        onPress={() => {
          onStop(point)
        }}
        style={{ flexDirection: 'row', alignItems: 'center', minHeight: stopHeight }}
      >
        <StopMark
          state={state}
          above={above}
          below={below}
          height={stopHeight}
          lead={lead}
          measured={measured !== ''}
        />
        <View style={{ flex: 1, minWidth: conductorWidth }}>
          <Words strong style={{ fontFamily: fonts.strong }}>
            {point}
          </Words>
          <Words size="small" quiet numberOfLines={2}>
            {under}
          </Words>
        </View>
        <View style={{ alignItems: 'flex-end' }}>
          {measured ? (
            <Words
              size="reading"
              color={contradicted ? palette.wrong : state === 'live' ? palette.live : palette.dead}
            >
              {measured}
            </Words>
          ) : (
            <Words
              size="small"
              color={state === 'live' ? palette.live : palette.quiet}
              strong={state !== 'unknown'}
            >
              {stateWords[state]}
            </Words>
          )}
          <Words size="small" quiet>{`${contradicted ? '≠ ' : ''}should ${expected} V`}</Words>
        </View>
      </Pressable>
    </View>
  )
})
