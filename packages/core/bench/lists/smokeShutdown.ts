import type { Diagram } from '../../diagram/diagram'
import { boardHot } from '../../diagram/roles'
import { branchEnds } from '../unitPlaces'
import type { BenchList, ListStep } from './checkList'
import { landingSteps } from './landings'

/** Volts that a closed contact may leave, and that control power must have, on 24 V. */
const closedBelow = 1
const fullFrom = 20
const fullTo = 30

const withPower = 'Fire panel on test before the detector is touched, and off test afterwards.'

/** The alarm contact of a detector: the throw that is closed while it sees nothing. */
function alarmContact(diagram: Diagram, id: string): { readonly from: string; readonly to: string } | null {
  const part = diagram.parts.get(id)
  if (!part) return null
  const [clear] = part.kind.throws?.(part.settings)[0] ?? []
  return branchEnds(part, ({ name }) => name === clear)
}

function proofs(diagram: Diagram, id: string): readonly ListStep[] {
  const contact = alarmContact(diagram, id)
  const { common } = diagram
  if (!contact) return []
  const { from: into, to: out } = contact
  const full = (step: string, does: string, from: string, wrong: string): ListStep => ({
    id: step,
    does,
    should: 'Full control volts.',
    wrong,
    reading: { meter: 'volts', from, to: common, least: fullFrom, most: fullTo },
  })
  return [
    full('in', 'Volts into the alarm contact', into, 'No control power reaches the alarm contact.'),
    full(
      'out',
      'Volts out of the alarm contact',
      out,
      'The alarm contact does not pass: in alarm, dead, or miswired.',
    ),
    {
      id: 'across',
      does: 'Volts across the alarm contact, no smoke',
      should: 'Next to nothing: it is closed.',
      wrong: 'It stands open with no smoke: dead, in alarm, or on the wrong contact.',
      reading: { meter: 'volts', from: into, to: out, least: 0, most: closedBelow },
    },
    {
      id: 'alarm',
      does: 'Magnet or test smoke: volts across the alarm contact',
      should: 'Full control volts, and all of the unit stops.',
      wrong: 'Blind: it does not open on smoke. The unit must not be left running behind it.',
      caution: withPower,
    },
    {
      id: 'dead',
      does: 'In alarm: volts at the board',
      should: 'Nothing at R, nothing runs.',
      wrong:
        'The unit runs on in alarm: the bar is still in the shut-down pair, or the contact is passed by.',
    },
    {
      id: 'reset',
      does: 'Reset the detector, and take the fire panel off test',
      should: 'Its lamp is as before, the unit starts again, the panel shows normal.',
      wrong: 'It is not back to normal: say so to whoever watches the panel.',
    },
  ]
}

const anyUnit: readonly ListStep[] = [
  {
    id: 'bar',
    does: 'Take the bar out of the shut-down pair',
    should: 'Out, and kept with the papers.',
    wrong: 'With the bar in, the detector stops nothing.',
  },
  {
    id: 'two',
    does: 'Two contacts: one for shut-down, one for the fire panel',
    should: 'Alarm contact in the shut-down pair; the other to the panel, by the fire-alarm company.',
    wrong: 'The panel hears nothing, or the unit does not stop.',
  },
]

export const smokeShutdown: BenchList = {
  id: 'smoke-shutdown',
  title: 'Duct smoke detector: wiring and proof',
  group: 'Commissioning',
  use: 'A detector was fitted, changed or found: is it wired to stop the unit, and does it?',
  source: 'Closed contact: nothing across, full volts from either side; open: full volts across',
  caution: withPower,
  parts: ({ parts }) =>
    [...parts.values()].filter(({ kind }) => kind.cause === 'detector').map(({ id }) => id),
  steps: (diagram, part) =>
    diagram && part
      ? [
          ...anyUnit,
          ...landingSteps(diagram, part),
          ...proofs(diagram, part).map((step) =>
            step.id === 'dead' && boardHot(diagram) !== null
              ? { ...step, does: `In alarm: volts at ${boardHot(diagram) ?? ''}` }
              : step,
          ),
        ]
      : anyUnit,
}
