// npm run measure: what a phone has to bear, in Chromium; writes docs/field.md and docs/field.json
import { chromium } from '@playwright/test'
import { readdir, readFile, stat, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { gzipSync } from 'node:zlib'
import { bundle } from '../house/build.mjs'
import { machine } from '../house/machine.mjs'
import { root, stateFolder, webFolder } from '../house/paths.mjs'
import { browserOptions, throwAwayHouse } from '../house/throwAway.mjs'
import { editTimes } from './editTimes.mjs'
import { entryTimes } from './entryTimes.mjs'
import { signIn } from './journey.mjs'

const phone = { width: 390, height: 844 }
/** A slow 4G connection as browsers’ own tools state it, and a processor four times slower. */
const slow = { latency: 150, downloadThroughput: 1.6e6 / 8, uploadThroughput: 750e3 / 8 }

async function firstLoad(browser, address) {
  const context = await browser.newContext({ viewport: phone, serviceWorkers: 'block' })
  const page = await context.newPage()
  const cdp = await context.newCDPSession(page)
  await cdp.send('Network.enable')
  await cdp.send('Network.emulateNetworkConditions', { offline: false, ...slow })
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  let bytes = 0
  let scriptBytes = 0
  const scriptRequests = new Set()
  cdp.on('Network.responseReceived', ({ requestId, response }) => {
    if (response.url.endsWith('.js')) scriptRequests.add(requestId)
  })
  cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    bytes += encodedDataLength
    if (scriptRequests.has(requestId)) scriptBytes += encodedDataLength
  })
  const start = Date.now()
  await page.goto(address)
  await page.getByLabel('E-mail').waitFor()
  const usableMs = Date.now() - start
  const paintMs = await page.evaluate(
    () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
  )
  const scripts = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.endsWith('.js'))
      .map(({ name }) => new URL(name).pathname),
  )
  await context.close()
  const sizes = await Promise.all(
    scripts.map(async (name) => gzipSync(await readFile(path.join(webFolder, name))).length),
  )
  return {
    paintMs: Math.round(paintMs),
    usableMs,
    kilobytesSent: Math.round(bytes / 1000),
    scriptKilobytesSent: Math.round(scriptBytes / 1000),
    scriptKilobytesGzip: Math.round(sizes.reduce((sum, size) => sum + size, 0) / 1000),
  }
}

const loads = 5

/** The median by when it is usable; each has nothing kept from another. */
async function medianLoad(browser, address) {
  const measured = []
  for (let k = 0; k < loads; k++) measured.push(await firstLoad(browser, address))
  return measured.sort((a, b) => a.usableMs - b.usableMs)[(loads - 1) / 2]
}

/**
 * Runs in the page: notes when the board’s heading has been painted, milliseconds from the start of the
 * navigation.
 */
function watchBoard() {
  new MutationObserver((_, watch) => {
    if (
      ![...document.querySelectorAll('h1, h2, [role="heading"]')].some(
        ({ textContent }) => textContent === 'Calls',
      )
    )
      return
    watch.disconnect()
    requestAnimationFrame(() =>
      requestAnimationFrame(() => {
        window.boardAt = performance.now()
      }),
    )
  }).observe(document, { subtree: true, childList: true, characterData: true })
}

/**
 * Median of five reloads with no network until the board is painted; by the page’s own clock, for a test’s
 * polling is coarse.
 */
async function reloadOffline(browser, address) {
  const context = await browser.newContext({ viewport: phone })
  const page = await context.newPage()
  await page.addInitScript(watchBoard)
  await signIn(page, address)
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  await context.setOffline(true)
  const times = []
  for (let k = 0; k < 5; k++) {
    await page.reload()
    await page.waitForFunction(() => window.boardAt !== undefined)
    times.push(Math.round(await page.evaluate(() => window.boardAt)))
  }
  await context.close()
  return times.sort((a, b) => a - b)[2]
}

async function allScripts() {
  const folders = ['_expo/static/js/web', '_expo/static/js']
  for (const folder of folders) {
    const files = await readdir(path.join(webFolder, folder)).catch(() => [])
    const scripts = files.filter((name) => name.endsWith('.js'))
    if (scripts.length === 0) continue
    const sizes = await Promise.all(
      scripts.map(async (name) => [
        (await stat(path.join(webFolder, folder, name))).size,
        gzipSync(await readFile(path.join(webFolder, folder, name))).length,
      ]),
    )
    return {
      files: scripts.length,
      gzipKilobytes: Math.round(sizes.reduce((sum, [, size]) => sum + size, 0) / 1000),
    }
  }
  return { files: 0, gzipKilobytes: 0 }
}

/** What solves circuits is TypeScript: bundled, then taken. */
async function callsByAsks(...given) {
  const file = path.join(stateFolder, 'bundled', 'callsByAsks.mjs')
  await bundle(path.join(root, 'scripts', 'measure', 'callsByAsks.ts'), file)
  const measured = await import(pathToFileURL(file).href)
  return measured.callsByAsks(...given)
}

const house = await throwAwayHouse()
const browser = await chromium.launch(browserOptions)
try {
  const load = await medianLoad(browser, house.address)
  const reloadMs = await reloadOffline(browser, house.address)
  const entries = await entryTimes(browser, house.address, { unit: 'RTU-A', complaint: 'Not cooling', phone })
  const edits = await editTimes(browser, house.address, 'RTU-A')
  const calls = await callsByAsks(browser, (page) => signIn(page, house.address), phone)
  const scripts = await allScripts()
  const on = `${machine}, Chromium ${browser.version()}`
  await writeFile(
    path.join(root, 'docs', 'field.json'),
    `${JSON.stringify({ machine: on, load, reloadMs, entries, edits, calls, scripts }, null, 2)}\n`,
  )
  await writeFile(
    path.join(root, 'docs', 'field.md'),
    `# On the phone

By \`npm run measure\` on ${on}.

| what | measured | aim |
| --- | --- | --- |
| first load on slow 4G (150 ms, 1.6 Mbit/s) with a four times slower processor, median of ${loads}: something of ours painted | ${load.paintMs} ms | under 2000 ms |
| first screen usable, the same | ${load.usableMs} ms | under 5000 ms |
| its JavaScript as it is sent, packed with Brotli (gzip where a browser asks no better, over plain HTTP: ${load.scriptKilobytesGzip} kB) | ${load.scriptKilobytesSent} kB | under 400 kB |
| reload with no network until the board is painted, median of 5 | ${reloadMs} ms | under 1000 ms |
| first set-up of the largest unit (RTU-A, rooftop 480 V): a call is taken on it, from Trace until suspects and ask are there | ${entries.setUpMs} ms | under 1000 ms |
| the same with nothing solved ahead: the page loaded anew in the visit (median of 5), from its screen until suspects are there | ${entries.suspectsAnewMs} ms | at most 1500 ms |
| and until their ask is | ${entries.setUpAnewMs} ms | under 1000 ms |
| after an entry, until the new ask is on the screen, median of ${entries.count} (worst) | ${entries.medianMs} ms (${entries.worstMs} ms) | under 100 ms |
| the same from the tap that logs it, keeping it on the device and asking about it included, median | ${entries.medianFromTapMs} ms | |
| longest block of the interface thread meanwhile | ${entries.longestBlockMs} ms | under 50 ms |
| a letter typed into the ladder text of the same unit, on a wide screen, until the circuit with it is solved and drawn, median of ${edits.count} (worst) | ${edits.medianMs} ms (${edits.worstMs} ms) | under 200 ms |
| longest block of the interface thread meanwhile | ${edits.longestBlockMs} ms | under 50 ms |

Whole calls from the board to the signed report, by the asks alone, on units that answer as their circuit does with
that fault in it; digits of the pad apart, and what must be confirmed one by one before hands go in:

| unit | complaint | found | taps, at most 45 | digits | confirmations |
| --- | --- | --- | --- | --- | --- |
${calls
  .map(
    ({ unit, circuit, complaint, found, taps, digits, confirmations }) =>
      `| ${unit}, ${circuit} | ${complaint} | ${found} | ${taps} | ${digits} | ${confirmations} |`,
  )
  .join('\n')}

All chunks together: ${scripts.files} files, ${scripts.gzipKilobytes} kB gzip; what a screen needs comes with it.
`,
  )
  console.log(JSON.stringify({ load, reloadMs, entries, edits, calls, scripts }, null, 2))
} finally {
  await browser.close()
  await house.stop()
}
