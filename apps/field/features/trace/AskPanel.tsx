import { useState } from 'react'
import { View } from 'react-native'
import type { Ask } from '@jokulgale/core/diagnosis/briefing'
import type { School } from '@jokulgale/core/diagnosis/schools'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { observationOf } from '@jokulgale/core/visit/observationOf'
import { seenWords } from '@jokulgale/core/visit/seenWords'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import type { ReadingWanted } from '../pad/ReadingSheet'
import type { OpenVisit } from '../visit/useVisit'
import { ActionSheet } from './ActionSheet'
import { AskDetail } from './AskDetail'
import { AskWords } from './AskWords'
import { LookAnswers } from './LookAnswers'
import { SeenSheet } from './SeenSheet'

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
  const [first] = asks
  const more = (
    <Press
      title="More"
      label="Outcomes, alternatives, can’t reach it"
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
  const saw = (of: string, what: string): void => {
    say(observationOf(of, what), `${partWords(visit.diagram, of)}: ${seenWords(what)}`)
  }
  const cannot = (): void => {
    if (first?.do === 'look') say({ kind: 'unreachable', of: first.of }, `${first.ofWords}: out of reach`)
    if (first?.do === 'condition')
      say({ kind: 'unreachable', of: first.of }, `${first.ofWords}: not measured`)
    if (first?.do === 'measure') say({ kind: 'unreachable', of: first.from }, `${first.from}: out of reach`)
  }
  return (
    <View {...settled(!busy)} style={{ padding: space.medium, gap: space.small }}>
      {busy && first ? (
        <Words size="small" quiet>
          Working out the next one …
        </Words>
      ) : warning ? (
        <Notice kind="caution">{warning}</Notice>
      ) : story ? (
        <Words size="small" strong>
          {story}
        </Words>
      ) : null}
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
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {more}
        {first?.do === 'measure' ? (
          <Press
            grow
            kind="main"
            title="Enter the reading"
            onPress={() => {
              onMeasure(first)
            }}
          />
        ) : null}
        {first?.do === 'condition' ? (
          <Press
            grow
            kind="main"
            title="Enter it"
            label={`Enter ${first.ofWords}`}
            onPress={() => {
              onCondition(first.of)
            }}
          />
        ) : null}
        {first?.do === 'look' ? <LookAnswers ask={first} main onSaw={saw} /> : null}
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
      </View>
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
          onSaw={saw}
          onCannot={cannot}
          onMeasure={(wanted) => {
            setDetail(false)
            onMeasure(wanted)
          }}
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
