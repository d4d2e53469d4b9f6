/**
 * Figures that plates give and the wiring does not, and their units: poles and coil volts are seen, taps are
 * chosen.
 */
export const plateUnits: Readonly<Record<string, string>> = {
  amps: 'A',
  watts: 'W',
  va: 'VA',
  microfarads: 'mfd',
}
