import type { Diagram } from '../../diagram/diagram'
import type { BenchList, ListStep } from './checkList'

function fuseSteps(diagram: Diagram | null): readonly ListStep[] {
  const transformer = diagram ? [...diagram.parts.values()].find(({ kind }) => kind.fullLoadAmps) : undefined
  const full = transformer?.kind.fullLoadAmps?.(transformer.settings)
  const size = full === undefined ? 'full load of the transformer' : `${full.toFixed(2)} A, its full load`
  return [
    {
      id: 'hot',
      does: 'It is in the hot side of the secondary, first after the transformer',
      should: 'Nothing is fed ahead of it, and common is not fused.',
      wrong: 'What is fed ahead of it is not protected.',
    },
    {
      id: 'size',
      does: 'Its rating against the transformer',
      should: `Not above 1.67 times ${size}, unless the unit’s diagram says otherwise.`,
      wrong: 'It lets the transformer burn first.',
    },
    {
      id: 'holder',
      does: 'Its holder is insulated, fixed, and can be reached with the panel on its door switch',
      should: 'No bare end, no lead over an edge.',
      wrong: 'A loose holder is the next short.',
    },
    {
      id: 'inrush',
      does: 'Call everything that the unit has, one after another',
      should: 'It holds through each start.',
      wrong: 'It opens at a start: too small, of too quick a kind, or there is a short after all.',
    },
    {
      id: 'drawing',
      does: 'Draw it in, and label it with its rating',
      should: 'On the unit’s drawing and beside the holder.',
      wrong: 'The next one puts in what is in the van.',
    },
  ]
}

export const addedFuse: BenchList = {
  id: 'added-fuse',
  title: 'Added control fuse: wiring and proof',
  group: 'Commissioning',
  use: 'A control fuse is put in where none was fitted: in the right place, of the right size.',
  source: 'Order of NEC 430.72(C) and 450.3(B); the maker, the adopted edition and local code rule',
  caution: 'Isolated and proven dead while it is wired.',
  parts: () => [],
  steps: fuseSteps,
}
