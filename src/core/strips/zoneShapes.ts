// Ground that practitioners lay as a piece of its own whatever the lanes beside it do: the knee in three deep strips, the spine
// as its own lane, the ball of the ear at the tragus. In shares of the left or middle sheet. Common practice, no source; places from memory.

import type { Family, Side, ZoneId } from '../anatomy';
import type { Vec } from '../shared';
import type { LayoutInput, PlannedGround } from './types';

interface Row {
  readonly families: readonly Family[];
  readonly whole: boolean;
  readonly along: Vec | null;
  readonly shape: readonly Vec[];
}

const DOWN: Vec = [0, 1];
/** A band of the sheet from side to side of u0–u1, reaching past it. */
const band = (u0: number, u1: number): readonly Vec[] => [[u0, -0.1], [u1, -0.1], [u1, 1.1], [u0, 1.1]];
const spine: Row = { families: ['hard', 'sugar'], whole: false, along: DOWN, shape: band(0.435, 0.565) };
const kneeStrip = (u0: number, u1: number): Row => ({ families: ['hard'], whole: true, along: DOWN, shape: band(u0, u1) });

const ROWS: Readonly<Partial<Record<ZoneId, readonly Row[]>>> = {
  knee: [kneeStrip(-0.1, 0.28), kneeStrip(0.28, 0.72), kneeStrip(0.72, 1.1)],
  'upper-back': [spine], 'lower-back': [spine],
  // over and under the tragus
  ear: [{ families: ['hard', 'sugar'], whole: true, along: null, shape: [[-0.1, 0.3], [0.5, 0.3], [0.5, 0.6], [-0.1, 0.66]] }],
};

/** What a layout owes to its zone beyond the size of strips: grounds of their own, and how closely the growth must be followed. */
export function zoneShapes(zone: ZoneId, side: Side, family: Family, sheet: { readonly widthCm: number; readonly heightCm: number }): Pick<LayoutInput, 'planned' | 'meanErrorDeg'> {
  // the rim of the ear grows any way: its strips follow the rim, not the hair
  return { planned: plannedGrounds(zone, side, family, sheet), meanErrorDeg: zone === 'ear' ? 14 : undefined };
}

/** Planned grounds of a zone in sheet centimetres; none for most. */
function plannedGrounds(zone: ZoneId, side: Side, family: Family, sheet: { readonly widthCm: number; readonly heightCm: number }): readonly PlannedGround[] {
  return (ROWS[zone] ?? []).filter((row) => row.families.includes(family)).map(({ whole, along, shape }) => {
    const ring = shape.map(([u, v]): Vec => [(side === 'right' ? 1 - u : u) * sheet.widthCm, v * sheet.heightCm]);
    return { ring: side === 'right' ? [...ring].reverse() : ring, whole, along };
  });
}
