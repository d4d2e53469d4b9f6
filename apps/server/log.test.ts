import { demoSignIn } from './demo/scenario'
import { addressLogged, errorLogged, makeLogger } from './log'
import { client, openServer } from './testServer'

const lines: string[] = []
const logger = makeLogger('info', {
  write: (line: string) => {
    lines.push(line)
  },
})
const server = openServer({ logger })
afterAll(() => server.close())

test('nothing that lets anybody in, and nothing that anybody wrote, is in the log; no line is long', async () => {
  const ask = await client(server, demoSignIn)
  const origin = await server.ready
  await ask('GET', `/search?words=${'grey-kitten'.repeat(1200)}`)
  await fetch(`${origin}/links/a-token-nobody-may-read`)
  await fetch(`${origin}/places`, { headers: { authorization: 'Bearer a-credential' } })
  const long = 'a'.repeat(4000)
  await ask('POST', '/entries', { entries: [{ id: long, words: 'grey-kitten' }] })
  // a query that fails says what it was asked with
  const broken = server.db
    .execute(`SELECT '${'grey-kitten'.repeat(2000)}' FROM nowhere`)
    .catch((error: unknown) => logger.error(error))
  await broken
  const all = lines.join('\n')
  expect(lines.length).toBeGreaterThan(4)
  expect(all).toMatch(/"address":"\/api\/search"/)
  for (const secret of [
    'jokulgale=',
    'a-token-nobody-may-read',
    'a-credential',
    demoSignIn.password,
    'cookie',
  ])
    expect([secret, all.includes(secret)]).toEqual([secret, false])
  expect(Math.max(...lines.map((line) => line.length))).toBeLessThan(10_000)
})

test('an error is logged with its cause, and without the values of a failed query', () => {
  const cause = Object.assign(new Error('duplicate key'), { code: '23505' })
  const error = new Error('Failed query: insert into people values ($1)\nparams: nell@skerry.example', {
    cause,
  })
  const logged = errorLogged(error)
  expect(JSON.stringify(logged)).not.toContain('nell@')
  expect(logged).toMatchObject({
    message: 'Failed query: insert into people values ($1)',
    cause: { code: '23505', message: 'duplicate key' },
  })
  expect(logged.stack).toMatch(/ at /)
  expect(errorLogged('a word')).toEqual({ type: 'string', message: 'a word' })
})

test('an address keeps its names and loses what was asked', () => {
  expect(addressLogged('/api/visits/1/entries?after=7')).toBe('/api/visits/1/entries')
  expect(addressLogged('/api/links/secret')).toBe('/api/links/…')
})
