import type { Complaint, Symptom } from '../diagram/diagram'
import { atArrival } from '../visit/standing'
import { nothingWrong, notDrawn } from './hypothesis'
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
/** Chance of any complaint from a unit that is not like its drawing. */
const ofAnyUnit = 0.2

const known = new WeakMap<UnitModel, Map<string, number>>()

/** Chance of a unit with a hypothesis being complained of so; 1 where nobody said anything that means something. */
export function complaintChance(model: UnitModel, id: string, h: number): number {
  const complaint = model.diagram.complaints.find((candidate) => candidate.id === id)
  if (!complaint) return 1
  const kept = known.get(model) ?? new Map<string, number>()
  known.set(model, kept)
  const key = `${complaint.id} ${h}`
  const chance = kept.get(key) ?? findChance(model, complaint, h)
  // pairs and versions are numbered anew for each case
  if (h < model.singles) kept.set(key, chance)
  return chance
}

function findChance(model: UnitModel, complaint: Complaint, h: number): number {
  const { id } = model.hypotheses[h]
  if (id === notDrawn) return ofAnyUnit
  if (id === nothingWrong) return withoutSymptom
  if (!looksAtCalls(complaint.means)) return showsAnywhere(model, complaint, h) ? 1 : withoutSymptom
  const shown = complaint.calls.map((call) => isShown(model, complaint.means, call, h))
  const chance = shown[0] ? 1 : shown.some(Boolean) ? inAnotherCall : withoutSymptom
  const most = whenDead[complaint.means] ?? 1
  return chance > most && isBlankAnywhere(model, complaint, h) ? most : chance
}

/** Whether a symptom is one that the calls show, rather than one of the fault itself. */
const looksAtCalls = (symptom: Symptom): boolean =>
  symptom !== 'water' && symptom !== 'trips' && symptom !== 'comes-and-goes'

function showsAnywhere(model: UnitModel, { means, calls }: Complaint, h: number): boolean {
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
            model.diagram.parts.get(of)?.kind.slow && (sort === 'blown' || sort === 'trip'),
        ) || calls.some((call) => inCall(model, call).tripsSomewhere(h))
      )
    default:
      return model.comesAndGoes(h) || calls.some((call) => inCall(model, call).situation.settle(h).oscillates)
  }
}

/** Whether a call shows a symptom: as everything stands once tripped, as it settles, or before anything has tripped. */
function isShown(model: UnitModel, symptom: Symptom, call: string, h: number): boolean {
  const moment = inCall(model, call)
  const versions = new Set([
    moment.asTripped(h, 'drawn'),
    h,
    ...(model.mayTrip(h) ? [moment.beforeTrips(h)] : []),
  ])
  return [...versions].some((version) => shows(model, moment.situation, symptom, version))
}

function shows(model: UnitModel, situation: SituationModel, symptom: Symptom, version: number): boolean {
  switch (symptom) {
    case 'blank':
      return isBlank(situation, model, version)
    case 'runs-on':
      return situation.runsOn(version)
    default:
      return (
        situation.showsSymptom(version) ||
        situation.lacksHeat(version) ||
        situation.phases(version).length > 0
      )
  }
}

const isBlankAnywhere = (model: UnitModel, { calls }: Complaint, h: number): boolean =>
  calls.some((call) => isShown(model, 'blank', call, h))

/** Whether the thermostat shows nothing, that has no battery of its own. */
function isBlank(situation: SituationModel, { diagram }: UnitModel, version: number): boolean {
  const { plate } = diagram
  return plate !== null && situation.looks(version, plate).includes('dark')
}

const inCall = (model: UnitModel, call: string): Moment =>
  new Moment(model, atArrival(model.diagram, call), [])
