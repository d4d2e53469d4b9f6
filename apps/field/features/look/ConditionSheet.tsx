import { unitShown, valueKept } from '@jokulgale/core/physics/displayUnits'
import { conditionNamed } from '@jokulgale/core/visit/conditionWords'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { NumberPad } from '../pad/NumberPad'
import { useUnits } from '../units/useUnits'

interface ConditionSheetProps {
  /** The condition that is entered; null while none is. */
  readonly of: string | null
  readonly onClose: () => void
  readonly onEntered: (of: string, value: number) => void
}

/** The pad for one condition: weather, water, a pressure, the supply. */
export function ConditionSheet({ of, onClose, onEntered }: ConditionSheetProps) {
  const { words, unit, caution } = conditionNamed(of ?? '')
  const units = useUnits()
  return (
    <Sheet title={words} open={of !== null} onClose={onClose}>
      {caution ? <Notice kind="caution">{caution}</Notice> : null}
      {of === null ? null : (
        <NumberPad
          unit={unitShown(unit, units)}
          signed={unit === '°F'}
          onDone={(value) => {
            onClose()
            if (value !== null) onEntered(of, valueKept(value, unit, units))
          }}
        />
      )}
    </Sheet>
  )
}
