// Names of the places within a zone, so that a strip or a mark can be spoken of: bands of the left (outer side to the
// right) or middle sheet. On middle zones left and right are the client's: from the front the client's left is on the
// viewer's right, on the back and the nape on the viewer's left.

import type { Vec } from '../shared';
import type { Sheet } from './scale';
import type { Side, ZoneId } from './types';

export interface Subdivision {
  readonly name: string;
  /** [left, top, right, bottom] in shares of the sheet. */
  readonly box: readonly [number, number, number, number];
}

/** Bands from top to bottom; `ends` are the lower borders of all but the last. */
const rows = (names: readonly string[], ends: readonly number[]): readonly Subdivision[] =>
  names.map((name, i) => ({ name, box: [0, ends[i - 1] ?? 0, 1, ends[i] ?? 1] }));
const columns = (names: readonly string[], ends: readonly number[]): readonly Subdivision[] =>
  names.map((name, i) => ({ name, box: [ends[i - 1] ?? 0, 0, ends[i] ?? 1, 1] }));
const thirds = (upper: string, lower: string): readonly Subdivision[] => rows([upper, 'middle', lower], [1 / 3, 2 / 3]);

export const SUBDIVISIONS: Readonly<Record<ZoneId, readonly Subdivision[]>> = {
  brow: columns(['inner end', 'arch', 'tail'], [0.23, 0.62]),
  'between-brows': [],
  'upper-lip': columns(['right corner', 'under the nose', 'left corner'], [0.3, 0.7]),
  chin: columns(['right side', 'point', 'left side'], [0.33, 0.67]),
  'jaw-throat': columns(['right jaw', 'throat', 'left jaw'], [0.3, 0.7]),
  'cheek-sideburn': rows(['sideburn', 'cheek'], [0.5]),
  ear: rows(['upper rim', 'outer rim', 'lobe'], [0.33, 0.78]),
  'nose-rim': columns(['right nostril', 'left nostril'], [0.5]),
  nape: columns(['left side', 'middle', 'right side'], [0.33, 0.67]),
  underarm: rows(['upper half', 'lower half'], [0.5]),
  forearm: thirds('below the elbow', 'above the wrist'),
  'upper-arm': thirds('over the deltoid', 'above the elbow'),
  hand: rows(['back of the hand', 'fingers'], [0.82]),
  shoulder: rows(['slope', 'cap', 'towards the arm'], [0.3, 0.7]),
  'upper-back': columns(
    ['left flank', 'left shoulder blade', 'spine', 'right shoulder blade', 'right flank'],
    [0.16, 0.43, 0.57, 0.84],
  ),
  'lower-back': columns(['left flank', 'spine', 'right flank'], [0.36, 0.64]),
  chest: columns(['right', 'breastbone', 'left'], [0.4, 0.6]),
  abdomen: rows(['above the navel', 'below the navel'], [0.5]),
  'thigh-front': thirds('below the groin', 'above the knee'),
  'thigh-back': thirds('below the fold', 'above the hollow of the knee'),
  knee: columns(['inner side', 'cap', 'outer side'], [0.28, 0.72]),
  'lower-leg-front': thirds('below the knee', 'above the ankle'),
  'lower-leg-back': thirds('below the hollow of the knee', 'above the heel'),
  foot: rows(['instep', 'toes'], [0.78]),
  'bikini-edge': thirds('hip side', 'inner end'),
  'bikini-extended': thirds('hip side', 'inner end'),
  'front-complete': rows(['upper part', 'lower part'], [0.5]),
  'buttock-crease': rows(['upper part', 'lower part'], [0.5]),
};

/** Subdivision under a point of the sheet, by name; null where the zone has none. */
export function subdivisionAt(
  zone: ZoneId,
  side: Side,
  sheet: Pick<Sheet, 'widthCm' | 'heightCm'>,
  at: Vec,
): string | null {
  const [x, v] = [at[0] / sheet.widthCm, at[1] / sheet.heightCm];
  const u = side === 'right' ? 1 - x : x;
  const inBand = (value: number, from: number, to: number): boolean =>
    (value >= from || from === 0) && (value < to || to === 1);
  return SUBDIVISIONS[zone].find(({ box: [u0, v0, u1, v1] }) => inBand(u, u0, u1) && inBand(v, v0, v1))?.name ?? null;
}
