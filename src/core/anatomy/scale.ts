// From the reference sheet to this client's sheet. Body surface area by Mosteller (1987, N Engl J Med 317:1098),
// Du Bois & Du Bois (1916, Arch Intern Med 17:863) for comparison.

import { fail, ok, type Result, type Ring, type Vec } from '../shared';
import type { Side, Zone } from './types';

/** Body that the reference sheets belong to, m² (170 cm, 70 kg). */
export const REFERENCE_BSA_M2 = 1.82;

/** Mosteller: √(cm·kg/3600), m². */
export const bodySurfaceMosteller = (statureCm: number, massKg: number): number =>
  Math.sqrt((statureCm * massKg) / 3600);

/** Du Bois: 0.007184·cm^0.725·kg^0.425, m². */
export const bodySurfaceDuBois = (statureCm: number, massKg: number): number =>
  0.007184 * statureCm ** 0.725 * massKg ** 0.425;

export interface BodySize {
  readonly statureCm?: number | undefined;
  readonly massKg?: number | undefined;
}

export interface Sheet {
  readonly widthCm: number;
  readonly heightCm: number;
  /** Hair-bearing outline in sheet centimetres. */
  readonly outline: Ring;
  /** How the size was found, for the plan to say. */
  readonly basis: 'measured' | 'body-surface' | 'reference-adult';
}

/**
 * The sheet of one zone on one side: measured size first, else scaled by body surface, else the reference adult.
 * The right side mirrors the left. Error `anatomy.sheet-size` for a size that is no positive number.
 */
export function sheetFor(
  zone: Zone,
  side: Side,
  body: BodySize,
  measuredCm?: readonly [number, number],
): Result<Sheet> {
  const known = body.statureCm !== undefined && body.massKg !== undefined;
  const factor = known ? Math.sqrt(bodySurfaceMosteller(body.statureCm ?? 0, body.massKg ?? 0) / REFERENCE_BSA_M2) : 1;
  const [widthCm, heightCm] = measuredCm ?? [zone.sheetCm[0] * factor, zone.sheetCm[1] * factor];
  if (!(widthCm > 0 && heightCm > 0 && Number.isFinite(widthCm * heightCm))) {
    return fail({
      code: 'anatomy.sheet-size',
      message: 'The sheet needs a width and a height above zero.',
      path: 'sheetCm',
    });
  }
  const outline = zone.shape.map(([u, v]): Vec => [(side === 'right' ? 1 - u : u) * widthCm, v * heightCm]);
  const scaled = known ? 'body-surface' : 'reference-adult';
  return ok({
    widthCm,
    heightCm,
    outline,
    basis: measuredCm ? 'measured' : scaled,
  });
}

/** Default growth at a point of the sheet, mirrored for the right side. Not normalised. */
export function defaultGrowthAt(zone: Zone, side: Side, sheet: Sheet, at: Vec): Vec {
  const u = at[0] / sheet.widthCm;
  const v = at[1] / sheet.heightCm;
  if (side !== 'right') return zone.pattern(u, v);
  const [dx, dy] = zone.pattern(1 - u, v);
  return [-dx, dy];
}
