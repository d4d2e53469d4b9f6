/** Asks for the health answer again and again while something else goes on. */
export function watchHealth(api) {
  let slowestMs = 0
  let working = true
  const watching = (async () => {
    while (working) {
      const from = performance.now()
      await fetch(`${api}/health`).catch(() => undefined)
      slowestMs = Math.max(slowestMs, performance.now() - from)
      await new Promise((resolve) => setTimeout(resolve, 50))
    }
  })()
  /** Ends it, and gives the slowest answer, milliseconds. */
  return async () => {
    working = false
    await watching
    return slowestMs
  }
}
