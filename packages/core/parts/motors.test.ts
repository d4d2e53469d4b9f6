import { Circuit, type Settled } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { faultsOf } from '../diagram/faults'
import { withOhms } from '../diagnosis/resistance'
import { builtInUnit, builtInUnitIds } from '../units/index'

const unit = builtInUnit('package-proving')
const circuitIn = (call: string): Circuit => new Circuit(unit, situationOf(unit, call))
const effectsOf = (fault: string) => faultsOf(unit).find(({ id }) => id === fault)?.effects ?? []
const compressor = ['CC1.T1 C1.T1', 'CC1.T2 C1.T2', 'CC1.T3 C1.T3']
const ampsOf = (settled: Settled, wires: readonly string[]): readonly number[] =>
  wires.map((wire) => {
    const [from, to] = wire.split(' ')
    return meterValue(settled, 'amps', from, to) ?? NaN
  })

test('a seized compressor hums at locked-rotor amps in all three legs, or is open on its protector', () => {
  const circuit = circuitIn('cool1')
  const settled = circuit.vary(effectsOf('C1:seized'))
  expect(Math.max(...ampsOf(settled, compressor))).toBeLessThan(0.1)
  expect(circuit.looks(settled).get('C1')).toEqual(['still'])
  const [humming] = circuit.phases(settled)
  const stalled = circuit.vary([...effectsOf('C1:seized'), ...humming.held])
  // six times the 13 A of its plate, at 208 V
  for (const amps of ampsOf(stalled, compressor)) expect(amps).toBeCloseTo(6 * 13, -1)
  expect(circuit.looks(stalled).get('C1')).toEqual(['humming', 'still'])
})

test('a seized fan hums at twice its plate, and its capacitor and windings read as ever', () => {
  const circuit = circuitIn('cool1')
  const settled = circuit.vary(effectsOf('FM:seized'))
  const [humming] = circuit.phases(settled)
  const stalled = circuit.vary([...effectsOf('FM:seized'), ...humming.held])
  const [amps] = ampsOf(stalled, ['CFR.NO1 FM.C'])
  expect(amps).toBeGreaterThan(1.5 * 2.6)
  expect(amps).toBeLessThan(2.5 * 2.6)
  const isolated = new Circuit(unit, situationOf(unit, 'off', 'off'))
  const ohms = (fault: string) => meterValue(isolated.vary(effectsOf(fault)), 'ohms', 'FM.C', 'FM.R')
  expect(ohms('FM:seized')).toBe(ohms(''))
})

test('open on its inner protector it reads open from its common, and both windings in series past it', () => {
  const split = builtInUnit('fan-coil-cooling')
  const isolated = new Circuit(split, situationOf(split, 'off', 'off'))
  const read = (fault: string, from: string, to: string): number | null => {
    const effects = faultsOf(split).find(({ id }) => id === fault)?.effects ?? []
    return meterValue(isolated.vary(effects), 'ohms', `C1.${from}`, `C1.${to}`)
  }
  const main = (0.045 * 240) / 9
  const start = 2.5 * main
  // the condenser fan hangs on the same two wires, and takes a little off what is read
  const share = (ohms: number | null, of: number): number => (ohms ?? Infinity) / of
  expect(share(read('', 'R', 'S'), main + start)).toBeCloseTo(1, 1)
  expect(share(read('', 'C', 'S'), start)).toBeCloseTo(1, 1)
  expect(share(read('C1:protector-open', 'R', 'S'), main + start)).toBeCloseTo(1, 2)
  // from the common there is only the way around through the fan
  expect(share(read('C1:protector-open', 'C', 'S'), start)).toBeGreaterThan(4)
  // a winding that is open is open from both of the others
  expect(read('C1:start-open', 'R', 'S')).toBeNull()
  expect(read('C1:start-open', 'C', 'S')).toBeNull()
})

test('a motor that stalled draws nothing once its protector has opened, neither in its start winding', () => {
  const circuit = circuitIn('cool1')
  const settled = circuit.vary(effectsOf('FM:seized'))
  expect(ampsOf(settled, ['CFR.NO1 FM.C'])[0]).toBeLessThan(0.01)
  // its main winding open, it hums on the start winding alone, which trips nothing
  const [amps] = ampsOf(circuit.vary(effectsOf('FM:main-open')), ['CFR.NO1 FM.C'])
  expect(amps).toBeGreaterThan(0.2)
  expect(amps).toBeLessThan(2.6)
})

test('nothing runs for want of a call because it is seized', () => {
  const circuit = circuitIn('off')
  for (const motor of ['C1', 'FM', 'IFM'])
    expect([motor, circuit.looks(circuit.vary(effectsOf(`${motor}:seized`))).get(motor)]).toEqual([
      motor,
      ['still'],
    ])
})

test('with two legs exchanged a compressor runs backwards: loud, at a part of its amps, in balance', () => {
  const circuit = circuitIn('cool1')
  const settled = circuit.vary(effectsOf('SV:reversed'))
  for (const amps of ampsOf(settled, compressor)) expect(amps).toBeCloseTo(0.6 * 13, 0)
  expect(circuit.looks(settled).get('C1')).toEqual(['noisy', 'turning'])
})

test('a winding shorted dead opens what feeds it before its inner protector, and never turns', () => {
  for (const id of builtInUnitIds) {
    const each = builtInUnit(id)
    const shorted = faultsOf(each).filter(
      (fault) =>
        fault.class === 'short' && each.parts.get(fault.of)?.kind.symbol === 'motor' && fault.of !== 'DA',
    )
    for (const fault of shorted)
      for (const { id: call } of each.calls) {
        const circuit = new Circuit(each, situationOf(each, call))
        const healthy = circuit.looks(circuit.healthy).get(fault.of) ?? []
        if (!healthy.includes('turning')) continue
        const settled = circuit.vary(withOhms(fault, 'least').effects)
        expect([id, fault.id, call, circuit.looks(settled).get(fault.of)]).not.toContainEqual(['turning'])
        // a fuse or a breaker, or a drive that locks itself out
        const opened = circuit.network.links.filter(
          ({ part }, link) =>
            (part?.kind.overcurrent ?? part?.kind.storedSeconds) !== undefined &&
            ['open', 'off'].includes(settled.states[link]) &&
            settled.states[link] !== circuit.healthy.states[link],
        )
        expect([id, fault.id, call, opened.length > 0]).toEqual([id, fault.id, call, true])
      }
  }
})

test('a winding shorted in part draws too little for the breaker: the inner protector opens', () => {
  const split = builtInUnit('split-heat-pump')
  const circuit = new Circuit(split, situationOf(split, 'cool1'))
  const fault = faultsOf(split).find(({ id }) => id === 'FM:main-shorted')
  const settled = circuit.vary(fault ? withOhms(fault, 'most').effects : [])
  const stateOf = (branch: string) => settled.states[circuit.network.linkNumbers.get(branch) ?? -1]
  expect(stateOf('FM/protector')).toBe('open')
  expect(stateOf('BRO/handle')).toBe('on')
  expect(stateOf('C1/rotor')).toBe('turning')
})

test('a breaker that was switched off by hand has not tripped', () => {
  const pump = builtInUnit('package-heat-pump')
  const isolated = new Circuit(pump, situationOf(pump, 'cool1', 'off'))
  expect(isolated.looks(isolated.healthy).get('BR1')).toEqual(['off'])
})

test('a handle is seen where it stands, whichever of its poles does not make', () => {
  const unit = builtInUnit('air-handler-heat')
  const seen = (fault: string, of: string, power: 'on' | 'off' = 'on'): readonly string[] => {
    const circuit = new Circuit(unit, situationOf(unit, 'heat2', power))
    const effects = faultsOf(unit).find(({ id }) => id === `${of}:${fault}`)?.effects ?? []
    return circuit.looks(circuit.vary(effects)).get(of) ?? []
  }
  for (const of of ['DS', 'BR']) {
    for (const fault of ['pole1-open', 'pole2-open', 'pole3-open']) expect(seen(fault, of)).toEqual(['on'])
    expect(seen('off', of)).toEqual(['off'])
  }
  expect(seen('poles-not-home', 'DS')).toEqual(['on'])
  expect(seen('', 'DS', 'off')).toEqual(['off'])
})

test('with two of its leads exchanged a motor turns the other way, unless the supply has them so too', () => {
  const seen: string[] = []
  for (const id of builtInUnitIds) {
    const diagram = builtInUnit(id)
    const faults = new Map(faultsOf(diagram).map((fault) => [fault.id, fault.effects]))
    for (const call of diagram.calls) {
      const circuit = new Circuit(diagram, situationOf(diagram, call.id))
      const lookAt = (part: string, ...which: readonly string[]): string | undefined =>
        circuit
          .looks(circuit.vary(which.flatMap((fault) => faults.get(fault) ?? [])))
          .get(part)
          ?.at(0)
      for (const part of diagram.parts.values()) {
        const swapped = `${part.id}:leads-swapped`
        if (!faults.has(swapped) || lookAt(part.id) !== 'turning') continue
        seen.push(part.id)
        expect([id, part.id, lookAt(part.id, swapped)]).toEqual([
          id,
          part.id,
          part.kind.lookWords?.(part.settings).includes('noisy') ? 'noisy' : 'backwards',
        ])
        // a monitor stops the unit on exchanged legs
        expect(['turning', 'still']).toContain(lookAt(part.id, swapped, 'SV:reversed'))
      }
    }
  }
  expect(new Set(seen)).toEqual(new Set(['IFM', 'C1', 'C2']))
})

test('through a bad joint a compressor that runs may not come up again: it hums on the volts left', () => {
  const heatPump = builtInUnit('split-heat-pump')
  const burnt = faultsOf(heatPump).find(({ id }) => id === 'CC1:pole2-burnt')
  if (!burnt) throw new Error('there is no burnt pole')
  const seen = (supplyVolts: number, at: 'least' | 'most') => {
    const situation = situationOf(heatPump, 'cool1')
    const conditions = { ...situation.conditions, supplyVolts }
    const circuit = new Circuit(heatPump, { ...situation, conditions })
    const { effects } = withOhms(burnt, at)
    return circuit.phases(circuit.vary(effects)).map(({ held }) => {
      const met = circuit.vary([...effects, ...held])
      return [
        circuit.looks(met).get('C1')?.at(0),
        meterValue(met, 'volts', 'CC1.T1', 'CC1.T2') ?? NaN,
      ] as const
    })
  }
  const [humming, cooling] = seen(208, 'most')
  expect(humming[0]).toBe('humming')
  expect(humming[1]).toBeLessThan(0.7 * 208)
  // its protector open, nothing drops on the joint
  expect(cooling[0]).toBe('still')
  expect(cooling[1]).toBeGreaterThan(0.9 * 208)
  // on a supply that is low and firm it comes up
  expect(seen(190, 'least')).toEqual([])
})
