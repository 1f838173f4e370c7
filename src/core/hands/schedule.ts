// Schedule of one group of strips: best simple policy → narrow pilot search → polishing → exact proof for small tasks → the strips' own
// order where that costs no time.
// The result is never worse than the best policy over all numbers of strips on the skin.

import { formulaBound } from './bounds';
import { pilotSearch } from './pilot';
import { bestPolicy } from './policies';
import { polished } from './polish';
import { searchSchedule } from './search';
import { opsOf, type TableState } from './state';
import type { HandsInput, Op } from './types';

/** Up to this many strips the optimum is proved where the label limit allows. */
export const EXACT_JOBS = 10;
const EXACT_LABELS = 150_000;
const BEAM_WIDTH = 150;
/** A narrow pilot gives polishing a good place to start from; a wider one costs more than polishing gains from it (decision 13). */
const PILOT = { width: 2, boundWidth: 4, policies: 2 };
const CHANGES_FOR_TIME = 20_000;
const CHANGES_FOR_ORDER = 10_000;
const BEAM_LABELS = 400_000;

export interface Schedule {
  readonly ops: readonly Op[];
  readonly endS: number;
  readonly lowerBoundS: number;
  readonly bound: 'proven' | 'formula';
  /** False where some strip cannot be pulled in time whatever is done; then the plan is the least late one. */
  readonly feasible: boolean;
}

const EMPTY: Schedule = { ops: [], endS: 0, lowerBoundS: 0, bound: 'proven', feasible: true };

/** Best schedule found for the strips of one product. Deterministic; effort limited by label counts. */
export function scheduleHands(input: HandsInput, effort: 'full' | 'quick' = 'full'): Schedule {
  if (input.jobs.length === 0) return EMPTY;
  const formula = formulaBound(input);
  const start = bestPolicy(input);
  const late = start ? null : bestPolicy(input, undefined, true);
  let best: TableState | null = start;
  const done = (bound: 'proven' | 'formula', lowerBoundS: number): Schedule => {
    const found = best ?? late;
    const end = found && found.lateS === 0 && effort === 'full' ? polished(input, found, CHANGES_FOR_ORDER, 'order') : found;
    return end ? { ops: opsOf(end), endS: end.nowS, lowerBoundS: Math.min(lowerBoundS, end.nowS), bound, feasible: end.lateS === 0 } : EMPTY;
  };
  if (best && best.nowS <= formula) return done('proven', formula);
  if (effort === 'quick') return done('formula', formula);
  best = pilotSearch(input, PILOT, best?.nowS ?? Infinity) ?? best;
  if (best && best.nowS > formula) best = polished(input, best, CHANGES_FOR_TIME, 'time');
  if (best && best.nowS <= formula) return done('proven', formula);
  if (input.jobs.length <= EXACT_JOBS) return exact();
  return done(best && best.nowS <= formula ? 'proven' : 'formula', formula);

  function exact(): Schedule {
    const upper = best?.nowS ?? Infinity;
    // nothing earlier without latest pulls: what is known is the optimum
    const relaxed = searchSchedule(input, { relaxed: true, beatS: upper, maxLabels: EXACT_LABELS });
    const proved = relaxed.outcome === 'finished';
    const floor = proved ? (relaxed.best?.nowS ?? (Number.isFinite(upper) ? upper : formula)) : formula;
    if (proved && relaxed.best && relaxed.best.lateS === 0) {
      best = relaxed.best;
      return done('proven', floor);
    }
    if (best && best.nowS <= floor) return done('proven', floor);
    const full = searchSchedule(input, { relaxed: false, beatS: upper, maxLabels: EXACT_LABELS });
    const wide = full.outcome === 'finished' ? full : searchSchedule(input, { width: BEAM_WIDTH, relaxed: false, beatS: upper, maxLabels: BEAM_LABELS });
    best = wide.best ?? full.best ?? best;
    return done(best && best.nowS <= floor ? 'proven' : 'formula', Math.max(floor, formula));
  }
}

/** One strip after the other, each pulled before the next is laid: what the schedule is compared with, s. */
export function oneByOneS(input: HandsInput): number {
  return bestPolicy({ ...input, maxOnSkin: 1 })?.nowS ?? 0;
}
