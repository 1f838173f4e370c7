// Schedule of one group of strips: best simple policy → pilot searches, polished → exact proof for small tasks → the
// strips' own order where that costs no time. The result is never worse than the best policy over all numbers of strips
// on the skin.

import { formulaBound } from './bounds';
import { pilotSearch } from './pilot';
import { bestPolicy } from './policies';
import { polished } from './polish';
import { searchSchedule } from './search';
import { emptyTable, opsOf, step, type TableState } from './state';
import type { HandsInput, Op } from './types';

/** Up to this many strips the optimum is proved where the label limit allows. */
export const EXACT_JOBS = 10;
const EXACT_LABELS = 150_000;
const BEAM_WIDTH = 150;
const PILOT_POLICIES = 2;
const NARROW = 2;
/**
 * Above this many strips more narrow starts are tried as well: there one of them often ends earlier than all others.
 */
const MANY_JOBS = 20;
/** Above this many one start has to do: a search grows with the third power. */
const MOST_JOBS = 45;
/** Width of the wider pilot search: its effort grows with the third power of the strips. */
const wide = (jobs: number): number => Math.max(NARROW, Math.min(24, Math.round(8 * (30 / jobs) ** 3)));
/** Changes by polishing, for each strip and at most. */
const FOR_TIME = { each: 1_000, most: 30_000 };
const FOR_ORDER = { each: 300, most: 10_000 };
const changes = ({ each, most }: typeof FOR_TIME, jobs: number): number => Math.min(most, each * jobs);

/** Widths of the pilot searches by the number of strips. */
function beamWidths(jobs: number): readonly number[] {
  if (jobs <= EXACT_JOBS || jobs > MOST_JOBS) return [NARROW];
  return jobs <= MANY_JOBS ? [NARROW, wide(jobs)] : [1, NARROW, 3, wide(jobs)];
}

/**
 * The best polished end of narrow and wider pilot searches: no start is the better one for every task (decision 13).
 */
function searched(input: HandsInput, known: TableState | null): TableState | null {
  let best = known;
  const jobs = input.jobs.length;
  const polish = (found: TableState | null): void => {
    const end = found && polished(input, found, changes(FOR_TIME, jobs), 'time');
    if (end && (!best || end.nowS < best.nowS)) best = end;
  };
  const pilot = (task: HandsInput, width: number): TableState | null =>
    pilotSearch(task, { width, boundWidth: 2 * width, policies: PILOT_POLICIES }, known?.nowS ?? Infinity);
  for (const width of new Set(beamWidths(jobs))) {
    polish(pilot(input, width) ?? known);
    if (jobs > EXACT_JOBS && jobs <= MANY_JOBS) polish(inTheOrderOf(pilot(setLater(input), width), input));
  }
  return best;
}

/** The same strips, each set a second later: its order is another start, and often ends earlier than all others. */
const setLater = (input: HandsInput): HandsInput => ({
  ...input,
  jobs: input.jobs.map((j) => ({
    ...j,
    setMinS: Math.min(j.setMinS + 1, j.setMaxS),
    rest: j.rest && {
      ...j.rest,
      afterRest: j.rest.afterRest.map((a) => ({
        ...a,
        setS: { ...a.setS, min: Math.min(a.setS.min + 1, a.setS.max) },
      })),
    },
  })),
});

/** The acts of another task's table on this one's strips. */
const inTheOrderOf = (end: TableState | null, input: HandsInput): TableState | null =>
  end && opsOf(end).reduce((state, op) => step(state, input, op.job), emptyTable(input.jobs.length));
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
    const end =
      found && found.lateS === 0 && effort === 'full'
        ? polished(input, found, changes(FOR_ORDER, input.jobs.length), 'order')
        : found;
    return end
      ? {
          ops: opsOf(end),
          endS: end.nowS,
          lowerBoundS: Math.min(lowerBoundS, end.nowS),
          bound,
          feasible: end.lateS === 0,
        }
      : EMPTY;
  };
  if (best && best.nowS <= formula) return done('proven', formula);
  if (effort === 'quick') return done('formula', formula);
  best = searched(input, best);
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
    const wide =
      full.outcome === 'finished'
        ? full
        : searchSchedule(input, { width: BEAM_WIDTH, relaxed: false, beatS: upper, maxLabels: BEAM_LABELS });
    best = wide.best ?? full.best ?? best;
    return done(best && best.nowS <= floor ? 'proven' : 'formula', Math.max(floor, formula));
  }
}

/** One strip after the other, each pulled before the next is laid: what the schedule is compared with, s. */
export function oneByOneS(input: HandsInput): number {
  return bestPolicy({ ...input, maxOnSkin: 1 })?.nowS ?? 0;
}
