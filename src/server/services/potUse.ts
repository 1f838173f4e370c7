// What a visit takes out of the pots: counted when it is closed, by its plan and the share of it that was laid.

import 'server-only';
import { bringsWax, standing, type TableEvent } from '../../core/hands';
import type { Plan } from '../../core/plan';
import type { DbOrTx } from '../db/openDatabase';
import { insertPotNote, readPot, readPots, updatePot } from '../repos/potRepo';

/** Share of the planned strips that were laid, 0–1; rounds that were added do not count as more than all. */
export function laidShare(plan: Plan, journal: readonly TableEvent[]): number {
  const planned = plan.zones.reduce((n, z) => n + z.strips.length, 0);
  if (planned === 0) return 0;
  const laid = new Set(standing(journal).flatMap((e) => (bringsWax(e) && e.strip ? [e.strip] : [])));
  return Math.min(1, laid.size / planned);
}

interface Used {
  readonly visitId: string;
  readonly plan: Plan;
  readonly journal: readonly TableEvent[];
  readonly atMs: number;
  readonly personId: string;
}

/** Takes each product out of the first pot that holds it; where there is none, nothing is counted. */
export function usePots(db: DbOrTx, { visitId, plan, journal, atMs, personId }: Used): void {
  const share = laidShare(plan, journal);
  if (share === 0) return;
  const pots = readPots(db);
  for (const { item, amount, unit } of plan.materials) {
    const holding = pots.find((p) => p.product.id === item);
    const pot = holding && readPot(db, holding.pot.id);
    if (!pot || unit !== 'g') continue;
    // never more than was in it: what the plan says beyond came from elsewhere
    const grams = Math.min(pot.waxG, Math.round(amount * share));
    if (grams === 0) continue;
    insertPotNote(db, { potId: pot.id, kind: 'used', grams, visitId, atMs, personId });
    updatePot(db, pot.id, pot.version, { waxG: pot.waxG - grams });
  }
}
