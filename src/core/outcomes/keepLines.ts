// What stays as hair by what was agreed: outlines on the sheet that no strip and no tab lies on. In shares of the sheet
// or in centimetres, from memory. An outcome without an outline of its own takes everything.

import type { ZoneId } from '../anatomy';
import type { Ring } from '../shared';

interface Ground {
  readonly widthCm: number;
  readonly heightCm: number;
}

type Keep = (sheet: Ground) => readonly Ring[];

const box = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
/** An upright band, from and to as shares of the width; wide enough to reach over every border. */
const band =
  (from: number, to: number): Keep =>
  ({ widthCm, heightCm }) => [box(from * widthCm, -1, to * widthCm, heightCm + 1)];
const sides =
  (within: number): Keep =>
  ({ widthCm, heightCm }) => [
    box(-1, -1, within * widthCm, heightCm + 1),
    box((1 - within) * widthCm, -1, widthCm + 1, heightCm + 1),
  ];

/** The strip that stays at the front, cm. */
const FRONT_STRIP_CM = 2.5;
/** What is left standing below the knee, cm. */
const BELOW_KNEE_CM = 2;

const KEEPS: Readonly<Partial<Record<ZoneId, Readonly<Record<string, Keep>>>>> = {
  'upper-lip': { corners: band(0.3, 0.7) },
  'between-brows': { gap: sides(0.22) },
  'front-complete': {
    'front-strip': ({ widthCm, heightCm }) => [
      box((widthCm - FRONT_STRIP_CM) / 2, -1, (widthCm + FRONT_STRIP_CM) / 2, heightCm + 1),
    ],
  },
  chest: { 'middle-only': sides(0.36) },
  'lower-leg-front': { 'to-knee': ({ widthCm }) => [box(-1, -1, widthCm + 1, BELOW_KNEE_CM)] },
};

/** Outlines of the hair that stays, sheet centimetres; empty where everything comes off. */
export const keepOf = (zone: ZoneId, outcome: string | undefined, sheet: Ground): readonly Ring[] =>
  outcome === undefined ? [] : (KEEPS[zone]?.[outcome]?.(sheet) ?? []);

/** Outcomes of a zone that leave hair standing along a line. */
export const outcomesWithLine = (zone: ZoneId): readonly string[] => Object.keys(KEEPS[zone] ?? {});
