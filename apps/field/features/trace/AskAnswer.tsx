import type { Ask } from '@jokulgale/core/diagnosis/briefing'
import type { StandingAction } from '@jokulgale/core/visit/actions'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { Press } from '../../ui/Press'
import type { ReadingWanted } from '../pad/ReadingSheet'
import { LookAnswers } from './LookAnswers'
import { undoing } from './undoing'

interface AskAnswerProps {
  readonly ask: Ask | null
  /** What must be switched before it can be done. */
  readonly toSwitch: 'isolate' | 'power-on' | null
  /** The call that it needs is set. */
  readonly isSet: boolean
  readonly onSwitch: () => void
  /** A lead that is off or a plug that is out, and goes back before power does. */
  readonly toPutBack: StandingAction | null
  readonly onPutBack: (body: EntryBody) => void
  readonly onMeasure: (wanted: ReadingWanted, call: string) => void
  readonly onCondition: (of: string) => void
  readonly onSaw: (of: string, what: string, call: string) => void
}

/** The main thing to press on an ask: what has to be switched first, else the way to say what came of it. */
export function AskAnswer({
  ask,
  toSwitch,
  isSet,
  onSwitch,
  toPutBack,
  onPutBack,
  onMeasure,
  onCondition,
  onSaw,
}: AskAnswerProps) {
  const undo = toPutBack ? undoing[toPutBack.verb] : undefined
  if (toPutBack && undo)
    return (
      <Press
        grow
        kind="main"
        title={`${toPutBack.of} ${undo.words}`}
        onPress={() => {
          onPutBack({ kind: 'action', do: undo.by, of: toPutBack.of })
        }}
      />
    )
  if (toSwitch)
    return (
      <Press
        grow
        kind="main"
        title={toSwitch === 'isolate' ? 'Isolate it' : 'Switch it on'}
        onPress={onSwitch}
      />
    )
  switch (ask?.do) {
    case 'measure':
      return (
        <Press
          grow
          kind="main"
          title={isSet ? 'Enter the reading' : 'It is set: enter the reading'}
          onPress={() => {
            onMeasure(ask, ask.call)
          }}
        />
      )
    case 'condition':
      return (
        <Press
          grow
          kind="main"
          title="Enter it"
          label={`Enter it: ${ask.ofWords}`}
          onPress={() => {
            onCondition(ask.of)
          }}
        />
      )
    case 'look':
      return <LookAnswers ask={ask} main onSaw={onSaw} />
    case 'wait':
    case undefined:
      return null
  }
}
