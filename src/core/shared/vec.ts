// Plane vectors on the zone sheet: centimetres, origin top-left, x to the sheet's right, y down.
// Angles are in degrees; a positive rotation turns x towards y (clockwise as seen on the sheet).

export type Vec = readonly [number, number];
export type Ring = readonly Vec[];

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1]];
export const sub = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1]];
export const scale = (a: Vec, k: number): Vec => [a[0] * k, a[1] * k];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1];
export const cross = (a: Vec, b: Vec): number => a[0] * b[1] - a[1] * b[0];
export const norm = (a: Vec): number => Math.hypot(a[0], a[1]);
export const distance = (a: Vec, b: Vec): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
export const lerp = (a: Vec, b: Vec, t: number): Vec => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];

/** A quarter turn: x towards y. */
export const perpendicular = (a: Vec): Vec => [-a[1], a[0]];

/** Unit vector along `a`, or null where `a` has no direction. */
export function unit(a: Vec): Vec | null {
  const length = norm(a);
  return length > 0 && Number.isFinite(length) ? [a[0] / length, a[1] / length] : null;
}

/** Turns `a` by `deg` degrees, x towards y. */
export function rotate(a: Vec, deg: number): Vec {
  const r = (deg * Math.PI) / 180;
  return [a[0] * Math.cos(r) - a[1] * Math.sin(r), a[0] * Math.sin(r) + a[1] * Math.cos(r)];
}

/** Angle between two directions, 0–180 degrees. */
export function angleBetweenDeg(a: Vec, b: Vec): number {
  return (Math.abs(Math.atan2(cross(a, b), dot(a, b))) * 180) / Math.PI;
}
