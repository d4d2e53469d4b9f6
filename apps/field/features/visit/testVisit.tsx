import { useMemo, useState, type ReactNode } from 'react'
import { builtInUnit, builtInUnitText } from '@jokulgale/core/units/index'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { logOf } from '@jokulgale/core/visit/testLog'
import { foldVisit } from '@jokulgale/core/visit/visitState'
import { renderInApp } from '../testApp'
import { testSite, testUnit } from '../places/testPlaces'
import type { OpenVisit } from './useVisit'

interface VisitUnderTestProps {
  readonly unit: string
  readonly entries: readonly EntryBody[]
  readonly onSaid: (body: EntryBody) => void
  readonly children: (visit: OpenVisit) => ReactNode
}

/** A visit to a built-in unit that keeps what is said as a device does, so that it shows at once. */
function VisitUnderTest({ unit, entries, onSaid, children }: VisitUnderTestProps) {
  const [bodies, setBodies] = useState(entries)
  const visit = useMemo((): OpenVisit => {
    const diagram = builtInUnit(unit)
    return {
      id: 'v',
      unit: testUnit,
      site: testSite,
      ladder: builtInUnitText(unit),
      diagram,
      state: foldVisit(logOf(bodies), diagram),
      bodies,
      say: (body) => {
        onSaid(body)
        setBodies((before) => [...before, body])
        return Promise.resolve(String(bodies.length))
      },
    }
  }, [unit, bodies, onSaid])
  return <>{children(visit)}</>
}

/** Renders something of such a visit; gives what was said, as it is said. */
export function renderVisit(
  unit: string,
  entries: readonly EntryBody[],
  children: (visit: OpenVisit) => ReactNode,
): jest.Mock<undefined, [EntryBody]> {
  const onSaid = jest.fn<undefined, [EntryBody]>()
  renderInApp(
    <VisitUnderTest unit={unit} entries={entries} onSaid={onSaid}>
      {children}
    </VisitUnderTest>,
  )
  return onSaid
}
