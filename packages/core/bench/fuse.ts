import { openingSeconds } from '../physics/fuseTimes'
import { amps, fuseAmps } from './inputs'
import { atParts, settingOf } from './unitPlaces'
import { benchTool, shown } from './tool'

export const fuse = benchTool({
  id: 'fuse',
  title: 'How long does this fuse hold?',
  group: 'Transformer',
  use: 'A small fuse goes after a while: what current opens it in that time?',
  source: 'Blade and small cartridge fuses (ISO 8820-3), the middle of their range',
  example: { rating: 3, load: 6 },
  inputs: { rating: fuseAmps('Fuse'), load: amps('Current') },
  places: (diagram) =>
    atParts(diagram, (part) =>
      part.kind.opensAs?.(part.settings) === 'fuse'
        ? { readings: {}, known: { rating: settingOf(part, 'amps') } }
        : null,
    ),
  find: ({ rating, load }) => {
    const multiple = load / rating
    const seconds = openingSeconds('fuse', multiple)
    const lines = [{ what: 'Current against rating', value: `${multiple.toFixed(2)} ×` }]
    return seconds === Infinity
      ? { level: multiple > 1 ? 'watch' : 'good', words: 'It holds: not sure to open within minutes.', lines }
      : { level: 'act', words: `It opens in about ${shown(seconds, 's', seconds < 10 ? 2 : 0)}.`, lines }
  },
})
