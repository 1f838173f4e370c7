// What the trade works before what in a zone, whatever the clock says, as a bond for every search: laid after.

import type { StripJob } from '../types';
import { LAST_COURSE, type Place } from './places';

/** True where no chain of needs and courses comes back to its own beginning. */
function isPossible(before: readonly (readonly number[])[]): boolean {
  const state = before.map(() => 0);
  const visit = (i: number): boolean => {
    if (state[i] === 2) return true;
    if (state[i] === 1) return false;
    state[i] = 1;
    const ok = (before[i] ?? []).every(visit);
    state[i] = 2;
    return ok;
  };
  return before.every((_, i) => visit(i));
}

/**
 * The jobs of one sheet, each laid after all those of earlier courses. A course that the tabs do not allow is given up,
 * what comes after everything else last.
 * @param jobs needs as places in this list
 */
export function inCourses(jobs: readonly StripJob[], places: readonly Place[]): readonly StripJob[] {
  const courses = jobs.map((_, i) => places[i]?.course ?? 0);
  const bound = (courseOf: (course: number) => number): readonly (readonly number[])[] =>
    courses.map((c) => courses.flatMap((other, k) => (courseOf(other) < courseOf(c) ? [k] : [])));
  const tried = [bound((c) => c), bound((c) => (c >= LAST_COURSE ? 1 : 0))];
  const after = tried.find((list) => isPossible(list.map((l, i) => [...l, ...(jobs[i]?.needs ?? [])])));
  return after ? jobs.map((job, i) => ((after[i]?.length ?? 0) > 0 ? { ...job, after: after[i] ?? [] } : job)) : jobs;
}
