// npm run share: which share of the code is tests; generated files and the texts of units are not counted
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { root } from './house/paths.mjs'

const isCode = (file) => /\.(ts|tsx|mjs|js)$/.test(file) && !file.endsWith('.d.ts')
// what only tests use is named test…: a log, a server, a visit
const isTest = (file) =>
  /\.test\.tsx?$|\/test[A-Z]\w*\.tsx?$/.test(file) || file.startsWith('e2e/') || file.includes('/cases/')
const linesOf = (file) =>
  readFileSync(path.join(root, file), 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '').length

const files = execFileSync('git', ['ls-files'], { cwd: root, encoding: 'utf8' }).split('\n').filter(isCode)
const sum = (some) => some.reduce((lines, file) => lines + linesOf(file), 0)
const tests = sum(files.filter(isTest))
const all = sum(files)
console.log(`${tests} of ${all} lines are tests: ${((100 * tests) / all).toFixed(1)} %`)
for (const folder of [
  'packages/core',
  'packages/contract',
  'apps/server',
  'apps/field',
  'apps/cli',
  'scripts',
]) {
  const own = files.filter((file) => file.startsWith(`${folder}/`))
  const share = (100 * sum(own.filter(isTest))) / sum(own)
  console.log(`  ${folder}: ${share.toFixed(0)} %`)
}
