// npm run fuzz:files -- --count 20000 --seed 480 --format calendar: files of every format that is read, or
// of one, spoiled: each is used or refused
import { parseArgs } from 'node:util'
import { machine } from '../../house/machine.mjs'
import { below, chance, changedText, choose, setSeed } from '../change.mjs'
import { readers, type Reader } from './readers'

/** Longest that any one file may take, milliseconds. */
const mostMilliseconds = 2000

interface Tally {
  accepted: number
  refused: number
  slowest: number
  readonly wrong: string[]
}

/** A right file, changed; now and then huge, nested deep, of another encoding, or nothing like it. */
function spoiled(right: readonly string[]): string {
  const text = right[below(right.length)]
  if (!chance(40)) return changedText(text)
  return choose([
    () => text.repeat(20),
    () => '['.repeat(20_000),
    () => Buffer.from(text, 'utf16le').toString('latin1'),
    () => '',
    () => `\uFEFF${text.replaceAll('\n', '\r\n')}`,
  ])()
}

function tried({ right, take, refuses }: Reader, count: number): Tally {
  const tally: Tally = { accepted: 0, refused: 0, slowest: 0, wrong: [] }
  for (let k = 0; k < count; k++) {
    const text = spoiled(right)
    const began = performance.now()
    try {
      take(text)
      tally.accepted += 1
    } catch (error) {
      if (error instanceof Error && refuses.some((known) => error instanceof known) && error.message !== '')
        tally.refused += 1
      else
        tally.wrong.push(
          `${String(error)}\n${error instanceof Error ? (error.stack ?? '') : ''}\n${text.slice(0, 300)}`,
        )
    }
    const took = performance.now() - began
    tally.slowest = Math.max(tally.slowest, took)
    if (took > mostMilliseconds) tally.wrong.push(`took ${took.toFixed(0)} ms\n${text.slice(0, 300)}`)
  }
  return tally
}

const { values } = parseArgs({
  options: {
    count: { type: 'string', default: '20000' },
    seed: { type: 'string', default: '480' },
    /** Only formats whose name begins so. */
    format: { type: 'string', default: '' },
  },
})
const count = Number(values.count)
setSeed(Number(values.seed))
let wrong = 0
for (const reader of readers.filter(({ format }) => format.startsWith(values.format))) {
  const tally = tried(reader, count)
  wrong += tally.wrong.length
  console.log(
    `${reader.format}: ${count} files, ${tally.accepted} used, ${tally.refused} refused with words, ` +
      `${tally.wrong.length} neither; the slowest took ${tally.slowest.toFixed(0)} ms`,
  )
  for (const each of tally.wrong.slice(0, 3)) console.log(each)
}
console.log(`seed ${values.seed}, ${machine}`)
process.exitCode = wrong > 0 ? 1 : 0
