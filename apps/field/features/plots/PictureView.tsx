import { scaleLinear } from 'd3-scale'
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg'
import type { Picture } from '@jokulgale/core/bench/picture'
import { fonts, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { Stack } from '../../ui/Stack'

type Of<I extends Picture['is']> = Extract<Picture, { readonly is: I }>
type Point = readonly [x: number, y: number]

const size = { width: 340, height: 220, left: 40, right: 44, top: 14, bottom: 34 } as const

/** What a tool draws, with its words for those who hear it. */
export function PictureView({ picture }: { readonly picture: Picture }) {
  return (
    <Stack gap="hair">
      <Words size="small" quiet>
        {picture.words}
      </Words>
      <Drawn picture={picture} />
    </Stack>
  )
}

function Drawn({ picture }: { readonly picture: Picture }) {
  switch (picture.is) {
    case 'arrows':
      return <Arrows picture={picture} />
    case 'bars':
      return <Bars picture={picture} />
    case 'chart':
      return <Chart picture={picture} />
  }
}

/** Lines from point to point, with the same scale both ways, each with its words at its middle. */
function Arrows({ picture: { words, arrows } }: { readonly picture: Of<'arrows'> }) {
  const palette = usePalette()
  const points = arrows.flatMap(({ from, to }) => [from, to])
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  const span = Math.max(Math.max(...xs) - Math.min(...xs), 1.6 * (Math.max(...ys) - Math.min(...ys)), 1e-9)
  const scale = (size.width - 2 * size.right) / span
  const left = (size.width - scale * (Math.max(...xs) - Math.min(...xs))) / 2
  const at = ([x, y]: Point): Point => [
    left + scale * (x - Math.min(...xs)),
    size.height - size.bottom - scale * (y - Math.min(...ys)),
  ]
  return (
    <Svg
      width="100%"
      height={size.height}
      viewBox={`0 0 ${size.width} ${size.height}`}
      accessibilityLabel={`${words}: ${arrows.map((arrow) => arrow.words).join(', ')}`}
    >
      {arrows.map(({ words: said, from, to }, k) => {
        const [a, b] = [at(from), at(to)]
        const label: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2 + (k === 0 ? 20 : -6)]
        return [
          <Line
            key={`${said} line`}
            x1={a[0]}
            y1={a[1]}
            x2={b[0]}
            y2={b[1]}
            stroke={palette.live}
            strokeWidth={3}
          />,
          <Circle key={`${said} end`} cx={b[0]} cy={b[1]} r={4} fill={palette.text} />,
          <SvgText
            key={`${said} words`}
            x={label[0]}
            y={label[1]}
            textAnchor={k === 0 ? 'middle' : k === 1 ? 'start' : 'end'}
            dx={k === 0 ? 0 : k === 1 ? 8 : -8}
            fontFamily={fonts.reading}
            fontSize={12}
            fill={palette.text}
          >
            {said}
          </SvgText>,
        ]
      })}
    </Svg>
  )
}

/** Curves of two quantities, and the points that were given. */
function Chart({ picture: { words, across, up, curves, points } }: { readonly picture: Of<'chart'> }) {
  const palette = usePalette()
  const x = scaleLinear([across.least, across.most], [size.left, size.width - size.right])
  const y = scaleLinear([up.least, up.most], [size.height - size.bottom, size.top])
  const drawn = (line: readonly Point[]): string =>
    line.map(([a, b], k) => `${k === 0 ? 'M' : 'L'}${x(a).toFixed(1)} ${y(b).toFixed(1)}`).join('')
  const text = { fontFamily: fonts.text, fontSize: 11, fill: palette.quiet } as const
  const said = points.map((point) => `${point.words} ${Math.round(point.at[0])} ${across.words}`).join(', ')
  return (
    <Svg
      width="100%"
      height={size.height}
      viewBox={`0 0 ${size.width} ${size.height}`}
      accessibilityLabel={`${words}: ${said}`}
    >
      {x.ticks(5).map((tick) => (
        <Line
          key={`x ${tick}`}
          x1={x(tick)}
          x2={x(tick)}
          y1={size.top}
          y2={size.height - size.bottom}
          stroke={palette.line}
        />
      ))}
      {x.ticks(5).map((tick) => (
        <SvgText
          key={`x words ${tick}`}
          x={x(tick)}
          y={size.height - size.bottom + 14}
          textAnchor="middle"
          {...text}
        >
          {String(tick)}
        </SvgText>
      ))}
      <SvgText x={size.width - size.right} y={size.height - 4} textAnchor="end" {...text}>
        {across.words}
      </SvgText>
      <SvgText x={size.left} y={size.top - 3} textAnchor="start" {...text}>
        {up.words}
      </SvgText>
      {curves.map((curve) => (
        <Path
          key={curve.words}
          d={drawn(curve.points)}
          stroke={palette.quiet}
          strokeWidth={1.5}
          fill="none"
        />
      ))}
      {curves.map((curve) => {
        const [last] = curve.points.slice(-1)
        return (
          <SvgText key={`${curve.words} words`} x={x(last[0]) + 4} y={y(last[1]) + 4} {...text}>
            {curve.words}
          </SvgText>
        )
      })}
      {points.map((point) => (
        <Circle key={point.words} cx={x(point.at[0])} cy={y(point.at[1])} r={6} fill={palette.accent} />
      ))}
      {points.map((point) => (
        <SvgText
          key={`${point.words} words`}
          x={x(point.at[0])}
          y={y(point.at[1]) - 10}
          textAnchor="middle"
          fontFamily={fonts.strong}
          fontSize={12}
          fill={palette.text}
        >
          {point.words}
        </SvgText>
      ))}
    </Svg>
  )
}

const bar = { step: 40, thick: 12, below: 24 } as const

/** Bars under each other, what stands within what is reached for a moment, against their limit. */
function Bars({ picture: { words, unit, limit, bars } }: { readonly picture: Of<'bars'> }) {
  const palette = usePalette()
  const most = Math.max(limit, ...bars.map(({ peaks }) => peaks))
  const x = scaleLinear([0, most], [0, size.width - size.right])
  const height = bar.step * bars.length + bar.below
  const told = bars.map(({ words: said, holds, peaks }) => ({
    said,
    numbers: `${Math.round(holds)} ${unit}, up to ${Math.round(peaks)}`,
    holds,
    peaks,
  }))
  const text = { fontFamily: fonts.text, fontSize: 12, fill: palette.text } as const
  return (
    <Svg
      width="100%"
      height={height}
      viewBox={`0 0 ${size.width} ${height}`}
      accessibilityLabel={`${words}: ${told.map(({ said, numbers }) => `${said} ${numbers}`).join('; ')}; limit ${limit} ${unit}`}
    >
      {told.map(({ said, numbers, holds, peaks }, k) => [
        <SvgText key={`${said} words`} x={0} y={k * bar.step + 12} {...text}>
          {`${said}: ${numbers}`}
        </SvgText>,
        <Rect
          key={`${said} peak`}
          x={0}
          y={k * bar.step + 18}
          width={x(peaks)}
          height={bar.thick}
          fill="none"
          stroke={palette.quiet}
        />,
        <Rect
          key={`${said} holds`}
          x={0}
          y={k * bar.step + 18}
          width={x(holds)}
          height={bar.thick}
          fill={holds > limit ? palette.wrong : palette.accent}
        />,
      ])}
      {told.map(({ said }, k) => (
        // beside the bars alone: through the words it could not be read
        <Line
          key={`${said} limit`}
          x1={x(limit)}
          x2={x(limit)}
          y1={k * bar.step + 15}
          y2={k * bar.step + 21 + bar.thick}
          stroke={palette.text}
          strokeWidth={2}
        />
      ))}
      <SvgText x={x(limit)} y={height - 6} textAnchor="end" {...text}>
        {`rated ${limit} ${unit}`}
      </SvgText>
    </Svg>
  )
}
