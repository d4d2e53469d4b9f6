import fc from 'fast-check'
import { builtInUnitText } from '../units/index'
import { DiagramError, readLadder } from './readLadder'

const good = builtInUnitText('rooftop-two-stage')

const problems = (text: string): readonly { line: number; message: string }[] => {
  try {
    readLadder(text)
  } catch (error) {
    if (error instanceof DiagramError) return error.problems
    throw error
  }
  return []
}

test.each([
  [
    'an unknown terminal',
    good.replace('TS.Y1 -yellow Y1- TB.Y1', 'TS.Y1 -yellow Y1- TB.Y9'),
    /TB\.Y9.*no such terminal.*TB\.Y1/,
  ],
  [
    'an unknown part',
    good.replace('LPS1.2 -yellow 83- HPS1.1', 'LPS1.2 -yellow 83- HPX1.1'),
    /HPX1.*no part/,
  ],
  ['an unknown kind', good.replace('part GV gas-valve', 'part GV gas-valv'), /gas-valv.*nearest.*gas-valve/],
  ['an unknown setting', good.replace('va 75,', 'watts 75,'), /no setting “watts”/],
  [
    'the same wire twice',
    good.replace(
      'rung "Gas valve" control',
      'rung "Twice" control\n  TB.Y1 -pink 1- TS.Y1\nrung "Gas valve" control',
    ),
    /already on line/,
  ],
  [
    'a part that nothing reaches',
    good.replace('part GV gas-valve', 'part ZZ gas-valve "Spare" in gas\npart GV gas-valve'),
    /ZZ: no wire reaches it/,
  ],
  [
    'a wire across two parts with =',
    good.replace('LPS1.1 = LPS1.2', 'LPS1.1 = HPS1.2'),
    /goes through one part/,
  ],
  [
    'a zone that is not there',
    good.replace('"Gas valve" in gas', '"Gas valve" in cellar'),
    /no zone “cellar”/,
  ],
  [
    'a supply short',
    good.replace(
      'rung "Equipment ground" line',
      'rung "Short" line\n  SV.L1 -black 99- SV.L2\nrung "Equipment ground" line',
    ),
    /SV\.L1-SV\.L2: joins two legs/,
  ],
  [
    'a leg on the metal',
    good.replace('SV.G -green G- G1.1', 'SV.L3 -green G- G1.1'),
    /puts a leg of the supply on the metal/,
  ],
  [
    'a section that floats',
    good
      .replace(
        'part GV gas-valve',
        'part ZA lamp "Lamp" in gas\npart ZB lamp "Lamp" in gas\npart GV gas-valve',
      )
      .replace(
        'rung "Gas valve" control',
        'rung "Island" control\n  ZA.1 -pink 1- ZB.1\nrung "Gas valve" control',
      ),
    /ZA, ZB: nothing joins this to the supply/,
  ],
  ['a line that says nothing', good.replace('class rooftop', 'clas rooftop'), /column/],
])('%s is named with its line and what to do', (_, text, message) => {
  const found = problems(text)
  expect(found.length).toBeGreaterThan(0)
  expect(found.map((problem) => problem.message).join('\n')).toMatch(message)
  expect(found[0].line).toBeGreaterThan(0)
})

test('torn text is refused or read, never anything else', () => {
  fc.assert(
    fc.property(fc.nat(good.length), fc.nat(200), fc.string({ maxLength: 8 }), (at, length, junk) => {
      problems(good.slice(0, at) + junk + good.slice(at + length))
    }),
    { numRuns: 60 },
  )
})
