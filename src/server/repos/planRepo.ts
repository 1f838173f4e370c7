// Plans by the SHA-256 of the case that they answer: derived data, each belonging to a visit or a booking. The one that
// a visit was worked by stays; of the others only the latest.

import { and, desc, eq, inArray, isNull, lt, ne, or, sql } from 'drizzle-orm';
import type { Plan } from '../../core/plan';
import { quietly } from '../db/sinceWrite';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { plans, visits } from '../db/schema';
import { upPlan } from '../db/upSteps';
import { enginesVersion } from '../planning/engines';

export type PlanOwner = { readonly kind: 'visit' | 'booking'; readonly id: string } | null;

/** Going back some steps on a visit finds its plans again; a look ahead at a booking has one. */
const KEPT = { visit: 3, booking: 1 } as const;

const byHash = () => eq(plans.caseHash, sql.placeholder('caseHash'));
const planByHash = prepared((db) => db.select({ plan: plans.plan }).from(plans).where(byHash()).prepare());
const isThere = prepared((db) =>
  db
    .select({ n: sql`1` })
    .from(plans)
    .where(byHash())
    .prepare(),
);
export const readPlan = (db: DbOrTx, caseHash: string): Plan | undefined => {
  const kept = planByHash(db).get({ caseHash });
  return kept && upPlan(kept.plan);
};
export const hasPlan = (db: DbOrTx, caseHash: string): boolean => isThere(db).get({ caseHash }) !== undefined;

const ofOwner = (owner: NonNullable<PlanOwner>) =>
  owner.kind === 'visit' ? eq(plans.visitId, owner.id) : eq(plans.bookingId, owner.id);
/** No visit was worked by it. */
const unworked = sql`not exists (select 1 from ${visits} where ${visits.planHash} = ${plans.caseHash})`;

/** Drops the older plans of an owner, but none that a visit was worked by. */
export function prunePlans(db: DbOrTx, owner: NonNullable<PlanOwner>, keep: number = KEPT[owner.kind]): number {
  const old = db
    .select({ hash: plans.caseHash })
    .from(plans)
    .where(ofOwner(owner))
    .orderBy(desc(plans.seq))
    .all()
    .slice(keep)
    .map((r) => r.hash);
  if (old.length === 0) return 0;
  return db
    .delete(plans)
    .where(and(inArray(plans.caseHash, old), unworked))
    .run().changes;
}

export interface KeepPlan {
  readonly hash: string;
  readonly owner: PlanOwner;
  readonly atMs: number;
  readonly plan?: Plan;
  /** Deflated JSON, as it comes from a thread. */
  readonly packed?: Uint8Array;
}

export function keepPlan(db: DbOrTx, { hash, owner, atMs, plan, packed }: KeepPlan): void {
  const row = {
    caseHash: hash,
    plan: packed ? sql`${Buffer.from(packed)}` : (plan as Plan), // one of the two is given
    engines: enginesVersion(),
    visitId: owner?.kind === 'visit' ? owner.id : null,
    bookingId: owner?.kind === 'booking' ? owner.id : null,
    computedAtMs: atMs,
    seq: sql<number>`(select coalesce(max(seq), 0) + 1 from ${plans})`,
  };
  quietly(db, () => {
    db.insert(plans).values(row).onConflictDoNothing().run();
    if (owner) prunePlans(db, owner);
  });
}

/** Plans that no visit was worked by and that nobody will ask for again: of other engines, or long past. */
export function dropOldPlans(db: DbOrTx, beforeMs: number): number {
  return db
    .delete(plans)
    .where(
      and(
        or(ne(plans.engines, enginesVersion()), and(isNull(plans.visitId), lt(plans.computedAtMs, beforeMs))),
        unworked,
      ),
    )
    .run().changes;
}
