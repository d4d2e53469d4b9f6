import { builtInUnit } from '../units/index'
import { ohms } from '../visit/testReadings'
import { atArrival } from '../visit/standing'
import { onDayOfVisit } from './dayOfVisit'
import { diagnose } from './diagnose'

const heatPump = builtInUnit('package-heat-pump')
const inCall = (call: string) => atArrival(heatPump, call)

test('a call that is set on a cold day is run on a cold day', () => {
  // a heat pump on its second stage is called for at 22 °F; cooling assumes 88
  expect(onDayOfVisit(heatPump, 'heat2', inCall('cool1')).conditions).toEqual({ outdoorDryBulb: 22 })
})

test('what was measured holds, and the visit’s own call is as it is', () => {
  const measured = { ...inCall('cool1'), conditions: { outdoorDryBulb: 71 } }
  expect(onDayOfVisit(heatPump, 'heat2', measured).conditions).toEqual({ outdoorDryBulb: 71 })
  const own = inCall('heat2')
  expect(onDayOfVisit(heatPump, 'heat2', own)).toBe(own)
})

test('calls that assume much the same weather are left as they are', () => {
  const twoStage = builtInUnit('rooftop-two-stage')
  const fan = atArrival(twoStage, 'fan')
  expect(onDayOfVisit(twoStage, 'off', fan)).toBe(fan)
})

// behind an outdoor thermostat that is closed in the cold, a shorted coil reads on its call in any call
test('a short that only the cold lets be read is believed in a call of another season', () => {
  const { belief, model, ranked } = diagnose(builtInUnit('package-heat-pump-unfused'), {
    complaint: 'no-heat',
    entries: [
      { kind: 'call', call: 'off' },
      { kind: 'power', is: 'isolated' },
      ohms('TS.R', 'TS.W2', 4),
      ohms('TB.C', 'TB.W2', 3),
    ],
  })
  const shorted = model.hypotheses.findIndex(({ id }) => id === 'HC2:coil-shorted')
  const chafed = model.hypotheses.findIndex(({ id }) => id === 'PH.3B-ODT.1:grounded')
  expect(belief.probability[shorted]).toBeGreaterThan(5 * belief.probability[chafed])
  expect(ranked.slice(0, 3)).toContain(shorted)
})
