import { signIn, takeCall } from './journey.mjs'

/**
 * Control points of the path, first to last, as they read on a unit whose first-stage contactor gets its
 * call.
 */
const readings = [
  ['TB.R', '25.6'],
  ['TB.Y1', '25.4'],
  ['EC.Y1O', '25.3'],
  ['LPS1.1', '25.2'],
  ['LPS1.2', '25.2'],
  ['HPS1.2', '25.1'],
  ['FRZ1.2', '25.1'],
  ['CC1.A1', '25.0'],
]

/**
 * Runs in the page: notes when the visit's tabs are there, when suspects are, and when what is shown has
 * first been worked out with its ask; by the page's own clock, for a test's polling is coarse.
 */
function watchSetUp() {
  const isSuspects = ({ textContent }) => textContent === 'Suspects'
  new MutationObserver((_, watch) => {
    if (document.querySelector('[role="tab"]')) window.tabsAt ??= performance.now()
    if ([...document.querySelectorAll('h2')].some(isSuspects)) window.suspectsAt ??= performance.now()
    if (!document.querySelector('[data-settled="yes"]')) return
    watch.disconnect()
    window.settledFirstAt = performance.now()
  }).observe(document, {
    subtree: true,
    childList: true,
    attributes: true,
    attributeFilter: ['data-settled'],
  })
}

const openTab = async (page, name) => {
  const tab = page.getByRole('tab', { name })
  await tab.waitFor()
  const askedAt = await page.evaluate(() => performance.now())
  await tab.click()
  return askedAt
}

const untilNoted = (page, what) =>
  page.waitForFunction((name) => window[name] !== undefined, what, { timeout: 60_000 })

/** Milliseconds from asking for Trace until the first suspects and ask are there. */
async function setUp(page) {
  const askedAt = await openTab(page, 'Trace')
  await untilNoted(page, 'settledFirstAt')
  return page.evaluate((asked) => Math.round(window.settledFirstAt - asked), askedAt)
}

/** The page loaded anew in a visit: milliseconds from its screen until suspects are there, and an ask. */
async function setUpAnew(page) {
  await page.reload()
  await openTab(page, 'Suspects')
  await untilNoted(page, 'suspectsAt')
  await openTab(page, 'Trace')
  await untilNoted(page, 'settledFirstAt')
  return page.evaluate(() => ({
    suspectsMs: Math.round(window.suspectsAt - window.tabsAt),
    askMs: Math.round(window.settledFirstAt - window.tabsAt),
  }))
}

const reloads = 5
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

/** Medians of several. */
async function setUpsAnew(page) {
  const measured = []
  for (let k = 0; k < reloads; k++) measured.push(await setUpAnew(page))
  return {
    suspectsAnewMs: median(measured.map(({ suspectsMs }) => suspectsMs)),
    setUpAnewMs: median(measured.map(({ askMs }) => askMs)),
  }
}

/**
 * From the moment an entry is logged until the ask and suspects made from it are on the screen, on the
 * largest unit; and
 * how long the interface thread was ever blocked meanwhile. Before it the set-up: as a call is taken, and
 * once more on
 * the page loaded anew in the middle of the visit, where nothing could be solved ahead.
 */
export async function entryTimes(browser, address, { unit, complaint, phone }) {
  const page = await (await browser.newContext({ viewport: phone })).newPage()
  await page.addInitScript(watchSetUp)
  await signIn(page, address)
  await takeCall(page, unit, complaint)
  const setUpMs = await setUp(page)
  const anew = await setUpsAnew(page)
  await page.evaluate(() => {
    window.blocks = []
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.blocks.push(duration)
    }).observe({ type: 'longtask' })
    window.settledAt = []
    const ask = document.querySelector('[data-settled]')
    new MutationObserver(() => {
      if (ask.getAttribute('data-settled') === 'yes') window.settledAt.push(performance.now())
    }).observe(ask, { attributes: true, attributeFilter: ['data-settled'] })
  })
  const times = []
  for (const [point, value] of readings) {
    await page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }).click()
    await page.getByRole('button', { name: 'Any other reading' }).click()
    await page.getByLabel('Find a point').fill(point)
    await page.getByRole('link', { name: point, exact: true }).click()
    for (const key of value)
      await page.getByRole('button', { name: key === '.' ? 'Point' : key, exact: true }).click()
    await page.evaluate(() => {
      window.settledAt = []
      window.blocks = []
      window.loggedAt = NaN
      window.tappedAt = NaN
      document.addEventListener(
        'click',
        () => {
          window.tappedAt = performance.now()
        },
        { capture: true, once: true },
      )
      new MutationObserver((_, watch) => {
        if (document.querySelector('[data-settled="no"]')) {
          window.loggedAt = performance.now()
          watch.disconnect()
        }
      }).observe(document.body, { subtree: true, attributes: true, attributeFilter: ['data-settled'] })
    })
    await page.getByRole('button', { name: /^Log / }).click()
    await page.waitForFunction(
      () => window.settledAt.length > 0 && !Number.isNaN(window.loggedAt),
      undefined,
      { timeout: 30_000 },
    )
    times.push(
      await page.evaluate(() => ({
        ms: window.settledAt[window.settledAt.length - 1] - window.loggedAt,
        tapMs: window.settledAt[window.settledAt.length - 1] - window.tappedAt,
        block: Math.max(0, ...window.blocks),
      })),
    )
  }
  await page.close()
  const waited = times.map(({ ms }) => ms)
  return {
    setUpMs,
    ...anew,
    count: times.length,
    medianMs: Math.round(median(waited)),
    worstMs: Math.round(Math.max(...waited)),
    medianFromTapMs: Math.round(median(times.map(({ tapMs }) => tapMs))),
    longestBlockMs: Math.round(Math.max(...times.map(({ block }) => block))),
  }
}
