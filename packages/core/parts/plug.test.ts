import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { builtInUnit } from '../units/index'
import { effectsOfAction } from '../visit/actions'

const unit = builtInUnit('package-proving')
const circuit = new Circuit(unit, situationOf(unit, 'cool1'))

test('a plug that is pulled apart passes nothing, and is seen to be', () => {
  expect(circuit.looks(circuit.healthy).get('PK1')).toEqual(['together'])
  const pulled = circuit.vary(effectsOfAction(unit, 'unplug', 'PK1'))
  expect(circuit.looks(pulled).get('PK1')).toEqual(['apart'])
  expect(circuit.looks(pulled).get('CC1')).toContain('dropped-out')
})

test('a plug seen apart is the cause of what it stops; seen together it is none', () => {
  const chance = (what: string): number => {
    const { model, belief } = diagnose(unit, {
      complaint: 'not-cooling',
      entries: [
        { kind: 'call', call: 'cool1' },
        { kind: 'observation', of: 'PB1', what: 'code', words: '3 flashes' },
        { kind: 'observation', of: 'PK1', what },
      ],
    })
    return belief.probability[model.hypotheses.findIndex(({ id }) => id === 'PK1:unplugged')]
  }
  expect(chance('apart')).toBeGreaterThan(0.9)
  expect(chance('together')).toBeLessThan(0.01)
})
