import type { Situation } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { playTimeline } from '../circuit/timeline'
import type { Diagnosis } from './diagnose'
import { situationIn } from './proposals'

/** Long enough for a thermostat to come back and for its compressor delay to pass, several times. */
const watchedSeconds = 3600
/** Suspects that are less probable are not played through. */
const playedFrom = 0.1

/**
 * Seconds after which a unit with a suspect in it starts over again, by itself, in the call that is set; null
 * where it comes to rest, or where the suspect is too faint to be worth playing through.
 */
export function restartSeconds(diagnosis: Diagnosis, hypothesis: number): number | null {
  const { model, belief, findings } = diagnosis
  const { now } = findings
  const isWorthIt = belief.probability[hypothesis] >= playedFrom && now.power === 'on' && now.call !== 'off'
  if (!isWorthIt || !situationIn(diagnosis, now).settle(hypothesis).oscillates) return null
  const standing = now.actions.flatMap(({ effects }) => effects)
  const called = (call: string): Situation =>
    situationOf(model.diagram, call, 'on', now.conditions, standing, now.off)
  const { effects } = model.hypotheses[hypothesis]
  return playTimeline(model.diagram, called('off'), called(now.call), effects, watchedSeconds).periodSeconds
}

/** The loop in words; empty where there is none. */
export function restartWords(seconds: number | null): string {
  if (seconds === null) return ''
  const told =
    seconds < 1
      ? 'chatters'
      : `starts over every ${seconds < 120 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`}`
  return `With this the unit ${told} in this call: so does what a meter shows.`
}
