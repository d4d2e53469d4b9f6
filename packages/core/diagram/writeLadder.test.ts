import { families } from '../families/index'
import { pairwiseMembers } from '../families/pairwise'
import { builtInUnitIds, builtInUnitText } from '../units/index'
import type { Diagram } from './diagram'
import { readLadder } from './readLadder'
import { writeLadder } from './writeLadder'

/** Everything about a diagram but the lines of its text. */
function saidBy(diagram: Diagram): unknown {
  const withoutLine = <T extends object>(thing: T): object =>
    Object.fromEntries(Object.entries(thing).filter(([name]) => name !== 'line' && name !== 'is'))
  return {
    ...diagram,
    zones: [...diagram.zones.values()],
    wires: [...diagram.wires.values()].map(withoutLine),
    points: [...diagram.points.values()],
    traces: diagram.traces.map(withoutLine),
    codes: diagram.codes.map(withoutLine),
    parts: [...diagram.parts.values()].map(({ id, kind, words, zone, settings }) => ({
      id,
      kind: kind.kind,
      words,
      zone,
      settings: settings.entries().map(([name, value]) => [name, value, settings.isUnread(name)]),
    })),
  }
}

const texts = [
  ...builtInUnitIds.map((id) => [id, builtInUnitText(id)] as const),
  ...families
    .map(({ read }) => read())
    .flatMap((family) =>
      pairwiseMembers(family)
        .filter((_, k) => k % 4 === 0)
        .map(
          (chosen) => [`${family.id} ${Object.values(chosen).join(' ')}`, family.ladderOf(chosen)] as const,
        ),
    ),
]

test.each(texts)('%s: read, written and read again it is the same', (_, text) => {
  const diagram = readLadder(text)
  const written = writeLadder(diagram)
  expect(saidBy(readLadder(written))).toEqual(saidBy(diagram))
  // and writing it again changes nothing more
  expect(writeLadder(readLadder(written))).toBe(written)
})

test('what nobody has read from a plate, and texts that look like numbers, stay what they are', () => {
  const text = builtInUnitText('split-heat-pump').replace('volts 208, amps 1.4', 'volts 208, amps 1.4?')
  const written = writeLadder(readLadder(text))
  expect(written).toContain('amps 1.4?')
  expect(written).toContain('bars "1"')
})
