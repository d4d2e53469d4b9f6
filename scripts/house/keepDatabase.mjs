/** A look at the database so often; after a start that failed, ever longer waits. */
const lookEveryMs = 2000
const longestWaitMs = 60_000

/**
 * Keeps a database running: one whose process has died is started again, as often as it takes. Gives how
 * to stop the looking.
 */
export function keepDatabase(postgres, everyMs = lookEveryMs) {
  let stopped = false
  let timer
  const lookIn = (waitMs) => {
    timer = setTimeout(() => void look(waitMs), waitMs)
  }
  const look = async (waitMs) => {
    let next = everyMs
    if (!(await postgres.isAlive())) {
      console.error('The database ended; it is started again.')
      try {
        await postgres.restart()
        console.error('The database is up again.')
      } catch (error) {
        next = Math.min(longestWaitMs, 2 * waitMs)
        console.error(`It does not start: ${error.message} Tried again in ${next / 1000} s.`)
      }
    }
    if (!stopped) lookIn(next)
  }
  lookIn(everyMs)
  return {
    stop: () => {
      stopped = true
      clearTimeout(timer)
    },
  }
}
