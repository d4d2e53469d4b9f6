import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { Circuit } from '@jokulgale/core/circuit/circuit'
import { readMeter } from '@jokulgale/core/circuit/meter'
import { isDead, isInWire, meters, type Meter, type Reading } from '@jokulgale/core/circuit/meters'
import { playTimeline } from '@jokulgale/core/circuit/timeline'
import { situationOf } from '@jokulgale/core/circuit/situation'
import { diagnose, modelOf } from '@jokulgale/core/diagnosis/diagnose'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import type { Effect } from '@jokulgale/core/parts/effect'
import { faultsOf } from '@jokulgale/core/diagram/faults'
import { UnknownNameError } from '@jokulgale/core/diagram/nearest'
import { writeLadder } from '@jokulgale/core/diagram/writeLadder'
import { classesOf } from '@jokulgale/core/diagnosis/classes'
import { notDrawnBetween } from '@jokulgale/core/diagnosis/notDrawnBetween'
import { sharesOf } from '@jokulgale/core/diagnosis/rates'
import { sideFindings } from '@jokulgale/core/diagnosis/sideFindings'
import { beforeEnergising } from '@jokulgale/core/diagnosis/story'
import { isolateAll, policies } from '@jokulgale/core/diagnosis/isolate'
import { seeded } from '@jokulgale/core/world/random'
import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'
import type { School } from '@jokulgale/core/diagnosis/schools'
import type { Step } from '@jokulgale/core/diagnosis/steps'
import { complaintOf, playTrial } from '@jokulgale/core/diagnosis/trial'
import { readCaseFile } from '@jokulgale/core/formats/caseFile'
import { spiceNetlist } from '@jokulgale/core/formats/spice'
import { builtInUnit, builtInUnitIds } from '@jokulgale/core/units/index'

/** About so many faults are played with noise when none is named. */
const noisySample = 60

/** The verbs of the command line; each takes its arguments and gives what is printed. Errors are thrown. */
export const commands: Readonly<Record<string, (args: readonly string[]) => unknown>> = {
  units: () =>
    builtInUnitIds.map((id) => {
      const unit = builtInUnit(id)
      return { id, kind: unit.unitClass, title: unit.title, calls: unit.calls.map((call) => call.id) }
    }),
  points: (args) => [...unitOf(args).points.values()].map(({ id, words, zone }) => ({ id, words, zone })),
  faults: (args) => {
    const unit = unitOf(args)
    const faults = faultsOf(unit)
    const shares = sharesOf(unit, faults)
    return faults.map(({ id, words }, k) => ({ id, words, prior: shares[k] }))
  },
  ladder: (args) => writeLadder(unitOf(args)),
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
    args: [...args],
    allowPositionals: true,
    options: {
      call: { type: 'string', default: 'off' },
      fault: { type: 'string', multiple: true, default: [] },
      meter: { type: 'string', default: 'volts' },
      power: { type: 'string', default: 'on' },
    },
  })
  const [unitId, from, to] = positionals
  const unit = unitOf(unitId === undefined ? [] : [unitId])
  const meter = meters.find((name) => name === values.meter)
  if (!meter) throw new Error(`unknown meter “${values.meter}”; meters: ${meters.join(', ')}`)
  if (values.power !== 'on' && values.power !== 'off')
    throw new Error(`--power is on or off, not “${values.power}”`)
  if (from === undefined)
    throw new Error('name one point, or two: read UNIT --call CALL --meter METER POINT [POINT]')
  if (isDead(meter) && values.power === 'on') throw new Error(`${meter} on a live circuit: add --power off`)
  return measure(unit, values.call, values.power, effectsOf(unit, values.fault), meter, from, to)
}

function measure(
  unit: Diagram,
  call: string,
  power: 'on' | 'off',
  effects: readonly Effect[],
  meter: Meter,
  from: string,
  to: string | undefined,
): Reading {
  const circuit = new Circuit(unit, situationOf(unit, call, power))
  if (isInWire(meter) && to === undefined) {
    const [wire] = unit.wires.values()
    throw new Error(`${meter} need a wire: name its two ends, as in ${wire.from} ${wire.to}`)
  }
  return readMeter(circuit.vary(effects), meter, from, to ?? unit.common)
}

function diagnoseFile(args: readonly string[]): unknown {
  const [path] = args
  if (path === undefined) throw new Error('name a case file: diagnose CASE.json')
  const file = readCaseFile(readFileSync(path, 'utf8'))
  const diagnosis = diagnose(builtInUnit(file.unit), file)
  const { model, belief, ranked, next } = diagnosis
  const shown = ranked.filter((h) => belief.probability[h] > shownFrom).slice(0, mostShown)
  const classOf = classLabels(model, shown)
  const classes = [...new Set(shown.map(classOf))].map((name) => {
    const members = shown.filter((h) => classOf(h) === name)
    return {
      class: name,
      members: members.map((h) => model.hypotheses[h].id),
      probability: members.reduce((sum, h) => sum + belief.probability[h], 0),
    }
  })
  return {
    suspects: shown.map((h) => ({
      id: model.hypotheses[h].id,
      words: model.hypotheses[h].words,
      probability: belief.probability[h],
      class: classOf(h),
      ...(model.hypotheses[h].notDrawn ? { between: notDrawnBetween(diagnosis) } : {}),
      beforeEnergising: beforeEnergising(model.diagram, model.hypotheses[h]),
    })),
    classes: classes.sort((a, b) => b.probability - a.probability),
    findings: sideFindings(diagnosis),
    next: next.map((step) => ({
      ...stepFields(step),
      call: step.call,
      power: step.power,
      bits: step.bits,
      cost: step.cost,
    })),
  }
}

/** Suspects less probable than this are left out, and no more than so many are listed. */
const shownFrom = 1e-4
const mostShown = 40

/** The class of each suspect, named after its most probable member: what no reading parts. Pairs are their own. */
function classLabels(model: UnitModel, ranked: readonly number[]): (h: number) => string {
  const numbers = classesOf(model)
  const names = new Map<number, string>()
  for (const h of ranked)
    if (h < model.singles && !names.has(numbers[h])) names.set(numbers[h], model.hypotheses[h].id)
  return (h) => (h < model.singles ? (names.get(numbers[h]) ?? '') : model.hypotheses[h].id)
}

function stepFields(step: Step): object {
  if (step.do === 'wait') return { do: 'wait', seconds: step.seconds, of: step.of }
  if (step.do === 'condition') return { do: 'condition', of: step.of }
  const first = step.deed
    ? { first: { do: step.deed.verb, of: step.deed.of, ...(step.deed.to ? { to: step.deed.to } : {}) } }
    : {}
  return step.do === 'look'
    ? { do: 'look', of: step.of, ...first }
    : { do: 'measure', meter: step.meter, from: step.from, to: step.to, ...first }
}

function isolate(args: readonly string[]): unknown {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      policy: { type: 'string', default: 'best' },
      fault: { type: 'string', multiple: true, default: ['all'] },
      seed: { type: 'string', default: '1' },
      noise: { type: 'boolean', default: false },
    },
  })
  const unit = unitOf(positionals)
  const model = modelOf(unit)
  const policy = policies.find((name) => name === values.policy)
  if (!policy) throw new Error(`unknown policy “${values.policy}”; policies: ${policies.join(', ')}`)
  const only = values.fault.filter((fault) => fault !== 'all')
  effectsOf(unit, only)
  const exact = isolateAll(model, policy, 'tolerance', only.length > 0 ? only : undefined)
  if (!values.noise) return { unit: unit.id, ...exact }
  const seed = Number(values.seed)
  if (!Number.isInteger(seed)) throw new Error(`--seed is a whole number, not “${values.seed}”`)
  return { unit: unit.id, ...exact, ...noisyIsolation(model, policy, seed, only) }
}

/** The same hunt with the meter's noise and with blunders, on the faults named or on a sample of all. */
function noisyIsolation(model: UnitModel, school: School, seed: number, only: readonly string[]): object {
  const random = seeded(seed)
  const classes = classesOf(model)
  const all = model.hypotheses.flatMap((hypothesis, h) =>
    h > 0 && h < model.singles && (only.length === 0 || only.includes(hypothesis.id)) ? [h] : [],
  )
  const played = (only.length > 0 ? all : all.filter(() => random() < noisySample / all.length)).map(
    (truth) => {
      const trial = playTrial(model, truth, complaintOf(model, truth), {
        classes,
        random,
        school,
        noise: true,
        blunders: 0.03,
        looks: false,
        mostSteps: 80,
        sure: 0.95,
      })
      const [lead] = trial.ranked
      return {
        steps: trial.steps,
        found: lead < model.singles && classes[lead] === classes[truth],
        weight: model.hypotheses[truth].prior,
      }
    },
  )
  const total = played.reduce((sum, { weight }) => sum + weight, 0)
  return {
    seed,
    faults: played.length,
    meanReadings: played.reduce((sum, { weight, steps }) => sum + weight * steps, 0) / total,
    maxReadings: Math.max(0, ...played.map(({ steps }) => steps)),
    foundShare: played.reduce((sum, { weight, found }) => sum + (found ? weight : 0), 0) / total,
  }
}

function spice(args: readonly string[]): string {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      call: { type: 'string', default: 'off' },
      fault: { type: 'string', multiple: true, default: [] },
    },
  })
  const unit = unitOf(positionals)
  const effects = effectsOf(unit, values.fault)
  return spiceNetlist(new Circuit(unit, situationOf(unit, values.call)).vary(effects), effects)
}

function timeline(args: readonly string[]): unknown {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      call: { type: 'string', default: 'cool1' },
      fault: { type: 'string', multiple: true, default: [] },
      seconds: { type: 'string', default: '900' },
    },
  })
  const unit = unitOf(positionals)
  const seconds = Number(values.seconds)
  if (!(seconds > 0 && seconds <= 86_400))
    throw new Error(`--seconds is a number up to a day, not “${values.seconds}”`)
  const { events, periodSeconds } = playTimeline(
    unit,
    situationOf(unit, 'off'),
    situationOf(unit, values.call),
    effectsOf(unit, values.fault),
    seconds,
  )
  return { unit: unit.id, call: values.call, events, periodSeconds }
}
