import { memo, useMemo, useState } from 'react'
import { ScrollView } from 'react-native'
import Svg, { Circle, G, Line as Stroke, Rect, Text as SvgText } from 'react-native-svg'
import type { Stop, Strip } from '@jokulgale/core/diagnosis/strip'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import type { DrawnPoint, DrawnStretch } from '@jokulgale/core/diagram/drawnLadder'
import { ladderDrawing } from '@jokulgale/core/diagram/ladderDrawing'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { fonts, usePalette } from '../../ui/theme'
import { LeadRing, LyingPart, reachOf } from './Conductor'

interface WholeLadderProps {
  readonly diagram: Diagram
  /** What is known of the paths of the call that is set. */
  readonly strips: readonly Strip[]
  readonly red: string
  readonly black: string
  readonly onStop: (point: string) => void
}

const scales = [0.5, 0.7, 1, 1.4] as const

/**
 * The whole ladder at a desk: line part above, control part below, what is live and what was read on it;
 * panned and zoomed.
 */
export const WholeLadder = memo(function WholeLadder({
  diagram,
  strips,
  red,
  black,
  onStop,
}: WholeLadderProps) {
  const palette = usePalette()
  const [zoom, setZoom] = useState(2)
  const drawing = useMemo(() => ladderDrawing(diagram), [diagram])
  const known = useMemo(
    () => new Map(strips.flatMap(({ stops }) => stops.map((stop) => [stop.point, stop] as const))),
    [strips],
  )
  const scale = scales[zoom]
  return (
    <Stack gap="small" grows>
      <Line gap="small">
        <Press
          title="Smaller"
          disabled={zoom === 0}
          onPress={() => {
            setZoom(zoom - 1)
          }}
        />
        <Press
          title="Larger"
          disabled={zoom === scales.length - 1}
          onPress={() => {
            setZoom(zoom + 1)
          }}
        />
      </Line>
      <ScrollView horizontal style={{ borderWidth: 1, borderColor: palette.line, borderRadius: 10 }}>
        <ScrollView tabIndex={0} aria-label="Whole ladder, moved by scrolling">
          <Svg
            width={drawing.width * scale}
            height={drawing.height * scale}
            viewBox={`0 0 ${drawing.width} ${drawing.height}`}
            accessibilityLabel={`Ladder of ${diagram.title}`}
          >
            {drawing.sections.map(({ words, from, to }) => (
              <G key={words}>
                <Stroke
                  x1={drawing.left}
                  x2={drawing.left}
                  y1={from}
                  y2={to}
                  stroke={palette.text}
                  strokeWidth={2}
                />
                <Stroke
                  x1={drawing.right}
                  x2={drawing.right}
                  y1={from}
                  y2={to}
                  stroke={palette.text}
                  strokeWidth={2}
                />
                <SvgText
                  x={drawing.left + 12}
                  y={from + 14}
                  fontFamily={fonts.strong}
                  fontSize={16}
                  fill={palette.text}
                >
                  {words}
                </SvgText>
              </G>
            ))}
            {drawing.rungs.map(({ words, at }) => (
              <SvgText
                key={`${words} ${at[1]}`}
                x={at[0]}
                y={at[1]}
                fontFamily={fonts.text}
                fontSize={13}
                fill={palette.quiet}
              >
                {words}
              </SvgText>
            ))}
            {drawing.rails.map(({ point, side }) => (
              <Stroke
                key={`${side} ${point.at.join()}`}
                x1={side === 'left' ? drawing.left : point.at[0]}
                x2={side === 'left' ? point.at[0] : drawing.right}
                y1={point.at[1]}
                y2={point.at[1]}
                stroke={palette.quiet}
                strokeWidth={1.5}
              />
            ))}
            {drawing.stretches.map((stretch) => (
              <Stretch
                key={`${stretch.from.at.join()} ${stretch.to.point}`}
                stretch={stretch}
                known={known}
              />
            ))}
            {drawing.points.map((point) => (
              <Point
                key={`${point.point} ${point.at.join()}`}
                point={point}
                stop={known.get(point.point)}
                lead={point.point === red ? 'red' : point.point === black ? 'black' : null}
                onStop={onStop}
              />
            ))}
          </Svg>
        </ScrollView>
      </ScrollView>
    </Stack>
  )
})

interface StretchProps {
  readonly stretch: DrawnStretch
  readonly known: ReadonlyMap<string, Stop>
}

/** A wire or a part between two points: heavy where both ends are live, double where both are dead. */
function Stretch({ stretch: { from, to, by }, known }: StretchProps) {
  const palette = usePalette()
  const [x1, y] = from.at
  const [x2] = to.at
  const [a, b] = [known.get(from.point)?.state, known.get(to.point)?.state]
  const state = a === b ? (a ?? null) : null
  const look =
    state === 'live'
      ? { stroke: palette.live, strokeWidth: 5 }
      : { stroke: palette.quiet, strokeWidth: 1.5, ...(state === 'dead' ? { strokeDasharray: '6 3' } : {}) }
  const middle = (x1 + x2) / 2
  if (by.is === 'wire')
    return (
      <G>
        <Stroke x1={x1} x2={x2} y1={y} y2={y} {...look} />
        <SvgText x={x1 + 8} y={y - 6} fontFamily={fonts.text} fontSize={10} fill={palette.quiet}>
          {by.words}
        </SvgText>
      </G>
    )
  const reach = reachOf(by.symbol)
  return (
    <G>
      <Stroke x1={x1} x2={middle - reach} y1={y} y2={y} {...look} />
      <Stroke x1={middle + reach} x2={x2} y1={y} y2={y} {...look} />
      <LyingPart symbol={by.symbol} x={middle} y={y} color={palette.text} />
      <SvgText
        x={middle}
        y={y - 17}
        textAnchor="middle"
        fontFamily={fonts.strong}
        fontSize={12}
        fill={palette.text}
      >
        {by.part.id}
      </SvgText>
    </G>
  )
}

interface PointProps {
  readonly point: DrawnPoint
  readonly stop: Stop | undefined
  readonly lead: 'red' | 'black' | null
  readonly onStop: (point: string) => void
}

/** A test point with its terminal, its reading where there is one, and the lead that is asked for. */
function Point({ point: { point, at }, stop, lead, onStop }: PointProps) {
  const palette = usePalette()
  const [x, y] = at
  const read = stop?.measured?.words ?? ''
  return (
    <G
      onPress={() => {
        onStop(point)
      }}
    >
      {/* what a finger or a pointer hits is larger than what is drawn */}
      <Rect x={x - 22} y={y - 22} width={44} height={44} fill="transparent" />
      {lead ? <LeadRing lead={lead} x={x} y={y} radius={13} /> : null}
      <Circle
        cx={x}
        cy={y}
        r={5}
        fill={stop?.state === 'live' ? palette.live : palette.ground}
        stroke={stop?.state === 'live' ? palette.live : palette.text}
        strokeWidth={1.5}
      />
      <SvgText x={x} y={y + 19} textAnchor="middle" fontFamily={fonts.text} fontSize={10} fill={palette.text}>
        {point}
      </SvgText>
      {read === '' ? null : (
        <SvgText
          x={x}
          y={y + 31}
          textAnchor="middle"
          fontFamily={fonts.reading}
          fontSize={11}
          fill={stop?.contradicted ? palette.wrong : palette.text}
        >
          {read}
        </SvgText>
      )}
    </G>
  )
}
