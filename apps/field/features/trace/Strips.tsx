import { memo, useCallback, useState } from 'react'
import { commonNear } from '@jokulgale/core/diagram/commonNear'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { searchedStrip } from '@jokulgale/core/diagnosis/provenStops'
import type { Strip } from '@jokulgale/core/diagnosis/strip'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { ReadingWanted } from '../pad/ReadingSheet'
import { BenchPress } from '../visit/BenchPress'
import { StripView } from './StripView'

interface StripsProps {
  readonly visitId: string
  readonly diagram: Diagram
  readonly strips: readonly Strip[] | null
  readonly red: string
  readonly black: string
  readonly onMeasure: (wanted: ReadingWanted) => void
}

/** The paths of the call that is set; a tap on two stops puts the leads there. */
export const Strips = memo(function Strips({ visitId, diagram, strips, red, black, onMeasure }: StripsProps) {
  const [firstLead, setFirstLead] = useState('')
  const openAt = searchedStrip(strips ?? [], red)
  const tapStop = useCallback(
    (point: string): void => {
      if (firstLead === '' || firstLead === point) {
        setFirstLead(firstLead === point ? '' : point)
        return
      }
      setFirstLead('')
      onMeasure({ meter: 'volts', from: firstLead, to: point })
    },
    [firstLead, onMeasure],
  )
  return (
    <Stack gap="small">
      {strips === null ? <Words quiet>Solving this unit’s circuit …</Words> : null}
      {firstLead !== '' ? (
        <Stack gap="small">
          <Words>{`Red lead on ${firstLead}. Tap the stop for the black lead, or:`}</Words>
          <Press
            title={`${firstLead} to common`}
            onPress={() => {
              setFirstLead('')
              onMeasure({ meter: 'volts', from: firstLead, to: commonNear(diagram, firstLead) })
            }}
          />
        </Stack>
      ) : null}
      {strips?.map((strip, k) => (
        <StripView
          key={strip.words}
          strip={strip}
          startsOpen={k === openAt}
          folds
          red={firstLead || red}
          black={firstLead ? '' : black}
          onStop={tapStop}
        />
      ))}
      {strips?.length === 0 ? (
        <Words quiet>
          This call asks for nothing: every load should be still. Choose another call, or measure what should
          be dead.
        </Words>
      ) : null}
      {strips ? <BenchPress visitId={visitId} /> : null}
    </Stack>
  )
})
