import { signIn } from './journey.mjs'

/** Wide enough that text and drawing stand side by side. */
const wide = { width: 1280, height: 800 }
const letters = [...'abcdefghij']
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

/** Runs in the page: when a letter is typed, and when what was solved of the text with it is on the screen. */
function watchDrawing() {
  window.edits = []
  window.blocks = []
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.blocks.push(duration)
  }).observe({ type: 'longtask' })
  document.addEventListener(
    'beforeinput',
    ({ data }) => {
      if (data) window.edits.push({ data, typedAt: performance.now() })
    },
    { capture: true },
  )
  new MutationObserver(() => {
    const now = window.edits.at(-1)
    // what stands below the heading is the title of the last text that was solved
    const title = document.querySelector('h1')?.parentElement?.textContent ?? ''
    if (now && now.drawnAt === undefined && title.includes(`:${now.data}`)) now.drawnAt = performance.now()
  }).observe(document.body, { subtree: true, childList: true, characterData: true })
}

/**
 * On the largest unit, from a letter typed into its ladder text until the circuit with it has been solved in full and is
 * drawn: the wait after the last key included, and how long the interface thread was ever blocked meanwhile.
 */
export async function editTimes(browser, address, unit) {
  const page = await (await browser.newContext({ viewport: wide })).newPage()
  await signIn(page, address)
  await page.getByRole('button', { name: 'New call: choose the unit' }).click()
  await page.getByLabel('Find').fill(unit)
  await page.getByRole('link', { name: unit, exact: true }).click()
  await page.waitForURL(/\/units\//)
  const [, id] = /\/units\/([^/]+)/.exec(page.url())
  await page.goto(`${address}/units/${id}/circuit`)
  const editor = page.getByRole('textbox', { name: 'Ladder text' })
  await editor.waitFor()
  await page.getByText('What its loads draw').waitFor()
  await editor.click()
  await page.keyboard.press('Control+Home')
  await page.keyboard.press('End')
  await page.keyboard.press('ArrowLeft')
  await page.evaluate(watchDrawing)
  for (const letter of letters) {
    // the mark before the letter tells the new title from the old one; it is typed first, and not waited for
    await page.keyboard.type(`:${letter}`)
    await page.waitForFunction(
      (data) => window.edits.some((edit) => edit.data === data && edit.drawnAt !== undefined),
      letter,
      { timeout: 30_000 },
    )
  }
  const { edits, blocks } = await page.evaluate(() => ({ edits: window.edits, blocks: window.blocks }))
  await page.close()
  const waited = edits.filter(({ data }) => data !== ':').map(({ typedAt, drawnAt }) => drawnAt - typedAt)
  return {
    count: waited.length,
    medianMs: Math.round(median(waited)),
    worstMs: Math.round(Math.max(...waited)),
    longestBlockMs: Math.round(Math.max(0, ...blocks)),
  }
}
