import { useState } from 'react'
import { StyleSheet, View } from 'react-native'
import Svg, { Path } from 'react-native-svg'
import { personWords } from '@jokulgale/core/visit/personWords'
import { reportOf, type Report, type ReportSection } from '@jokulgale/core/visit/report'
import { supportSummary } from '@jokulgale/core/visit/supportSummary'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { SharePress } from '../../ui/SharePress'
import { Stack } from '../../ui/Stack'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PhotoRow } from '../photo/PhotoRow'
import { useAppSelector } from '../store'
import { useVisit, type OpenVisit } from '../visit/useVisit'

const styles = StyleSheet.create({
  line: { flexDirection: 'row', gap: space.medium, borderBottomWidth: 1, paddingVertical: 6 },
})

/** The visit as a page that prints well: as found, cause, repair, proof, what is still open. */
export function ReportScreen({ id }: { readonly id: string }) {
  const visit = useVisit(id)
  if (!visit)
    return (
      <Screen head={<Heading title="Report" back="/" />}>
        <Words quiet>Looking for this visit.</Words>
      </Screen>
    )
  return (
    <Screen
      head={
        <Heading
          title="Report"
          below={`${visit.unit.label}, ${visit.site.name}`}
          back={`/visits/${id}`}
          right={
            <Press
              kind="quiet"
              title="Print"
              onPress={() => {
                window.print()
              }}
            />
          }
        />
      }
    >
      <ReportBody visit={visit} />
      <HandOn visit={visit} />
    </Screen>
  )
}

function ReportBody({ visit: { unit, site, diagram, state } }: { readonly visit: OpenVisit }) {
  const shop = useAppSelector(({ session }) => (session.is === 'in' ? session.person.shop.name : ''))
  const people = useAppSelector(({ places }) => places.places?.people)
  const report = reportOf(state, diagram, {
    shop,
    unit,
    site,
    people: new Map((people ?? []).map((person) => [person.id, personWords(person)])),
    utcOffsetMinutes: utcOffsetMinutes(),
  })
  return (
    <Stack gap="huge">
      <Head report={report} />
      {report.unsafe.map((words) => (
        <Notice key={words} kind="wrong">
          {words}
        </Notice>
      ))}
      {report.sections.map((section) => (
        <Section key={section.title} section={section} />
      ))}
      {state.photos.length > 0 ? (
        <Part title="Photos">
          <PhotoRow photos={state.photos} />
        </Part>
      ) : null}
      <Signed signed={report.signed} />
      <Words size="small" quiet>
        {report.caution}
      </Words>
    </Stack>
  )
}

/** Minutes that this device's time is ahead of UTC. */
const utcOffsetMinutes = (): number => -new Date().getTimezoneOffset()

/** Whose report it is, of what, when and by whom. */
function Head({ report: { head, headline, plain } }: { readonly report: Report }) {
  return (
    <View>
      <Words strong quiet>
        {head.shop}
      </Words>
      <Words size="title" strong>
        {headline}
      </Words>
      {plain ? <Words size="lead">{plain}</Words> : null}
      {[head.unit, head.site, head.circuit, `On site: ${head.times.join('; ')}`].map((words) => (
        <Words key={words} quiet>
          {words}
        </Words>
      ))}
      {head.technicians.length > 0 ? <Words quiet>{`By ${head.technicians.join(', ')}`}</Words> : null}
      <Words size="small" quiet>
        {head.plate}
      </Words>
    </View>
  )
}

function Signed({ signed }: Pick<Report, 'signed'>) {
  const palette = usePalette()
  if (!signed) return null
  return (
    <Stack gap="small">
      {signed.strokes ? (
        <Svg width={210} height={70} viewBox="0 0 600 200" accessibilityLabel={`Signature of ${signed.by}`}>
          <Path d={signed.strokes} stroke={palette.text} strokeWidth={4} fill="none" />
        </Svg>
      ) : null}
      <Words>{`Signed for by ${signed.by}`}</Words>
    </Stack>
  )
}

function Section({ section: { title, lines, none } }: { readonly section: ReportSection }) {
  const palette = usePalette()
  return (
    <Stack gap="hair">
      <Words strong quiet role="heading" aria-level={2}>
        {title}
      </Words>
      {lines.length === 0 ? <Words quiet>{none}</Words> : null}
      {lines.map(({ left, right, small }, k) => (
        <View key={`${k} ${left}`} style={[styles.line, { borderColor: palette.line }]}>
          <Stack grows>
            <Words>{left}</Words>
            {small ? (
              <Words size="small" quiet>
                {small}
              </Words>
            ) : null}
          </Stack>
          {right ? <Words strong>{right}</Words> : null}
        </View>
      ))}
    </Stack>
  )
}

const files = [
  { title: 'PDF', file: 'report.pdf?paper=letter' },
  { title: 'PDF A4', file: 'report.pdf?paper=a4' },
  { title: 'CSV', file: 'report.csv' },
  { title: 'JSON', file: 'report.json' },
] as const

/**
 * Files of the report, a summary for a support line with its advice, and the units that share the weakness.
 */
function HandOn({ visit }: { readonly visit: OpenVisit }) {
  const [advice, setAdvice] = useState('')
  const places = useAppSelector((state) => state.places.places)
  const { state, diagram, unit, say, id } = visit
  const summary = supportSummary(
    state,
    diagram,
    state.repairs.map(({ body }) => body.words ?? body.of),
  )
  const sisters = (places?.units ?? []).filter(
    (other) =>
      other.id !== unit.id &&
      other.site === unit.site &&
      (other.diagram === unit.diagram || other.make === unit.make),
  )
  return (
    <Stack nativeID="not-on-paper" gap="huge">
      <Part title="As a file">
        <Line gap="small">
          {files.map(({ title, file }) => (
            <Press
              key={title}
              grow
              title={title}
              label={`Report as ${title}`}
              onPress={() => {
                const mark = file.includes('?') ? '&' : '?'
                window.location.assign(`/api/visits/${id}/${file}${mark}offset=${utcOffsetMinutes()}`)
              }}
            />
          ))}
        </Line>
      </Part>
      <Part title="Ask for support">
        <SharePress title="Share a summary" subject={unit.label} text={summary} />
        <Field label="Their advice" value={advice} onChangeText={setAdvice} multiline />
        <Press
          title="Log the advice"
          disabled={advice.trim() === ''}
          onPress={() => {
            void say({ kind: 'support', asked: summary.slice(0, 3000), advice: advice.trim() })
            setAdvice('')
          }}
        />
      </Part>
      {sisters.length > 0 && state.repairs.length > 0 ? (
        <Part title="Of the same kind on this site: look at them, or list them">
          {sisters.map((sister) => (
            <Words
              key={sister.id}
            >{`${sister.label}, ${sister.place}. ${sister.make}, installed ${sister.installed}`}</Words>
          ))}
        </Part>
      ) : null}
    </Stack>
  )
}
