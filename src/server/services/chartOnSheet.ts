// A chart belongs to the sheet that it was drawn on. Where the client's body was measured anew since, the sheet has
// another size: what was charted moves with it, so that a mark stays where it is on the skin and nothing comes to lie
// beside the sheet.

import { sheetFor, ZONES, type BodySize, type Side, type ZoneId } from '../../core/anatomy';
import { fitChart } from '../../core/field';
import { fitLine } from '../../core/outcomes';
import { fitStrips } from '../../core/strips';
import type { Vec } from '../../core/shared';
import type { ChartData } from '../db/schema';
import type { ClientRow } from '../repos/clientRepo';

/** Stature and mass from the card, where they are known. */
export const bodyOf = ({ profile }: Pick<ClientRow, 'profile'>): BodySize => ({
  ...(profile.statureCm === null ? {} : { statureCm: profile.statureCm }),
  ...(profile.massKg === null ? {} : { massKg: profile.massKg }),
});

/**
 * Charts of before a sheet's size was kept may reach over it by this share: a body changes by less. What lies farther
 * off is a fault.
 */
const OVER = 0.15;

const within = (at: Vec, size: readonly [number, number]): Vec => {
  const [x, y] = at.map((v, k) => {
    const most = size[k] ?? 0;
    return v >= -OVER * most && v <= (1 + OVER) * most ? Math.min(most, Math.max(0, v)) : v;
  });
  return [x ?? at[0], y ?? at[1]];
};

const keptWithin = <T extends { readonly at: Vec }>(
  items: readonly T[],
  size: readonly [number, number],
): readonly T[] =>
  items.some((i) => within(i.at, size).some((v, k) => v !== i.at[k]))
    ? items.map((i) => ({ ...i, at: within(i.at, size) }))
    : items;

/**
 * The chart on the sheet that this body has; the same chart where nothing has changed. A sheet measured on the client
 * stays.
 */
export function chartOnSheet(zone: ZoneId, side: Side, data: ChartData, body: BodySize): ChartData {
  const sheet = sheetFor(ZONES[zone], side, body, data.sheetCm);
  if (!sheet.ok) return data;
  const size = [sheet.value.widthCm, sheet.value.heightCm] as const;
  const from = data.sheetCm ?? data.drawnOnCm ?? size;
  const moved = fitChart(data, from, size);
  const { handStrips } = data;
  const strips =
    handStrips && moved !== data
      ? { handStrips: { ...handStrips, strips: fitStrips(handStrips.strips, from, size) } }
      : {};
  const { keep } = data;
  const kept =
    keep?.lines && moved !== data ? { keep: { ...keep, lines: keep.lines.map((l) => fitLine(l, from, size)) } } : {};
  const bare = moved.bare ? { bare: keptWithin(moved.bare, size) } : {};
  const densities = moved.densities ? { densities: keptWithin(moved.densities, size) } : {};
  return {
    ...data,
    ...strips,
    ...densities,
    ...bare,
    ...kept,
    strokes: keptWithin(moved.strokes, size),
    marks: keptWithin(moved.marks, size),
    drawnOnCm: size,
  };
}
