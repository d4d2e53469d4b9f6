import { useState } from 'react'
import { View } from 'react-native'
import type { Ask } from '@jokulgale/core/diagnosis/briefing'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { awaitsProof } from '@jokulgale/core/visit/awaitsProof'
import { observationOf } from '@jokulgale/core/visit/observationOf'
import { switchFirst } from '@jokulgale/core/visit/switchFirst'
import { seenWords } from '@jokulgale/core/parts/lookVocabulary'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import type { ReadingWanted } from '../pad/ReadingSheet'
import { PowerSheet } from '../safety/PowerSheet'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'
import { ActionSheet } from './ActionSheet'
import { AskAnswer } from './AskAnswer'
import type { AskDoings, Asked, Searching } from './asked'
import { AskDetail } from './AskDetail'
import { AskWords } from './AskWords'
import { SeenSheet } from './SeenSheet'
import { Line } from '../../ui/Line'

interface AskPanelProps {
  readonly visit: OpenVisit
  readonly asked: Asked
  readonly searching: Searching
  readonly doings: AskDoings
}

/** What stands over the panel. */
type Over = 'detail' | 'seeing' | 'doing' | 'switching'

/** Says to programs whether what is shown has been worked out from all that was entered. */
const settled = (done: boolean): object => ({ dataSet: { settled: done ? 'yes' : 'no' } })

/** What is left out when an ask cannot be done, and how that is said; null of a wait. */
function leftOut(ask: Ask): { readonly of: string; readonly words: string } | null {
  switch (ask.do) {
    case 'look':
      return { of: ask.of, words: `${ask.ofWords}: out of reach` }
    case 'condition':
      return { of: ask.of, words: `${ask.ofWords}: not measured` }
    case 'measure':
      return { of: ask.from, words: `${ask.from}: out of reach` }
    case 'wait':
      return null
  }
}

/** What is said where nothing is asked for. */
function nothingAsked({ busy, leading, answered }: Asked): string {
  if (busy) return 'Working out the next reading …'
  if (answered) return answered
  return leading ? `No reading tells more. Leading: ${leading}.` : 'No reading would tell the rest apart.'
}

/** The next step, as one would say it to a helper, and the way to enter what came of it. */
export function AskPanel({ visit, asked, searching, doings }: AskPanelProps) {
  const { asks, busy, leading } = asked
  const [over, setOver] = useState<Over | null>(null)
  const [first] = asks
  // nothing tells the leading suspects apart that must be told before they are mended
  const toSuspects = leading !== '' && !busy && (!first || first.inside !== '')
  const close = (): void => {
    setOver(null)
  }
  const say = (body: EntryBody, words: string): void => {
    close()
    void visit.say(body, (entry) => {
      doings.onSaid(entry, `${words} logged`)
    })
  }
  const setCall = async (call: string): Promise<void> => {
    if (call !== currentCall(visit)) await visit.say({ kind: 'call', call })
  }
  const measure = (wanted: ReadingWanted, call = currentCall(visit)): void => {
    close()
    void setCall(call).then(() => {
      doings.onMeasure(wanted)
    })
  }
  const saw = (of: string, what: string): void => {
    say(observationOf(of, what), `${partWords(visit.diagram, of)}: ${seenWords(what)}`)
  }
  const sawInCall = (of: string, what: string, call: string): void => {
    void setCall(call).then(() => {
      saw(of, what)
    })
  }
  const cannot = (ask: Ask): void => {
    const left = leftOut(ask)
    if (left) say({ kind: 'unreachable', of: left.of }, left.words)
  }
  return (
    <View {...settled(!busy)} style={{ padding: space.medium, gap: space.small }}>
      <SoFar asked={asked} repaired={awaitsProof(visit.state)} />
      {first ? <AskWords ask={first} visit={visit} /> : <Words strong>{nothingAsked(asked)}</Words>}
      <Line wraps gap="small">
        <Press
          title="More"
          label="More: outcomes, alternatives, can’t reach it"
          onPress={() => {
            setOver('detail')
          }}
        />
        {first ? (
          <AskAnswer
            ask={first}
            visit={visit}
            onSwitch={() => {
              setOver('switching')
            }}
            onMeasure={measure}
            onCondition={doings.onCondition}
            onSaw={sawInCall}
          />
        ) : null}
        {toSuspects ? (
          <Press
            grow="from-words"
            kind={first ? 'side' : 'main'}
            title="Go to the suspects"
            onPress={doings.onSuspects}
          />
        ) : null}
        {first || toSuspects ? null : (
          <Press
            grow
            title="Enter another reading"
            onPress={() => {
              doings.onMeasure({ meter: 'volts', from: '', to: visit.diagram.common })
            }}
          />
        )}
      </Line>
      {over === 'detail' ? (
        <AskDetail
          visit={visit}
          asks={asks}
          searching={searching}
          onClose={close}
          doings={{
            onSaw: sawInCall,
            onCannot: cannot,
            onMeasure: measure,
            onSee: () => {
              setOver('seeing')
            },
            onDo: () => {
              setOver('doing')
            },
          }}
        />
      ) : null}
      {over === 'switching' ? (
        <PowerSheet
          visit={visit}
          open
          isolating={first !== undefined && switchFirst(first.power, visit.state.power) === 'isolate'}
          onClose={close}
        />
      ) : null}
      {over === 'doing' ? <ActionSheet visit={visit} open onClose={close} /> : null}
      {over === 'seeing' ? <SeenSheet visit={visit} open onSaw={saw} onClose={close} /> : null}
    </View>
  )
}

/** What the evidence so far comes to, or what does not fit together in it. */
function SoFar({
  asked: { asks, busy, warning, story },
  repaired,
}: {
  readonly asked: Asked
  readonly repaired: boolean
}) {
  const [first] = asks
  if (busy && first)
    return (
      <Words size="small" quiet>
        Working out the next one …
      </Words>
    )
  if (repaired)
    return (
      <Notice kind="plain">It is repaired: run it and prove it, before anything more is looked for.</Notice>
    )
  if (warning) return <Notice kind="caution">{warning}</Notice>
  if (first?.inside)
    return <Words strong>{`Most likely: ${first.inside}. This only tells what is wrong in it.`}</Words>
  return story ? (
    <Words size="small" strong>
      {story}
    </Words>
  ) : null
}
