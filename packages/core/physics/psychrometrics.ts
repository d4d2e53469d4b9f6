/// <reference path="./psychrolib.d.ts" />
import psychrolib from 'psychrolib'

/** Pressure of the standard atmosphere at an altitude, psi. */
export const standardPressurePsi = (altitudeFeet = 0): number => {
  psychrolib.SetUnitSystem(psychrolib.IP)
  return psychrolib.GetStandardAtmPressure(altitudeFeet)
}

/**
 * Enthalpy of moist air from °F and relative humidity in per cent, Btu per pound of dry air (ASHRAE
 * Fundamentals, chapter 1).
 */
export function enthalpyBtuPerPound(fahrenheit: number, relativePercent: number, altitudeFeet = 0): number {
  const ratio = humidityRatio(fahrenheit, relativePercent, altitudeFeet)
  return psychrolib.GetMoistAirEnthalpy(held(fahrenheit), ratio)
}

/** Air of the trade; the equations hold for no other. */
const held = (fahrenheit: number): number => Math.min(180, Math.max(-40, fahrenheit))

/**
 * Water in a pound of dry air, pounds, from °F and relative humidity in per cent (ASHRAE Fundamentals,
 * chapter 1).
 */
export function humidityRatio(fahrenheit: number, relativePercent: number, altitudeFeet = 0): number {
  psychrolib.SetUnitSystem(psychrolib.IP)
  return psychrolib.GetHumRatioFromRelHum(
    held(fahrenheit),
    Math.min(1, Math.max(0, relativePercent / 100)),
    standardPressurePsi(altitudeFeet),
  )
}
