import { conditionNamed } from '@jokulgale/core/visit/conditionWords'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { UsualPad } from '../pad/UsualPad'

interface ConditionSheetProps {
  /** The condition that is entered; null while none is. */
  readonly of: string | null
  readonly onClose: () => void
  readonly onEntered: (of: string, value: number) => void
}

/** The pad for one condition: weather, water, a pressure, the supply. */
export function ConditionSheet({ of, onClose, onEntered }: ConditionSheetProps) {
  const { words, unit, caution, usual } = conditionNamed(of ?? '')
  return (
    <Sheet title={words} open={of !== null} onClose={onClose}>
      {caution ? <Notice kind="caution">{caution}</Notice> : null}
      {of === null ? null : (
        <UsualPad
          unit={unit}
          usual={usual}
          onDone={(value) => {
            onClose()
            onEntered(of, value)
          }}
        />
      )}
    </Sheet>
  )
}
