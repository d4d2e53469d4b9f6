import { useEffect, useState } from 'react'
import { ScrollView, useWindowDimensions, View } from 'react-native'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen, useWide } from '../../ui/Screen'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { LookTab } from '../look/LookTab'
import { ReadingSheet, type ReadingWanted } from '../pad/ReadingSheet'
import { ProveTab } from '../prove/ProveTab'
import { SuspectsList } from '../suspects/SuspectsList'
import { UnsentNote } from '../sync/UnsentNote'
import { AskPanel } from '../trace/AskPanel'
import { stopElement, StripView } from '../trace/StripView'
import { CallBar } from './CallBar'
import { Tabs, type VisitTab } from './Tabs'
import { useBriefing } from './useBriefing'
import { useVisit, type OpenVisit } from './useVisit'

/** One visit to one unit, from the complaint to the sign-off. */
export function VisitScreen({ id }: { readonly id: string }) {
  const visit = useVisit(id)
  if (!visit) return <Screen head={<Heading title="Visit" back="/" />}><Words quiet>Looking for this visit. If it was begun on another device, it comes with the next signal.</Words></Screen>
  if (visit.state.complaint !== '' && !visit.state.entries.some(({ body }) => body.kind === 'arrived')) return <Arrival visit={visit} />
  return <OpenVisitScreen visit={visit} />
}

function Arrival({ visit }: { readonly visit: OpenVisit }) {
  const complaint = visit.diagram.complaints.find(({ id }) => id === visit.state.complaint)
  return (
    <Screen head={<Heading title={visit.unit.label} below={visit.site.name} back="/" />}
      foot={<View style={{ padding: space.medium }}><Press kind="main" title="I am here: start" onPress={() => { void visit.say({ kind: 'arrived' }) }} /></View>}>
      <View>
        <Words size="title" strong>{complaint?.words ?? visit.state.complaint}</Words>
        {visit.state.complaintWords ? <Words size="lead">“{visit.state.complaintWords}”</Words> : null}
      </View>
      <View>
        <Words strong>{visit.diagram.title}</Words>
        <Words quiet>{visit.unit.place}</Words>
        <Words quiet>{`${visit.site.address}. ${visit.site.access}`}</Words>
      </View>
      <Notice kind="caution">Roof edge, ladder, weather. If somebody has switched the unit off or hung a lock, find out who and why before anything else.</Notice>
    </Screen>
  )
}

/** Height of what stands above and below the wide trace, dp. */
const aroundWideTrace = 215

function OpenVisitScreen({ visit }: { readonly visit: OpenVisit }) {
  const wide = useWide()
  const { height } = useWindowDimensions()
  const [tab, setTab] = useState<VisitTab>(visit.state.readings.length > 0 || visit.state.firstLook.size > 0 ? 'trace' : 'look')
  const [wanted, setWanted] = useState<ReadingWanted | null>(null)
  const [logged, setLogged] = useState<{ readonly entry: string; readonly words: string } | null>(null)
  const [firstLead, setFirstLead] = useState('')
  const { briefing, busy, error } = useBriefing(visit.ladder, visit.state.complaint, visit.bodies)
  const [ask] = briefing?.asks ?? []
  const red = ask?.do === 'measure' ? ask.from : ''
  const black = ask?.do === 'measure' ? ask.to : ''
  // where the ask is, or else where the call stops being live
  const focus = briefing?.strips.flatMap(({ stops }) => stops).find(({ point }) => point === red)?.point
    ?? briefing?.strips[0]?.stops.find(({ state }, k) => k > 0 && state !== 'live')?.point ?? ''
  useEffect(() => {
    if (tab !== 'trace' || focus === '') return
    const quiet = window.matchMedia('(prefers-reduced-motion: reduce)').matches
    document.getElementById(stopElement(focus))?.scrollIntoView({ block: 'center', behavior: quiet ? 'auto' : 'smooth' })
  }, [tab, focus])
  const measure = (reading: ReadingWanted): void => {
    setLogged(null)
    setWanted(reading)
  }
  const tapStop = (point: string): void => {
    if (firstLead === '' || firstLead === point) {
      setFirstLead(firstLead === point ? '' : point)
      return
    }
    setFirstLead('')
    measure({ meter: 'volts', from: firstLead, to: point })
  }
  const strips = (
    <View style={{ gap: space.small }}>
      {briefing === null ? <Words quiet>Solving this unit’s circuit …</Words> : null}
      {firstLead !== '' ? (
        <View style={{ gap: space.small }}>
          <Words>{`Red lead on ${firstLead}. Tap the stop for the black lead, or:`}</Words>
          <Press title={`${firstLead} to common`} onPress={() => { setFirstLead(''); measure({ meter: 'volts', from: firstLead, to: visit.diagram.common }) }} />
        </View>
      ) : null}
      {briefing?.strips.map((strip, k) => (
        <StripView key={strip.words} strip={strip} startsOpen={k === 0} red={firstLead || red} black={firstLead ? '' : black} onStop={tapStop} />
      ))}
      {briefing?.strips.length === 0 ? <Words quiet>This call asks for nothing: every load should be still. Choose another call above, or measure what should be dead.</Words> : null}
    </View>
  )
  const panel = <AskPanel visit={visit} asks={briefing?.asks ?? []} busy={busy} story={briefing?.story ?? ''} onMeasure={measure} />
  const suspects = briefing ? <SuspectsList briefing={briefing} visit={visit} onRepaired={() => { setTab('prove') }} /> : <Words quiet>Solving …</Words>
  const wideTrace = (
    <View style={{ flexDirection: 'row', gap: space.huge, height: Math.max(400, height - aroundWideTrace) }}>
      <ScrollView style={{ flex: 5 }}>{strips}</ScrollView>
      <ScrollView style={{ flex: 4 }} contentContainerStyle={{ gap: space.large }}>{panel}{suspects}</ScrollView>
    </View>
  )
  return (
    <Screen
      maxWidth={wide ? 1180 : 760}
      head={<><Heading title={visit.unit.label} below={visit.site.name} back="/" /><CallBar visit={visit} /></>}
      foot={
        <>
          {logged ? (
            <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: space.large }}>
              <Words style={{ flex: 1 }} aria-live="polite">{logged.words}</Words>
              <Press kind="quiet" title="Undo" onPress={() => { void visit.say({ kind: 'retracted', entry: logged.entry }); setLogged(null) }} />
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
      {tab === 'prove' ? <ProveTab visit={visit} /> : null}
      <ReadingSheet visit={visit} wanted={wanted} onClose={() => { setWanted(null) }} onLogged={(entry, words) => { setWanted(null); setLogged({ entry, words }) }} />
    </Screen>
  )
}
