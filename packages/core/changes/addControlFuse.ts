import type { Diagram, Part } from '../diagram/diagram'
import { insertPart, problem, throughKinds, type LadderEdit } from '../diagram/editLadder'
import { freeName } from '../diagram/freeName'
import { controlFuses } from '../diagram/roles'
import { wireAt } from '../diagram/wireAt'
import { partKinds } from '../parts/index'
import { mostFuseShare } from '../physics/controlFuse'

/** Sizes that a small fuse is made in, amps. */
const sizes = [1, 2, 3, 4, 5, 7, 10, 15] as const
const words = 'Control fuse'

/** Transformers whose secondary no fuse protects yet. */
export const unfusedTransformers = (diagram: Diagram): readonly Part[] =>
  controlFuses(diagram).length > 0 ? [] : [...diagram.parts.values()].filter(({ kind }) => kind.fullLoadAmps)

/** A fuse in the hot lead of a transformer's secondary, as large as protects it. */
export function addControlFuse(text: string, diagram: Diagram, transformer: Part): LadderEdit {
  const { id, kind, settings, zone } = transformer
  const [hot] = kind.poles?.(settings)[0] ?? []
  const wire = wireAt(diagram, `${id}.${hot}`)
  const fuse = throughKinds.find((through) => partKinds.get(through.kind)?.overcurrent === 'fuse')
  const amps = sizes.findLast((size) => size <= mostFuseShare * (kind.fullLoadAmps?.(settings) ?? 0))
  if (!wire || !fuse || amps === undefined)
    return problem(`no lead leaves the secondary of ${transformer.words}`)
  const name = freeName(diagram, words)
  return insertPart(text, diagram, wire, { id: name, kind: fuse, words, zone, settings: `amps ${amps}` })
}
