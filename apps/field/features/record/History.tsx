import { lazy, Suspense, useState } from 'react'
import type { UnitHistory } from '@jokulgale/core/visit/unitHistory'
import { dayWords } from '../../ui/days'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'

const SeriesPlot = lazy(async () => ({ default: (await import('../plots')).SeriesPlot }))

const shownAtFirst = 3

/** What was read on visit after visit, as small plots, and what was replaced when. */
export default function History({ history: { series, replacements } }: { readonly history: UnitHistory }) {
  const [all, setAll] = useState(false)
  if (series.length === 0 && replacements.length === 0) return null
  return (
    <Stack gap="medium">
      <Words strong quiet role="heading" aria-level={2}>
        Over its visits
      </Words>
      {series.length > 0 ? (
        <Words size="small" quiet>
          Dots were read; a dashed line is what was expected then.
        </Words>
      ) : null}
      {series.slice(0, all ? undefined : shownAtFirst).map((each) => (
        <Suspense key={`${each.what} ${each.unit}`} fallback={null}>
          <SeriesPlot series={each} />
        </Suspense>
      ))}
      {!all && series.length > shownAtFirst ? (
        <Press
          title={`All ${series.length}`}
          onPress={() => {
            setAll(true)
          }}
        />
      ) : null}
      {replacements.map(({ wallMs, of, words }) => (
        <Words key={`${wallMs} ${of}`} size="small">
          {`${dayWords(wallMs)}: ${of}, ${words}`}
        </Words>
      ))}
    </Stack>
  )
}
