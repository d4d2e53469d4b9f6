import { logOf } from './testLog'
import { lineFound, wordsOfVisit, wordsSought } from './visitWords'

const log = logOf([
  { kind: 'complaint', complaint: 'not-cooling', words: 'Warm every\n afternoon' },
  { kind: 'call', call: 'cool2' },
  { kind: 'note', words: 'Gull nest on the curb' },
  { kind: 'note', words: 'Never mind this one' },
  { kind: 'retracted', entry: '3' },
  { kind: 'sign-off', outcome: 'repaired', words: 'Lockout replaced; the afternoon is cool again' },
])
const find = (sought: string): string | null => lineFound(wordsOfVisit(log), wordsSought(sought))

test('the words of a visit are those that stand, each on a line', () => {
  expect(wordsOfVisit(log)).toEqual([
    'Warm every afternoon',
    'Gull nest on the curb',
    'Lockout replaced; the afternoon is cool again',
  ])
})

test.each([
  ['gull', 'Gull nest on the curb'],
  ['AFTERN', 'Warm every afternoon'],
  // each begins a word somewhere: the line with the most of them
  ['cool afternoon', 'Lockout replaced; the afternoon is cool again'],
  ['curb, lock', 'Gull nest on the curb'],
  ['ull', null],
  ['gull crow', null],
  ['mind', null],
  ['  …  ', null],
])('“%s” finds %s', (sought, line) => {
  expect(find(sought)).toBe(line)
})
