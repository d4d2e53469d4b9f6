import { builtInUnit } from '../units/index'
import type { EntryBody } from './entry'
import { entryWords } from './entryWords'

const rooftop = builtInUnit('rooftop-two-stage')

test.each<[EntryBody, string]>([
  [{ kind: 'reading', meter: 'volts', from: 'LPS1.2', value: 0 }, 'LPS1.2 to TB.C: 0.0 V'],
  [{ kind: 'reading', meter: 'ohms', from: 'TB.R', to: 'TB.C', value: null }, 'TB.R to TB.C: OL'],
  [
    { kind: 'reading', meter: 'amps', from: 'CC1.T1', to: 'C1.T1', value: 15.2 },
    'CC1.T1 to C1.T1, in the wire: 15.2 A',
  ],
  [{ kind: 'call', call: 'cool2' }, 'Call set: Cooling, both stages'],
  [{ kind: 'power', is: 'off', of: 'DS' }, 'Power off: Unit disconnect'],
  [{ kind: 'condition', of: 'outdoorDryBulb', value: 55 }, 'Outdoor temperature 55 °F'],
  [{ kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.G' }, 'Joined TB.R to TB.G'],
  [{ kind: 'action', do: 'unplug', of: 'PL' }, 'Pulled Economizer plug'],
  [{ kind: 'observation', what: 'code', of: 'IC', words: '4 flashes' }, 'Ignition control: code 4 flashes'],
  [
    { kind: 'setting', of: 'EC.changeover', from: '62', to: '68' },
    'Economizer controller: changeover point: 62 °F → 68 °F',
  ],
  [
    { kind: 'setting', of: 'EC.changeover', from: '62', to: '62' },
    'Economizer controller: changeover point: found at 62 °F, left so',
  ],
  [{ kind: 'proof', call: 'cool1', words: '', passed: true }, 'Proof, Cooling, first stage: right'],
  [
    { kind: 'sign-off', outcome: 'repaired', words: 'Switch replaced' },
    'Signed off, repaired: Switch replaced',
  ],
])('%j', (body, words) => {
  expect(entryWords(body, rooftop)).toBe(words)
})

test.each([
  [25, 'volts', '25', '25 V'],
  [0, 'amps', '0.0', '0.0 A'],
  [4700, 'ohms', '4.7 k', '4.7 kΩ'],
  [null, 'ohms', 'OL', 'OL'],
  // only the number was kept, or what no pad gives
  [25, 'volts', undefined, '25.0 V'],
  [25, 'volts', 'about 25', '25.0 V'],
] as const)('a reading of %p %s typed “%s” is said as %s', (value, meter, typed, shown) => {
  const body: EntryBody = {
    kind: 'reading',
    meter,
    from: 'TB.R',
    to: 'TB.C',
    value,
    ...(typed ? { typed } : {}),
  }
  expect(entryWords(body, builtInUnit('rooftop-two-stage'))).toMatch(
    new RegExp(`: ${shown.replace('.', '\\.')}$`),
  )
})
