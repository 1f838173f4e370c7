// Hands that practise by themselves, from a seed: a good one and a careless one. They stand for what a score must tell
// apart, and were written before any score was looked at.

import { clamp, rotate, type Random } from '../shared';
import type { Act } from './types';

/** A practised hand on an ordinary day: near the plan, never the same twice. */
export function goodHand(planner: Act, random: Random): Act {
  const { pull } = planner;
  return {
    ...planner,
    touchC: planner.touchC + 0.5 * clamp(random.normal(), -2, 2),
    waitS: planner.waitS + random.between(0, 6),
    lay: rotate(planner.lay, 4 * random.normal()),
    pull: {
      way: rotate(pull.way, 5 * random.normal()),
      liftDeg: clamp(5 + 2.5 * random.normal(), 0, 12),
      cmPerS: pull.cmPerS * random.between(0.85, 1.15),
    },
    taut: random.between(0.75, 1),
  };
}

/** A careless one: upward, slack, now too early and now too late, too hot or too cool, and no palm after it. */
export function carelessHand(planner: Act, random: Random): Act {
  const { pull } = planner;
  return {
    ...planner,
    touchC: planner.touchC + random.pick([-5, 5]),
    waitS: planner.waitS * random.pick([0.4, 2.5]),
    lay: rotate(planner.lay, random.between(20, 60)),
    pull: {
      way: rotate(pull.way, random.between(-40, 40)),
      liftDeg: random.between(20, 45),
      cmPerS: pull.cmPerS * random.between(0.3, 0.8),
    },
    taut: random.between(0, 0.4),
    pressed: random.next() < 0.3,
  };
}
