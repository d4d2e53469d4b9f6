import { dialUnit, mattering } from '../../diagram/dials'
import type { Diagram, Part } from '../../diagram/diagram'
import { valueWords, type DisplayUnits } from '../../physics/displayUnits'
import type { BenchList, ListStep } from './checkList'

const full = { least: 0.75, most: 1.3 } as const
const offBelow = 0.2

/** What joining R to an output does besides calling it. */
function jumperWords(output: string, fanCall: string | undefined): Pick<ListStep, 'does' | 'caution'> {
  const does = `Thermostat off its plate: join R to ${output} at the plate`
  if (output.startsWith('Y'))
    return {
      does,
      caution: 'This skips the thermostat’s compressor delay: five minutes since it last ran, and only once.',
    }
  if (output.startsWith('W'))
    return {
      does: fanCall ? `${does}, with ${fanCall} joined as well` : does,
      caution: 'With electric heat never without the fan: the heater has no air.',
    }
  return { does }
}

function outputSteps({ common }: Diagram, { id, kind, settings }: Part): readonly ListStep[] {
  const outputs = kind.calls?.(settings) ?? []
  const volts = settings.number('volts')
  const { fanCall } = kind
  // the fan first: everything else needs it
  const inOrder = [...outputs].sort((a, b) => Number(b === fanCall) - Number(a === fanCall))
  return [
    ...outputs.map((output): ListStep => ({
      id: `off ${output}`,
      does: `Nothing called: volts ${output} to common`,
      should: 'Nothing: the thermostat lets go.',
      wrong: `${output} is held on, by the thermostat or by something that feeds back.`,
      reading: { meter: 'volts', from: `${id}.${output}`, to: common, least: 0, most: offBelow * volts },
    })),
    ...inOrder.map((output): ListStep => ({
      id: `join ${output}`,
      ...jumperWords(output, fanCall),
      should: 'The unit answers.',
      wrong: `With R to ${output} joined nothing answers: the cable or the unit, not the thermostat.`,
    })),
  ]
}

function powerStep({ common }: Diagram, { id, settings }: Part): ListStep {
  const volts = settings.number('volts')
  return {
    id: 'power',
    does: 'Volts R to common at the plate',
    should: `Full: about ${volts} V.`,
    wrong: 'No power comes to the thermostat: trace R and common first.',
    reading: {
      meter: 'volts',
      from: `${id}.R`,
      to: common,
      least: full.least * volts,
      most: full.most * volts,
    },
  }
}

function setUpStep(part: Part): ListStep {
  const { settings } = part
  const set = mattering(part).map(([name, dial]) =>
    `${dial.words} ${settings.text(name)} ${dialUnit(dial, settings)}`.trim(),
  )
  return {
    id: 'set-up',
    does: 'Its set-up against the wiring of this unit',
    should: `As this unit is drawn: ${set.join(', ')}.`,
    wrong: 'Set up for other equipment: put it right, and enter from what to what.',
  }
}

/** Degrees by which a display may differ from a probe beside it, °F. */
const displayWithin = 2

const withinWords = (units: DisplayUnits): string =>
  `Within ${valueWords(displayWithin, '°F', units, 'difference')}`

const byItself = (units: DisplayUnits): readonly ListStep[] => [
  {
    id: 'no-common',
    does: 'Where no common comes to the wall: volts from R to each terminal, nothing called',
    should: 'Full volts on each, through what it calls.',
    wrong: 'Nothing from R to one of them: its wire or its coil is open, or it is called now.',
  },
  {
    id: 'display',
    does: 'Its display against a probe beside it, after ten minutes',
    should: `${withinWords(units)}, and neither sun nor a supply blows on it.`,
    wrong: 'It feels another room than it serves: place, calibration, or air from the wall.',
  },
  {
    id: 'batteries',
    does: 'Batteries, where it has them',
    should: 'New, clean contacts; with a common wire out, or kept on purpose.',
    wrong: 'Leaked or flat: it forgets or blanks.',
  },
  {
    id: 'clock',
    does: 'Date, schedule and hold',
    should: 'As the people who live with it want it; no hold that nobody remembers.',
    wrong: 'It does what it was told, at the wrong time.',
  },
]

export const thermostatCheck: BenchList = {
  id: 'thermostat-check',
  title: 'Thermostat: is it the thermostat?',
  group: 'Thermostat',
  use: 'The part that is most often wrongly blamed: take it out of the question.',
  source: 'Jumpers at its plate in order, each with what it does; volts of each output with nothing called',
  caution: 'Never R to C. A line-voltage thermostat is not joined by hand: isolate first.',
  parts: ({ plate }) => (plate === null ? [] : [plate]),
  steps: (diagram, id, units) => {
    const part = diagram?.parts.get(id)
    if (!diagram || !part) return byItself(units)
    const isControlVolts = part.settings.number('volts') <= 30
    const outputs = outputSteps(diagram, part).filter(
      ({ id: step }) => isControlVolts || !step.startsWith('join'),
    )
    return [powerStep(diagram, part), ...outputs, setUpStep(part), ...byItself(units)]
  },
}
