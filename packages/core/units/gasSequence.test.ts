import { Circuit } from '../circuit/circuit'
import { nodeOf, valueBetween } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { playTimeline } from '../circuit/timeline'
import { faultsOf } from '../diagram/faults'
import { builtInUnit } from './index'

const unit = builtInUnit('rooftop-two-stage')
const heat = new Circuit(unit, situationOf(unit, 'heat1'))
const effectsOf = (id: string) => {
  const fault = faultsOf(unit).find((candidate) => candidate.id === id)
  if (!fault) throw new RangeError(`no fault ${id}`)
  return fault.effects
}
const withFault = (id: string) => heat.vary(effectsOf(id))
const codeOf = (settled: ReturnType<typeof withFault>) =>
  heat
    .looks(settled)
    .get('IC')
    ?.find((word) => word.startsWith('code'))
const stateOf = (settled: ReturnType<typeof withFault>, link: string) =>
  settled.states[heat.network.linkNumbers.get(link) ?? -1]

test('healthy, the flame stands and leaves its microamperes as volts at the sense terminal', () => {
  expect(stateOf(heat.healthy, 'IGN/burner')).toBe('lit')
  expect(codeOf(heat.healthy)).toBe('code steady')
  // 20 V behind 4 MΩ of flame leave 4 µA in 1 MΩ; the meter's 10 MΩ take a tenth of it
  const volts = valueBetween(heat.healthy, 'dc', nodeOf(heat.healthy, 'IC.FS'), nodeOf(heat.healthy, 'IC.C'))
  expect(volts).toBeGreaterThan(3.5)
  expect(volts).toBeLessThan(4)
})

test.each([
  ['IGN:element-open', 'code 6 flashes'],
  ['IGN:aged', 'code 6 flashes'],
  ['IC.IG-IGN.1:open', 'code 6 flashes'],
  ['GV:coil-open', 'code 6 flashes'],
  ['GV:stays-shut', 'code 6 flashes'],
  ['FR:dirty', 'code 6 flashes'],
  ['FR:1-grounded', 'code 6 flashes'],
  ['IC.FS-FR.1:open', 'code 6 flashes'],
  ['DSW:contact-open', 'code 2 flashes'],
  ['IDM:main-open', 'code 2 flashes'],
  ['DSW:stuck', 'code 3 flashes'],
  ['IC:inducer-stuck', 'code 3 flashes'],
  ['RO:tripped', 'code 4 flashes'],
  ['IC:electronics-open', 'code dark'],
])('%s shows %s, and no gas is let out', (fault, code) => {
  const settled = withFault(fault)
  expect(codeOf(settled)).toBe(code)
  expect(stateOf(settled, 'IC/valve')).toBe('open')
  expect(stateOf(settled, 'GV/seat')).toBe('shut')
})

test('an open limit drops the call and runs the blower; one that waits to be reset does so in every call', () => {
  for (const [call, fault] of [
    ['heat1', 'LS1:tripped'],
    ['off', 'RO:tripped'],
  ] as const) {
    const circuit = new Circuit(unit, situationOf(unit, call))
    const settled = circuit.vary(effectsOf(fault))
    const state = (link: string) => settled.states[circuit.network.linkNumbers.get(link) ?? -1]
    expect(state('IC/valve')).toBe('open')
    expect(state('IFM/rotor')).toBe('turning')
  }
})

test('locked out, it may be met while it still tries: the valve has its volts then', () => {
  const settled = withFault('IGN:element-open')
  const volts = heat
    .phases(settled)
    .map(({ held }) => heat.vary([...effectsOf('IGN:element-open'), ...held]))
    .map((met) => valueBetween(met, 'volts', nodeOf(met, 'GV.1'), nodeOf(met, 'GV.2')) ?? 0)
  expect(Math.max(...volts)).toBeGreaterThan(20)
  expect(Math.min(...volts)).toBeLessThan(1)
})

test('purge, warm-up, trial, flame, blower: each at its time; with no flame proven, four tries and an end', () => {
  const play = (effects: Parameters<typeof playTimeline>[3]) =>
    playTimeline(unit, situationOf(unit, 'off'), situationOf(unit, 'heat1'), effects, 1200)
  const at = (timeline: ReturnType<typeof play>, link: string, to: string) =>
    timeline.events.find((event) => event.link === link && event.to === to)?.seconds
  const healthy = play([])
  expect(at(healthy, 'IC/inducer', 'closed')).toBe(0)
  expect(at(healthy, 'IC/igniter', 'closed')).toBe(20)
  expect(at(healthy, 'IC/valve', 'closed')).toBe(40)
  expect(at(healthy, 'IC/blower', 'closed')).toBe(80)
  const unproven = play(effectsOf('FR:dirty'))
  expect(at(unproven, 'IGN/burner', 'lit')).toBe(40)
  expect(at(unproven, 'IC/sequence', 'lockout')).toBe(64)
  expect(at(unproven, 'IC/blower', 'closed')).toBeUndefined()
  expect(unproven.periodSeconds).toBeNull()
})

test('the sequence and the settled state agree for every fault of the gas section', () => {
  const gas = faultsOf(unit).filter(({ of }) => ['IC', 'IGN', 'FR', 'GV', 'DSW'].includes(of))
  expect(gas.length).toBeGreaterThan(12)
  for (const { id, effects } of gas) {
    const timeline = playTimeline(unit, situationOf(unit, 'off'), situationOf(unit, 'heat1'), effects, 1200)
    const settled = heat.vary(effects)
    const step = (states: readonly string[]) => states[heat.network.linkNumbers.get('IC/sequence') ?? -1]
    expect({ id, step: step(timeline.states) }).toEqual({ id, step: step(settled.states) })
  }
})
