import { memo, useState } from 'react'
import { shallowEqual } from 'react-redux'
import { Pressable, StyleSheet, View } from 'react-native'
import type { Stop, StopState, Strip } from '@jokulgale/core/diagnosis/strip'
import { provenBefore } from '@jokulgale/core/diagnosis/provenStops'
import type { PartSymbol } from '@jokulgale/core/parts/kind'
import { Icon } from '../../ui/Icon'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { useLow } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { space, target, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { conductorWidth, PartMark, StopMark } from './Conductor'

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', minHeight: target, gap: space.small },
})

interface StripViewProps {
  readonly strip: Strip
  readonly startsOpen: boolean
  /** Stops behind the search are shown as one line. */
  readonly folds: boolean
  readonly red: string
  readonly black: string
  readonly onStop: (point: string) => void
}

/** Heights of a stop and of the part above it, dp; a low screen shows more of them. */
const heights = { usual: { stop: 64, part: 46 }, low: { stop: target, part: 18 } } as const

/** A reading in a row of a low screen. */
const lowReading = { fontSize: 22, lineHeight: 26 } as const

/** One path of the call, running down from source to load and back to common. */
export function StripView({ strip, startsOpen, folds, red, black, onStop }: StripViewProps) {
  const palette = usePalette()
  const low = useLow()
  // whoever opens or folds it has the last word
  const [chosen, setChosen] = useState<boolean | null>(null)
  const open = chosen ?? startsOpen
  const [unfolded, setUnfolded] = useState(false)
  const { stops } = strip
  const folded = unfolded || !folds ? 0 : provenBefore(stops, [red, black])
  return (
    <View>
      <Pressable
        accessibilityRole="button"
        aria-expanded={open}
        onPress={() => {
          setChosen(!open)
        }}
        style={styles.head}
      >
        <Icon name={open ? 'chevron-down' : 'chevron-right'} color={palette.quiet} size={20} />
        <Words strong role="heading" aria-level={2} grows>
          {strip.words}
        </Words>
        <Words size="small" quiet>{`${stops.length} stops`}</Words>
      </Pressable>
      {open && folded > 0 ? (
        <Press
          kind="quiet"
          title={`${stops[0].point} to ${stops[folded - 1].point}: ${folded} stops before a live one`}
          onPress={() => {
            setUnfolded(true)
          }}
        />
      ) : null}
      {open
        ? stops
            .slice(folded)
            .map((stop, k) => (
              <StopRow
                key={stop.point}
                row={rowOf(stops, folded + k)}
                low={low}
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
    measured: stop.measured?.words ?? '',
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

interface StopRowProps {
  readonly row: Row
  /** The screen is low: rows are as small as a finger allows. */
  readonly low: boolean
  readonly lead: 'red' | 'black' | null
  readonly onStop: (point: string) => void
}

/** The element of a stop on the page, to bring it into view. */
export const stopElement = (point: string): string => `stop-${point}`

const stateWords = { live: 'live', dead: 'dead', unknown: 'not known' } as const

const isDrawnAlready = (before: StopRowProps, now: StopRowProps): boolean =>
  before.low === now.low &&
  before.lead === now.lead &&
  before.onStop === now.onStop &&
  shallowEqual(before.row, now.row)

const StopRow = memo(function StopRow({ row, lead, low, onStop }: StopRowProps) {
  const { point, state, contradicted, measured, expected, under, part, symbol, above, below } = row
  const height = low ? heights.low : heights.usual
  const lines = low ? 1 : 2
  const palette = usePalette()
  const said = `${point}, ${stateWords[state]}, should read ${expected} volts${measured ? `, read ${measured}` : ''}${contradicted ? ', not as it should' : ''}${lead ? `, ${lead} lead goes here` : ''}`
  return (
    <View>
      {symbol ? (
        <Line align="center">
          <PartMark symbol={symbol} state={above ?? 'unknown'} height={height.part} />
          <Words size="small" quiet grows numberOfLines={lines}>
            {part}
          </Words>
        </Line>
      ) : null}
      <Pressable
        nativeID={stopElement(point)}
        accessibilityRole="button"
        accessibilityLabel={said}
        onPress={() => {
          onStop(point)
        }}
        style={{ flexDirection: 'row', alignItems: 'center', minHeight: height.stop }}
      >
        <StopMark
          state={state}
          above={above}
          below={below}
          height={height.stop}
          lead={lead}
          measured={measured !== ''}
        />
        <View style={{ flex: 1, minWidth: conductorWidth }}>
          <Words strong>{point}</Words>
          <Words size="small" quiet numberOfLines={lines}>
            {under}
          </Words>
        </View>
        <Stack align="flex-end">
          {measured ? (
            <Words
              size="reading"
              style={low ? lowReading : undefined}
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
        </Stack>
      </Pressable>
    </View>
  )
}, isDrawnAlready)
