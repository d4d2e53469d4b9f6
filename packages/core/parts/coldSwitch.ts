import { contact, position } from './contact'
import type { PartFault, PartKind } from './kind'
import { temperatureFelt, touchEffects, untouched } from './touch'

interface ColdSwitch extends Pick<PartKind, 'kind' | 'words' | 'cause' | 'feels'> {
  readonly reads: string
  readonly closesBelow: number
  /** Degrees between closing and opening again, °F. */
  readonly differential: number
  /** How it stands while nobody has measured what it reads. */
  readonly unmeasured: 'open' | 'closed'
  readonly faults: readonly PartFault[]
}

/** A switch that closes on a fall of temperature below its setting, °F; terminals `1` (in) and `2` (out). */
export const coldSwitch = ({
  words,
  reads,
  closesBelow,
  differential,
  unmeasured,
  faults,
  ...facts
}: ColdSwitch): PartKind => ({
  ...facts,
  words,
  symbol: 'limit',
  likelier: ['cold-weather'],
  dials: { closesBelow: { words: 'closes below', unit: '°F' } },
  settings: { closesBelow, reads, ...untouched },
  terminals: () => [
    { name: '1', words: `${words} in` },
    { name: '2', words: `${words} out` },
  ],
  branches: () => [contact('contact', '1', '2', unmeasured)],
  behave: (now) => {
    const from = now.settings.number('closesBelow')
    const turningPoint = now.is.contact === 'closed' ? from + differential : from
    const usual = unmeasured === 'closed' ? from - 1 : from + differential
    return { contact: position(temperatureFelt(now, usual) < turningPoint) }
  },
  faults: () => faults,
  touched: touchEffects,
  testBridge: 'momentary',
})
