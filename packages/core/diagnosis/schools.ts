/**
 * Ways to search that practitioners hold to: by expected information per cost, hop by hop along the wire,
 * halving the path, section by section at the plugs, the usual place first.
 */
export type School = 'best' | 'walk' | 'split' | 'pull' | 'usual'
export const schools: readonly School[] = ['best', 'walk', 'split', 'pull', 'usual']
export const schoolWords: Readonly<Record<School, string>> = {
  best: 'What tells most for its time',
  walk: 'Walk the wire',
  split: 'Split the path',
  pull: 'Pull plugs',
  usual: 'Usual place first',
}

/**
 * Whether a school goes from stop to stop of a path, though a stop tells nothing that another has not told.
 */
export const goesByStops = (school: School): boolean => school === 'walk' || school === 'split'
