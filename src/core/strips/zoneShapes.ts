// Ground that practitioners lay as a piece of its own whatever the lanes beside it do: the knee in three deep strips,
// the spine as its own lane, the ball of the ear at the tragus; and the shoulder's border that fades. In shares of the
// left or middle sheet. Common practice, no source; places from memory.

import type { Family, Side, ZoneId } from '../anatomy';
import { crossingsAt, discRing, type Ring, type Vec } from '../shared';
import type { Fade, LayoutInput, PlannedGround } from './types';

interface Row {
  readonly families: readonly Family[];
  readonly whole: boolean;
  readonly along: Vec | null;
  readonly shape: readonly Vec[];
}

const DOWN: Vec = [0, 1];
/** A band of the sheet from side to side of u0–u1, reaching past it. */
const band = (u0: number, u1: number): readonly Vec[] => [
  [u0, -0.1],
  [u1, -0.1],
  [u1, 1.1],
  [u0, 1.1],
];
const spine: Row = { families: ['hard', 'sugar'], whole: false, along: DOWN, shape: band(0.435, 0.565) };
const kneeStrip = (u0: number, u1: number): Row => ({
  families: ['hard'],
  whole: true,
  along: DOWN,
  shape: band(u0, u1),
});

const ROWS: Readonly<Partial<Record<ZoneId, readonly Row[]>>> = {
  knee: [kneeStrip(-0.1, 0.28), kneeStrip(0.28, 0.72), kneeStrip(0.72, 1.1)],
  'upper-back': [spine],
  'lower-back': [spine],
  // over and under the tragus
  ear: [
    {
      families: ['hard', 'sugar'],
      whole: true,
      along: null,
      shape: [
        [-0.1, 0.3],
        [0.5, 0.3],
        [0.5, 0.6],
        [-0.1, 0.66],
      ],
    },
  ],
};

interface Ground {
  readonly widthCm: number;
  readonly heightCm: number;
  readonly outline: Ring;
}

/** Where the shoulder's cap runs out towards the arm, share of its height; below it a fade thins the hair out. */
const FADE_FROM = 0.64;
/** Share of the skin that each row of dabs covers, from the strips outward. */
const FADE_ROWS = [0.62, 0.38, 0.16];
const DAB_CM = 0.75;
/** Least way from dab to dab, so that they do not touch, cm. */
const DAB_APART_CM = 1.75;

/** Dabs in rows that thin out towards the arm, staggered; common practice, no source, shares from memory. */
function fadeOf(zone: ZoneId, { widthCm, heightCm, outline }: Ground): Fade | undefined {
  if (zone !== 'shoulder') return undefined;
  const [top, rowCm] = [FADE_FROM * heightCm, ((1 - FADE_FROM) * heightCm) / FADE_ROWS.length];
  const dabs = FADE_ROWS.flatMap((coverage, row) => {
    const y = top + (row + 0.5) * rowCm;
    const xs = crossingsAt([outline], y);
    const [from, to] = [(xs[0] ?? 0) + 0.5 * DAB_CM, (xs.at(-1) ?? 0) - 0.5 * DAB_CM];
    const count = Math.max(
      1,
      Math.min(
        Math.floor((to - from) / DAB_APART_CM),
        Math.round((coverage * (to - from) * rowCm) / (Math.PI * DAB_CM ** 2)),
      ),
    );
    const stagger = row % 2 === 0 ? 0.5 : 0.35;
    return Array.from({ length: count }, (_, k) =>
      discRing([from + ((k + stagger) * (to - from)) / count, y], DAB_CM, 24),
    );
  });
  return {
    dabs,
    band: [
      [-1, top],
      [widthCm + 1, top],
      [widthCm + 1, heightCm + 1],
      [-1, heightCm + 1],
    ],
  };
}

/** Zones whose border can be thinned out. */
export const canFade = (zone: ZoneId): boolean => zone === 'shoulder';

/** Zones of two halves with a fold or a cleft between them: wax never bridges it. */
const PARTED: readonly ZoneId[] = ['front-complete', 'buttock-crease'];

/** The middle line of a zone that is worked half by half, x on its sheet; undefined where strips may cross it. */
export const middleOf = (zone: ZoneId, sheet: { readonly widthCm: number }): number | undefined =>
  PARTED.includes(zone) ? sheet.widthCm / 2 : undefined;

export interface ZoneShapesInput {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly family: Family;
  readonly sheet: Ground;
  readonly fade?: boolean;
}

/**
 * What a layout owes to its zone beyond the size of strips: grounds of their own, a faded border, and how closely the
 * growth must be followed.
 */
export function zoneShapes({
  zone,
  side,
  family,
  sheet,
  fade = false,
}: ZoneShapesInput): Pick<LayoutInput, 'planned' | 'meanErrorDeg' | 'middleCm' | 'fade'> {
  // the rim of the ear grows any way: its strips follow the rim, not the hair
  return {
    planned: plannedGrounds(zone, side, family, sheet),
    meanErrorDeg: zone === 'ear' ? 14 : undefined,
    middleCm: middleOf(zone, sheet),
    fade: fade && family === 'hard' ? fadeOf(zone, sheet) : undefined,
  };
}

/** Planned grounds of a zone in sheet centimetres; none for most. */
function plannedGrounds(zone: ZoneId, side: Side, family: Family, sheet: Ground): readonly PlannedGround[] {
  return (ROWS[zone] ?? [])
    .filter((row) => row.families.includes(family))
    .map(({ whole, along, shape }) => {
      const ring = shape.map(([u, v]): Vec => [(side === 'right' ? 1 - u : u) * sheet.widthCm, v * sheet.heightCm]);
      return { ring: side === 'right' ? [...ring].reverse() : ring, whole, along };
    });
}
