import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { DelayStrip } from '../delays/DelayStrip'
import { CallBar } from './CallBar'
import { SafetyLine } from './SafetyLine'
import type { OpenVisit } from './useVisit'

interface VisitHeadProps {
  readonly visit: OpenVisit
  /** Null while they are being solved for the call that is set. */
  readonly delays: Briefing['delays'] | null
  /** Where the call bar is: in the line of the heading, below it, or at the thumb and not here. */
  readonly bar: 'beside' | 'below' | 'at-thumb'
  readonly onMeasures: () => void
  readonly onEntries: () => void
}

/** What is read at the top of every tab: the unit, delays, and what keeps people whole. */
export function VisitHead({ visit, delays, bar, onMeasures, onEntries }: VisitHeadProps) {
  const callBar = <CallBar visit={visit} onMeasures={onMeasures} />
  return (
    <>
      <Heading
        title={visit.unit.label}
        below={visit.site.name}
        back="/"
        right={
          <Line>
            {bar === 'beside' ? callBar : null}
            <Press
              kind="quiet"
              title="Entries"
              label="Entries: what was entered, and notes"
              onPress={onEntries}
            />
          </Line>
        }
      />
      {bar === 'below' ? callBar : null}
      <DelayStrip visit={visit} delays={delays} />
      <SafetyLine visit={visit} />
    </>
  )
}
