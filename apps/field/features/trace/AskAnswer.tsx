import { partWords } from '@jokulgale/core/diagram/diagram'
import type { Ask } from '@jokulgale/core/diagnosis/briefing'
import { takenApart } from '@jokulgale/core/visit/poweredAgain'
import { switchFirst } from '@jokulgale/core/visit/switchFirst'
import { Press } from '../../ui/Press'
import type { ReadingWanted } from '../pad/ReadingSheet'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'
import { LookAnswers } from './LookAnswers'
import { undoing } from './undoing'

interface AskAnswerProps {
  readonly ask: Ask
  readonly visit: OpenVisit
  /** The unit must be isolated, or switched on, before it can be done. */
  readonly onSwitch: () => void
  readonly onMeasure: (wanted: ReadingWanted, call: string) => void
  readonly onCondition: (of: string) => void
  readonly onSaw: (of: string, what: string, call: string) => void
}

/** The main thing to press on an ask: what has to be switched first, else the way to say what came of it. */
export function AskAnswer({ ask, visit, onSwitch, onMeasure, onCondition, onSaw }: AskAnswerProps) {
  const { power, standing } = visit.state
  const toSwitch = ask.do === 'condition' ? null : switchFirst(ask.power, power)
  // a lead that is off or a plug that is out goes back before power does
  const [toPutBack] = toSwitch === 'power-on' ? takenApart(standing) : []
  const undo = toPutBack ? undoing[toPutBack.verb] : undefined
  if (toPutBack && undo)
    return (
      <Press
        grow
        kind="main"
        title={`${partWords(visit.diagram, toPutBack.of)} ${undo.words}`}
        onPress={() => {
          void visit.say({ kind: 'action', do: undo.by, of: toPutBack.of })
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
  switch (ask.do) {
    case 'measure':
      return (
        <Press
          grow
          kind="main"
          title={ask.call === currentCall(visit) ? 'Enter the reading' : 'It is set: enter the reading'}
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
      return null
  }
}
