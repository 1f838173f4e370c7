// The body as three plain figures on which a spot can be tapped, and the zone that lies under it. Figures are schematic: units of
// the drawing, front and back 100 × 212, face 100 × 120, x to the viewer's right, y down. Paired regions are given for the viewer's
// right half and mirrored.

import { isInside, type Vec } from '../shared';
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

type Half = readonly [ZoneId, readonly Vec[]];

const ARM: readonly Half[] = [
  ['shoulder', [[58, 31], [66, 33], [71, 38], [71.5, 46], [66, 46], [62, 36]]],
  ['upper-arm', [[67, 46], [71.5, 46], [74, 72], [68, 72]]],
  ['forearm', [[68, 72], [74, 72], [78, 102], [73, 102]]],
];
const PAIRED: Readonly<Record<Figure, readonly Half[]>> = {
  front: [
    ['underarm', [[63, 46], [67, 46], [67.5, 57], [64, 57]]], ...ARM,
    ['hand', [[73, 102], [78.5, 102], [81, 118], [74, 118]]],
    ['bikini-edge', [[57, 93], [61, 92], [54, 108], [51.5, 107]]],
    ['thigh-front', [[61, 92], [66.5, 92], [66, 120], [63.5, 142], [52.5, 142], [51, 110], [54, 108]]],
    ['knee', [[52.5, 142], [63.5, 142], [62.5, 156], [53, 156]]],
    ['lower-leg-front', [[53, 156], [62.5, 156], [63, 170], [60, 196], [54.5, 196], [53, 172]]],
    ['foot', [[54.5, 196], [60, 196], [63, 208], [54, 209]]],
  ],
  back: [
    ...ARM,
    ['thigh-back', [[52, 106], [66.5, 92], [66, 120], [63.5, 142], [52.5, 142]]],
    ['lower-leg-back', [[52.5, 142], [63.5, 142], [63, 168], [60, 198], [54.5, 198], [53, 170]]],
  ],
  face: [
    ['brow', [[55, 39], [76, 37], [78, 44], [55, 46]]],
    ['cheek-sideburn', [[64, 50], [84, 46], [82, 78], [66, 84]]],
    ['ear', [[86, 44], [94, 44], [93, 66], [85, 66]]],
  ],
};
const MIDDLE: Readonly<Record<Figure, readonly Half[]>> = {
  front: [
    ['chest', [[38, 33], [62, 33], [64, 46], [64, 60], [36, 60], [36, 46]]],
    ['abdomen', [[36, 60], [64, 60], [63.5, 88], [36.5, 88]]],
    ['front-complete', [[43, 93], [57, 93], [51.5, 107], [48.5, 107]]],
  ],
  back: [
    ['nape', [[45, 22], [55, 22], [56, 30], [44, 30]]],
    ['upper-back', [[38, 32], [62, 32], [65, 46], [63.5, 62], [36.5, 62], [35, 46]]],
    ['lower-back', [[36.5, 62], [63.5, 62], [64.5, 86], [35.5, 86]]],
    ['buttock-crease', [[48, 88], [52, 88], [51.5, 106], [48.5, 106]]],
  ],
  face: [
    ['between-brows', [[45, 38], [55, 38], [55, 48], [45, 48]]],
    ['nose-rim', [[43, 63], [57, 63], [57, 70], [43, 70]]],
    ['upper-lip', [[37, 71], [63, 71], [63, 79], [37, 79]]],
    ['chin', [[38, 88], [62, 88], [60, 102], [40, 102]]],
    ['jaw-throat', [[28, 90], [38, 88], [40, 102], [60, 102], [62, 88], [72, 90], [67, 118], [33, 118]]],
  ],
};

const mirrored = (outline: readonly Vec[]): readonly Vec[] => outline.map(([x, y]): Vec => [100 - x, y]).reverse();

/** Facing us, the client's left is on the viewer's right; from behind it is on the viewer's left. */
const sideOnRight = (figure: Figure): Side => (figure === 'back' ? 'right' : 'left');
const sideOnLeft = (figure: Figure): Side => (figure === 'back' ? 'left' : 'right');

export const BODY_REGIONS: readonly BodyRegion[] = FIGURES.flatMap((figure) => [
  ...MIDDLE[figure].map(([zone, outline]): BodyRegion => ({ figure, zone, side: 'middle', outline })),
  ...PAIRED[figure].flatMap(([zone, outline]): BodyRegion[] => [
    { figure, zone, side: sideOnRight(figure), outline }, { figure, zone, side: sideOnLeft(figure), outline: mirrored(outline) },
  ]),
]);

/** A place well within a region, for whoever names it instead of tapping. */
export function placeIn({ outline }: BodyRegion): Vec {
  const mean: Vec = [outline.reduce((s, p) => s + p[0], 0) / outline.length, outline.reduce((s, p) => s + p[1], 0) / outline.length];
  // a bent outline may leave its own mean outside: then halfway between two of its corners
  const halfway = outline.flatMap((a, i) => outline.slice(i + 2).map((b): Vec => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]));
  return [mean, ...halfway].find((p) => isInside([outline], p)) ?? mean;
}

/** The region under a tap; undefined beside every region. Where regions overlap the smaller one is meant: it comes later. */
export const regionAt = (figure: Figure, at: Vec): BodyRegion | undefined =>
  BODY_REGIONS.filter((r) => r.figure === figure && isInside([r.outline], at)).at(-1);
