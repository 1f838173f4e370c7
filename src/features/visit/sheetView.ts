// How a zone's sheet lies on the picture. A long zone lies along the table as the client does, head to the left; the
// sheet's own centimetres stay as they are.

import type { Vec } from '@/core/shared';

/** From this height on, as a share of the width, a zone lies along the table. */
const LONG = 1.5;

export const liesAlong = (widthCm: number, heightCm: number): boolean => heightCm >= LONG * widthCm;

export interface View {
  readonly width: number;
  readonly height: number;
  readonly pxPerCm: number;
  /** Where the upper left corner of the sheet as it lies is, px. */
  readonly origin: Vec;
  /** Width of the sheet where it lies along the table: its top to the left, its right up; null where it stands. */
  readonly alongCm: number | null;
}

/** A place of the sheet, cm, on the picture, px. */
export function toPicture({ pxPerCm: px, origin, alongCm }: View, [x, y]: Vec): Vec {
  const [across, down] = alongCm === null ? [x, y] : [y, alongCm - x];
  return [origin[0] + across * px, origin[1] + down * px];
}

/** A place on the picture, px, on the sheet, cm; it may lie beyond it. */
export function toSheet({ pxPerCm: px, origin, alongCm }: View, [x, y]: Vec): Vec {
  const [across, down] = [(x - origin[0]) / px, (y - origin[1]) / px];
  return alongCm === null ? [across, down] : [alongCm - down, across];
}

/** A way on the picture as a way on the sheet, of the same length. */
export const wayToSheet = ({ alongCm }: Pick<View, 'alongCm'>, [x, y]: Vec): Vec =>
  alongCm === null ? [x, y] : [0 - y, x];
