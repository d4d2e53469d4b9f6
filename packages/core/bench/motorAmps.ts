import { amps, ratedVolts, volts } from './inputs'
import { atParts, settingOf } from './unitPlaces'
import { benchTool, percent, shown } from './tool'

/** A motor that gives its power draws more on low volts; over so much of that it is overloaded. */
const overload = 1.1
/** A running compressor or blower draws this share of its plate over the weather of a year. */
const light = 0.4
/** Locked rotor of motors in this trade, against the plate. */
const lockedFrom = 3

export const motorAmps = benchTool({
  id: 'motor-amps',
  title: 'Motor: amps against its plate',
  group: 'Motors and capacitors',
  use: 'Is this amperage right for this motor at these volts?',
  source: 'Power stays: amps rise as volts fall; 40 to 105 % of plate over a year; locked rotor 4 to 6 ×',
  example: { measured: 17, plate: 15.8, plateVolts: 208, across: 201 },
  inputs: { measured: amps('Amps, running'), plate: amps('On its plate') },
  extras: { plateVolts: ratedVolts('Plate volts'), across: volts('Volts at its terminals') },
  places: (diagram) =>
    atParts(diagram, (part) =>
      part.kind.symbol === 'motor' && settingOf(part, 'amps') !== undefined
        ? {
            readings: {},
            known: { plate: settingOf(part, 'amps'), plateVolts: settingOf(part, 'volts') },
          }
        : null,
    ),
  check: ({ plate, across }) => [
    ...(plate > 0 ? [] : [{ input: 'plate', message: 'a plate says more than nothing' }]),
    ...(across === undefined || across >= 50
      ? []
      : [{ input: 'across', message: 'there are hardly any volts: find out why first' }]),
  ],
  find: ({ measured, plate, plateVolts, across }) => {
    const isKnown = plateVolts !== undefined && across !== undefined
    const full = isKnown ? (plate * plateVolts) / across : plate
    const share = measured / full
    const lines = [
      ...(isKnown ? [{ what: 'Full load at these volts', value: shown(full, 'A') }] : []),
      { what: 'Of full load', value: percent(share, 0) },
    ]
    if (isKnown && Math.abs(across / plateVolts - 1) > 0.1)
      return {
        level: 'act',
        words: 'The volts are more than 10 % off its plate: put the supply right first.',
        lines,
      }
    if (share >= lockedFrom)
      return { level: 'act', words: 'Locked rotor: it does not turn. Switch it off at once.', lines }
    if (share > overload)
      return {
        level: 'act',
        words: 'Overloaded: bearings, pressures, air, or a leg that is weak.',
        lines,
      }
    return share < light
      ? { level: 'watch', words: 'Very little: does it turn, and does it do any work?', lines }
      : { level: 'good', words: 'Within what such a motor draws.', lines }
  },
})
