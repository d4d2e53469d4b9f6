import { faultsOf } from './faults'
import { partFirst } from './partFirst'
import { builtInUnit, builtInUnitIds } from '../units/index'

test.each([
  ['Defrost control', 'defrost control', 'defrost control does not pass the call', 'does not pass the call'],
  ['Low-pressure switch 1', 'low-pressure switch', 'low-pressure switch, in', 'in'],
  ['Drive', 'drive', 'drive’s run input dead', 'run input dead'],
  ['Bypass drive', 'drive', 'drive output 1', 'output 1'],
  ['Fan 2 capacitor', 'running capacitor', 'capacitor, common', 'common'],
  ['Coil relay', 'relay', 'coil open', 'coil open'],
  // another word that only begins alike
  ['Heat', 'heat', 'heater open', 'heater open'],
  ['Fan motor', 'motor', 'motor', 'motor'],
])('%s, a %s: “%s” is said as “%s”', (words, kind, said, rest) => {
  expect(partFirst({ words, kind: { words: kind } }, said)).toBe(`${words}: ${rest}`)
})

test('no point and no fault of any unit names its part twice', () => {
  for (const unit of builtInUnitIds.map(builtInUnit)) {
    const said = [
      ...[...unit.points.values()].map(({ words, part }) => ({ words, part })),
      ...faultsOf(unit).map(({ words, of }) => ({ words, part: of })),
    ]
    for (const { words, part } of said) {
      const name = unit.parts.get(part)?.words
      if (name !== undefined)
        expect(words.toLowerCase().startsWith(`${name}: ${name} `.toLowerCase())).toBe(false)
    }
  }
})
