import type { Diagram } from '../../diagram/diagram'
import type { BenchList, ListStep } from './checkList'

function steps(diagram: Diagram | null, id: string): readonly ListStep[] {
  const part = diagram?.parts.get(id)
  const rated = part && part.kind.settings.coilVolts !== undefined ? part.settings.number('coilVolts') : 24
  const ohms = part && part.kind.settings.coilOhms !== undefined ? part.settings.number('coilOhms') : null
  const like = (part?.kind.ratings ?? [])
    .map(([setting, words]) => `${words.toLowerCase()} ${part?.settings.text(setting) ?? ''}`.trim())
    .filter((words) => !words.endsWith(' '))
  return [
    {
      id: 'like',
      does: 'Old and new side by side: ratings, poles, bars, auxiliary, date codes',
      should:
        like.length > 0
          ? `Like for like: ${like.join(', ')}.`
          : 'Like for like; both date codes written down.',
      wrong: 'Not like for like: its coil or its poles are of another job.',
    },
    {
      id: 'coil',
      does: 'Ohms of its coil',
      should: ohms === null ? 'As wound: 5–20 Ω of 24 V contactors, 40–150 Ω of relays.' : `About ${ohms} Ω.`,
      wrong: 'Open, or turns joined: do not mount it.',
    },
    {
      id: 'pull-in',
      does: `Its coil on ${rated} V from a fused supply`,
      should: `In at ${Math.round(0.85 * rated)} V at the latest, with one click.`,
      wrong: 'It chatters or stays out.',
      caution: 'Covered, clear of hands: its armature pinches, and a 120 V coil is line voltage.',
    },
    {
      id: 'hum',
      does: 'Listen while it is in',
      should: 'Next to nothing.',
      wrong: 'It hums: dirt between the faces, or a broken shading ring.',
    },
    {
      id: 'made',
      does: 'In: ohms of each pole',
      should: 'Below half an ohm, all alike.',
      wrong: 'A pole does not make: it would single-phase its motor.',
    },
    {
      id: 'drop-out',
      does: 'Take its supply away',
      should: `Out at once; it lets go between ${Math.round(0.2 * rated)} and ${Math.round(0.75 * rated)} V.`,
      wrong: 'It sticks.',
    },
    {
      id: 'open',
      does: 'Out: ohms of each pole',
      should: 'OL, but where a bar is drawn.',
      wrong: 'A pole is made at rest: welded, or a bar that should not be there.',
    },
    {
      id: 'roles',
      does: 'A relay of many terminals: which pair is made at rest, which with the coil fed',
      should: 'Common is in both; written beside the old lead colours.',
      wrong: 'Its terminals are not where the old one had them.',
    },
  ]
}

export const spareContactor: BenchList = {
  id: 'spare-contactor',
  title: 'The spare on the bench: contactor or relay',
  group: 'Contactor and relay',
  use: 'Prove the new one before it is mounted, and the roles of its terminals.',
  source: 'IEC 60947-4-1: in by 85 % of rated, out between 20 and 75 %; like for like by the plates',
  caution: 'On the bench and not in the unit; a fused supply of the coil’s own volts.',
  parts: ({ parts }) =>
    [...parts.values()].filter(({ kind }) => kind.settings.coilOhms !== undefined).map(({ id }) => id),
  steps,
}
