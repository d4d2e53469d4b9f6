// node scripts/house/bundled.mjs FILE.ts …: runs a measuring program on the core as it ships, bundled
import path from 'node:path'
import { bundle } from './build.mjs'
import { root, stateFolder } from './paths.mjs'
import { run } from './run.mjs'

const [file, ...rest] = process.argv.slice(2)
const out = path.join(stateFolder, 'bundled', `${path.basename(path.dirname(file))}.mjs`)
await bundle(path.resolve(root, file), out)
await run('node', [out, ...rest], { cwd: root })
