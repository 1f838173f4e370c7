// A strip's score, 0–100: what came out with its root against the planner's own strip on the same hairs, what broke,
// and what the skin bore. Skin that was hurt caps it, whatever came out.

import { clamp } from '../shared';
import type { StripAnswer } from './pullStrip';

export interface Score {
  readonly points: number;
  /** Points of each part, and the most that each gives. */
  readonly parts: readonly {
    readonly what: 'out' | 'broken' | 'skin';
    readonly points: number;
    readonly most: number;
  }[];
  /** Why no more than so much was possible. */
  readonly cappedBy: 'burn' | 'lifted' | 'kept' | 'bruise' | null;
}

const MOST = { out: 50, broken: 25, skin: 25 } as const;
/** Nothing is given for less than this share of what the planner brings out. */
const LEAST_OUT = 0.5;
/** Breaking this share more than the planner gives nothing. */
const MOST_BROKEN = 0.2;
const CAPS = { burn: 20, lifted: 30, kept: 40, bruise: 60 } as const;
/** More hairs than these that were to stay are a hole in a line (from memory). */
const SLIPPED = 3;

function capOf({ skin, taken }: StripAnswer): Score['cappedBy'] {
  if (skin.heat === 'burnt' || skin.heat === 'blistered') return 'burn';
  if (skin.lifted > 0) return 'lifted';
  if (taken > SLIPPED) return 'kept';
  return skin.bruised ? 'bruise' : null;
}

/** @param planner the planner's strip on the same ground; of no hair at all both count as full */
export function scoreStrip(own: StripAnswer, planner: StripAnswer): Score {
  const all = own.out + own.broken + own.left;
  const best = planner.out + planner.broken + planner.left;
  const came = best > 0 && planner.out > 0 ? own.out / Math.max(1, all) / (planner.out / best) : 1;
  const brokeMore = own.broken / Math.max(1, all) - planner.broken / Math.max(1, best);
  const out = MOST.out * clamp((came - LEAST_OUT) / (1 - LEAST_OUT), 0, 1);
  const broken = MOST.broken * clamp(1 - Math.max(0, brokeMore) / MOST_BROKEN, 0, 1);
  const painMore = Math.max(0, own.skin.pain - planner.skin.pain);
  const skin = MOST.skin * clamp(1 - 0.25 * own.skin.overLimitK - 0.25 * painMore, 0, 1);
  const cappedBy = capOf(own);
  const sum = out + broken + skin;
  return {
    points: Math.round(cappedBy ? Math.min(CAPS[cappedBy], sum) : sum),
    parts: [
      { what: 'out', points: Math.round(out), most: MOST.out },
      { what: 'broken', points: Math.round(broken), most: MOST.broken },
      { what: 'skin', points: Math.round(skin), most: MOST.skin },
    ],
    cappedBy,
  };
}
