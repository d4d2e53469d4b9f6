import { useEffect, useState } from 'react'
import type { Answers } from '@jokulgale/core/bench/lists/checkList'
import { readFact, writeFact } from '../sync/device'

interface BegunList {
  readonly answers: Answers
  readonly keep: (answers: Answers) => void
}

const none: Answers = {}

/**
 * What has been found on a list so far: kept on the device under its name until the list is put in the visit,
 * so that a call, another screen or a reload in the middle loses nothing. Without a name it lasts as long as
 * the screen.
 */
export function useBegunList(name: string | null): BegunList {
  const [begun, setBegun] = useState<{ readonly name: string | null; readonly answers: Answers }>({
    name,
    answers: none,
  })
  useEffect(() => {
    let left = false
    if (name !== null)
      void readFact('lists').then((lists) => {
        // what was answered while it was being read is the newer
        if (!left)
          setBegun((now) =>
            now.name === name && now.answers !== none ? now : { name, answers: lists?.[name] ?? none },
          )
      })
    return () => {
      left = true
    }
  }, [name])
  return {
    answers: begun.name === name ? begun.answers : none,
    keep: (answers) => {
      setBegun({ name, answers })
      if (name !== null) void keepList(name, answers)
    },
  }
}

/** Keeps what was found under its name; a list with nothing on it is forgotten. */
async function keepList(name: string, answers: Answers): Promise<void> {
  const { [name]: _, ...others } = (await readFact('lists')) ?? {}
  await writeFact('lists', Object.keys(answers).length > 0 ? { ...others, [name]: answers } : others)
}
