import { display, type Meter } from '../circuit/meters'
import type { Judgement } from './diagnose'
import { readingOf } from './grouping'
import { goodDensity, mayBePhantom } from './likelihood'
import { metBy, Moment } from './moment'
import { partition } from './outcomes'
import { situationIn } from './proposals'
import { hasRange } from './resistance'
import { phantomWords } from './story'

/** Density from which a reading on a scale of its own is one that a prediction gives. */
const leastDensity = 1e-3

/** Whether a value is what a prediction may read as. */
function isNear(meter: Meter, value: number | null, predicted: number | null): boolean {
  if (meter === 'megohms' || meter === 'microfarads')
    return goodDensity(meter, value, predicted) > leastDensity
  if (value === null || predicted === null) return value === predicted
  return Math.abs(predicted - value) <= Math.max(1.5, 0.2 * Math.abs(predicted))
}

/** Whether a value lies between two of those that a fault gives over its range; null is out of range. */
function liesAmong(value: number | null, predicted: readonly (number | null)[]): boolean {
  const [at, ...ends] = [value, ...predicted].map((each) => each ?? Infinity)
  return Math.min(...ends) <= at && at <= Math.max(...ends)
}

/** Whether some fault, of any of its ohms and in any state that it may be met in, gives such a value. */
function isGivenByRange(
  judgement: Judgement,
  meter: Meter,
  from: string,
  to: string,
  value: number | null,
): boolean {
  const { model, belief, findings, ranked } = judgement
  const { now } = findings
  const moment = new Moment(model, now, model.stillThere(belief.repairedFaults, now))
  const gives = (versions: readonly number[]): boolean => {
    const predicted = moment.situation.predict(meter, from, to, versions)
    const values = versions.map((version) => readingOf(predicted[version]))
    return liesAmong(value, values) || values.some((each) => isNear(meter, value, each))
  }
  return ranked
    .filter((h) => h < model.singles)
    .some(
      (h) =>
        moment.met(h, 'not', metBy(meter)).some(({ versions }) => gives(versions)) ||
        // a short of many ohms may have opened nothing yet, though one of few has
        (model.hypotheses[h].faults.some(hasRange) && gives([model.version(h, 'most', [])])),
    )
}

/**
 * How a value just typed sits against what the circuit can give: an empty text, or a question worth asking.
 */
export function doubtAbout(
  judgement: Judgement,
  meter: Meter,
  from: string,
  to: string,
  value: number | null,
): string {
  const { model, belief, findings, ranked } = judgement
  const situation = situationIn(judgement, findings.now)
  const all = ranked.filter((h) => h < model.singles)
  const outcomes = partition(meter, situation.predict(meter, from, to, all), belief, all)
  if (outcomes.some((outcome) => isNear(meter, value, outcome.value))) return ''
  if (outcomes.some((outcome) => mayBePhantom(meter, value, outcome.value)))
    return phantomWords(display(value, meter))
  return isGivenByRange(judgement, meter, from, to, value)
    ? ''
    : 'No state of this circuit gives that. Check the meter’s function, the leads and the terminal.'
}
