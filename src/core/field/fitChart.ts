// A chart carried to a sheet of another size or to the other side: growth, marks and densities move with the
// sheet; a mark keeps its own size.

import { roundTo, unit, type Vec } from '../shared';
import type { DensityPlace } from './densityPlaces';
import type { Stroke } from './growthField';
import type { Mark } from './marks';

/** Where hair came no more at a visit: it stays on the sheet with its date. */
export interface BarePlace {
  readonly at: Vec;
  readonly radiusCm: number;
  /** Civil date. */
  readonly on: string;
}

export interface ChartContent<M extends Mark = Mark> {
  readonly strokes: readonly Stroke[];
  readonly marks: readonly M[];
  /** Places where hair is thinner or thicker; absent = none. */
  readonly densities?: readonly DensityPlace[] | undefined;
  readonly bare?: readonly BarePlace[] | undefined;
}

type Size = readonly [number, number];

/** Strokes, marks, densities and bare places of a sheet of one size [width, height], cm, on a sheet of another. */
export function fitChart<M extends Mark>(chart: ChartContent<M>, from: Size, to: Size): ChartContent<M> {
  const [fx, fy] = [to[0] / from[0], to[1] / from[1]];
  if (Math.abs(fx - 1) < 1e-6 && Math.abs(fy - 1) < 1e-6) return chart;
  const place = ([x, y]: Vec): Vec => [roundTo(x * fx, 2), roundTo(y * fy, 2)];
  const round = <T extends { readonly at: Vec; readonly radiusCm: number }>(d: T): T => ({
    ...d,
    at: place(d.at),
    radiusCm: roundTo(d.radiusCm * Math.sqrt(fx * fy), 2),
  });
  return {
    strokes: chart.strokes.map((s) => {
      const [dx, dy] = unit([s.towards[0] * fx, s.towards[1] * fy]) ?? s.towards;
      return { ...s, at: place(s.at), towards: [roundTo(dx, 3), roundTo(dy, 3)] };
    }),
    marks: chart.marks.map((m) => ({ ...m, at: place(m.at) })),
    ...(chart.densities ? { densities: chart.densities.map(round) } : {}),
    ...(chart.bare ? { bare: chart.bare.map(round) } : {}),
  };
}

/** Marks mirrored in the sheet's upright middle; strokes: comb.ts. */
export const mirrorMarks = <M extends Mark>(marks: readonly M[], widthCm: number): readonly M[] =>
  marks.map((m) => ({ ...m, at: [roundTo(widthCm - m.at[0], 2), m.at[1]] as const }));
