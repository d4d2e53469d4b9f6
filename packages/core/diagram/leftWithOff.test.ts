import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { branchesOpened, type Effect } from '../parts/effect'
import { builtInUnit } from '../units/index'
import { effectsOfAction } from '../visit/actions'
import { leftWithOff } from './leftWithOff'

const diagram = builtInUnit('fan-coil-cooling')
const lifted = (point: string): ReadonlySet<string> => branchesOpened(effectsOfAction(diagram, 'lift', point))

const left = (effect: Effect, off: ReadonlySet<string>): readonly Effect[] =>
  leftWithOff(diagram, { of: 'GR', class: 'landing', effects: [effect] }, off)

/** Ohms of the relay's coil with every lead of its call side lifted, and this left of what nobody drew. */
function coilOhms(effects: readonly Effect[]): number | null {
  const circuit = new Circuit(diagram, situationOf(diagram, 'off', 'off'))
  const settled = circuit.vary([...effectsOfAction(diagram, 'lift', 'GR.A1'), ...effects])
  return meterValue(settled, 'ohms', 'GR.A1', 'GR.A2')
}

describe('every lead of a terminal lifted', () => {
  const jumper: Effect = { does: 'join', from: 'GR.A1', to: 'GR.A2', ohms: 0.05 }
  const strange: Effect = { does: 'move', wire: 'TS.G-TB.G', end: 'TB.G', to: 'GR.A1' }

  test('takes a jumper along, and a lead that was put there', () => {
    expect(coilOhms([jumper])).toBeLessThan(0.1)
    expect(coilOhms(left(jumper, lifted('GR.A1')))).toBeGreaterThan(10)
    expect(left(strange, lifted('GR.A1'))).toEqual([{ does: 'open', branch: 'TS.G-TB.G' }])
  })

  test('takes nothing along that is on another, or while one lead is still on', () => {
    for (const effect of [jumper, strange]) {
      expect(left(effect, lifted('CC1.A1'))).toEqual([effect])
      expect(left(effect, new Set())).toEqual([effect])
    }
  })
})
