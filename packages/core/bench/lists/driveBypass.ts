import type { Diagram } from '../../diagram/diagram'
import type { BenchList, ListStep } from './checkList'

function steps(diagram: Diagram | null): readonly ListStep[] {
  const plate = diagram?.plate ? diagram.parts.get(diagram.plate) : undefined
  const heat = plate && plate.kind.settings.heat !== undefined ? plate.settings.text('heat') : null
  return [
    {
      id: 'drawing',
      does: 'The maker’s own bypass drawing is at hand',
      should: 'For this drive and this motor.',
      wrong: 'Without it there is no bypass: the unit stays off, and that is said.',
    },
    {
      id: 'rating',
      does: 'Contactor and wire against the motor’s plate at full volts',
      should: 'At least its full-load amps, for motor starting.',
      wrong: 'Too small: it starts across the line now.',
    },
    {
      id: 'overload',
      does: 'Motor overload in the path, set to the plate',
      should: 'Kept or added, all three legs; its contact in the coil’s circuit.',
      wrong: 'Nothing protects the motor: the drive did.',
    },
    {
      id: 'output',
      does: 'The motor leads are off the drive before line voltage is put on the motor',
      should: 'Off, taped, noted; nothing joins the drive’s output to the line.',
      wrong: 'Line voltage into a drive’s output destroys it, and can hurt whoever stands there.',
      caution: 'The bus of the drive stays charged: the maker’s time, and proven dead by meter.',
    },
    {
      id: 'coil',
      does: 'Its coil on the fan call and common, every guard in series',
      should: 'Stops with the call; smoke shut-down, phase monitor and overload still stop it.',
      wrong: 'It runs on by itself, or around a guard.',
    },
    {
      id: 'thermostat',
      does: 'The thermostat drives the fan in heating as well',
      should:
        heat === null || heat === 'electric'
          ? 'Set for electric heat.'
          : `Set for electric heat; this one is drawn for ${heat}.`,
      wrong: 'In heating nothing calls the fan: the heater has no air.',
    },
    {
      id: 'rotation',
      does: 'Rotation, for a moment',
      should: 'As marked. Turned by two motor leads, isolated, if not.',
      wrong: 'It runs backwards: some air, and the wrong amps.',
    },
    {
      id: 'amps',
      does: 'Amps of all three legs at full speed against the plate',
      should: 'Below plate, even.',
      wrong: 'Too much: full speed moves more air than the drive did. Sheave, or damper.',
    },
    {
      id: 'modes',
      does: 'Proven in cooling, in heating, with the fan alone, and off',
      should: 'Each runs as called, and off is off.',
      wrong: 'It does not follow the calls.',
    },
    {
      id: 'lost',
      does: 'What is lost is said: soft start, speed by pressure, what the drive protected',
      should: 'Told to the owner, with the noise and the draught that may come.',
      wrong: 'Nobody knows that it is a makeshift.',
    },
    {
      id: 'register',
      does: 'Entered as a temporary measure: why, who allowed it, until when, who was told',
      should: 'In the register, and a tag on the unit.',
      wrong: 'A bypass that nobody wrote down stays for ever.',
    },
  ]
}

export const driveBypass: BenchList = {
  id: 'drive-bypass',
  title: 'Bypass of a drive: plan and proof',
  group: 'As found and planned',
  use: 'A drive has locked out and the building needs air: what must be so before and after.',
  source: 'The maker’s bypass drawing; local code and licensed practice come first',
  caution: '480 V and arc flash belong to qualified people. Isolate, lock, prove dead; wait for the bus.',
  parts: ({ parts }) => [...parts.values()].filter(({ kind }) => kind.cause === 'drive').map(({ id }) => id),
  steps,
}
