// Viscosity law of a product: ln η linear in 1/T (Arrhenius) through two known points.

import type { Range } from './types';

const KELVIN = 273.15;

export interface ViscosityLaw {
  /** Viscosity at a temperature, Pa·s. */
  atC(tempC: number): number;
  /** Temperature at which the viscosity is `paS`, °C. */
  tempForPaS(paS: number): number;
  /** Temperatures between which the viscosity lies in the band, °C. */
  windowC(bandPaS: Range): Range;
}

/** Law through two points [Pa·s, °C]. The points must differ in temperature. */
export function viscosityLaw(points: readonly [readonly [number, number], readonly [number, number]]): ViscosityLaw {
  const [[eta1, c1], [eta2, c2]] = points;
  const [x1, x2] = [1 / (c1 + KELVIN), 1 / (c2 + KELVIN)];
  const slope = (Math.log(eta1) - Math.log(eta2)) / (x1 - x2);
  const offset = Math.log(eta1) - slope * x1;
  const tempForPaS = (paS: number): number => slope / (Math.log(paS) - offset) - KELVIN;
  return {
    atC: (tempC) => Math.exp(offset + slope / (tempC + KELVIN)),
    tempForPaS,
    windowC: (band) => ({ min: tempForPaS(band.max), max: tempForPaS(band.min) }),
  };
}
