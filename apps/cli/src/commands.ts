import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { Circuit } from '@jokulgale/core/circuit/circuit'
import { meters, readMeter, type Meter, type Reading } from '@jokulgale/core/circuit/meter'
import { playTimeline } from '@jokulgale/core/circuit/timeline'
import { situationOf } from '@jokulgale/core/circuit/situation'
import { diagnose, modelOf } from '@jokulgale/core/diagnosis/diagnose'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import type { Effect } from '@jokulgale/core/diagram/effect'
import { faultsOf } from '@jokulgale/core/diagram/faults'
import { UnknownNameError } from '@jokulgale/core/diagram/nearest'
import { isolateAll, policies } from '@jokulgale/core/diagnosis/isolate'
import { readCaseFile } from '@jokulgale/core/formats/caseFile'
import { spiceNetlist } from '@jokulgale/core/formats/spice'
import { builtInUnit, builtInUnitIds } from '@jokulgale/core/units/index'

/** The verbs of the command line; each takes its arguments and gives what is printed. Errors are thrown. */
export const commands: Readonly<Record<string, (args: readonly string[]) => unknown>> = {
  units: () => builtInUnitIds.map((id) => {
    const unit = builtInUnit(id)
    return { id, kind: unit.unitClass, title: unit.title, calls: unit.calls.map((call) => call.id) }
  }),
  points: (args) => [...unitOf(args).points.values()].map(({ id, words, zone }) => ({ id, words, zone })),
  faults: (args) => faultsOf(unitOf(args)).map(({ id, words, prior }) => ({ id, words, prior })),
  read,
  diagnose: diagnoseFile,
  isolate,
  spice,
  timeline,
}

function unitOf(args: readonly string[]): Diagram {
  const [id] = args
  if (id === undefined) throw new Error(`name a unit: ${builtInUnitIds.join(', ')}`)
  return builtInUnit(id)
}

function effectsOf(unit: Diagram, ids: readonly string[]): readonly Effect[] {
  const faults = new Map(faultsOf(unit).map((fault) => [fault.id, fault]))
  return ids.flatMap((id) => {
    const fault = faults.get(id)
    if (!fault) throw new UnknownNameError('fault', id, faults.keys())
    return fault.effects
  })
}

function read(args: readonly string[]): Reading {
  const { values, positionals } = parseArgs({
    args: [...args], allowPositionals: true,
    options: {
      call: { type: 'string', default: 'off' }, fault: { type: 'string', multiple: true, default: [] },
      meter: { type: 'string', default: 'volts' }, power: { type: 'string', default: 'on' },
    },
  })
  const [unitId, from, to] = positionals
  const unit = unitOf(unitId === undefined ? [] : [unitId])
  const meter = meters.find((name) => name === values.meter)
  if (!meter) throw new Error(`unknown meter “${values.meter}”; meters: ${meters.join(', ')}`)
  if (values.power !== 'on' && values.power !== 'off') throw new Error(`--power is on or off, not “${values.power}”`)
  if (from === undefined) throw new Error('name one point, or two: read UNIT --call CALL --meter METER POINT [POINT]')
  if (meter === 'ohms' && values.power === 'on') throw new Error('ohms on a live circuit: add --power off')
  return measure(unit, values.call, values.power, effectsOf(unit, values.fault), meter, from, to)
}

function measure(
  unit: Diagram, call: string, power: 'on' | 'off', effects: readonly Effect[], meter: Meter, from: string, to: string | undefined,
): Reading {
  const circuit = new Circuit(unit, situationOf(unit, call, power))
  if (meter === 'amps' && to === undefined) throw new Error(`amps need a wire: name its two ends, as in ${[...unit.wires.keys()][0]}`)
  return readMeter(circuit.vary(effects), meter, from, to ?? unit.common)
}

function diagnoseFile(args: readonly string[]): unknown {
  const [path] = args
  if (path === undefined) throw new Error('name a case file: diagnose CASE.json')
  const file = readCaseFile(readFileSync(path, 'utf8'))
  const { model, belief, ranked, next } = diagnose(builtInUnit(file.unit), file)
  return {
    suspects: ranked.filter((h) => belief.probability[h] > 1e-4).slice(0, 40)
      .map((h) => ({ id: model.hypotheses[h].id, words: model.hypotheses[h].words, probability: belief.probability[h] })),
    next: next.map((step) => (step.do === 'look'
      ? { do: 'look', of: step.of, call: step.call, bits: step.bits, cost: step.cost }
      : { do: 'measure', meter: step.meter, from: step.from, to: step.to, call: step.call, bits: step.bits, cost: step.cost })),
  }
}

function isolate(args: readonly string[]): unknown {
  const { values, positionals } = parseArgs({ args: [...args], allowPositionals: true, options: { policy: { type: 'string', default: 'best' }, fault: { type: 'string', default: 'all' } } })
  const unit = unitOf(positionals)
  const policy = policies.find((name) => name === values.policy)
  if (!policy) throw new Error(`unknown policy “${values.policy}”; policies: ${policies.join(', ')}`)
  if (values.fault !== 'all') throw new Error('--fault takes all: every fault of the unit is played to its end')
  return { unit: unit.id, ...isolateAll(modelOf(unit), policy) }
}

function spice(args: readonly string[]): string {
  const { values, positionals } = parseArgs({
    args: [...args], allowPositionals: true, options: { call: { type: 'string', default: 'off' }, fault: { type: 'string', multiple: true, default: [] } },
  })
  const unit = unitOf(positionals)
  const effects = effectsOf(unit, values.fault)
  return spiceNetlist(new Circuit(unit, situationOf(unit, values.call)).vary(effects), effects)
}

function timeline(args: readonly string[]): unknown {
  const { values, positionals } = parseArgs({
    args: [...args], allowPositionals: true,
    options: { call: { type: 'string', default: 'cool1' }, fault: { type: 'string', multiple: true, default: [] }, seconds: { type: 'string', default: '900' } },
  })
  const unit = unitOf(positionals)
  const seconds = Number(values.seconds)
  if (!(seconds > 0 && seconds <= 86_400)) throw new Error(`--seconds is a number up to a day, not “${values.seconds}”`)
  const { events, periodSeconds } = playTimeline(unit, situationOf(unit, 'off'), situationOf(unit, values.call), effectsOf(unit, values.fault), seconds)
  return { unit: unit.id, call: values.call, events, periodSeconds }
}
