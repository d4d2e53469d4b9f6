import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg'
import type { StopState } from '@jokulgale/core/diagnosis/strip'
import type { PartSymbol } from '@jokulgale/core/parts/kind'
import { usePalette } from '../../ui/theme'

export const conductorWidth = 56
const middle = conductorWidth / 2

/** Line of a stretch of conductor: live is one heavy line, dead two thin ones, unknown a row of dots. */
function Stretch({
  state,
  from,
  to,
}: {
  readonly state: StopState
  readonly from: number
  readonly to: number
}) {
  const palette = usePalette()
  if (state === 'live')
    return <Line x1={middle} x2={middle} y1={from} y2={to} stroke={palette.live} strokeWidth={6} />
  if (state === 'dead')
    return (
      <G>
        {[-3, 3].map((dx) => (
          <Line
            key={dx}
            x1={middle + dx}
            x2={middle + dx}
            y1={from}
            y2={to}
            stroke={palette.dead}
            strokeWidth={1.5}
          />
        ))}
      </G>
    )
  return (
    <Line
      x1={middle}
      x2={middle}
      y1={from}
      y2={to}
      stroke={palette.quiet}
      strokeWidth={4}
      strokeDasharray="1 9"
      strokeLinecap="round"
    />
  )
}

interface LeadRingProps {
  readonly lead: 'red' | 'black'
  readonly x: number
  readonly y: number
  readonly radius: number
}

/** A ring where a lead goes. */
export function LeadRing({ lead, x, y, radius }: LeadRingProps) {
  const palette = usePalette()
  return (
    <Circle
      cx={x}
      cy={y}
      r={radius}
      fill="none"
      stroke={lead === 'red' ? palette.wrong : palette.text}
      strokeWidth={3}
    />
  )
}

interface StopMarkProps {
  readonly state: StopState
  readonly above: StopState | null
  readonly below: StopState | null
  readonly height: number
  readonly lead: 'red' | 'black' | null
  readonly measured: boolean
}

/**
 * A stop on the conductor: filled when live, hollow when dead, small when not known; a ring where a lead
 * goes.
 */
export function StopMark({ state, above, below, height, lead, measured }: StopMarkProps) {
  const palette = usePalette()
  const y = height / 2
  return (
    <Svg width={conductorWidth} height={height} aria-hidden>
      {above ? <Stretch state={above} from={0} to={y} /> : null}
      {below ? <Stretch state={below} from={y} to={height} /> : null}
      {lead ? <LeadRing lead={lead} x={middle} y={y} radius={16} /> : null}
      {state === 'live' ? <Circle cx={middle} cy={y} r={9} fill={palette.live} /> : null}
      {state === 'dead' ? (
        <Rect
          x={middle - 8}
          y={y - 8}
          width={16}
          height={16}
          fill={palette.ground}
          stroke={palette.dead}
          strokeWidth={3}
        />
      ) : null}
      {state === 'unknown' ? (
        <Circle cx={middle} cy={y} r={6} fill={palette.ground} stroke={palette.quiet} strokeWidth={2} />
      ) : null}
      {measured ? (
        <Circle cx={middle} cy={y} r={3} fill={state === 'live' ? palette.onLive : palette.dead} />
      ) : null}
    </Svg>
  )
}

/** A part between two stops, by its ladder symbol turned to run down the page. */
export function PartMark({
  symbol,
  state,
  height,
}: {
  readonly symbol: PartSymbol
  readonly state: StopState
  readonly height: number
}) {
  const palette = usePalette()
  const y = height / 2
  const stroke = palette.text
  const gap = gaps[symbol] ?? 10
  return (
    <Svg width={conductorWidth} height={height} aria-hidden>
      <Stretch state={state} from={0} to={y - gap} />
      <Stretch state={state} from={y + gap} to={height} />
      <G stroke={stroke} strokeWidth={2} fill="none">
        {shape(symbol, y)}
      </G>
    </Svg>
  )
}

/** A part’s symbol turned to lie along a line that runs to the right, its middle at a place. */
export function LyingPart({
  symbol,
  x,
  y,
  color,
}: {
  readonly symbol: PartSymbol
  readonly x: number
  readonly y: number
  readonly color: string
}) {
  return (
    <G
      transform={`translate(${x} ${y}) rotate(-90) translate(${-middle} 0)`}
      stroke={color}
      strokeWidth={2}
      fill="none"
    >
      {shape(symbol, 0)}
    </G>
  )
}

/** How far a part’s symbol reaches from its middle. */
export const reachOf = (symbol: PartSymbol): number => gaps[symbol] ?? 10

const gaps: Partial<Record<PartSymbol, number>> = {
  coil: 12,
  motor: 12,
  valve: 12,
  lamp: 12,
  control: 12,
  terminal: 4,
  plug: 8,
  heater: 14,
}

function shape(symbol: PartSymbol, y: number) {
  switch (symbol) {
    case 'coil':
      return <Circle cx={middle} cy={y} r={12} />
    case 'motor':
      return (
        <G>
          <Circle cx={middle} cy={y} r={12} />
          <Path
            d={`M ${middle - 5} ${y + 5} V ${y - 5} L ${middle} ${y + 1} L ${middle + 5} ${y - 5} V ${y + 5}`}
          />
        </G>
      )
    case 'lamp':
      return (
        <G>
          <Circle cx={middle} cy={y} r={12} />
          <Path
            d={`M ${middle - 8} ${y - 8} L ${middle + 8} ${y + 8} M ${middle + 8} ${y - 8} L ${middle - 8} ${y + 8}`}
          />
        </G>
      )
    case 'fuse':
      return (
        <Path
          d={`M ${middle} ${y - 10} C ${middle + 12} ${y - 8} ${middle + 12} ${y} ${middle} ${y} C ${middle - 12} ${y} ${middle - 12} ${y + 8} ${middle} ${y + 10}`}
        />
      )
    case 'limit':
      return <Path d={`M ${middle} ${y + 10} L ${middle} ${y - 10} M ${middle} ${y} h 8 v 6 h 6`} />
    case 'pressure':
      return (
        <G>
          <Path d={`M ${middle} ${y + 10} L ${middle} ${y - 10} M ${middle} ${y} h 8`} />
          <Path d={`M ${middle + 8} ${y + 6} a 6 6 0 0 1 0 -12 z`} />
        </G>
      )
    case 'switch':
      return (
        <G>
          <Circle cx={middle} cy={y - 10} r={2} />
          <Circle cx={middle} cy={y + 10} r={2} />
          <Line x1={middle} y1={y + 10} x2={middle} y2={y - 10} />
        </G>
      )
    case 'heater':
      return <Path d={`M ${middle} ${y - 14} l 8 4 l -16 6 l 16 6 l -16 6 l 8 4`} />
    case 'valve':
      return (
        <Path
          d={`M ${middle - 10} ${y - 10} H ${middle + 10} L ${middle - 10} ${y + 10} H ${middle + 10} Z`}
        />
      )
    case 'plug':
      return <Path d={`M ${middle - 7} ${y - 8} l 7 8 l 7 -8 M ${middle - 7} ${y} l 7 8 l 7 -8`} />
    case 'jumper':
      return <Path d={`M ${middle} ${y - 10} c 14 2 14 18 0 20`} />
    case 'capacitor':
      return <Path d={`M ${middle - 10} ${y - 4} h 20 M ${middle - 10} ${y + 4} h 20`} />
    case 'control':
      return <Rect x={middle - 12} y={y - 12} width={24} height={24} rx={3} />
    case 'transformer':
      return (
        <Path
          d={`M ${middle - 4} ${y - 10} a 4 4 0 0 1 0 7 a 4 4 0 0 1 0 7 a 4 4 0 0 1 0 7 M ${middle + 4} ${y - 10} v 21`}
        />
      )
    default:
      return (
        <G>
          <Line x1={middle - 9} y1={y - 5} x2={middle + 9} y2={y - 5} />
          <Line x1={middle - 9} y1={y + 5} x2={middle + 9} y2={y + 5} />
        </G>
      )
  }
}
