import type { Part, Diagram, Rung, RungStop } from './diagram'

/** Values that stand without inverted commas; anything else would be read as something else. */
const plain = /^[A-Za-z][A-Za-z0-9/.-]*$/

const valueText = (value: number | string): string =>
  typeof value === 'number' || plain.test(value) ? String(value) : `"${value}"`

const settingsText = (settings: readonly (readonly [string, number | string, string?])[]): string =>
  settings.map(([name, value, mark = '']) => `${name} ${valueText(value)}${mark}`).join(', ')

const conditionsText = (conditions: Readonly<Record<string, number>>): string => {
  const text = settingsText(Object.entries(conditions))
  return text === '' ? '' : ` when ${text}`
}

/** What a part has that its kind does not have anyhow, and what nobody has read from its plate. */
function partText({ id, kind, words, zone, settings }: Part): string {
  const own = settings
    .entries()
    .filter(([name, value]) => kind.settings[name] !== value || settings.isUnread(name))
    .map(([name, value]) => [name, value, settings.isUnread(name) ? '?' : ''] as const)
  const text = settingsText(own)
  return `part ${id} ${kind.kind} "${words}" in ${zone}${text === '' ? '' : ` : ${text}`}`
}

function stopText({ wires }: Diagram, { point, by }: RungStop): string {
  if (by === 'start') return point
  if (by === 'part') return `= ${point}`
  const wire = wires.get(by.wire)
  if (!wire) throw new RangeError(`${by.wire} is in a rung and is no wire`)
  return `-${wire.color} ${wire.number}- ${point}`
}

const rungText = (diagram: Diagram, { words, wiring, chains }: Rung): readonly string[] => [
  `rung "${words}" ${wiring}`,
  ...chains.map((chain) => `  ${chain.map((stop) => stopText(diagram, stop)).join(' ')}`),
]

/**
 * A diagram as ladder text: read again it is the same diagram, but for the lines that things stand on. Comments and what
 * was written though it is usual are not in a diagram, and so not in its text.
 */
export function writeLadder(diagram: Diagram): string {
  const { id, title, unitClass, common, hot, board, plate, isolators } = diagram
  const lines = [
    `unit ${id} "${title}"`,
    ...(unitClass === '' ? [] : [`class ${unitClass}`]),
    ...(isolators.length === 0 ? [] : [`isolate ${isolators.join(', ')}`]),
    `common ${common}`,
    ...(hot === null ? [] : [`hot ${hot}`]),
    ...(board === null ? [] : [`board ${board}`]),
    ...(plate === null ? [] : [`plate ${plate}`]),
    ...diagram.calls.map((call) => `call ${call.id} "${call.words}"${conditionsText(call.conditions)}`),
    ...diagram.complaints.map(
      (each) =>
        `complaint ${each.id} "${each.words}" in ${each.calls.join(', ')}${each.means === 'any' ? '' : ` means ${each.means}`}`,
    ),
    ...[...diagram.zones.values()].map(
      ({ id, words, reachSeconds, on }) =>
        `zone ${id} "${words}" : reach ${reachSeconds}${on === null ? '' : `, on ${on}`}`,
    ),
    ...[...diagram.parts.values()].map(partText),
    ...diagram.rungs.flatMap((rung) => rungText(diagram, rung)),
    ...diagram.traces.map(({ call, words, from, to }) => `trace ${call} "${words}" : ${from} -> ${to}`),
    ...diagram.codes.map(({ part, code, words }) => `code ${part} "${code}" "${words}"`),
  ]
  return `${lines.join('\n')}\n`
}
