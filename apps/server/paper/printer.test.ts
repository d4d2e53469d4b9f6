import { writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { fonts } from '../testServer'
import { Printer } from './printer'

/** A thread that answers as a printer does: at once, with an error, or not at all. */
const program = path.join(os.tmpdir(), `print-${process.pid}.mjs`)
writeFileSync(
  program,
  `import { parentPort } from 'node:worker_threads'
parentPort.on('message', ({ number, job }) => {
  if (job.origin === 'dies') throw new Error('taken down')
  if (job.origin === 'refused') parentPort.postMessage({ number, error: 'no such face' })
  else parentPort.postMessage({ number, pdf: Buffer.from(job.origin) })
})`,
)
const printer = new Printer(program, fonts)
afterAll(() => {
  printer.close()
})
const print = async (origin: string): Promise<string> =>
  Buffer.from(await printer.print({ print: 'labels', labelled: [], origin })).toString()

test('many at once come back each to whoever asked', async () => {
  const origins = Array.from({ length: 20 }, (_, k) => `https://${k}`)
  expect(await Promise.all(origins.map(print))).toEqual(origins)
})

test('one that takes its thread down is an error of its own; the next has a new thread', async () => {
  await expect(print('refused')).rejects.toThrow('no such face')
  await expect(print('dies')).rejects.toThrow('taken down')
  expect(await print('after')).toBe('after')
})

test('more than can be made are turned away, and said so', async () => {
  const all = await Promise.allSettled(Array.from({ length: 60 }, () => print('busy')))
  const refused = all.filter(({ status }) => status === 'rejected')
  expect(refused.length).toBe(20)
  expect(refused[0]).toMatchObject({ reason: { status: 503 } })
})
