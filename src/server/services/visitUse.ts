// What a visit uses, counted when it is closed by its plan and the share of it that was laid: out of the pot that holds
// the product, else off the shelf; of which lot, for a recall.

import 'server-only';
import { bringsWax, standing, type TableEvent } from '../../core/hands';
import type { Plan } from '../../core/plan';
import type { DbOrTx } from '../db/openDatabase';
import { insertPotNote, readPot, readPots, updatePot } from '../repos/potRepo';
import { putVisitUse, readShelfItem } from '../repos/shelfRepo';
import { lotsIn } from './potLots';
import { takeOut } from './shelfMoves';

/** Share of the planned strips that were laid, 0–1; rounds that were added do not count as more than all. */
function laidShare(plan: Plan, journal: readonly TableEvent[]): number {
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

/** Nothing is counted of a visit at which no wax was laid. */
export function countUse(db: DbOrTx, { visitId, plan, journal, atMs, personId }: Used): void {
  const share = laidShare(plan, journal);
  if (share === 0) return;
  const by = { visitId, atMs, personId };
  for (const { item, amount } of plan.materials) {
    const used = Math.max(1, Math.round(amount * share));
    const lots = outOfPot(db, item, used, by) ?? offShelf(db, item, used, by);
    // a recall must find every lot that may have been in it
    for (const [i, lot] of (lots.length > 0 ? lots : ['']).entries()) {
      putVisitUse(db, { visitId, item, amount: i === 0 ? used : 0, lot });
    }
  }
}

type By = Pick<Used, 'visitId' | 'atMs' | 'personId'>;

/** Lots of what is in the pot; null where no pot holds it. */
function outOfPot(db: DbOrTx, productId: string, wanted: number, by: By): readonly string[] | null {
  const holding = readPots(db).find((p) => p.product.id === productId);
  const pot = holding && readPot(db, holding.pot.id);
  if (!pot) return null;
  // never more than was in it: what the plan says beyond came from elsewhere
  const grams = Math.min(pot.waxG, wanted);
  if (grams > 0) {
    insertPotNote(db, { ...by, potId: pot.id, kind: 'used', grams });
    updatePot(db, pot.id, pot.version, { waxG: pot.waxG - grams });
  }
  return lotsIn(pot.lot);
}

/** The lots that gave of it; none where the shelf does not know it. */
const offShelf = (db: DbOrTx, item: string, wanted: number, by: By): readonly string[] =>
  readShelfItem(db, item) ? takeOut(db, item, wanted, { ...by, kind: 'used' }) : [];

/** Wrist tests that were passed at the table go into the log of the pot that was worked from. */
export function noteWrists(db: DbOrTx, { visitId, journal, personId }: Omit<Used, 'plan' | 'atMs'>): void {
  const pots = readPots(db);
  for (const { kind, product, pot, atMs } of standing(journal)) {
    const holding = kind === 'wrist' ? pots.find((p) => p.product.id === product) : undefined;
    if (!holding) continue;
    const heat = { felt: 'right', tempC: pot?.tempC ?? null } as const;
    insertPotNote(db, { potId: holding.pot.id, kind: 'wrist', ...heat, atMs, personId, visitId });
  }
}
