import { View } from 'react-native'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import { Heading } from '../../ui/Heading'
import { Press } from '../../ui/Press'
import { useLow } from '../../ui/Screen'
import { DelayStrip } from '../delays/DelayStrip'
import { CallBar } from './CallBar'
import { SafetyLine } from './SafetyLine'
import type { OpenVisit } from './useVisit'

interface VisitHeadProps {
  readonly visit: OpenVisit
  readonly delays: Briefing['delays']
  readonly onMeasures: () => void
  readonly onEntries: () => void
}

/**
 * What is read at the top of every tab: the unit, the call that is set, delays, and what keeps people whole.
 */
export function VisitHead({ visit, delays, onMeasures, onEntries }: VisitHeadProps) {
  const low = useLow()
  const count = visit.state.measures.length
  return (
    <>
      <Heading
        title={visit.unit.label}
        below={visit.site.name}
        back="/"
        right={
          <View style={{ flexDirection: 'row' }}>
            {low ? <CallBar visit={visit} /> : null}
            <Press kind="quiet" title="Entries" label="What was entered, and notes" onPress={onEntries} />
            <Press
              kind="quiet"
              title={count > 0 ? `Temporary: ${count}` : 'Temporary'}
              label={`Temporary measures: ${count} on`}
              onPress={onMeasures}
            />
          </View>
        }
      />
      {low ? null : <CallBar visit={visit} />}
      <DelayStrip visit={visit} delays={delays} />
      <SafetyLine visit={visit} />
    </>
  )
}
