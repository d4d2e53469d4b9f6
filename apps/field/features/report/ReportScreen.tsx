import { View } from 'react-native'
import { display } from '@jokulgale/core/circuit/meter'
import { Heading } from '../../ui/Heading'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { useVisit, type OpenVisit } from '../visit/useVisit'

const outcomes = { repaired: 'Repaired and proven', restricted: 'Left with restricted service', 'left-off': 'Left off' } as const

/** The visit as a page that prints well: as found, cause, repair, proof, what is still open. */
export function ReportScreen({ id }: { readonly id: string }) {
  const visit = useVisit(id)
  if (!visit) return <Screen head={<Heading title="Report" back="/" />}><Words quiet>Looking for this visit.</Words></Screen>
  return (
    <Screen head={<Heading title="Report" below={`${visit.unit.label}, ${visit.site.name}`} back={`/visits/${id}`} right={<Press kind="quiet" title="Print" onPress={() => { window.print() }} />} />}>
      <ReportBody visit={visit} />
    </Screen>
  )
}

function ReportBody({ visit: { unit, site, diagram, state } }: { readonly visit: OpenVisit }) {
  const unproven = diagram.calls.filter(({ id }) => !state.proofs.some(({ body }) => body.call === id && body.passed))
  const firstCall = diagram.complaints.find(({ id }) => id === state.complaint)?.call
  const wrong = [...state.firstLook.values()].filter(({ body }) => body.is === 'wrong')
  return (
    <View style={{ gap: space.huge }}>
      <View>
        <Words size="title" strong>{state.signOff ? outcomes[state.signOff.body.outcome] : 'Visit still open'}</Words>
        {state.signOff?.body.words ? <Words size="lead">{state.signOff.body.words}</Words> : null}
        <Words quiet>{`${unit.label}, ${unit.place}. ${unit.make}, serial ${unit.serial}.`}</Words>
        <Words quiet>{`${site.name}, ${site.address}`}</Words>
        <Words quiet>{diagram.title}</Words>
      </View>
      <Part title="Complaint">
        <Words>{diagram.complaints.find(({ id }) => id === state.complaint)?.words ?? state.complaint}</Words>
        {state.complaintWords ? <Words quiet>“{state.complaintWords}”</Words> : null}
      </Part>
      <Part title="As found">
        {state.readings.length === 0 && wrong.length === 0 ? <Words quiet>No readings were taken.</Words> : null}
        {wrong.map(({ entry, body }) => <Line key={entry.id} left={body.words ?? body.item} right="wrong" />)}
        {state.readings.map(({ entry, body, call }) => (
          <Line key={entry.id} left={`${body.from} to ${body.to ?? diagram.common}`} right={display(body.value, body.meter)} small={diagram.calls.find(({ id }) => id === (call ?? firstCall))?.words ?? ''} />
        ))}
      </Part>
      <Part title="Repair">
        {state.repairs.length === 0 ? <Words quiet>None.</Words> : null}
        {state.repairs.map(({ entry, body }) => <Line key={entry.id} left={diagram.parts.get(body.of)?.words ?? body.of} right="" small={body.words ?? ''} />)}
      </Part>
      <Part title="Proof">
        {state.proofs.map(({ entry, body }) => (
          <Line key={entry.id} left={diagram.calls.find(({ id }) => id === body.call)?.words ?? body.call} right={body.passed ? 'right' : 'not right'} small={body.words} />
        ))}
        {unproven.length > 0 ? <Words>{`Not proven on this visit: ${unproven.map(({ words }) => words.toLowerCase()).join(', ')}.`}</Words> : null}
      </Part>
      {state.openBridges.length > 0 ? (
        <Part title="Left in place">{state.openBridges.map(({ entry, from, to }) => <Line key={entry.id} left={`Bridge ${from} to ${to}`} right="open" />)}</Part>
      ) : null}
      <Words size="small" quiet>Expected values are solved from the unit’s diagram; the nameplate, the manufacturer and local code come first.</Words>
    </View>
  )
}

function Part({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return <View style={{ gap: space.hair }}><Words strong quiet role="heading" aria-level={2}>{title}</Words>{children}</View>
}

function Line({ left, right, small = '' }: { readonly left: string; readonly right: string; readonly small?: string }) {
  const palette = usePalette()
  return (
    <View style={{ flexDirection: 'row', gap: space.medium, borderBottomWidth: 1, borderColor: palette.line, paddingVertical: 6 }}>
      <View style={{ flex: 1 }}>
        <Words>{left}</Words>
        {small ? <Words size="small" quiet>{small}</Words> : null}
      </View>
      {right ? <Words strong>{right}</Words> : null}
    </View>
  )
}
