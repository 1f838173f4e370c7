// Schedule of one group of strips: best simple policy → pilot search → exact proof for small tasks → the strips' own order where that
// costs no time.
// The result is never worse than the best policy over all numbers of strips on the skin.

import { formulaBound } from './bounds';
import { pilotSearch } from './pilot';
import { bestPolicy } from './policies';
import { inRowOrder } from './rowOrder';
import { searchSchedule } from './search';
import { opsOf, type TableState } from './state';
import type { HandsInput, Op } from './types';

/** Up to this many strips the optimum is proved where the label limit allows. */
export const EXACT_JOBS = 10;
const EXACT_LABELS = 150_000;
const BEAM_WIDTH = 150;
const PILOT_POLICIES = 2;
/** Widths of the pilot search: its effort grows with the third power of the strips. */
function pilotWidths(jobs: number): { readonly width: number; readonly boundWidth: number } {
  const width = jobs <= EXACT_JOBS ? 4 : Math.max(2, Math.min(40, Math.round(22 * (30 / jobs) ** 3)));
  return { width, boundWidth: 2 * width };
}
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
    const end = found && found.lateS === 0 && effort === 'full' ? inRowOrder(input, found) : found;
    return end ? { ops: opsOf(end), endS: end.nowS, lowerBoundS: Math.min(lowerBoundS, end.nowS), bound, feasible: end.lateS === 0 } : EMPTY;
  };
  if (best && best.nowS <= formula) return done('proven', formula);
  if (effort === 'quick') return done('formula', formula);
  best = pilotSearch(input, { ...pilotWidths(input.jobs.length), policies: PILOT_POLICIES }, best?.nowS ?? Infinity) ?? best;
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
