import { useEffect, useRef, useState } from 'react'
import type { Sketch } from '@jokulgale/core/diagnosis/sketch'
import type { DiagramProblem } from '@jokulgale/core/diagram/readLadder'
import { diagnosisService } from '../../workers/diagnosis'

export interface Sketched {
  /** The last text that could be solved; what is on the screen while another is not finished. */
  readonly sketch: Sketch | null
  readonly problems: readonly DiagramProblem[]
}

/** After the last key so long, before a text is read: an unfinished word is no mistake. */
const restMs = 120

/** A circuit solved while it is being written, in the worker. */
export function useSketch(ladder: string, call: string): Sketched {
  const [sketched, setSketched] = useState<Sketched>({ sketch: null, problems: [] })
  const newest = useRef(0)
  useEffect(() => {
    const asked = ++newest.current
    const timer = setTimeout(() => {
      void diagnosisService()
        .sketch(ladder, call)
        .then((answer) => {
          if (asked !== newest.current) return
          setSketched((before) =>
            answer.is === 'sketch'
              ? { sketch: answer.sketch, problems: [] }
              : { ...before, problems: answer.problems },
          )
        })
    }, restMs)
    return () => {
      clearTimeout(timer)
    }
  }, [ladder, call])
  return sketched
}
