import { useState } from 'react'
import { View } from 'react-native'
import type { Ask, LookAsk } from '@jokulgale/core/diagnosis/briefing'
import { schools, schoolWords } from '@jokulgale/core/diagnosis/schools'
import { spanWords } from '@jokulgale/core/visit/conditionWords'
import { Chips } from '../../ui/Chips'
import { Line } from '../../ui/Line'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { PinPress } from '../panel/PinPress'
import type { ReadingWanted } from '../pad/ReadingSheet'
import { useUnits } from '../units/useUnits'
import { BenchPress } from '../visit/BenchPress'
import type { OpenVisit } from '../visit/useVisit'
import type { Searching } from './asked'
import { AskWords } from './AskWords'
import { LookAnswers } from './LookAnswers'
import { ReadingFiles } from './ReadingFiles'

interface AskDetailProps {
  readonly visit: OpenVisit
  readonly asks: readonly Ask[]
  readonly searching: Searching
  readonly doings: DetailDoings
  readonly onClose: () => void
}

interface DetailDoings {
  /** In another call where it names one. */
  readonly onMeasure: (wanted: ReadingWanted, call?: string) => void
  readonly onSaw: (of: string, what: string, call: string) => void
  readonly onCannot: (ask: Ask) => void
  readonly onSee: () => void
  readonly onDo: () => void
}

/**
 * What each outcome would mean, two alternatives, “can’t reach it”, any other reading, and in what manner to
 * search. What it shows stays as it was opened, so that nothing moves under the finger, until another manner
 * is chosen in it.
 */
export function AskDetail({ visit, asks, searching, doings, onClose }: AskDetailProps) {
  const { onMeasure, onSaw, onCannot, onSee, onDo } = doings
  const units = useUnits()
  const [opened, setOpened] = useState<readonly Ask[] | null>(asks)
  const [first, ...others] = opened ?? asks
  // the first point that is to be found, whatever is asked before it
  const toPin = [first, ...others].find((ask) => ask?.do === 'measure')
  return (
    <Sheet title="Next step" open onClose={onClose}>
      {first ? <AskWords ask={first} visit={visit} /> : null}
      {first?.reason && first.do !== 'wait' && first.do !== 'condition' ? (
        <Words size="small" quiet>
          {first.reason}
        </Words>
      ) : null}
      {first?.outcomes.map(({ shows, span, means, odds }) => (
        <View key={shows}>
          <Words strong>
            {`${span && first.do === 'condition' ? spanWords(first.of, span, units) : shows} · ${odds}`}
          </Words>
          <Words size="small" quiet>
            {means}
          </Words>
        </View>
      ))}
      {first && first.do !== 'wait' ? (
        <Press
          title="Can’t reach it"
          onPress={() => {
            onCannot(first)
          }}
        />
      ) : null}
      {toPin ? <PinPress visit={visit} point={toPin.from} /> : null}
      {others.length > 0 ? (
        <Part title="Instead">
          {others.map((ask) =>
            ask.do === 'look' ? (
              <LookRow key={`look ${ask.of} ${ask.deed?.of ?? ''}`} ask={ask} visit={visit} onSaw={onSaw} />
            ) : ask.do === 'measure' ? (
              <Stack key={`${ask.meter} ${ask.from} ${ask.to} ${ask.call} ${ask.deed?.of ?? ''}`} gap="hair">
                <AskWords ask={ask} visit={visit} />
                <Press
                  title="Enter this one"
                  label={`Enter this one: ${ask.meterWords} ${ask.from} to ${ask.to}`}
                  onPress={() => {
                    onMeasure(ask, ask.call)
                  }}
                />
              </Stack>
            ) : (
              <AskWords key={`${ask.do} ${ask.ofWords}`} ask={ask} visit={visit} />
            ),
          )}
        </Part>
      ) : null}
      <Press
        title="Any other reading"
        onPress={() => {
          onMeasure({ meter: 'volts', from: '', to: visit.diagram.common })
        }}
      />
      <Press title="Say what you see" onPress={onSee} />
      <Press title="Do something to it" onPress={onDo} />
      <BenchPress visitId={visit.id} />
      <ReadingFiles visit={visit} onDone={onClose} />
      <Part title="How to search">
        <Chips
          label="How to search"
          options={schools.map((id) => ({ id, words: schoolWords[id] }))}
          chosen={searching.school}
          onChoose={(school) => {
            setOpened(null)
            searching.onSchool(school)
          }}
        />
      </Part>
    </Sheet>
  )
}

function LookRow({
  ask,
  visit,
  onSaw,
}: {
  readonly ask: LookAsk
  readonly visit: OpenVisit
  readonly onSaw: DetailDoings['onSaw']
}) {
  return (
    <Stack gap="hair">
      <AskWords ask={ask} visit={visit} />
      <Line wraps gap="small">
        <LookAnswers ask={ask} onSaw={onSaw} />
      </Line>
    </Stack>
  )
}
