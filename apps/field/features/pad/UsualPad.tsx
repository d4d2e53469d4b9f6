import { useState } from 'react'
import { unitShown, valueKept } from '@jokulgale/core/physics/displayUnits'
import { isUnusual, type UsualSpan } from '@jokulgale/core/visit/usualSpan'
import { Notice } from '../../ui/Notice'
import { useUnits } from '../units/useUnits'
import { NumberPad } from './NumberPad'

interface UsualPadProps {
  /** The unit that the value is kept in. */
  readonly unit: string
  /** What it lies between as a rule; none where nothing is usual. */
  readonly usual: UsualSpan | null | undefined
  /** The value as it is kept, and what was typed. */
  readonly onDone: (value: number, typed: string) => void
}

/** The pad for what is measured outside the circuit: what can hardly be is asked about once. */
export function UsualPad({ unit, usual, onDone }: UsualPadProps) {
  const units = useUnits()
  const [doubted, setDoubted] = useState<number | null>(null)
  return (
    <>
      {doubted === null ? null : (
        <Notice kind="caution">
          That can hardly be. Look at the point and at the display once more; to log it all the same, press
          Log again.
        </Notice>
      )}
      <NumberPad
        unit={unitShown(unit, units)}
        signed={unit === '°F'}
        onDone={(shown, typed) => {
          if (shown === null) return
          const value = valueKept(shown, unit, units)
          if (isUnusual(usual, value) && doubted !== value) setDoubted(value)
          else onDone(value, typed)
        }}
      />
    </>
  )
}
