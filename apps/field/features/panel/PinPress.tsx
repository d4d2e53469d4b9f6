import { useState } from 'react'
import { Press } from '../../ui/Press'
import type { OpenVisit } from '../visit/useVisit'
import { PinSheet } from './PinSheet'

interface PinPressProps {
  readonly visit: OpenVisit
  readonly point: string
}

/** Opens the picture on which a test point is pinned. */
export function PinPress({ visit, point }: PinPressProps) {
  const [isPinning, setPinning] = useState(false)
  return (
    <>
      <Press
        kind="quiet"
        title={`Pin ${point} on a picture`}
        onPress={() => {
          setPinning(true)
        }}
      />
      {isPinning ? (
        <PinSheet
          visit={visit}
          point={point}
          onClose={() => {
            setPinning(false)
          }}
        />
      ) : null}
    </>
  )
}
