// Rules of scope `spot`: what is worked around, with the clearance of field/marks.ts.

import { CLEARANCE_MM, MARK_KINDS, type MarkKind } from '../field';
import type { SpotRule } from './types';

const WORDS: Readonly<Record<MarkKind, readonly [text: string, clientText: string]>> = {
  mole: ['Mole: no wax on it, keep clear. Changed since last time: refer.', 'We keep clear of your mole.'],
  tag: ['Skin tag: no wax on it, keep clear.', 'We keep clear of the skin tag.'],
  wart: ['Wart: no wax on it, it spreads by touch; fresh gloves after.', 'We keep clear of the wart.'],
  piercing: ['Piercing: keep clear of it, new or old.', 'We keep clear of your piercing.'],
  irritated: ['Irritated spot: leave it and the skin round it.', 'We leave the sore spot to heal.'],
  tattoo: ['New tattoo: leave it until it has healed.', 'We leave the new tattoo to heal.'],
  vein: ['Varicose vein: no pull over it.', 'We keep clear of the vein.'],
  scar: ['Scar: keep clear of it; a fresh one waits for the doctor’s word.', 'We keep clear of the scar.'],
};

export const SPOT_RULES: readonly SpotRule[] = MARK_KINDS.map((mark) => ({
  code: `spot.${mark}`,
  mark,
  outcome: 'adapt',
  scope: 'spot',
  clearanceMm: CLEARANCE_MM[mark],
  grounds: 'practice',
  text: WORDS[mark][0],
  clientText: WORDS[mark][1],
}));
