import { useCallback, useEffect, useState, type ReactNode } from 'react'
import { StyleSheet, View } from 'react-native'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import { focusOf } from '@jokulgale/core/diagnosis/provenStops'
import type { School } from '@jokulgale/core/diagnosis/schools'
import { commonNear } from '@jokulgale/core/diagram/commonNear'
import { conditionWords } from '@jokulgale/core/visit/conditionWords'
import type { Strip } from '@jokulgale/core/diagnosis/strip'
import { possibleFrom } from '@jokulgale/core/diagnosis/words'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen, useLow, useWide } from '../../ui/Screen'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { useShortcuts } from '../help/shortcuts'
import { ConditionSheet } from '../look/ConditionSheet'
import { LookTab } from '../look/LookTab'
import { ReadingSheet, type ReadingWanted } from '../pad/ReadingSheet'
import { ProveTab } from '../prove/ProveTab'
import { RepairTab } from '../repair/RepairTab'
import { SuspectsList } from '../suspects/SuspectsList'
import { UnsentNote } from '../sync/UnsentNote'
import { TemporarySheet } from '../temporary/TemporarySheet'
import { EntriesSheet } from '../record/EntriesSheet'
import type { Asked } from '../trace/asked'
import { AskPanel } from '../trace/AskPanel'
import { stopElement } from '../trace/StripView'
import { Strips } from '../trace/Strips'
import { WholeLadder } from '../trace/WholeLadder'
import { Arrival } from './Arrival'
import { CallBar } from './CallBar'
import { ClosedVisit } from './ClosedVisit'
import { useUnits } from '../units/useUnits'
import { Tabs, visitTabs, type VisitTab } from './Tabs'
import { useBriefing, type Judged } from './useBriefing'
import { VisitHead } from './VisitHead'
import { LowTrace, WideTrace } from './traceLayouts'
import { useVisit, type OpenVisit } from './useVisit'

const styles = StyleSheet.create({
  said: { flexDirection: 'row', alignItems: 'center', paddingLeft: space.large },
})

/** One visit to one unit, from the complaint to the sign-off. */
export function VisitScreen({ id }: { readonly id: string }) {
  const visit = useVisit(id)
  if (!visit)
    return (
      <Screen head={<Heading title="Visit" back="/" />}>
        <Words quiet>
          Looking for this visit. If it was begun on another device, it comes with the next signal.
        </Words>
      </Screen>
    )
  if (visit.state.complaint !== '' && !visit.state.entries.some(({ body }) => body.kind === 'arrived'))
    return <Arrival visit={visit} />
  return visit.state.signOff ? <ClosedVisit visit={visit} /> : <OpenVisitScreen visit={visit} />
}

/** What was just said, for its word of confirmation and the way to take it back. */
interface JustSaid {
  readonly entry: string
  readonly words: string
}

/** Before the first diagnosis is there. */
const nothingYet = { strips: null, delays: [] } as const

const firstTab = ({ state }: OpenVisit): VisitTab =>
  state.readings.length > 0 || state.firstLook.size > 0 ? 'trace' : 'look'

function OpenVisitScreen({ visit }: { readonly visit: OpenVisit }) {
  const layout = useLayout()
  const wide = layout === 'wide'
  const units = useUnits()
  const [tab, setTab] = useState<VisitTab>(firstTab(visit))
  const [wanted, setWanted] = useState<ReadingWanted | null>(null)
  const [sheet, setSheet] = useState<'measures' | 'entries' | null>(null)
  const showMeasures = (): void => {
    setSheet('measures')
  }
  const [school, setSchool] = useState<School>('best')
  const [said, setSaid] = useState<JustSaid | null>(null)
  // only the last word is taken back so quickly
  const logged = said !== null && visit.state.entries.at(-1)?.id === said.entry ? said : null
  const { briefing, busy, isOfThisCall, judged, error } = useBriefing(visit, school)
  const asked = askedIn(briefing)
  const [condition, setCondition] = useState<string | null>(null)
  const { red, black } = asked
  const { strips: drawn, delays } = briefing ?? nothingYet
  const delaysNow = isOfThisCall ? delays : null
  const measure = useCallback((reading: ReadingWanted): void => {
    setSaid(null)
    setWanted(reading)
  }, [])
  const undo = useCallback((): void => {
    if (!logged) return
    void visit.say({ kind: 'retracted', entry: logged.entry })
    setSaid(null)
  }, [logged, visit])
  useScrollToFocus(drawn ?? [], red, tab === 'trace')
  useVisitShortcuts(
    {
      onTab: setTab,
      onMeasure: () => {
        if (asked.condition) setCondition(asked.condition)
        else measure(asked.reading ?? { meter: 'volts', from: '', to: visit.diagram.common })
      },
      onUndo: undo,
    },
    wide,
  )
  const strips = (
    <Strips
      visitId={visit.id}
      diagram={visit.diagram}
      strips={drawn}
      red={red}
      black={black}
      onMeasure={measure}
    />
  )
  const panel = (
    <AskPanel
      visit={visit}
      asked={asksShown(briefing, busy, wide)}
      searching={{ school, onSchool: setSchool }}
      doings={{
        onMeasure: measure,
        onCondition: setCondition,
        onSaid: (entry, words) => {
          setSaid({ entry, words })
        },
        onSuspects: () => {
          setTab('suspects')
        },
      }}
    />
  )
  const suspects = (
    <Suspects
      briefing={briefing}
      judged={judged}
      visit={visit}
      onCause={() => {
        setTab('repair')
      }}
    />
  )
  const saidLine = logged ? <SaidLine words={logged.words} onUndo={undo} /> : null
  return (
    <Screen
      maxWidth={wide ? 1180 : 760}
      page={tab}
      head={
        <VisitHead
          visit={visit}
          delays={delaysNow}
          bar={barPlaces[layout]}
          onMeasures={showMeasures}
          onEntries={() => {
            setSheet('entries')
          }}
        />
      }
      foot={
        <VisitFoot
          tab={tab}
          layout={layout}
          said={saidLine}
          panel={panel}
          bar={<CallBar visit={visit} onMeasures={showMeasures} />}
          onTab={setTab}
        />
      }
    >
      <UnsentNote />
      {error ? <Notice kind="wrong">{error}</Notice> : null}
      <VisitPage
        tab={tab}
        visit={visit}
        trace={
          wide ? (
            <WideTrace
              strips={strips}
              ladder={
                <WholeLadder
                  diagram={visit.diagram}
                  strips={drawn ?? []}
                  red={red}
                  black={black}
                  onStop={(point) => {
                    measure({ meter: 'volts', from: point, to: commonNear(visit.diagram, point) })
                  }}
                />
              }
              panel={panel}
              suspects={suspects}
            />
          ) : layout === 'low' ? (
            <LowTrace
              strips={strips}
              panel={
                <>
                  {saidLine}
                  {panel}
                </>
              }
            />
          ) : (
            strips
          )
        }
        suspects={suspects}
        delays={delaysNow}
        onMeasures={showMeasures}
      />
      <ReadingSheet
        visit={visit}
        wanted={wanted}
        delays={delays}
        onClose={() => {
          setWanted(null)
        }}
        onLogged={(entry, words) => {
          setWanted(null)
          setSaid({ entry, words })
        }}
      />
      <ConditionSheet
        of={condition}
        onClose={() => {
          setCondition(null)
        }}
        onEntered={(of, value) => {
          void visit.say({ kind: 'condition', of, value }, (entry) => {
            setSaid({ entry, words: `${conditionWords(of, value, units)} logged` })
          })
        }}
      />
      <VisitSheet
        visit={visit}
        sheet={sheet}
        onClose={() => {
          setSheet(null)
        }}
      />
    </Screen>
  )
}

interface VisitSheetProps {
  readonly visit: OpenVisit
  readonly sheet: 'measures' | 'entries' | null
  readonly onClose: () => void
}

/** What the head of the visit opens: temporary measures, or all that was entered. */
function VisitSheet({ visit, sheet, onClose }: VisitSheetProps) {
  if (sheet === null) return null
  return sheet === 'measures' ? (
    <TemporarySheet visit={visit} open onClose={onClose} />
  ) : (
    <EntriesSheet visit={visit} open onClose={onClose} />
  )
}

/** What the first ask wants to be entered; nothing of another sort. */
function askedIn(briefing: Briefing | null): {
  readonly reading: ReadingWanted | null
  readonly condition: string | null
  readonly red: string
  readonly black: string
} {
  const ask = briefing?.asks[0]
  return {
    reading: ask?.do === 'measure' ? ask : null,
    condition: ask?.do === 'condition' ? ask.of : null,
    red: ask?.do === 'measure' ? ask.from : '',
    black: ask?.do === 'measure' ? ask.to : '',
  }
}

/** What the panel says; wide, story and warning stand over the suspects beside it. */
function asksShown(briefing: Briefing | null, busy: boolean, wide: boolean): Asked {
  const first = briefing?.groups.find(({ probability }) => probability >= possibleFrom)
  return {
    busy,
    asks: briefing?.asks ?? [],
    story: wide ? '' : (briefing?.story ?? ''),
    warning: wide ? '' : (briefing?.warning ?? ''),
    leading: first ? `${first.words}, ${first.odds}` : '',
    answered: briefing?.answered ?? '',
  }
}

interface ShortcutDoings {
  readonly onTab: (tab: VisitTab) => void
  /** Enters what is asked for. */
  readonly onMeasure: () => void
  readonly onUndo: () => void
}

/** Keys of a wide screen: a tab by its number, a reading, and back. */
function useVisitShortcuts({ onTab, onMeasure, onUndo }: ShortcutDoings, isOn: boolean): void {
  useShortcuts(
    {
      ...Object.fromEntries(
        visitTabs.map(({ id }, k) => [
          String(k + 1),
          () => {
            onTab(id)
          },
        ]),
      ),
      m: onMeasure,
      u: onUndo,
    },
    isOn,
  )
}

interface SuspectsProps {
  readonly briefing: Briefing | null
  readonly judged: Judged
  readonly visit: OpenVisit
  readonly onCause: () => void
}

function Suspects({ briefing, ...rest }: SuspectsProps) {
  return briefing ? <SuspectsList briefing={briefing} {...rest} /> : <Words quiet>Solving …</Words>
}

/** Where the call bar is in each layout. */
const barPlaces = { wide: 'below', low: 'beside', phone: 'at-thumb' } as const
type Layout = keyof typeof barPlaces

function useLayout(): Layout {
  const wide = useWide()
  const low = useLow()
  if (wide) return 'wide'
  return low ? 'low' : 'phone'
}

interface VisitFootProps {
  readonly tab: VisitTab
  readonly layout: Layout
  readonly said: ReactNode
  readonly panel: ReactNode
  readonly bar: ReactNode
  readonly onTab: (tab: VisitTab) => void
}

/** What is done at the thumb: the ask, the call and the power, the way through the visit. */
function VisitFoot({ tab, layout, said, panel, bar, onTab }: VisitFootProps) {
  const isTrace = tab === 'trace'
  return (
    <>
      {isTrace && layout === 'low' ? null : said}
      {isTrace && layout === 'phone' ? panel : null}
      {layout === 'phone' ? bar : null}
      <Tabs now={tab} onChoose={onTab} />
    </>
  )
}

function SaidLine({ words, onUndo }: { readonly words: string; readonly onUndo: () => void }) {
  return (
    <View style={styles.said}>
      <Words grows aria-live="polite">
        {words}
      </Words>
      <Press kind="quiet" title="Undo" onPress={onUndo} />
    </View>
  )
}

interface VisitPageProps {
  readonly tab: VisitTab
  readonly visit: OpenVisit
  readonly trace: ReactNode
  readonly suspects: ReactNode
  /** Null while they are being solved. */
  readonly delays: Briefing['delays'] | null
  readonly onMeasures: () => void
}

function VisitPage({ tab, visit, trace, suspects, delays, onMeasures }: VisitPageProps) {
  switch (tab) {
    case 'look':
      return <LookTab visit={visit} />
    case 'trace':
      return trace
    case 'suspects':
      return suspects
    case 'repair':
      return <RepairTab visit={visit} />
    case 'prove':
      return <ProveTab visit={visit} delays={delays} onMeasures={onMeasures} />
  }
}

/** Brings into view where the ask is, or else where the search is. */
function useScrollToFocus(strips: readonly Strip[], red: string, here: boolean): void {
  const focus = focusOf(strips, red)
  useEffect(() => {
    if (!here || focus === '') return
    const quiet = window.matchMedia('(prefers-reduced-motion: reduce)').matches
    document
      .getElementById(stopElement(focus))
      ?.scrollIntoView({ block: 'center', behavior: quiet ? 'auto' : 'smooth' })
  }, [here, focus])
}
