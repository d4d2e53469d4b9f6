import { useCallback, useEffect, useState, type ReactNode } from 'react'
import { ScrollView, useWindowDimensions, View } from 'react-native'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import type { School } from '@jokulgale/core/diagnosis/schools'
import { conditionWords } from '@jokulgale/core/visit/conditionWords'
import { possibleFrom } from '@jokulgale/core/diagnosis/words'
import { Chips } from '../../ui/Chips'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen, useLow, useWide } from '../../ui/Screen'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { ShortcutList, useShortcuts } from '../help/shortcuts'
import { ConditionSheet } from '../look/ConditionSheet'
import { LookTab } from '../look/LookTab'
import { ReadingSheet, type ReadingWanted } from '../pad/ReadingSheet'
import { ProveTab } from '../prove/ProveTab'
import { RepairTab } from '../repair/RepairTab'
import { SuspectsList } from '../suspects/SuspectsList'
import { UnsentNote } from '../sync/UnsentNote'
import { TemporarySheet } from '../temporary/TemporarySheet'
import { EntriesSheet } from '../record/EntriesSheet'
import { AskPanel } from '../trace/AskPanel'
import { stopElement } from '../trace/StripView'
import { Strips } from '../trace/Strips'
import { WholeLadder } from '../trace/WholeLadder'
import { Arrival } from './Arrival'
import { ClosedVisit } from './ClosedVisit'
import { useUnits } from '../units/useUnits'
import { Tabs, visitTabs, type VisitTab } from './Tabs'
import { useBriefing } from './useBriefing'
import { VisitHead } from './VisitHead'
import { useVisit, type OpenVisit } from './useVisit'

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

/** Width of the ask beside a low path, and height of what stands above and below both, dp. */
const lowPanelWidth = 264
const aroundLowTrace = 118

/** Height of what stands above and below the wide trace, dp. */
const aroundWideTrace = 215

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
  const wide = useWide()
  const low = useLow() && !wide
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
  const { briefing, busy, error } = useBriefing(visit, school)
  const asked = askedIn(briefing)
  const [condition, setCondition] = useState<string | null>(null)
  const { red, black } = asked
  const { strips: drawn, delays } = briefing ?? nothingYet
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
      common={visit.diagram.common}
      strips={drawn}
      red={red}
      black={black}
      onMeasure={measure}
    />
  )
  const panel = (
    <AskPanel
      visit={visit}
      {...asksShown(briefing, wide)}
      busy={busy}
      school={school}
      onSchool={setSchool}
      onMeasure={measure}
      onCondition={setCondition}
      onSaid={(entry, words) => {
        setSaid({ entry, words })
      }}
      onSuspects={() => {
        setTab('suspects')
      }}
    />
  )
  const suspects = (
    <Suspects
      briefing={briefing}
      visit={visit}
      onRepaired={() => {
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
          delays={delays}
          onMeasures={showMeasures}
          onEntries={() => {
            setSheet('entries')
          }}
        />
      }
      foot={
        <>
          {tab === 'trace' && low ? null : saidLine}
          {tab === 'trace' && !wide && !low ? panel : null}
          <Tabs now={tab} onChoose={setTab} />
        </>
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
                    measure({ meter: 'volts', from: point, to: visit.diagram.common })
                  }}
                />
              }
              panel={panel}
              suspects={suspects}
            />
          ) : low ? (
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
        delays={isOfNow(briefing, visit) ? delays : null}
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

/** Whether a briefing was worked out for the call and the power that stand now. */
const isOfNow = (briefing: Briefing | null, { state: { standing } }: OpenVisit): boolean =>
  briefing !== null && briefing.now.call === standing.call && briefing.now.power === standing.power

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
function asksShown(briefing: Briefing | null, wide: boolean) {
  return {
    asks: briefing?.asks ?? [],
    story: wide ? '' : (briefing?.story ?? ''),
    warning: wide ? '' : (briefing?.warning ?? ''),
    leading: briefing?.groups.find(({ probability }) => probability >= possibleFrom)?.words ?? '',
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
  readonly visit: OpenVisit
  readonly onRepaired: () => void
}

function Suspects({ briefing, ...rest }: SuspectsProps) {
  return briefing ? <SuspectsList briefing={briefing} {...rest} /> : <Words quiet>Solving …</Words>
}

function SaidLine({ words, onUndo }: { readonly words: string; readonly onUndo: () => void }) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: space.large }}>
      <Words style={{ flex: 1 }} aria-live="polite">
        {words}
      </Words>
      <Press kind="quiet" title="Undo" onPress={onUndo} />
    </View>
  )
}

interface WideTraceProps {
  readonly strips: ReactNode
  readonly ladder: ReactNode
  readonly panel: ReactNode
  readonly suspects: ReactNode
}

/** On a low screen the ask stands beside the path, and leaves it the height. */
function LowTrace({ strips, panel }: Pick<WideTraceProps, 'strips' | 'panel'>) {
  const { height } = useWindowDimensions()
  return (
    <View style={{ flexDirection: 'row', gap: space.medium, height: height - aroundLowTrace }}>
      <ScrollView style={{ flex: 1 }}>{strips}</ScrollView>
      <ScrollView style={{ flexBasis: lowPanelWidth, flexGrow: 0 }}>{panel}</ScrollView>
    </View>
  )
}

const views = [
  { id: 'paths', words: 'Paths of this call' },
  { id: 'ladder', words: 'Whole ladder' },
] as const

/** At a desk: the paths of the call or the whole ladder, and beside it the ask and the suspects. */
function WideTrace({ strips, ladder, panel, suspects }: WideTraceProps) {
  const { height } = useWindowDimensions()
  const [view, setView] = useState<(typeof views)[number]['id']>('paths')
  return (
    <View style={{ flexDirection: 'row', gap: space.huge, height: Math.max(400, height - aroundWideTrace) }}>
      <View style={{ flex: 5, gap: space.small }}>
        <Chips label="What is drawn" options={views} chosen={view} onChoose={setView} />
        {view === 'ladder' ? ladder : <ScrollView>{strips}</ScrollView>}
      </View>
      <ScrollView style={{ flex: 4 }} contentContainerStyle={{ gap: space.large }}>
        {panel}
        {suspects}
        <ShortcutList />
      </ScrollView>
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

/** Brings into view where the ask is, or else where the call stops being live. */
function useScrollToFocus(
  strips: readonly { readonly stops: readonly { readonly point: string; readonly state: string }[] }[],
  red: string,
  here: boolean,
): void {
  const focus =
    strips.flatMap(({ stops }) => stops).find(({ point }) => point === red)?.point ??
    strips[0]?.stops.find(({ state }, k) => k > 0 && state !== 'live')?.point ??
    ''
  useEffect(() => {
    if (!here || focus === '') return
    const quiet = window.matchMedia('(prefers-reduced-motion: reduce)').matches
    document
      .getElementById(stopElement(focus))
      ?.scrollIntoView({ block: 'center', behavior: quiet ? 'auto' : 'smooth' })
  }, [here, focus])
}
