// Guides for the shape of a brow: its inner end above the outer edge of the nostril, its arch above the outer edge of
// the iris, its tail where the line from the nostril past the outer corner of the eye meets it (from memory). They are
// those of a usual face and help the eye; the client's own nose and iris decide.

import type { Side } from '../anatomy';
import type { Vec } from '../shared';
import type { Ground } from './keepLine';

export interface Guide {
  readonly name: 'inner end' | 'arch' | 'tail';
  /** From below to above, sheet centimetres; may begin below the sheet. */
  readonly from: Vec;
  readonly to: Vec;
}

// shares of the left sheet
const GUIDES: readonly Guide[] = [
  { name: 'inner end', from: [0.07, 1.02], to: [0.07, 0.2] },
  { name: 'arch', from: [0.6, 1.02], to: [0.6, 0.04] },
  { name: 'tail', from: [0.77, 1.02], to: [0.835, 0.34] },
];

export function browGuides(side: Side, { widthCm, heightCm }: Ground): readonly Guide[] {
  const at = ([u, v]: Vec): Vec => [(side === 'right' ? 1 - u : u) * widthCm, v * heightCm];
  return GUIDES.map(({ name, from, to }) => ({ name, from: at(from), to: at(to) }));
}
