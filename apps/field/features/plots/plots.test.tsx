import { screen } from '@testing-library/react-native'
import type { Series } from '@jokulgale/core/visit/unitHistory'
import { renderInApp } from '../testApp'
import { PictureView, SeriesPlot } from './index'

const month = (m: number): number => Date.UTC(2026, m, 15)

/** Where the marks of what is drawn stand. */
const marks = (): readonly { readonly x: number; readonly y: number }[] =>
  screen.root
    .findAll(({ type }) => String(type) === 'RNSVGCircle')
    .map(({ props }) => ({ x: Number(props.cx), y: Number(props.cy) }))

describe('a value over the visits', () => {
  const amps: Series = {
    what: 'Compressor 1',
    unit: 'A',
    points: [
      { wallMs: month(0), value: 15.7, expected: 15.6 },
      { wallMs: month(3), value: 16.1, expected: 15.6 },
      { wallMs: month(9), value: 18.2, expected: null },
    ],
  } as Series

  test('is said in words, from the first to the last', () => {
    renderInApp(<SeriesPlot series={amps} />)
    expect(screen.getByText('Compressor 1: 15.7 → 18.2 A')).toBeTruthy()
    expect(screen.getByLabelText(/15\.7 A in .*, 16\.1 A in .*, 18\.2 A in /)).toBeTruthy()
  })

  test('later stands further right, more stands higher, and time is to scale', () => {
    renderInApp(<SeriesPlot series={amps} />)
    const [first, second, third] = marks()
    expect(second.y).toBeLessThan(first.y)
    expect(third.y).toBeLessThan(second.y)
    const share = (month(3) - month(0)) / (month(9) - month(0))
    expect((second.x - first.x) / (third.x - first.x)).toBeCloseTo(share, 2)
  })

  test('one that never changes is drawn all the same', () => {
    renderInApp(
      <SeriesPlot
        series={{ ...amps, points: amps.points.map((point) => ({ ...point, value: 15.6, expected: 15.6 })) }}
      />,
    )
    expect(marks().every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true)
  })
})

describe('what a tool draws is said in words too', () => {
  test('arrows', () => {
    renderInApp(
      <PictureView
        picture={{
          is: 'arrows',
          words: 'Two halves of the secondary',
          arrows: [
            { words: '12.8 V', from: [0, 0], to: [12.8, 0] },
            { words: '12.7 V', from: [12.8, 0], to: [25.5, 0] },
          ],
        }}
      />,
    )
    expect(screen.getByLabelText('Two halves of the secondary: 12.8 V, 12.7 V')).toBeTruthy()
  })

  test('bars, with the limit that they stand against', () => {
    renderInApp(
      <PictureView
        picture={{
          is: 'bars',
          words: 'Load of the transformer',
          unit: 'VA',
          limit: 40,
          bars: [
            { words: 'Cooling', holds: 22.4, peaks: 61 },
            { words: 'Heating', holds: 46, peaks: 75 },
          ],
        }}
      />,
    )
    expect(
      screen.getByLabelText(
        'Load of the transformer: Cooling 22 VA, up to 61; Heating 46 VA, up to 75; limit 40 VA',
      ),
    ).toBeTruthy()
    const widths = screen.root
      .findAll(({ type }) => String(type) === 'RNSVGRect')
      .map(({ props }) => Number(props.width))
    // what holds within what is reached, both to the same scale
    expect(widths[0] / widths[1]).toBeCloseTo(61 / 22.4, 3)
    expect(widths[3] / widths[1]).toBeCloseTo(46 / 22.4, 3)
  })

  test('a chart, with the points that were given', () => {
    renderInApp(
      <PictureView
        picture={{
          is: 'chart',
          words: 'Outdoor and return air',
          across: { words: '°F', least: 40, most: 100 },
          up: { words: 'grains', least: 0, most: 140 },
          curves: [
            {
              words: '50 %',
              points: [
                [40, 20],
                [100, 140],
              ],
            },
          ],
          points: [{ words: 'outdoor', at: [71.6, 60] }],
        }}
      />,
    )
    expect(screen.getByLabelText('Outdoor and return air: outdoor 72 °F')).toBeTruthy()
    expect(marks()).toHaveLength(1)
  })
})
