import { useCallback, useEffect, useState } from 'react'
import { request } from '../sync/request'

interface Asked<T> {
  readonly value: T | null
  readonly problem: string
  readonly ask: () => void
}

/** What the server says at an address: fetched when shown, and again when asked. */
export function useAsked<T>(path: string | null): Asked<T> {
  const [value, setValue] = useState<T | null>(null)
  const [problem, setProblem] = useState('')
  const ask = useCallback(() => {
    if (path === null) return
    request<T>('GET', path).then(
      (answer) => {
        setValue(answer)
        setProblem('')
      },
      (error: unknown) => {
        setProblem(error instanceof Error ? error.message : String(error))
      },
    )
  }, [path])
  useEffect(ask, [ask])
  return { value, problem, ask }
}
