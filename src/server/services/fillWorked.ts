// Visits closed by an older version have nothing written down of what was worked: it is read out of their plans once,
// some at a time beside the requests.

import 'server-only';
import { atomically } from '../db/atomically';
import { readable } from '../db/json';
import type { Db } from '../db/openDatabase';
import { ok } from '../../core/shared';
import { readPlan } from '../repos/planRepo';
import { readVisit } from '../repos/visitRepo';
import { markRead, putReady, putWorked, visitsWithoutWorked, workedWithoutReady } from '../repos/workedRepo';

const AT_ONCE = 10;
/** Sensitivity, 1–5, where the consultation cannot be read. */
const UNKNOWN = 3;
const PAUSE_MS = 50;

/** @returns how many visits were filled in now; the rest follows by itself */
export function fillWorked(db: Db): number {
  const visits = visitsWithoutWorked(db, AT_ONCE);
  if (visits.length === 0) {
    const filled = fillReady(db);
    if (filled > 0) setTimeout(() => fillWorked(db), PAUSE_MS).unref();
    return filled;
  }
  atomically(db, () => {
    for (const { id, planHash } of visits) {
      const plan = readable(() => readPlan(db, planHash), undefined);
      const sensitivity = readable(() => readVisit(db, id)?.consult.sensitivity, undefined) ?? UNKNOWN;
      if (plan) putWorked(db, id, plan, sensitivity);
      markRead(db, id);
    }
    return ok(null);
  });
  setTimeout(() => fillWorked(db), PAUSE_MS).unref();
  return visits.length;
}

/**
 * The same for when the hair is ready again: some visits that were closed before it was kept.
 * @returns how many
 */
export function fillReady(db: Db): number {
  const rows = workedWithoutReady(db, AT_ONCE);
  if (rows.length === 0) return 0;
  atomically(db, () => {
    for (const { visitId, planHash } of rows) {
      const plan = readable(() => readPlan(db, planHash), undefined);
      putReady(db, visitId, plan);
    }
    return ok(null);
  });
  return rows.length;
}
