import type { Complaint, Symptom } from '../diagram/diagram'
import { complaintSaid } from '../visit/complaintSaid'
import { atArrival } from '../visit/standing'
import { nothingWrong, notDrawn } from './hypothesis'
import { isInTheAir } from './inTheAir'
import { Moment } from './moment'
import type { UnitModel } from './predictor'
import type { SituationModel } from './situationModel'

/** Chance of hearing a complaint from a unit that gives no reason for it. */
const withoutSymptom = 0.04
/** The same where only its second calls do: people name the usual one. */
const inAnotherCall = 0.6
/** Chance of people naming only this of a unit that is dead altogether and shows a blank thermostat. */
const whenDead: Readonly<Partial<Record<Symptom, number>>> = {
  'weak-heat': 0.25,
  'no-cooling': 0.7,
  'no-heat': 0.7,
  'no-air': 0.7,
}
/** Chance of people naming the later stage of a unit whose first stage fails them as well. */
const ofLaterStage = 0.5
/**
 * Chance of people naming this where too little air goes through, though all else runs: a blocked filter
 * cools no room either, and freezes a coil that no switch guards.
 */
const feltOfAir: Readonly<Partial<Record<Symptom, number>>> = {
  'no-air': 1,
  'no-cooling': 0.4,
  'no-heat': 0.4,
  'weak-heat': 0.4,
}
/** The same where the refrigerant moves too little heat, in a call that a compressor runs in. */
const feltOfRefrigerant: Readonly<Partial<Record<Symptom, number>>> = {
  'no-cooling': 0.4,
  'no-heat': 0.3,
  'weak-heat': 0.4,
}
/** Chance of any complaint from a unit that is not like its drawing. */
const ofAnyUnit = 0.2
/**
 * Chance of nobody saying anything of a unit that has a fault. Visits without a complaint, as for upkeep,
 * mostly find nothing wrong. A judgement.
 */
const unsaid = 0.5

const known = new WeakMap<UnitModel, Map<string, number>>()

/** A unit in each of its calls, as it is arrived at; kept for one pass over its hypotheses. */
type InCall = (call: string) => Moment

/**
 * Chance of a unit with a hypothesis being complained of so, or of nobody saying anything; 1 where what was
 * said means nothing.
 */
export const complaintChance = (model: UnitModel, id: string, h: number): number =>
  complaintChances(model, id)(h)

/**
 * The same for one hypothesis after another, in one go: a pair that is forgotten meanwhile would be mistaken.
 */
export function complaintChances(model: UnitModel, id: string): (h: number) => number {
  if (id === '') return (h) => (model.hypotheses[h].id === nothingWrong ? 1 : unsaid)
  const complaint = complaintSaid(model.diagram, id)
  if (!complaint) return () => 1
  const kept = known.get(model) ?? new Map<string, number>()
  known.set(model, kept)
  const inCall = callsOf(model)
  return (h) => {
    const key = `${complaint.id} ${h}`
    const chance = kept.get(key) ?? findChance({ model, inCall }, complaint, h)
    // pairs and versions are numbered anew for each case
    if (h < model.singles) kept.set(key, chance)
    return chance
  }
}

function callsOf(model: UnitModel): InCall {
  const moments = new Map<string, Moment>()
  return (call) => {
    const moment = moments.get(call) ?? new Moment(model, atArrival(model.diagram, call), [])
    moments.set(call, moment)
    return moment
  }
}

interface Heard {
  readonly model: UnitModel
  readonly inCall: InCall
}

function findChance(heard: Heard, complaint: Complaint, h: number): number {
  const { id } = heard.model.hypotheses[h]
  if (id === notDrawn) return ofAnyUnit
  if (id === nothingWrong) return withoutSymptom
  if (!looksAtCalls(complaint.means)) return showsAnywhere(heard, complaint, h) ? 1 : withoutSymptom
  if (complaint.means === 'no-second-stage') return failsLaterOnly(heard, complaint, h) ? 1 : withoutSymptom
  const chance = chanceByCall(heard, complaint, h) * (failsSooner(heard, complaint, h) ? ofLaterStage : 1)
  const most = whenDead[complaint.means] ?? 1
  return chance > most && isBlankAnywhere(heard, complaint, h) ? most : chance
}

function chanceByCall(heard: Heard, complaint: Complaint, h: number): number {
  const [usual, ...others] = complaint.calls
  const felt = chanceFelt(heard, complaint, h)
  if (felt === 1 || isShown(heard, complaint, usual, h)) return 1
  const shown = others.some((call) => isShown(heard, complaint, call, h)) ? inAnotherCall : withoutSymptom
  return Math.max(felt, shown)
}

/** Chance of its being felt though all runs as it should. */
function chanceFelt({ model, inCall }: Heard, { means, calls }: Complaint, h: number): number {
  const { diagram, hypotheses } = model
  if (isInTheAir(model, h)) return feltOfAir[means] ?? 0
  if (!hypotheses[h].faults.some(({ weakens }) => weakens)) return 0
  const runsCompressor = (call: string): boolean =>
    [...inCall(call).situation.motorsTurning()].some(
      (id) => diagram.parts.get(id)?.kind.cause === 'compressor',
    )
  return calls.some(runsCompressor) ? (feltOfRefrigerant[means] ?? 0) : 0
}

/** Whether the later stage fails, and the one before it does all that it should, in the later call too. */
function failsLaterOnly(heard: Heard, { call, calls }: Complaint, h: number): boolean {
  const sooner = calls.filter((each) => each !== call)
  const fails = (each: string): boolean => isShown(heard, { means: 'any', calls }, each, h)
  const ofFirst = new Set(sooner.flatMap((each) => [...heard.inCall(each).situation.motorsTurning()]))
  return fails(call) && !sooner.some(fails) && !heard.inCall(call).situation.standsOtherwise(h, ofFirst)
}

/** Whether a symptom is one that the calls show, rather than one of the fault itself. */
export const looksAtCalls = (symptom: Symptom): boolean =>
  symptom !== 'water' && symptom !== 'trips' && symptom !== 'comes-and-goes'

/** What people say of the first stage, by what they say of a later one. */
const ofFirstStage: Readonly<Partial<Record<Symptom, Symptom>>> = {
  'no-cooling': 'no-cooling',
  'weak-heat': 'no-heat',
}

/**
 * Whether people would say of the first stage what they said of a later one: it fails too, and not only when
 * weather or dirt has it fail.
 */
function failsSooner(heard: Heard, { means, calls: [usual, ...others] }: Complaint, h: number): boolean {
  const { diagram, hypotheses } = heard.model
  const stage = (call: string): number => diagram.calls.findIndex(({ id }) => id === call)
  const sooner = diagram.complaints.find(
    ({ means: said, call }) =>
      said === ofFirstStage[means] && others.includes(call) && stage(call) < stage(usual),
  )
  if (!sooner || hypotheses[h].faults.some(({ class: sort }) => sort === 'fouled' || sort === 'trip'))
    return false
  return isShown(heard, sooner, sooner.call, h)
}

function showsAnywhere({ model, inCall }: Heard, { means, calls }: Complaint, h: number): boolean {
  const { faults } = model.hypotheses[h]
  switch (means) {
    case 'water':
      return faults.some(
        ({ of, class: sort }) =>
          (sort === 'fouled' || sort === 'trip') &&
          model.diagram.parts.get(of)?.kind.likelier?.includes('water'),
      )
    case 'trips':
      return (
        faults.some(
          ({ class: sort, of }) =>
            model.diagram.parts.get(of)?.kind.overcurrent && (sort === 'blown' || sort === 'trip'),
        ) || calls.some((call) => inCall(call).tripsSomewhere(h))
      )
    default:
      return model.comesAndGoes(h) || calls.some((call) => stopsAndStarts(inCall(call).situation, h))
  }
}

const stopsAndStarts = (situation: SituationModel, h: number): boolean =>
  situation.settle(h).oscillates || situation.phases(h).some(({ recurs }) => recurs)

/**
 * Whether a call shows a symptom: as it settles, as everything stands once tripped, or before anything has
 * tripped. What it shows by itself is asked first: trips are sought in every call of the unit.
 */
function isShown(heard: Heard, complaint: Heeded, call: string, h: number): boolean {
  const { model, inCall } = heard
  const moment = inCall(call)
  const showsAs = (version: number): boolean => shows(heard, moment.situation, complaint, version)
  if (showsAs(h)) return true
  if (!model.mayTrip(h)) return false
  const tripped = moment.asTripped(h, 'drawn')
  if (tripped !== h && showsAs(tripped)) return true
  // where nothing trips, nothing was otherwise before
  return moment.situation.trips(h).length > 0 && showsAs(moment.beforeTrips(h))
}

/** What of a complaint tells whether a unit gives a reason for it. */
type Heeded = Pick<Complaint, 'means' | 'calls'>

function shows(heard: Heard, situation: SituationModel, { means, calls }: Heeded, version: number): boolean {
  switch (means) {
    case 'blank':
      return isBlank(situation, heard.model, version)
    case 'runs-on':
      return situation.runsOn(version)
    // a valve or a compressor that rests takes no air away: only what turns in the call for air does
    case 'no-air': {
      const air = heard.inCall(calls[0]).situation.motorsTurning()
      // of a unit that is drawn in part nobody knows yet what moves its air
      return air.size > 0 ? situation.standsOtherwise(version, air) : situation.showsSymptom(version)
    }
    default:
      return (
        situation.showsSymptom(version) ||
        situation.lacksHeat(version) ||
        situation.phases(version).length > 0
      )
  }
}

/**
 * In one call and not in another it is dark only where that call drags the transformer down: what has tripped
 * stays so in all of them.
 */
function isBlankAnywhere(heard: Heard, { calls }: Complaint, h: number): boolean {
  const [usual, ...others] = calls
  const blank: Heeded = { means: 'blank', calls }
  return (
    isShown(heard, blank, usual, h) ||
    (heard.model.mayTrip(h) && others.some((call) => shows(heard, heard.inCall(call).situation, blank, h)))
  )
}

/** Whether the thermostat shows nothing, that has no battery of its own. */
function isBlank(situation: SituationModel, { diagram }: UnitModel, version: number): boolean {
  const { plate } = diagram
  return plate !== null && situation.looks(version, plate).includes('dark')
}
