// What to do about what a strip left: the trade's own order (a few are tweezed, a patch is gone over where a pass is
// left, soft wax never twice, hurt skin ends it).

import { ZONES } from '../anatomy';
import type { StripAnswer } from './pullStrip';
import type { Act, Scene } from './types';

export const DECISIONS = ['tweeze', 'again', 'leave', 'stop'] as const;
export type Decision = (typeof DECISIONS)[number];
export type DecisionReason = 'hurt' | 'clean' | 'few' | 'soft-once' | 'passes' | 'patch' | 'too-many';

/** So many lone hairs under one strip are tweezed without thinking twice (from memory). */
const FEW = 8;
/** More than these are not tweezed: nobody tweezes so many (the studio's own limits at the table). */
const MOST_TWEEZED = { face: 40, body: 30 } as const;
const MOST_PASSES = 2;

/** @param passesHere strips that have lain on this ground, this one included */
export function rightDecision(
  { zone }: Pick<Scene, 'zone'>,
  { product }: Pick<Act, 'product'>,
  { left, skin }: Pick<StripAnswer, 'left' | 'skin'>,
  passesHere: number,
): { readonly right: readonly Decision[]; readonly reason: DecisionReason } {
  if (skin.lifted > 0 || skin.heat === 'burnt' || skin.heat === 'blistered') return { right: ['stop'], reason: 'hurt' };
  if (left === 0) return { right: ['leave'], reason: 'clean' };
  if (left <= FEW) return { right: ['tweeze'], reason: 'few' };
  const most = ZONES[zone].face ? MOST_TWEEZED.face : MOST_TWEEZED.body;
  const byHand: readonly Decision[] = left <= most ? ['tweeze', 'leave'] : ['leave'];
  if (product.family === 'soft') return { right: byHand, reason: 'soft-once' };
  if (passesHere >= MOST_PASSES) return { right: byHand, reason: left <= most ? 'passes' : 'too-many' };
  return { right: ['again'], reason: 'patch' };
}
