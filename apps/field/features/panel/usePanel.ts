import { useEffect, useState } from 'react'
import type { UnitPanel } from '@jokulgale/contract/records'
import { photoWords, type Spot } from '@jokulgale/core/visit/spots'
import { readFact, writeFact } from '../sync/device'
import { request } from '../sync/request'
import type { OpenVisit } from '../visit/useVisit'

interface Panel {
  readonly spots: ReadonlyMap<string, Spot>
  /** Pictures that a point can be pinned on, newest first. */
  readonly photos: readonly {
    readonly photo: string
    readonly words: string
    /** The day that it was taken on; null: on this visit. */
    readonly day: string | null
  }[]
}

const asked = new Map<string, Promise<UnitPanel | undefined>>()

/** What earlier visits pinned: from the server once a sitting, from the device where there is no signal. */
function panelOf(unit: string): Promise<UnitPanel | undefined> {
  const known = asked.get(unit) ?? fetchPanel(unit)
  asked.set(unit, known)
  return known
}

async function fetchPanel(unit: string): Promise<UnitPanel | undefined> {
  try {
    const panel = await request<UnitPanel>('GET', `/units/${unit}/panel`)
    await writeFact('panels', { ...(await readFact('panels')), [unit]: panel })
    return panel
  } catch {
    // asked again at the next opening: the signal may be back
    asked.delete(unit)
    return (await readFact('panels'))?.[unit]
  }
}

/** Where a unit's test points are on pictures of its panels, with what this visit has said of them. */
export function usePanel({ unit, state }: OpenVisit): Panel {
  const [before, setBefore] = useState<UnitPanel | undefined>(undefined)
  useEffect(() => {
    let isHere = true
    panelOf(unit.id).then(
      (panel) => {
        if (isHere) setBefore(panel)
      },
      // an ask without its picture is still an ask
      () => undefined,
    )
    return () => {
      isHere = false
    }
  }, [unit.id])
  const own = state.photos
    .map(({ body }) => ({ photo: body.photo, words: photoWords(body), day: null }))
    .reverse()
  const taken = new Set(own.map(({ photo }) => photo))
  return {
    spots: new Map([...(before?.spots ?? []).map((spot) => [spot.of, spot] as const), ...state.spots]),
    photos: [...own, ...(before?.photos ?? []).filter(({ photo }) => !taken.has(photo))],
  }
}
