import { mostFuseShare } from '../physics/controlFuse'
import { callLoads } from './callLoads'
import { amps, ratedVolts, voltAmperes } from './inputs'
import { atParts, settingOf } from './unitPlaces'
import { benchTool, percent, shown } from './tool'

export const transformerLoad = benchTool({
  id: 'transformer-load',
  title: 'Transformer: load and fuse',
  group: 'Transformer',
  use: 'How full is the transformer in this call, and does its fuse protect it?',
  source: 'Full load = VA / secondary volts; fuse at most 1.67 × that, unless the diagram says otherwise',
  example: { rating: 40, secondary: 24, load: 1.1, fuse: 3 },
  inputs: { rating: voltAmperes('Rating'), secondary: ratedVolts('Rated secondary', 24) },
  extras: { load: amps('Secondary amps, measured'), fuse: amps('Control fuse') },
  places: (diagram) =>
    atParts(diagram, (part) =>
      part.kind.fullLoadAmps
        ? {
            readings: {},
            known: { rating: settingOf(part, 'va'), secondary: settingOf(part, 'secondary') },
            picture: callLoads(diagram, part),
          }
        : null,
    ),
  find: ({ rating, secondary, load, fuse }) => {
    const full = rating / secondary
    const isOverloaded = load !== undefined && load > full
    const isOpenFuse = fuse !== undefined && fuse > mostFuseShare * full
    return {
      level: isOverloaded || isOpenFuse ? 'act' : load !== undefined && load > 0.85 * full ? 'watch' : 'good',
      words: isOverloaded
        ? 'Overloaded in this call: something draws too much, or the transformer is too small.'
        : isOpenFuse
          ? `A ${fuse} A fuse does not protect it: the diagram decides, but above ${shown(mostFuseShare * full, 'A')} ask why.`
          : 'Within what it can bear.',
      lines: [
        { what: 'Full load', value: shown(full, 'A', 3) },
        { what: 'Fuse at most', value: shown(mostFuseShare * full, 'A', 2) },
        ...(load === undefined
          ? []
          : [{ what: 'Load', value: `${shown(load * secondary, 'VA')}, ${percent(load / full, 0)}` }]),
        ...(fuse === undefined
          ? []
          : [{ what: 'Fuse against full load', value: `${(fuse / full).toFixed(2)} ×` }]),
      ],
    }
  },
})
