import { microns, minutes } from './inputs'
import { benchTool, shown } from './tool'

/** Dry enough to shut the pump off, and what it may rise to while it stands. */
const dryMicrons = 500
const mayRiseTo = 1000
/** Before so long a rise says nothing. */
const leastMinutes = 10
/** Water boils off and levels out below this; a leak does not level out. */
const waterMicrons = 4000

export const evacuation = benchTool({
  id: 'evacuation',
  title: 'Evacuation, standing test',
  group: 'Air and refrigerant',
  use: 'Pump shut off, valve to it closed: is the system tight and dry?',
  caution: 'Never measure insulation on a compressor under vacuum, and never start it.',
  source: 'Practice of the trade: to 500 microns, below 1,000 after ten minutes shut off',
  example: { began: 500, stood: 900, time: 10 },
  inputs: {
    began: microns('When the pump was shut off'),
    stood: microns('After standing'),
    time: minutes('It stood for'),
  },
  check: ({ began, stood }) =>
    stood < began ? [{ input: 'stood', message: 'it cannot fall with the pump shut off' }] : [],
  find: ({ began, stood, time }) => {
    const lines = [
      { what: 'Rise', value: shown(stood - began, 'microns', 0) },
      { what: 'A minute', value: shown((stood - began) / time, 'microns', 0) },
    ]
    if (began > dryMicrons)
      return { level: 'watch', words: `Pump on: it began above ${dryMicrons} microns.`, lines }
    if (stood > waterMicrons) return { level: 'act', words: 'A leak: it rises without end.', lines }
    if (stood > mayRiseTo)
      return { level: 'act', words: 'Wet, or a small leak: break it with nitrogen and pump again.', lines }
    if (time < leastMinutes)
      return { level: 'watch', words: `Let it stand for ${leastMinutes} minutes.`, lines }
    return { level: 'good', words: 'Tight and dry.', lines }
  },
})
