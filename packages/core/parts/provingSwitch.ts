import type { CauseGroup } from './causeGroup'
import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'

interface ProvingSwitch {
  readonly kind: string
  readonly words: string
  readonly cause: CauseGroup
  /** Why it mostly does not make. */
  readonly why: string
}

/** Closes when the motor named by `follows` turns: proves what that motor moves. */
export const provingSwitch = ({ kind, words, cause, why }: ProvingSwitch): PartKind => ({
  kind,
  words,
  cause,
  symbol: 'pressure',
  guard: true,
  settings: { follows: '' },
  terminals: () => [
    { name: '1', words: `${words}, in` },
    { name: '2', words: `${words}, out` },
  ],
  branches: () => [contact('contact', '1', '2', 'open')],
  behave: (now) => ({ contact: position(now.followed === 'turning' || now.followed === 'running') }),
  faults: () => [
    opens('contact', `${words} does not make`, 1.8, { cause: why }),
    sticks('stuck', ['contact'], 'closed', `${words} stuck closed`, 0.4),
  ],
  testBridge: 'never',
})
