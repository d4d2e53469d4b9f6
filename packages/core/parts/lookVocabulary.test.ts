import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { faultsOf } from '../diagram/faults'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { isGlanceWord, seenWords, showsFed, toldBy } from './lookVocabulary'
import { storedIn } from './storedCode'

test.each(builtInUnitIds)(
  '%s: what its parts say at a look can be asked for, but for how a fuse blew, a pan is, and what is stored',
  (id) => {
    const diagram = builtInUnit(id)
    const unknown = new Set<string>()
    for (const { id: call } of diagram.calls) {
      const circuit = new Circuit(diagram, situationOf(diagram, call))
      // a sample: every thirtieth fault, other ones in each call
      const some = faultsOf(diagram).filter((_, k) => k % 30 === call.length % 30)
      for (const settled of [circuit.healthy, ...some.map(({ effects }) => circuit.vary(effects))])
        for (const words of circuit.looks(settled).values())
          for (const word of words) if (!isGlanceWord(word)) unknown.add(word)
    }
    const looksCloser = ['blown-clear', 'blown-silvered', 'blown-sagged', 'dry', 'wet']
    // a stored code is given to whoever asks the control for it, and is weighed in a way of its own
    const isCloser = (word: string): boolean => looksCloser.includes(word) || storedIn(word) !== null
    expect([...unknown].filter((word) => !isCloser(word))).toEqual([])
  },
)

test.each(builtInUnitIds)(
  '%s: isolated, nothing looks as if it were fed, and in some call something does',
  (id) => {
    const diagram = builtInUnit(id)
    const fedIn = (call: string, power: 'on' | 'off'): readonly string[] => {
      const circuit = new Circuit(diagram, situationOf(diagram, call, power))
      return [...circuit.looks(circuit.healthy)].flatMap(([of, words]) => (words.some(showsFed) ? [of] : []))
    }
    const calls = diagram.calls.map((call) => call.id)
    expect(calls.flatMap((call) => fedIn(call, 'off'))).toEqual([])
    expect(calls.flatMap((call) => fedIn(call, 'on'))).not.toEqual([])
  },
)

test('a word is told by a handle, by eye, by ear or by counting', () => {
  expect(['off', 'tripped', 'turning', 'humming', 'bulged', 'code 3 flashes'].map(toldBy)).toEqual([
    'handle',
    'plainly',
    'stands',
    'heard',
    'closely',
    'counted',
  ])
  expect(
    ['pulled-in', 'open-drawn', 'blown-silvered', 'stored 4 flashes', 'stored none'].map(seenWords),
  ).toEqual(['pulled in', 'drawn open', 'blown silvered', 'stored code 4 flashes', 'no stored code'])
})
