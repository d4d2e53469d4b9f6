import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readdir, readFile, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { generate } from '../generate.mjs'
import { precompress } from './precompress.mjs'
import { fieldFolder, root, serverBundle, serverFolder, webFolder } from './paths.mjs'
import { run } from './run.mjs'

const skipped = new Set(['node_modules', 'dist', '.expo', 'migrations'])

async function filesBelow(folder) {
  const found = await readdir(folder, { withFileTypes: true })
  const lists = await Promise.all(
    found
      .filter(({ name }) => !skipped.has(name))
      .map((entry) => {
        const file = path.join(folder, entry.name)
        return entry.isDirectory() ? filesBelow(file) : [file]
      }),
  )
  return lists.flat()
}

async function fingerprint(folders) {
  const sum = createHash('sha256')
  for (const file of (await Promise.all(folders.map(filesBelow))).flat().sort())
    sum.update(file).update(await readFile(file))
  sum.update(await readFile(path.join(root, 'package-lock.json')).catch(() => ''))
  return sum.digest('hex')
}

/** Whether npm packages are there and of this lock file. */
export async function installPackages() {
  const stamp = path.join(root, 'node_modules', '.jokulgale-lock')
  const lock = await readFile(path.join(root, 'package-lock.json'), 'utf8')
  const wanted = createHash('sha256').update(lock).digest('hex')
  if ((await readFile(stamp, 'utf8').catch(() => '')) === wanted) return
  console.log('Installing npm packages …')
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root })
  await writeFile(stamp, wanted)
}

/** A program for Node with the core in it; npm packages stay outside. */
const forNode = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  sourcemap: true,
  logLevel: 'warning',
  alias: {
    '@jokulgale/core': path.join(root, 'packages', 'core'),
    '@jokulgale/contract': path.join(root, 'packages', 'contract'),
  },
}

/** Bundles a program for Node. */
export async function bundle(entry, outfile) {
  await generate()
  const { build } = await import('esbuild')
  await build({ ...forNode, entryPoints: [entry], outfile })
}

/** The server, and the thread that it prints in. */
const serverPrograms = [
  { entry: path.join(serverFolder, 'main.ts'), outfile: serverBundle },
  {
    entry: path.join(serverFolder, 'paper', 'printThread.ts'),
    outfile: path.join(path.dirname(serverBundle), 'printThread.mjs'),
  },
]

export async function buildServer() {
  for (const { entry, outfile } of serverPrograms) await bundle(entry, outfile)
}

/** Builds the server, and again at each edit of what it is made of; `built` is told each time. */
export async function watchServer(built) {
  const [main, ...others] = serverPrograms
  for (const { entry, outfile } of others) await bundle(entry, outfile)
  const { context } = await import('esbuild')
  const telling = {
    name: 'built',
    setup: ({ onEnd }) => onEnd(({ errors }) => (errors.length === 0 ? built() : undefined)),
  }
  const watching = await context({
    ...forNode,
    entryPoints: [main.entry],
    outfile: main.outfile,
    plugins: [telling],
  })
  await watching.watch()
  return watching
}

const scripts = path.join('_expo', 'static', 'js', 'web')

/** What every screen stands in is asked for with the page, and not when the application has got that far. */
async function preloadFirst(folder) {
  const page = path.join(folder, 'index.html')
  const layout = (await readdir(path.join(folder, scripts))).find((name) => /^_layout-\w+\.js$/.test(name))
  if (!layout) throw new Error('the export has no chunk for the layout of all screens')
  const link = `<link rel="preload" as="script" href="/${scripts}/${layout}">`
  await writeFile(page, (await readFile(page, 'utf8')).replace('</head>', `${link}</head>`))
}

/** Exports the web application when anything it is made of has changed. */
export async function buildWeb() {
  await generate()
  const stamp = path.join(webFolder, '.stamp')
  const wanted = await fingerprint([
    fieldFolder,
    path.join(root, 'packages', 'core'),
    path.join(root, 'packages', 'contract'),
  ])
  if (existsSync(stamp) && (await readFile(stamp, 'utf8')) === wanted) return
  console.log('Building the web application …')
  await rm(webFolder, { recursive: true, force: true })
  await run('npx', ['expo', 'export', '-p', 'web', '--output-dir', 'dist'], {
    cwd: fieldFolder,
    quiet: true,
    env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', NODE_ENV: 'production' },
  })
  await preloadFirst(webFolder)
  const { generateSW } = await import('workbox-build')
  await generateSW({
    globDirectory: webFolder,
    globPatterns: ['**/*.{html,js,css,ttf,woff2,png,ico,json,webmanifest}'],
    swDest: path.join(webFolder, 'service-worker.js'),
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    maximumFileSizeToCacheInBytes: 6_000_000,
    clientsClaim: true,
    skipWaiting: true,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
  })
  await precompress(webFolder)
  await writeFile(stamp, wanted)
}
