import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { familyMember } from '../families/testMember'
import type { Conditions } from '../parts/kind'
import type { Effect } from '../parts/effect'

/** A rooftop with two stages, its condenser fans with either, and these options. */
const member = (options: Readonly<Record<string, string>>) =>
  familyMember('rooftop', { fans: 'either', ...options })

/** Damper and calls of a rooftop in a call and weather. */
function met(
  options: Readonly<Record<string, string>>,
  call: string,
  conditions: Conditions,
  effects: readonly Effect[] = [],
) {
  const diagram = member(options)
  const situation = situationOf(diagram, call)
  const circuit = new Circuit(diagram, {
    ...situation,
    conditions: { ...situation.conditions, ...conditions },
  })
  const { states } = circuit.vary(effects)
  const state = (link: string) => states[circuit.network.linkNumbers.get(link) ?? -1]
  return {
    damper: state('EC/signal'),
    compressor1: state('CC1/armature'),
    compressor2: state('CC2/armature'),
  }
}

const cold = { outdoorDryBulb: 55 }
const hot = { outdoorDryBulb: 90 }

test('outdoor air is the first stage; the second call brings the first compressor beside it', () => {
  expect(met({}, 'cool1', cold)).toEqual({ damper: 'full', compressor1: 'out', compressor2: 'out' })
  expect(met({}, 'cool2', cold)).toEqual({ damper: 'full', compressor1: 'in', compressor2: 'out' })
  expect(met({}, 'cool2', hot)).toEqual({ damper: 'minimum', compressor1: 'in', compressor2: 'in' })
})

test('the damper stands at its minimum whenever the blower runs, in heating as well', () => {
  expect(met({}, 'fan', hot).damper).toBe('minimum')
  expect(met({}, 'heat1', { outdoorDryBulb: 70 }).damper).toBe('minimum')
  expect(met({}, 'off', hot).damper).toBe('low')
})

test('mixed air that is too cold sends the damper back to its minimum', () => {
  const fitted = { 'mixed-air': 'fitted' }
  expect(met(fitted, 'cool1', { ...cold, mixedDryBulb: 58 }).damper).toBe('full')
  expect(met(fitted, 'cool1', { ...cold, mixedDryBulb: 41 })).toMatchObject({
    damper: 'minimum',
    compressor1: 'out',
  })
})

test('a lost outdoor sensor is cold air to one controller and the end of free cooling to another', () => {
  const lost: readonly Effect[] = [{ does: 'open', branch: 'OAT/element' }]
  expect(met({}, 'cool1', hot, lost)).toMatchObject({ damper: 'full', compressor1: 'out' })
  expect(met({ 'lost-sensor': 'locks' }, 'cool1', hot, lost)).toMatchObject({
    damper: 'minimum',
    compressor1: 'in',
  })
  expect(met({ 'lost-sensor': 'locks' }, 'cool1', cold, lost).compressor1).toBe('in')
})
