import { stopServer } from './server.mjs'

/** Waits between two starts: each after a quick death is twice as long. */
const firstWaitMs = 500
const longestWaitMs = 30_000
/** A server that lived so long had started well. */
const livedMs = 60_000

/**
 * Keeps a server running: one that ends by itself is started again, at once after a long life, and after
 * ever longer waits where it dies young. Gives how to stop it for good.
 */
export async function keepRunning(start) {
  let stopped = false
  let waitMs = firstWaitMs
  let child = await start()
  let since = Date.now()
  const watch = () => {
    child.once('exit', (code, signal) => {
      if (!stopped) void again(code ?? signal)
    })
  }
  const again = async (why) => {
    waitMs = Date.now() - since > livedMs ? firstWaitMs : Math.min(longestWaitMs, 2 * waitMs)
    console.error(`The server ended (${why}); it is started again in ${waitMs / 1000} s.`)
    await new Promise((resolve) => setTimeout(resolve, waitMs))
    if (stopped) return
    try {
      child = await start()
      since = Date.now()
      console.error('The server is up again.')
      watch()
    } catch (error) {
      await again(error.message)
    }
  }
  watch()
  return {
    stop: async () => {
      stopped = true
      await stopServer(child)
    },
  }
}
