declare module 'psychrolib' {
  interface Psychrolib {
    readonly IP: number
    SetUnitSystem(system: number): void
    GetStandardAtmPressure(altitude: number): number
    GetHumRatioFromRelHum(dryBulb: number, relativeHumidity: number, pressure: number): number
    GetMoistAirEnthalpy(dryBulb: number, humidityRatio: number): number
  }
  const psychrolib: Psychrolib
  export default psychrolib
}
