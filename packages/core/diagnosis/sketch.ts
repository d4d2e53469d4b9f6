import { loadAmps } from '../circuit/loadAmps'
import { partWords } from '../diagram/diagram'
import { readLadder } from '../diagram/readLadder'
import { gather } from '../visit/evidence'
import { UnitModel } from './predictor'
import { healthyStrips, type Strip } from './strip'

/** A load as a healthy unit runs it. */
export interface SketchedLoad {
  readonly part: string
  readonly words: string
  readonly amps: number
}

/** A circuit as it would work, in one of its calls: for whoever is drawing it. */
export interface Sketch {
  readonly title: string
  readonly calls: readonly { readonly id: string; readonly words: string }[]
  /** The call that is shown. */
  readonly call: string
  readonly strips: readonly Strip[]
  readonly loads: readonly SketchedLoad[]
  /** The circuit never comes to rest in this call. */
  readonly oscillates: boolean
}

/** Solves a circuit that nobody has called about. `call`: any other is the first with a path. Throws DiagramError. */
export function sketchOf(ladder: string, call: string): Sketch {
  const diagram = readLadder(ladder)
  const traced = diagram.calls.find(({ id }) => diagram.traces.some((trace) => trace.call === id))
  const shown = diagram.calls.find(({ id }) => id === call) ?? traced ?? diagram.calls[0]
  const findings = gather(diagram, { complaint: '', entries: [{ kind: 'call', call: shown.id }] })
  const model = new UnitModel(diagram)
  const strips = healthyStrips(model, findings)
  const { circuit } = model.situation(findings.now)
  const { healthy } = circuit
  const loads = [...loadAmps(healthy)].map(([part, amps]) => ({
    part,
    words: partWords(diagram, part),
    amps,
  }))
  return {
    title: diagram.title,
    calls: diagram.calls.map(({ id, words }) => ({ id, words })),
    call: shown.id,
    strips,
    loads,
    oscillates: healthy.oscillates,
  }
}
