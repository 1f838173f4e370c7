// Cases and studios of before the choice was counted in minutes weighed a sum of shares. What they had set is carried
// over as far as it has a counterpart: how many times its shipped weight each part counted, and schools switched off.

import type { Counts } from './cost';
import type { Preferences } from './preferences';

const FORMER = {
  removed: 1,
  broken: 1.5,
  load: 0.3,
  minutes: 0.15,
  cost: 0.03,
  coarseHard: 0.2,
  fineSoft: 0.09,
  paste: 0.03,
} as const;
export type FormerName = keyof typeof FORMER;
export type FormerWeights = { readonly [K in FormerName]?: number | undefined };
export const FORMER_NAMES = Object.keys(FORMER) as readonly FormerName[]; // keys of the object above

/** Most that each could be set to. */
export const mostFormer = (name: FormerName): number => 5 * FORMER[name];

const COUNTERPART = {
  left: 'removed',
  broken: 'broken',
  load: 'load',
  minutes: 'minutes',
  material: 'cost',
} as const satisfies Partial<Record<keyof Counts, FormerName>>;

/** What former weights come to; what was as shipped leaves no trace. */
export function fromFormerWeights(weights: FormerWeights): {
  readonly counts: Partial<Counts>;
  readonly preferences: Partial<Preferences>;
} {
  const counts = Object.fromEntries(
    Object.entries(COUNTERPART).flatMap(([part, name]) => {
      const set = weights[name];
      return set === undefined || set === FORMER[name] ? [] : [[part, set / FORMER[name]]];
    }),
  );
  return {
    counts,
    preferences: {
      ...(weights.coarseHard === 0 ? { coarseHard: false } : {}),
      ...(weights.fineSoft === 0 ? { fineSoft: false } : {}),
    },
  };
}
