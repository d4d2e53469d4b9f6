import { useEffect, useState } from 'react'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { VisitState } from '@jokulgale/core/visit/visitState'

/** A delay of the call that is set, still running. */
export interface RunningDelay {
  readonly words: string
  readonly secondsLeft: number
}

/**
 * Seconds since the call or the power was changed; null when nothing was set yet. The log keeps it: it runs
 * across screens and reloads.
 */
export const secondsSince = ({ callSince }: VisitState, nowMs: number): number | null =>
  callSince === null ? null : Math.max(0, (nowMs - callSince) / 1000)

export function runningDelays(
  state: VisitState,
  delays: Briefing['delays'],
  nowMs: number,
): readonly RunningDelay[] {
  const elapsed = secondsSince(state, nowMs)
  if (elapsed === null || state.power !== 'on') return []
  // whoever stands there may know that it has been calling for longer
  const since = Math.max(elapsed, saidSeconds(state.entries.map(({ body }) => body)))
  return delays
    .filter(({ seconds }) => seconds > since)
    .map(({ words, seconds }) => ({ words, secondsLeft: Math.ceil(seconds - since) }))
    .sort((a, b) => a.secondsLeft - b.secondsLeft)
}

/** Seconds already said in the log since the last change of call or power. */
function saidSeconds(bodies: readonly EntryBody[]): number {
  let said = 0
  for (const body of bodies) {
    if (body.kind === 'call' || body.kind === 'power') said = 0
    if (body.kind === 'wait') said += body.seconds
  }
  return said
}

/** Whether anything has been said of the time since the last change of call or power. */
const hasWaited = (bodies: readonly EntryBody[]): boolean =>
  bodies.findLastIndex(({ kind }) => kind === 'wait') >
  bodies.findLastIndex(({ kind }) => kind === 'call' || kind === 'power')

/**
 * What to say before a reading that is taken while a delay runs, so that it is judged by its time; null when
 * none runs.
 */
export function waitToSay(
  state: VisitState,
  bodies: readonly EntryBody[],
  delays: Briefing['delays'],
  nowMs: number,
): EntryBody | null {
  const since = secondsSince(state, nowMs)
  const said = saidSeconds(bodies)
  if (since === null || state.power !== 'on') return null
  if (runningDelays(state, delays, nowMs).length === 0 && said === 0) return null
  const seconds = Math.round(since - said)
  // said even where it is nothing yet: unsaid, every delay counts as over
  return seconds > 0 || !hasWaited(bodies) ? { kind: 'wait', seconds: Math.max(0, seconds) } : null
}

/** “4:05”. */
export const minutesWords = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`

/** What to say when somebody knows that every delay is over: it was calling before. */
export const overToSay = (bodies: readonly EntryBody[], delays: Briefing['delays']): EntryBody => ({
  kind: 'wait',
  seconds: Math.max(
    0,
    Math.ceil(Math.max(...delays.map(({ seconds }) => seconds))) + 1 - saidSeconds(bodies),
  ),
})

/** The present, ticking while something waits for it. */
function useNow(ticking: boolean): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (!ticking) return undefined
    const timer = setInterval(() => {
      setNow(Date.now())
    }, 1000)
    return () => {
      clearInterval(timer)
    }
  }, [ticking])
  return now
}

const none: Briefing['delays'] = []

/** The delays that still run at present, soonest over first; null while they are being solved. */
export function useRunningDelays(
  state: VisitState,
  delays: Briefing['delays'] | null,
): readonly RunningDelay[] | null {
  const known = delays ?? none
  const now = useNow(known.length > 0 && state.callSince !== null)
  return delays === null ? null : runningDelays(state, delays, now)
}
