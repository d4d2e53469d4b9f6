import { builtInUnit, builtInUnitIds } from '../units/index'
import { knownConditions, type Conditions } from '../parts/kind'
import { isOfRunning } from '../parts/surroundings'
import { proofSheets } from './proofSheet'

const linesIn = (unit: string, call: string, measured: Conditions): readonly string[] =>
  proofSheets(builtInUnit(unit), measured)
    .find((sheet) => sheet.call === call)
    ?.lines.map(({ what }) => what) ?? []

test('a pressure that was low for the fault takes no compressor off the sheet', () => {
  const usual = linesIn('package-proving', 'cool2', {})
  expect(usual).toContain('Compressor 2, at C2.T1')
  expect(linesIn('package-proving', 'cool2', { suctionPressure2: 20 })).toEqual(usual)
})

test.each(builtInUnitIds)(
  'on %s nothing that its own pressures and coils do changes what is to be proven',
  (unit) => {
    const faulty = Object.fromEntries(knownConditions.filter(isOfRunning).map((of) => [of, 5]))
    expect(proofSheets(builtInUnit(unit), faulty)).toEqual(proofSheets(builtInUnit(unit), {}))
  },
)

test('the volts of the supply and the weather that were measured hold', () => {
  const sheet = (measured: Conditions) => proofSheets(builtInUnit('rooftop-two-stage'), measured)
  expect(sheet({ supplyVolts: 197 })).not.toEqual(sheet({}))
  // cold enough outside that free cooling does the first stage
  expect(linesIn('rooftop-two-stage', 'cool1', { outdoorDryBulb: 52 })).not.toContain(
    'Compressor 1, at C1.T1',
  )
})
