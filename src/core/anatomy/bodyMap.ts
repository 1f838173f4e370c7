// The body as three plain figures on which a spot can be tapped, and the zone that lies under it. Outlines and regions
// are made from the tables of proportions.ts. Units of the drawing: front and back 100 × 212, face 100 × 120, x to the
// viewer's right, y down. Paired regions are given for the viewer's right half and mirrored. Schematic where intimate.

import { distanceToSegment, isInside, type Vec } from '../shared';
import { ARM, FACE, FACE_AT, HEAD, LEG, TRUNK, widthAt, type WidthTable } from './proportions';
import { smoothRing } from './shapes';
import type { Side, ZoneId } from './types';

export const FIGURES = ['front', 'back', 'face'] as const;
export type Figure = (typeof FIGURES)[number];

export interface BodyRegion {
  readonly figure: Figure;
  readonly zone: ZoneId;
  readonly side: Side;
  readonly outline: readonly Vec[];
}

/** Width and height of a figure. */
export const FIGURE_SIZE: Readonly<Record<Figure, Vec>> = { front: [100, 212], back: [100, 212], face: [100, 120] };

/** Drawing units a stature, and the crown's y. */
const STATURE = 206;
const CROWN_Y = 3;
const round = (n: number): number => Math.round(n * 100) / 100;
const onBody = ([x, h]: Vec): Vec => [round(50 + x * STATURE), round(CROWN_Y + (1 - h) * STATURE)];

/** Drawing units from crown to chin of the face, and the crown's y. */
const FACE_HEIGHT = 98;
const FACE_Y = 5;
const onFace = ([x, v]: Vec): Vec => [round(50 + x * FACE_HEIGHT), round(FACE_Y + v * FACE_HEIGHT)];

const mirrored = (outline: readonly Vec[]): readonly Vec[] =>
  outline.map(([x, y]): Vec => [round(100 - x), y]).reverse();

/** Closed smooth ring round a table, both halves of what lies on the middle line. */
function ringOf(table: WidthTable, place: (at: Vec) => Vec, onMiddle: boolean): readonly Vec[] {
  const outer = table.map(([h, , x]): Vec => [x, h]);
  const inner = [...table].reverse().map(([h, x, o]): Vec => [onMiddle ? -o : x, h]);
  return smoothRing([...outer, ...inner], 5).map(place);
}

const legs = ringOf(LEG, onBody, false);
const arms = ringOf(ARM, onBody, false);
const body: readonly (readonly Vec[])[] = [
  ringOf(HEAD, onBody, true),
  ringOf(TRUNK, onBody, true),
  legs,
  mirrored(legs),
  arms,
  mirrored(arms),
];

/** Closed outlines whose union is the figure's silhouette. */
export const SILHOUETTES: Readonly<Record<Figure, readonly (readonly Vec[])[]>> = {
  front: body,
  back: body,
  face: [ringOf(FACE, onFace, true)],
};

const STEP = 0.012;
/** Heights from one to the other, both included. */
function heights(from: number, to: number): readonly number[] {
  const n = Math.max(1, Math.ceil(Math.abs(from - to) / STEP));
  return Array.from({ length: n + 1 }, (_, k) => from + ((to - from) * k) / n);
}

/** Part of a limb between two heights; `topInner` lowers the inner end of the upper border. */
function limb(table: WidthTable, from: number, to: number, topInner = from): readonly Vec[] {
  return [
    ...heights(from, to).map((h): Vec => onBody([widthAt(table, h)[1], h])),
    ...heights(to, topInner).map((h): Vec => onBody([widthAt(table, h)[0], h])),
  ];
}

/** Part of the trunk between two heights, both sides of the middle line, `inset` within its outline. */
function trunk(from: number, to: number, inset = 0): readonly Vec[] {
  const edge = (h: number): number => widthAt(TRUNK, h)[1] - inset;
  return [
    ...heights(from, to).map((h): Vec => onBody([edge(h), h])),
    ...heights(to, from).map((h): Vec => onBody([-edge(h), h])),
  ];
}

const bodyRing = (points: readonly Vec[]): readonly Vec[] => points.map(onBody);
const middleRing = (half: readonly Vec[]): readonly Vec[] => [
  ...half.map(onBody),
  ...half.map(([x, h]): Vec => onBody([-x, h])).reverse(),
];
const faceRing = (points: readonly Vec[]): readonly Vec[] => points.map(onFace);
const middleFace = (half: readonly Vec[]): readonly Vec[] => [
  ...half.map(onFace),
  ...half.map(([x, v]): Vec => onFace([-x, v])).reverse(),
];

type Half = readonly [ZoneId, readonly Vec[]];

const SHOULDER: Half = [
  'shoulder',
  bodyRing([
    [0.06, 0.831],
    [0.094, 0.823],
    [0.116, 0.812],
    [0.128, 0.795],
    [0.132, 0.765],
    [0.1, 0.765],
    [0.098, 0.79],
    [0.085, 0.808],
  ]),
];
const ARM_REGIONS: readonly Half[] = [
  SHOULDER,
  ['upper-arm', limb(ARM, 0.76, 0.642)],
  ['forearm', limb(ARM, 0.634, 0.492)],
];
const { brow, noseBase, mouth } = FACE_AT;
const PAIRED: Readonly<Record<Figure, readonly Half[]>> = {
  front: [
    ...ARM_REGIONS,
    ['hand', limb(ARM, 0.482, 0.39)],
    ['thigh-front', limb(LEG, 0.5, 0.308, 0.458)],
    ['knee', limb(LEG, 0.304, 0.262)],
    ['lower-leg-front', limb(LEG, 0.258, 0.058)],
    ['foot', limb(LEG, 0.05, 0.003)],
    [
      'underarm',
      bodyRing([
        [0.079, 0.788],
        [0.105, 0.783],
        [0.107, 0.745],
        [0.095, 0.712],
        [0.076, 0.742],
      ]),
    ],
    [
      'bikini-edge',
      bodyRing([
        [0.068, 0.516],
        [0.086, 0.506],
        [0.052, 0.475],
        [0.012, 0.452],
        [0.007, 0.468],
        [0.036, 0.487],
      ]),
    ],
  ],
  back: [...ARM_REGIONS, ['thigh-back', limb(LEG, 0.47, 0.306, 0.452)], ['lower-leg-back', limb(LEG, 0.29, 0.052)]],
  face: [
    [
      'brow',
      faceRing([
        [0.06, brow - 0.03],
        [0.17, brow - 0.062],
        [0.275, brow - 0.02],
        [0.27, brow + 0.012],
        [0.16, brow - 0.012],
        [0.06, brow + 0.026],
      ]),
    ],
    [
      'cheek-sideburn',
      faceRing([
        [0.275, 0.47],
        [0.328, 0.47],
        [0.318, 0.62],
        [0.27, 0.76],
        [0.17, 0.74],
        [0.16, 0.66],
        [0.245, 0.62],
      ]),
    ],
    [
      'ear',
      faceRing([
        [0.345, brow + 0.02],
        [0.385, brow - 0.005],
        [0.43, brow + 0.03],
        [0.435, 0.55],
        [0.405, 0.66],
        [0.37, noseBase],
        [0.345, 0.68],
      ]),
    ],
  ],
};
const MIDDLE: Readonly<Record<Figure, readonly Half[]>> = {
  front: [
    ['chest', trunk(0.798, 0.69, 0.006)],
    ['abdomen', trunk(0.684, 0.522, 0.003)],
    [
      'front-complete',
      middleRing([
        [0.06, 0.512],
        [0.034, 0.486],
        [0.006, 0.462],
      ]),
    ],
  ],
  back: [
    [
      'nape',
      middleRing([
        [0.025, 0.872],
        [0.026, 0.856],
        [0.034, 0.845],
        [0.02, 0.834],
      ]),
    ],
    ['upper-back', trunk(0.812, 0.685, 0.004)],
    ['lower-back', trunk(0.679, 0.545, 0.003)],
    [
      'buttock-crease',
      middleRing([
        [0.006, 0.54],
        [0.012, 0.51],
        [0.007, 0.472],
      ]),
    ],
  ],
  face: [
    [
      'between-brows',
      middleFace([
        [0.045, brow - 0.05],
        [0.05, brow],
        [0.04, brow + 0.045],
      ]),
    ],
    [
      'nose-rim',
      middleFace([
        [0.05, noseBase - 0.045],
        [0.068, noseBase - 0.012],
        [0.05, noseBase + 0.012],
      ]),
    ],
    [
      'upper-lip',
      middleFace([
        [0.03, noseBase + 0.026],
        [0.09, noseBase + 0.04],
        [0.125, mouth + 0.004],
        [0.06, mouth - 0.026],
      ]),
    ],
    [
      'chin',
      middleFace([
        [0.09, 0.885],
        [0.12, 0.915],
        [0.09, 0.975],
        [0.03, 1.002],
      ]),
    ],
    [
      'jaw-throat',
      middleFace([
        [0, 1.016],
        [0.05, 1.008],
        [0.105, 0.965],
        [0.145, 0.905],
        [0.19, 0.838],
        [0.235, 0.775],
        [0.268, 0.775],
        [0.232, 0.848],
        [0.19, 0.91],
        [0.152, 0.97],
        [0.146, 1.06],
        [0.13, 1.11],
        [0, 1.13],
      ]),
    ],
  ],
};

/** Facing us, the client's left is on the viewer's right; from behind it is on the viewer's left. */
const sideOnRight = (figure: Figure): Side => (figure === 'back' ? 'right' : 'left');
const sideOnLeft = (figure: Figure): Side => (figure === 'back' ? 'left' : 'right');

export const BODY_REGIONS: readonly BodyRegion[] = FIGURES.flatMap((figure) => [
  ...MIDDLE[figure].map(([zone, outline]): BodyRegion => ({ figure, zone, side: 'middle', outline })),
  ...PAIRED[figure].flatMap(([zone, outline]): BodyRegion[] => [
    { figure, zone, side: sideOnRight(figure), outline },
    { figure, zone, side: sideOnLeft(figure), outline: mirrored(outline) },
  ]),
]);

/** A place well within a region, for whoever names it instead of tapping. */
export function placeIn({ outline }: BodyRegion): Vec {
  const mean: Vec = [
    outline.reduce((s, p) => s + p[0], 0) / outline.length,
    outline.reduce((s, p) => s + p[1], 0) / outline.length,
  ];
  // a bent outline may leave its own mean outside: then halfway between two of its corners
  const halfway = outline.flatMap((a, i) =>
    outline.slice(i + 2).map((b): Vec => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]),
  );
  return [mean, ...halfway].find((p) => isInside([outline], p)) ?? mean;
}

/** A tap on the body this near a region means it, drawing units. */
const NEAR = 7;

const gapTo = ({ outline }: BodyRegion, at: Vec): number =>
  Math.min(...outline.map((p, i) => distanceToSegment(at, p, outline[(i + 1) % outline.length] ?? p)));

/**
 * The region under a tap, or on the body the nearest one close by; undefined beside the body. Where regions overlap the
 * smaller one is meant: it comes later.
 */
export function regionAt(figure: Figure, at: Vec): BodyRegion | undefined {
  const own = BODY_REGIONS.filter((r) => r.figure === figure);
  const under = own.filter((r) => isInside([r.outline], at)).at(-1);
  if (under || !SILHOUETTES[figure].some((ring) => isInside([ring], at))) return under;
  const [nearest] = own.map((r) => ({ r, gap: gapTo(r, at) })).sort((a, b) => a.gap - b.gap);
  return nearest && nearest.gap <= NEAR ? nearest.r : undefined;
}

/**
 * Where on a zone's sheet a tap on the figure lies, in shares of width and height: by the box of the region, so only
 * about. From behind a limb's outer side is on the other side than on its sheet.
 */
export function shareOnSheet({ outline, figure, side }: BodyRegion, [x, y]: Vec): Vec {
  const xs = outline.map((p) => p[0]);
  const ys = outline.map((p) => p[1]);
  const share = (v: number, all: readonly number[]): number =>
    Math.min(1, Math.max(0, (v - Math.min(...all)) / (Math.max(...all) - Math.min(...all))));
  const u = share(x, xs);
  return [figure === 'back' && side !== 'middle' ? 1 - u : u, share(y, ys)];
}
