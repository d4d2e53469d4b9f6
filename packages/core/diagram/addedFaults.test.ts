import { builtInUnit, builtInUnitIds } from '../units/index'
import { addedFaults } from './addedFaults'

const leadsOf = (unit: string): readonly string[] => addedFaults(builtInUnit(unit)).map(({ of }) => of)

test('a switch may have been put into the leads of a call as far as the first thing that stops it', () => {
  expect(leadsOf('fan-coil-cooling')).toEqual([
    'TB.R-TS.R',
    'TS.G-TB.G',
    'TB.G-GR.A1',
    'TS.Y1-TB.Y1',
    'TB.Y1-OS.Y',
    'OS.Y-LPS.1',
  ])
})

test('through a connector the lead runs on', () => {
  expect(leadsOf('rooftop-enthalpy')).toEqual(expect.arrayContaining(['TB.Y1-PL.1A', 'PL.1B-EC.Y1I']))
  expect(leadsOf('rooftop-enthalpy')).not.toContain('EC.Y1O-PL.2B')
})

test.each(builtInUnitIds)('%s: it opens a lead of control, and an eye can tell it', (unit) => {
  const { wires } = builtInUnit(unit)
  for (const { of, effects, shows } of addedFaults(builtInUnit(unit))) {
    expect(wires.get(of)?.wiring).toBe('control')
    expect(effects).toEqual([{ does: 'open', branch: of }])
    expect(shows).not.toEqual([])
  }
})
