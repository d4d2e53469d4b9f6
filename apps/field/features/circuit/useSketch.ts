import { startTransition, useEffect, useRef, useState } from 'react'
import type { Sketch } from '@jokulgale/core/diagnosis/sketch'
import type { DiagramProblem } from '@jokulgale/core/diagram/readLadder'
import { diagnosisService } from '../../workers/diagnosis'

export interface Sketched {
  /** The last text that could be solved; what is on the screen while another is not finished. */
  readonly sketch: Sketch | null
  readonly problems: readonly DiagramProblem[]
}

/** After the last key so long, before a text is read: keys of one stroke come together. */
const restMs = 30
/** So long, before what is wrong in it is said: an unfinished word is no mistake. */
const untilSaidMs = 400

/**
 * A circuit solved while it is being written, in the worker. Only one text is with it at a time: what is typed
 * meanwhile is asked about once, as it is then.
 */
export function useSketch(ladder: string, call: string): Sketched {
  const [sketched, setSketched] = useState<Sketched>({ sketch: null, problems: [] })
  const wanted = useRef({ ladder, call })
  const isAsking = useRef(false)
  const saying = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => {
    wanted.current = { ladder, call }
    clearTimeout(saying.current)
    const ask = async (): Promise<void> => {
      if (isAsking.current) return
      isAsking.current = true
      const asked = wanted.current
      const answer = await diagnosisService()
        .sketch(asked.ladder, asked.call)
        .finally(() => {
          isAsking.current = false
        })
      if (answer.is === 'sketch')
        // what is typed goes before what is drawn of it
        startTransition(() => {
          setSketched({ sketch: answer.sketch, problems: [] })
        })
      if (asked !== wanted.current) await ask()
      else if (answer.is === 'problems')
        saying.current = setTimeout(() => {
          setSketched((before) => ({ ...before, problems: answer.problems }))
        }, untilSaidMs)
    }
    const timer = setTimeout(() => {
      void ask()
    }, restMs)
    return () => {
      clearTimeout(timer)
    }
  }, [ladder, call])
  useEffect(
    () => () => {
      clearTimeout(saying.current)
    },
    [],
  )
  return sketched
}
