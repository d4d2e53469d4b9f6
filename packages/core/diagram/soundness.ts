import type { Part, Wire } from './diagram'
import { endOf } from './endOf'
import { Joined } from './joined'

/**
 * What is wired so that no circuit could be meant by it: legs of a supply joined by bare conductors, sections
 * that nothing feeds.
 */
export function unsoundWiring(
  parts: Iterable<Part>,
  wires: Iterable<Wire>,
): readonly { readonly line: number; readonly message: string }[] {
  const all = [...parts]
  const wired = [...wires]
  return [...supplyShorts(all, wired), ...floatingSections(all, wired)]
}

function supplyShorts(
  parts: readonly Part[],
  wires: readonly Wire[],
): readonly { line: number; message: string }[] {
  const bare = new Joined()
  for (const part of parts)
    for (const branch of part.kind.branches(part.settings, {}))
      if (branch.role === 'conductor' && branch.name !== 'neutral')
        bare.join(endOf(part.id, branch.from), endOf(part.id, branch.to))
  const sources = parts.flatMap((part) =>
    part.kind
      .branches(part.settings, {})
      .filter(({ role }) => role === 'source')
      .map(({ from }) => endOf(part.id, from)),
  )
  const problems: { line: number; message: string }[] = []
  for (const wire of wires) {
    const before = new Set(sources.map((source) => bare.find(source)))
    const earthed = sources.some((source) => bare.find(source) === bare.find('EARTH'))
    bare.join(wire.from, wire.to)
    const after = new Set(sources.map((source) => bare.find(source)))
    const nowEarthed = sources.some((source) => bare.find(source) === bare.find('EARTH'))
    if (after.size < before.size)
      problems.push({
        line: wire.line,
        message: `${wire.id}: joins two legs of the supply with nothing between; take it out or put its load in`,
      })
    else if (nowEarthed && !earthed)
      problems.push({
        line: wire.line,
        message: `${wire.id}: puts a leg of the supply on the metal of the unit; take it out or move it`,
      })
  }
  return problems
}

function floatingSections(
  parts: readonly Part[],
  wires: readonly Wire[],
): readonly { line: number; message: string }[] {
  const sections = new Joined()
  for (const part of parts)
    for (const { name } of part.kind.terminals(part.settings)) sections.join(`${part.id}.${name}`, part.id)
  for (const wire of wires) sections.join(wire.from, wire.to)
  const fed = new Set(parts.filter(({ kind }) => kind.symbol === 'source').map(({ id }) => sections.find(id)))
  const lone = new Map<string, Part[]>()
  for (const part of parts) {
    if (part.kind.terminals(part.settings).length === 0) continue
    const section = sections.find(part.id)
    if (!fed.has(section)) lone.set(section, [...(lone.get(section) ?? []), part])
  }
  return [...lone.values()].map((section) => ({
    line: section[0].line,
    message: `${section.map(({ id }) => id).join(', ')}: nothing joins this to the supply; wire it in or take it out`,
  }))
}
