import { scaleLinear, scaleTime } from 'd3-scale'
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg'
import type { Series } from '@jokulgale/core/visit/unitHistory'
import { monthWords } from '../../ui/days'
import { Stack } from '../../ui/Stack'
import { fonts, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'

const size = { width: 340, height: 96, left: 46, right: 12, top: 10, bottom: 22 } as const

const airShare = 0.2
/** Room beside the first and the last mark. */
const inset = 14

/** A value over the visits, with what was expected then; in words for those who hear it. */
export function SeriesPlot({ series: { what, unit, points } }: { readonly series: Series }) {
  const palette = usePalette()
  const [first] = points
  const last = points[points.length - 1]
  const all = points.flatMap(({ value, expected }) => (expected === null ? [value] : [value, expected]))
  const x = scaleTime(
    [new Date(first.wallMs), new Date(last.wallMs)],
    [size.left + inset, size.width - size.right - inset],
  )
  // air above and below, so that no mark lies on the edge
  const air = airShare * (Math.max(...all) - Math.min(...all) || Math.abs(first.value))
  const y = scaleLinear(
    [Math.min(...all) - air, Math.max(...all) + air],
    [size.height - size.bottom, size.top],
  ).nice(3)
  const at = points.map(({ wallMs, value, expected }) => ({
    x: x(new Date(wallMs)),
    y: y(value),
    expected: expected === null ? null : y(expected),
  }))
  const words = points.map(({ wallMs, value }) => `${value} ${unit} in ${monthWords(wallMs)}`).join(', ')
  return (
    <Stack gap="hair">
      <Words size="small" strong>{`${what}: ${first.value} → ${last.value} ${unit}`}</Words>
      <Svg
        width="100%"
        height={size.height}
        viewBox={`0 0 ${size.width} ${size.height}`}
        accessibilityLabel={`${what}: ${words}`}
      >
        {y.ticks(3).map((tick) => (
          <Line
            key={tick}
            x1={size.left}
            x2={size.width - size.right}
            y1={y(tick)}
            y2={y(tick)}
            stroke={palette.line}
          />
        ))}
        {y.ticks(3).map((tick) => (
          <SvgText
            key={tick}
            x={size.left - 6}
            y={y(tick) + 4}
            fontSize={11}
            fontFamily={fonts.text}
            fill={palette.quiet}
            textAnchor="end"
          >
            {`${tick}`}
          </SvgText>
        ))}
        {at.map(({ x: cx, expected }) =>
          expected === null ? null : (
            <Line
              key={cx}
              x1={cx - 8}
              x2={cx + 8}
              y1={expected}
              y2={expected}
              stroke={palette.quiet}
              strokeWidth={2}
              strokeDasharray="3 2"
            />
          ),
        )}
        <Path
          d={at.map((point, k) => `${k === 0 ? 'M' : 'L'} ${point.x} ${point.y}`).join(' ')}
          stroke={palette.accent}
          strokeWidth={2}
          fill="none"
        />
        {at.map((point) => (
          <Circle key={point.x} cx={point.x} cy={point.y} r={4} fill={palette.accent} />
        ))}
        {[first, last].map(({ wallMs }, k) => (
          <SvgText
            key={k}
            x={k === 0 ? size.left : size.width - size.right}
            y={size.height - 6}
            fontSize={11}
            fontFamily={fonts.text}
            fill={palette.quiet}
            textAnchor={k === 0 ? 'start' : 'end'}
          >
            {monthWords(wallMs)}
          </SvgText>
        ))}
      </Svg>
    </Stack>
  )
}
