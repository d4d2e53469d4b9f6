import { useState } from 'react'
import { View } from 'react-native'
import { reportOf, supportSummary, type ReportSection } from '@jokulgale/core/visit/report'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PhotoRow } from '../photo/PhotoRow'
import { useAppSelector } from '../store'
import { useVisit, type OpenVisit } from '../visit/useVisit'

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
  const report = reportOf(state, diagram)
  return (
    <View style={{ gap: space.huge }}>
      <View>
        <Words size="title" strong>
          {report.headline}
        </Words>
        {report.plain ? <Words size="lead">{report.plain}</Words> : null}
        <Words quiet>{`${unit.label}, ${unit.place}. ${unit.make}, serial ${unit.serial}.`}</Words>
        <Words quiet>{`${site.name}, ${site.address}`}</Words>
        <Words quiet>{diagram.title}</Words>
      </View>
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
      <Words size="small" quiet>
        {report.caution}
      </Words>
    </View>
  )
}

function Section({ section: { title, lines, none } }: { readonly section: ReportSection }) {
  const palette = usePalette()
  return (
    <View style={{ gap: space.hair }}>
      <Words strong quiet role="heading" aria-level={2}>
        {title}
      </Words>
      {lines.length === 0 ? <Words quiet>{none}</Words> : null}
      {lines.map(({ left, right, small }, k) => (
        <View
          key={`${k} ${left}`}
          style={{
            flexDirection: 'row',
            gap: space.medium,
            borderBottomWidth: 1,
            borderColor: palette.line,
            paddingVertical: 6,
          }}
        >
          <View style={{ flex: 1 }}>
            <Words>{left}</Words>
            {small ? (
              <Words size="small" quiet>
                {small}
              </Words>
            ) : null}
          </View>
          {right ? <Words strong>{right}</Words> : null}
        </View>
      ))}
    </View>
  )
}

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
  const share = async (): Promise<void> => {
    if (typeof navigator.share === 'function')
      await navigator.share({ title: unit.label, text: summary }).catch(() => undefined)
    else await navigator.clipboard.writeText(summary).catch(() => undefined)
  }
  const sisters = (places?.units ?? []).filter(
    (other) =>
      other.id !== unit.id &&
      other.site === unit.site &&
      (other.diagram === unit.diagram || other.make === unit.make),
  )
  return (
    <View nativeID="not-on-paper" style={{ gap: space.huge }}>
      <Part title="As a file">
        <View style={{ flexDirection: 'row', gap: space.small }}>
          {(['pdf', 'csv', 'json'] as const).map((format) => (
            <Press
              key={format}
              grow
              title={format.toUpperCase()}
              label={`Report as ${format.toUpperCase()}`}
              onPress={() => {
                window.location.assign(`/api/visits/${id}/report.${format}`)
              }}
            />
          ))}
        </View>
      </Part>
      <Part title="Ask for support">
        <Press
          title="Share a summary"
          onPress={() => {
            void share()
          }}
        />
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
    </View>
  )
}
