import { useState } from 'react'
import { View } from 'react-native'
import type { Ask } from '@jokulgale/core/diagnosis/briefing'
import type { School } from '@jokulgale/core/diagnosis/schools'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { awaitsProof } from '@jokulgale/core/visit/awaitsProof'
import { observationOf } from '@jokulgale/core/visit/observationOf'
import { takenApart } from '@jokulgale/core/visit/poweredAgain'
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
import { AskDetail } from './AskDetail'
import { AskWords } from './AskWords'
import { SeenSheet } from './SeenSheet'
import { Line } from '../../ui/Line'

interface AskPanelProps {
  readonly visit: OpenVisit
  readonly asks: readonly Ask[]
  readonly busy: boolean
  readonly story: string
  /** What does not fit together in the evidence; told instead of the story. */
  readonly warning: string
  /** The suspect that leads, in words; empty while none stands out. */
  readonly leading: string
  readonly school: School
  readonly onSchool: (school: School) => void
  readonly onMeasure: (wanted: ReadingWanted) => void
  /** Weather, water or a pressure is to be entered. */
  readonly onCondition: (of: string) => void
  /** Something was logged, and may be undone. */
  readonly onSaid: (entry: string, words: string) => void
  readonly onSuspects: () => void
}

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

/** The next step, as one would say it to a helper, and the way to enter what came of it. */
export function AskPanel({
  visit,
  asks,
  busy,
  story,
  warning,
  leading,
  school,
  onSchool,
  onMeasure,
  onCondition,
  onSaid,
  onSuspects,
}: AskPanelProps) {
  const [detail, setDetail] = useState(false)
  const [seeing, setSeeing] = useState(false)
  const [doing, setDoing] = useState(false)
  const [switching, setSwitching] = useState(false)
  const [first] = asks
  const toSwitch = first && first.do !== 'condition' ? switchFirst(first.power, visit.state.power) : null
  const more = (
    <Press
      title="More"
      label="More: outcomes, alternatives, can’t reach it"
      onPress={() => {
        setDetail(true)
      }}
    />
  )
  const say = (body: EntryBody, words: string): void => {
    setDetail(false)
    setSeeing(false)
    void visit.say(body, (entry) => {
      onSaid(entry, `${words} logged`)
    })
  }
  const setCall = async (call: string): Promise<void> => {
    if (call !== currentCall(visit)) await visit.say({ kind: 'call', call })
  }
  const measure = (wanted: ReadingWanted, call = currentCall(visit)): void => {
    setDetail(false)
    void setCall(call).then(() => {
      onMeasure(wanted)
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
  const cannot = (): void => {
    const left = first ? leftOut(first) : null
    if (left) say({ kind: 'unreachable', of: left.of }, left.words)
  }
  return (
    <View {...settled(!busy)} style={{ padding: space.medium, gap: space.small }}>
      {busy && first ? (
        <Words size="small" quiet>
          Working out the next one …
        </Words>
      ) : (
        <SoFar warning={warning} story={story} repaired={awaitsProof(visit.state)} />
      )}
      {first ? (
        <AskWords ask={first} visit={visit} />
      ) : (
        <Words strong>
          {busy
            ? 'Working out the next reading …'
            : leading
              ? `No reading tells the rest apart. Leading: ${leading}.`
              : 'No reading would tell the rest apart.'}
        </Words>
      )}
      <Line wraps gap="small">
        {more}
        <AskAnswer
          ask={first ?? null}
          toSwitch={toSwitch}
          isSet={first?.call === currentCall(visit)}
          onSwitch={() => {
            setSwitching(true)
          }}
          toPutBack={toSwitch === 'power-on' ? (takenApart(visit.state.standing)[0] ?? null) : null}
          onPutBack={(body) => {
            void visit.say(body)
          }}
          onMeasure={measure}
          onCondition={onCondition}
          onSaw={sawInCall}
        />
        {first ? null : leading && !busy ? (
          <Press grow kind="main" title="Go to the suspects" onPress={onSuspects} />
        ) : (
          <Press
            grow
            title="Enter another reading"
            onPress={() => {
              onMeasure({ meter: 'volts', from: '', to: visit.diagram.common })
            }}
          />
        )}
      </Line>
      {detail ? (
        <AskDetail
          visit={visit}
          asks={asks}
          open
          school={school}
          onSchool={onSchool}
          onClose={() => {
            setDetail(false)
          }}
          onSaw={sawInCall}
          onCannot={cannot}
          onMeasure={measure}
          onSee={() => {
            setDetail(false)
            setSeeing(true)
          }}
          onDo={() => {
            setDetail(false)
            setDoing(true)
          }}
        />
      ) : null}
      {switching ? (
        <PowerSheet
          visit={visit}
          open
          isolating={toSwitch === 'isolate'}
          onClose={() => {
            setSwitching(false)
          }}
        />
      ) : null}
      {doing ? (
        <ActionSheet
          visit={visit}
          open
          onClose={() => {
            setDoing(false)
          }}
        />
      ) : null}
      {seeing ? (
        <SeenSheet
          visit={visit}
          open
          onSaw={saw}
          onClose={() => {
            setSeeing(false)
          }}
        />
      ) : null}
    </View>
  )
}

/** What the evidence so far comes to, or what does not fit together in it. */
function SoFar({
  warning,
  story,
  repaired,
}: Pick<AskPanelProps, 'warning' | 'story'> & { readonly repaired: boolean }) {
  if (repaired)
    return (
      <Notice kind="plain">It is repaired: run it and prove it, before anything more is looked for.</Notice>
    )
  if (warning) return <Notice kind="caution">{warning}</Notice>
  return story ? (
    <Words size="small" strong>
      {story}
    </Words>
  ) : null
}
