import { useEffect, useState } from 'react'
import { useAppSelector } from '../store'
import { Notice } from '../../ui/Notice'
import { Words } from '../../ui/Words'

/** So long an entry may be on its way before it is spoken of: else the screen would jump at each. */
const onItsWayMs = 2000

/** Says quietly what is not with the server yet; nothing when all is. */
export function UnsentNote() {
  const { logs, visits, online, cannotKeep, serverTrouble } = useAppSelector((state) => state.visits)
  const { edits, made } = useAppSelector((state) => state.places)
  const isOut = useAppSelector(({ session }) => session.is === 'out')
  const entries = [...Object.values(logs).flat(), ...Object.values(visits), ...edits, ...made]
  const refused = entries.filter((entry) => entry.refused !== undefined)
  const waiting = entries.filter((entry) => !entry.sent && entry.refused === undefined).length
  const overdue = useStayed(waiting > 0, onItsWayMs)
  if (cannotKeep !== '') return <Notice kind="wrong">{cannotKeep}</Notice>
  if (serverTrouble !== '') return <Notice kind="wrong">{serverTrouble}</Notice>
  if (refused.length > 0)
    return (
      <Notice kind="wrong">{`The server will not take ${refused.length === 1 ? 'an entry' : `${refused.length} entries`}: ${refused[0].refused ?? ''}`}</Notice>
    )
  if (waiting > 0 && (overdue || !online)) {
    const count = `${waiting} ${waiting === 1 ? 'entry' : 'entries'} on this device, not sent yet`
    return (
      <Words size="small" quiet>
        {isOut ? `${count}; they go by themselves, and are then cleared here` : count}
      </Words>
    )
  }
  return online || isOut ? null : (
    <Words size="small" quiet>
      No signal. Everything stays on this device until there is one.
    </Words>
  )
}

/** Whether something has been so for a time. */
function useStayed(is: boolean, forMs: number): boolean {
  const [stayed, setStayed] = useState(false)
  useEffect(() => {
    if (!is) return
    const timer = setTimeout(() => {
      setStayed(true)
    }, forMs)
    return () => {
      clearTimeout(timer)
      setStayed(false)
    }
  }, [is, forMs])
  return is && stayed
}
