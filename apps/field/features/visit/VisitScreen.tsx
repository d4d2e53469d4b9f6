import { useCallback, useEffect, useMemo, useState } from 'react'
import { ScrollView, useWindowDimensions, View } from 'react-native'
import type { School } from '@jokulgale/core/diagnosis/schools'
import { possibleFrom } from '@jokulgale/core/diagnosis/words'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen, useWide } from '../../ui/Screen'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { DelayStrip } from '../delays/DelayStrip'
import { ShortcutList, useShortcuts } from '../help/shortcuts'
import { LookTab } from '../look/LookTab'
import { ReadingSheet, type ReadingWanted } from '../pad/ReadingSheet'
import { ProveTab } from '../prove/ProveTab'
import { RepairTab } from '../repair/RepairTab'
import { SuspectsList } from '../suspects/SuspectsList'
import { UnsentNote } from '../sync/UnsentNote'
import { TemporarySheet } from '../temporary/TemporarySheet'
import { AskPanel } from '../trace/AskPanel'
import { stopElement } from '../trace/StripView'
import { Strips } from '../trace/Strips'
import { Arrival } from './Arrival'
import { CallBar } from './CallBar'
import { SafetyLine } from './SafetyLine'
import { Tabs, visitTabs, type VisitTab } from './Tabs'
import { useBriefing } from './useBriefing'
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
  return <OpenVisitScreen visit={visit} />
}

/** Height of what stands above and below the wide trace, dp. */
const aroundWideTrace = 215

function OpenVisitScreen({ visit }: { readonly visit: OpenVisit }) {
  const wide = useWide()
  const { height } = useWindowDimensions()
  const [tab, setTab] = useState<VisitTab>(
    visit.state.readings.length > 0 || visit.state.firstLook.size > 0 ? 'trace' : 'look',
  )
  const [wanted, setWanted] = useState<ReadingWanted | null>(null)
  const [measures, setMeasures] = useState(false)
  const [school, setSchool] = useState<School>('best')
  const [said, setLogged] = useState<{ readonly entry: string; readonly words: string } | null>(null)
  // only the last word is taken back so quickly
  const logged = said !== null && visit.state.entries.at(-1)?.id === said.entry ? said : null
  const { briefing, busy, error } = useBriefing(visit, school)
  const [ask] = briefing?.asks ?? []
  const red = ask?.do === 'measure' ? ask.from : ''
  const black = ask?.do === 'measure' ? ask.to : ''
  const measure = useCallback((reading: ReadingWanted): void => {
    setLogged(null)
    setWanted(reading)
  }, [])
  const undo = useCallback((): void => {
    if (!logged) return
    void visit.say({ kind: 'retracted', entry: logged.entry })
    setLogged(null)
  }, [logged, visit])
  useScrollToFocus(briefing?.strips ?? [], red, tab === 'trace')
  useShortcuts(
    useMemo(
      () => ({
        ...Object.fromEntries(
          visitTabs.map(({ id }, k) => [
            String(k + 1),
            () => {
              setTab(id)
            },
          ]),
        ),
        m: () => {
          measure(ask?.do === 'measure' ? ask : { meter: 'volts', from: '', to: visit.diagram.common })
        },
        u: undo,
      }),
      [ask, measure, undo, visit.diagram.common],
    ),
    wide && wanted === null,
  )
  const strips = (
    <Strips
      common={visit.diagram.common}
      strips={briefing?.strips ?? null}
      red={red}
      black={black}
      onMeasure={measure}
    />
  )
  // wide, story and warning stand over the suspects beside it
  const panel = (
    <AskPanel
      visit={visit}
      asks={briefing?.asks ?? []}
      busy={busy}
      story={wide ? '' : (briefing?.story ?? '')}
      warning={wide ? '' : (briefing?.warning ?? '')}
      leading={briefing?.suspects.find(({ probability }) => probability >= possibleFrom)?.words ?? ''}
      school={school}
      onSchool={setSchool}
      onMeasure={measure}
      onSaid={(entry, words) => {
        setLogged({ entry, words })
      }}
      onSuspects={() => {
        setTab('suspects')
      }}
    />
  )
  const suspects = briefing ? (
    <SuspectsList
      briefing={briefing}
      visit={visit}
      onRepaired={() => {
        setTab('repair')
      }}
    />
  ) : (
    <Words quiet>Solving …</Words>
  )
  const wideTrace = (
    <View style={{ flexDirection: 'row', gap: space.huge, height: Math.max(400, height - aroundWideTrace) }}>
      <ScrollView style={{ flex: 5 }}>{strips}</ScrollView>
      <ScrollView style={{ flex: 4 }} contentContainerStyle={{ gap: space.large }}>
        {panel}
        {suspects}
        <ShortcutList />
      </ScrollView>
    </View>
  )
  return (
    <Screen
      maxWidth={wide ? 1180 : 760}
      page={tab}
      head={
        <>
          <Heading
            title={visit.unit.label}
            below={visit.site.name}
            back="/"
            right={
              <Press
                kind="quiet"
                title={
                  visit.state.measures.length > 0 ? `Temporary: ${visit.state.measures.length}` : 'Temporary'
                }
                label={`Temporary measures: ${visit.state.measures.length} on`}
                onPress={() => {
                  setMeasures(true)
                }}
              />
            }
          />
          <CallBar visit={visit} />
          <DelayStrip visit={visit} delays={briefing?.delays ?? []} />
          <SafetyLine visit={visit} />
        </>
      }
      foot={
        <>
          {logged ? (
            <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: space.large }}>
              <Words style={{ flex: 1 }} aria-live="polite">
                {logged.words}
              </Words>
              <Press kind="quiet" title="Undo" onPress={undo} />
            </View>
          ) : null}
          {tab === 'trace' && !wide ? panel : null}
          <Tabs now={tab} onChoose={setTab} />
        </>
      }
    >
      <UnsentNote />
      {error ? <Notice kind="wrong">{error}</Notice> : null}
      {tab === 'look' ? <LookTab visit={visit} /> : null}
      {tab === 'trace' ? (wide ? wideTrace : strips) : null}
      {tab === 'suspects' ? suspects : null}
      {tab === 'repair' ? <RepairTab visit={visit} /> : null}
      {tab === 'prove' ? (
        <ProveTab
          visit={visit}
          onMeasures={() => {
            setMeasures(true)
          }}
        />
      ) : null}
      <ReadingSheet
        visit={visit}
        wanted={wanted}
        delays={briefing?.delays ?? []}
        onClose={() => {
          setWanted(null)
        }}
        onLogged={(entry, words) => {
          setWanted(null)
          setLogged({ entry, words })
        }}
      />
      {measures ? (
        <TemporarySheet
          visit={visit}
          open
          onClose={() => {
            setMeasures(false)
          }}
        />
      ) : null}
    </Screen>
  )
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
