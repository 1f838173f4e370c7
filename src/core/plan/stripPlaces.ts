// Where strips lie, as the eye sees them before it chooses an order: sheet centimetres, a right side in the mirror, so
// that what is laid alike on both sides looks alike.

import { courseAt, type Sheet, type Side, type ZoneId } from '../anatomy';
import { LAST_COURSE, type Place } from '../hands';
import type { Vec } from '../shared';
import { patchesOf, type Strip } from '../strips';

const middleOf = (outline: Strip['outline']): Vec => [
  outline.reduce((s, p) => s + p[0], 0) / outline.length,
  outline.reduce((s, p) => s + p[1], 0) / outline.length,
];

/** `spread`: over patches at once, each strip with the number of its patch. */
export function placesOf(
  strips: readonly Strip[],
  {
    zone,
    side,
    sheet,
    spread,
  }: { readonly zone: ZoneId; readonly side: Side; readonly sheet: Sheet; readonly spread: boolean },
): readonly Place[] {
  const patches = new Map(
    spread ? patchesOf(strips).flatMap((ids, patch) => ids.map((id): [string, number] => [id, patch])) : [],
  );
  return strips.map(({ id, outline, pull, lengthCm, dab }) => {
    const [x, y] = middleOf(outline);
    const patch = patches.get(id);
    return {
      at: side === 'right' ? [0 - x, y] : [x, y],
      pull: side === 'right' ? [0 - pull[0], pull[1]] : pull,
      lengthCm,
      // a border is thinned out when what lies before it is off
      course: courseAt(zone, side, [x / sheet.widthCm, y / sheet.heightCm]) + (dab ? LAST_COURSE : 0),
      ...(patch === undefined ? {} : { patch }),
    };
  });
}
