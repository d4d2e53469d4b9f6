const words: Readonly<Record<string, string>> = {
  repaired: 'Repaired',
  restricted: 'Left restricted',
  'left-off': 'Left off',
}

/** How a visit ended, as one says it; empty where it has not. */
export const outcomeLabel = (outcome: string): string => words[outcome] ?? outcome
