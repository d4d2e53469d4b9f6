import type { StandingAction } from '@jokulgale/core/visit/actions'
import type { ActionVerb } from '@jokulgale/core/visit/entry'

interface Undoing {
  readonly by: ActionVerb
  readonly words: string
}

/** How what was done to the unit is undone, and how that is said. */
export const undoing: Partial<Record<StandingAction['verb'], Undoing>> = {
  bridge: { by: 'unbridge', words: 'is off' },
  lift: { by: 'land', words: 'is landed' },
  unplug: { by: 'plug', words: 'is plugged in' },
}
