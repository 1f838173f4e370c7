// Ground that practitioners lay as a piece of its own whatever the lanes beside it do: under and over the brow in three
// parts, the knee in three deep strips, the spine as its own lane, the ball of the ear at the tragus; and borders that
// fade. In shares of the left or middle sheet. Common practice, no source; places from memory.

import { BROW_SPINE, browSpineAt, LID, TWO_HALVES, type Family, type Side, type ZoneId } from '../anatomy';
import { crossingsAt, discRing, type Region, type Ring, type Vec } from '../shared';
import type { Fade, LayoutInput, PlannedGround } from './types';

interface Row {
  readonly families: readonly Family[];
  readonly whole: boolean;
  readonly along: Vec | null;
  readonly alongRim?: true;
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

const EVERY: readonly Family[] = ['hard', 'soft', 'sugar'];
/** Above or below the line along the brow, from u0 to u1: laid in one piece whichever way single strays stand. */
function besideBrow(below: boolean, u0: number, u1: number): Row {
  // the line's own points, so that neighbours share their border
  const between = BROW_SPINE.filter(([u]) => u > u0 && u < u1);
  const far = below ? 1.1 : -0.1;
  return {
    families: EVERY,
    whole: true,
    along: null,
    shape: [[u0, browSpineAt(u0)], ...between, [u1, browSpineAt(u1)], [u1, far], [u0, far]],
  };
}

const ROWS: Readonly<Partial<Record<ZoneId, readonly Row[]>>> = {
  // three parts under the brow and three over it, the inner one of its own way
  brow: [
    besideBrow(true, -0.1, 0.345),
    besideBrow(true, 0.345, 0.62),
    besideBrow(true, 0.62, 1.1),
    besideBrow(false, -0.1, 0.21),
    besideBrow(false, 0.21, 0.58),
    besideBrow(false, 0.58, 1.1),
  ],
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
    // the rim in two: from its root over the top and down the back, and from there over the lobe to the front
    {
      families: ['hard', 'sugar'],
      whole: true,
      along: null,
      alongRim: true,
      shape: [
        [-0.1, -0.1],
        [1.1, -0.1],
        [1.1, 0.5],
        [0.5, 0.5],
        [0.5, 0.3],
        [-0.1, 0.3],
      ],
    },
    {
      families: ['hard', 'sugar'],
      whole: true,
      along: null,
      alongRim: true,
      shape: [
        [1.1, 0.5],
        [1.1, 1.1],
        [-0.1, 1.1],
        [-0.1, 0.66],
        [0.5, 0.6],
        [0.5, 0.5],
      ],
    },
  ],
};

interface Ground {
  readonly widthCm: number;
  readonly heightCm: number;
  readonly outline: Ring;
}

interface FadeRow {
  /** Heights between which the hair thins out, shares of the sheet; beyond the second all of it stays. */
  readonly from: number;
  readonly to: number;
  readonly dabCm: number;
  /** Least way from dab to dab, so that they do not touch, cm. */
  readonly apartCm: number;
}
/** Towards the arm, towards the hairline, towards shoulders and nape. */
const FADES: Readonly<Partial<Record<ZoneId, FadeRow>>> = {
  shoulder: { from: 0.64, to: 1, dabCm: 0.75, apartCm: 1.75 },
  'cheek-sideburn': { from: 0.46, to: 0.16, dabCm: 0.45, apartCm: 1.1 },
  'upper-back': { from: 0.26, to: 0, dabCm: 1.5, apartCm: 4.4 },
};
/** Share of the skin that each row of dabs covers, from the strips outward. */
const FADE_ROWS = [0.62, 0.38, 0.16];

/** Dabs in rows that thin out towards where hair stays, staggered; common practice, no source, shares from memory. */
export function fadeOf(zone: ZoneId, side: Side, sheet: Ground): Fade | undefined {
  const row = FADES[zone];
  if (!row || side !== 'right') return row && fadeOfLeft(row, sheet);
  const flip = (ring: Ring): Ring => ring.map(([x, y]): Vec => [sheet.widthCm - x, y]);
  const fade = fadeOfLeft(row, { ...sheet, outline: flip(sheet.outline) });
  return { dabs: fade.dabs.map(flip), band: flip(fade.band) };
}

function fadeOfLeft(row: FadeRow, { widthCm, heightCm, outline }: Ground): Fade {
  const { dabCm, apartCm } = row;
  const [edge, rowCm] = [row.from * heightCm, ((row.to - row.from) * heightCm) / FADE_ROWS.length];
  const far = row.to > row.from ? heightCm + 1 : -1;
  const dabs = FADE_ROWS.flatMap((coverage, k) => {
    const y = edge + (k + 0.5) * rowCm;
    const xs = crossingsAt([outline], y);
    const [from, to] = [(xs[0] ?? 0) + 0.5 * dabCm, (xs.at(-1) ?? 0) - 0.5 * dabCm];
    const count = Math.max(
      1,
      Math.min(
        Math.floor((to - from) / apartCm),
        Math.round((coverage * (to - from) * Math.abs(rowCm)) / (Math.PI * dabCm ** 2)),
      ),
    );
    const stagger = k % 2 === 0 ? 0.5 : 0.35;
    return Array.from({ length: count }, (_, i) =>
      discRing([from + ((i + stagger) * (to - from)) / count, y], dabCm, 24),
    );
  });
  return {
    dabs,
    band: [
      [-1, edge],
      [widthCm + 1, edge],
      [widthCm + 1, far],
      [-1, far],
    ],
  };
}

/** Zones whose border can be thinned out. */
export const canFade = (zone: ZoneId): boolean => FADES[zone] !== undefined;

/** The middle line of a zone that is worked half by half, x on its sheet; undefined where strips may cross it. */
export const middleOf = (zone: ZoneId, sheet: { readonly widthCm: number }): number | undefined =>
  TWO_HALVES.includes(zone) ? sheet.widthCm / 2 : undefined;

/** Ground beside a zone on which nothing may lie, in sheet centimetres. */
export const neverOn = (zone: ZoneId, side: Side, sheet: Pick<Ground, 'widthCm' | 'heightCm'>): Region =>
  zone === 'brow' ? [onSide(LID, side, sheet)] : [];

export interface ZoneShapesInput {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly family: Family;
  readonly sheet: Ground;
  /** How its border thins out, where it does. */
  readonly fade?: Fade | undefined;
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
  fade,
}: ZoneShapesInput): Pick<LayoutInput, 'planned' | 'meanErrorDeg' | 'middleCm' | 'fade' | 'never'> {
  // the rim of the ear grows any way: its strips follow the rim, not the hair
  return {
    planned: plannedGrounds(zone, side, family, sheet),
    meanErrorDeg: zone === 'ear' ? 14 : undefined,
    middleCm: middleOf(zone, sheet),
    fade,
    never: neverOn(zone, side, sheet),
  };
}

/** Planned grounds of a zone in sheet centimetres; none for most. */
function plannedGrounds(zone: ZoneId, side: Side, family: Family, sheet: Ground): readonly PlannedGround[] {
  return (ROWS[zone] ?? [])
    .filter((row) => row.families.includes(family))
    .map(({ whole, along, alongRim, shape }) => ({ ring: onSide(shape, side, sheet), whole, along, alongRim }));
}

/** Shares of the left sheet as a ring in cm on the sheet of a side. */
function onSide(shape: readonly Vec[], side: Side, { widthCm, heightCm }: Pick<Ground, 'widthCm' | 'heightCm'>): Ring {
  const ring = shape.map(([u, v]): Vec => [(side === 'right' ? 1 - u : u) * widthCm, v * heightCm]);
  return side === 'right' ? ring.reverse() : ring;
}
