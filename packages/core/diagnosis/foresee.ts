import type { Diagram } from '../diagram/diagram'
import type { CaseFile } from '../visit/entry'
import { judge } from './diagnose'
import { pathDrops } from './drops'
import { candidatesIn, standingsElsewhere } from './nextStep'
import type { UnitFacts } from './priors'
import { situationIn } from './proposals'

/** Faults that are solved in one piece of the work. */
const pieceFaults = 40

/**
 * Works out ahead what the next steps may ask for: the unit with each of its faults in the other calls and isolated, and
 * what every meter would read there. Done in pieces of some milliseconds: it yields after each, and may be left at any.
 */
export function* foresee(diagram: Diagram, file: Omit<CaseFile, 'unit'>, facts: UnitFacts = {}): Generator<undefined, void> {
  const judgement = judge(diagram, file, facts)
  const { model, findings: { now } } = judgement
  for (const standing of [now, ...standingsElsewhere(diagram, now)]) {
    const situation = situationIn(judgement, standing)
    for (let from = 0; from < model.singles; from += pieceFaults) {
      for (let h = from; h < Math.min(model.singles, from + pieceFaults); h++) situation.settle(h)
      yield
    }
    const drops = standing === now && now.power === 'on' ? pathDrops(situation.circuit) : []
    for (const { meter, from, to } of [...candidatesIn(diagram, standing), ...drops]) {
      situation.outcomes(meter, from, to, model.everySingle)
      yield
    }
  }
}
