import type { OpenVisit } from '../visit/useVisit'
import { PinPress } from './PinPress'
import { SpotThumb } from './SpotThumb'
import { usePanel } from './usePanel'

interface PointSpotProps {
  readonly visit: OpenVisit
  readonly point: string
}

/** Where a test point is, on a picture; not known yet, it can be pinned on one. */
export function PointSpot({ visit, point }: PointSpotProps) {
  const { spots } = usePanel(visit)
  const spot = spots.get(point)
  const words = visit.diagram.points.get(point)?.words ?? point
  return spot ? (
    <SpotThumb point={point} words={words} spot={spot} />
  ) : (
    <PinPress visit={visit} point={point} />
  )
}
