/** Who may make the call of a unit. */
export const callControllers = [
  { id: 'thermostat', words: 'Its thermostat' },
  { id: 'building', words: 'Building system' },
  { id: 'energy-company', words: 'Energy company' },
] as const
