// Places that the client tapped on the form, as marks on the chart.

import { BODY_REGIONS, shareOnSheet, type Side, type ZoneId } from '@/core/anatomy';
import type { ChartMark, Spot } from '@/server/db/schema';
import { newMark } from './combTool';

const SORE_MM = 8;
const TAPPED_MM = 3;

const isSore = (m: ChartMark): boolean => m.kind === 'irritated';

/** Places tapped of one kind beyond those that are on the chart. */
const beyond = (spots: readonly Spot[], charted: number): readonly Spot[] =>
  spots.slice(Math.min(spots.length, charted));

/** Places tapped on a zone that are on no chart yet. */
export function notCharted(
  spots: readonly Spot[],
  of: { readonly zone: ZoneId; readonly side: Side },
  marks: readonly ChartMark[],
): readonly Spot[] {
  const here = spots.filter((s) => s.zone === of.zone && s.side === of.side);
  return [
    ...beyond(
      here.filter((s) => s.kind === 'mark'),
      marks.filter((m) => !isSore(m)).length,
    ),
    ...beyond(
      here.filter((s) => s.kind === 'sore'),
      marks.filter(isSore).length,
    ),
  ];
}

/** @param sheetCm width and height of the zone's sheet  @param today civil date */
export function markOfSpot(spot: Spot, [width, height]: readonly [number, number], today: string): ChartMark {
  const region = BODY_REGIONS.find((r) => r.figure === spot.figure && r.zone === spot.zone && r.side === spot.side);
  const [u, v] = region ? shareOnSheet(region, [spot.at[0], spot.at[1]]) : [0.5, 0.5];
  const isSoreSpot = spot.kind === 'sore';
  return newMark([u * width, v * height], isSoreSpot ? 'irritated' : 'mole', isSoreSpot ? SORE_MM : TAPPED_MM, today);
}
