// Charts of before the brow's sheet was the brow with its surroundings: they were drawn on the brow's own 6 × 2.2 cm.
// What is on them moves to where the brow lies on the new sheet; a mark stays where it is on the skin. Strips by hand
// lay on the brow itself, which now stays: they are planned anew.

import { BROW_EDGE, ZONES, type Side, type ZoneId } from '../../core/anatomy';
import { boxOf, roundTo, type Vec } from '../../core/shared';
import type { ChartData } from './schema';

type Size = readonly [number, number];

const FORMER: Size = [6, 2.2];
/** The former sheet was this much flatter than the present one. */
const FLATTER_THAN = 0.5;
/** Where the brow lies on the sheet, in shares of it, left side. */
const BOX = boxOf([BROW_EDGE]);

interface Stored {
  readonly zone: string;
  readonly side: Side;
  readonly data: ChartData;
}

const isEmpty = ({ strokes, marks, densities = [] }: ChartData): boolean =>
  strokes.length + marks.length + densities.length === 0;

function onSurroundings(data: ChartData, side: Side, from: Size): ChartData {
  const [w, h] = ZONES.brow.sheetCm;
  const to: Size = [roundTo((from[0] * w) / FORMER[0], 2), roundTo((from[1] * h) / FORMER[1], 2)];
  const x0 = side === 'right' ? 1 - BOX.x1 : BOX.x0;
  const moved = <T extends { readonly at: Vec }>(all: readonly T[]): readonly T[] =>
    all.map((one) => ({
      ...one,
      at: [
        roundTo(to[0] * (x0 + (one.at[0] / from[0]) * (BOX.x1 - BOX.x0)), 2),
        roundTo(to[1] * (BOX.y0 + (one.at[1] / from[1]) * (BOX.y1 - BOX.y0)), 2),
      ] as const,
    }));
  const { densities } = data;
  return {
    ...data,
    handStrips: undefined,
    strokes: moved(data.strokes),
    marks: moved(data.marks),
    ...(densities ? { densities: moved(densities) } : {}),
    ...(data.sheetCm ? { sheetCm: to } : {}),
    drawnOnCm: to,
  };
}

/** A stored chart as the program knows it now. */
export function upChart<T extends Stored>(row: T): T {
  if ((row.zone as ZoneId) !== 'brow') return row;
  const from = row.data.sheetCm ?? row.data.drawnOnCm ?? (isEmpty(row.data) ? null : FORMER);
  return from && from[1] / from[0] < FLATTER_THAN ? { ...row, data: onSurroundings(row.data, row.side, from) } : row;
}
