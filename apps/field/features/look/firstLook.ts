/** What a first look goes over, before any power changes; fitted to the class of unit. */
export interface LookItem {
  readonly id: string
  readonly words: string
}

const everywhere: readonly LookItem[] = [
  { id: 'disconnect', words: 'Disconnect on, breaker not tripped' },
  { id: 'filter', words: 'Filters clean' },
  { id: 'wires', words: 'No burnt, chafed or hanging wires' },
  { id: 'lamps', words: 'Fault lamps: none lit or flashing' },
  { id: 'drain', words: 'Drain pan and trap in order' },
]

const byClass: Readonly<Record<string, readonly LookItem[]>> = {
  rooftop: [{ id: 'belt', words: 'Belt whole and tight' }, { id: 'coils', words: 'Coils clean, not frozen' }, { id: 'jumpers', words: 'No strange jumpers or spare leads' }],
  'heat-pump': [{ id: 'coils', words: 'Outdoor coil clean, not iced' }, { id: 'jumpers', words: 'No strange jumpers or spare leads' }],
  'fan-coil': [{ id: 'float', words: 'Float switch dry' }],
  'air-handler': [{ id: 'belt', words: 'Belt whole and tight' }, { id: 'drive', words: 'Drive display: no fault' }],
}

export const lookItemsFor = (unitClass: string): readonly LookItem[] => [...everywhere, ...(byClass[unitClass] ?? [])]
