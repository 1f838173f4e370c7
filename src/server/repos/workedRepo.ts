// What later pages need of closed visits, zone by zone (table `worked`).

import { and, asc, desc, eq, isNull, lt, ne, sql } from 'drizzle-orm';
import type { Plan } from '../../core/plan';
import type { DbOrTx } from '../db/openDatabase';
import { readings, visits, worked, type Reading } from '../db/schema';

export type WorkedRow = typeof worked.$inferSelect;

/** Enough for a dozen visits of every zone; older ones no longer speak of today's skin. */
const MOST_READ = 240;

/** Plans of before the limit was kept with them have 0 there. */
const orNull = (celsius: number): number | null => (celsius > 0 ? celsius : null);

/** Writes what was chosen in the plan by which a visit was worked. */
export function putWorked(db: DbOrTx, visitId: string, plan: Plan): void {
  plan.zones.forEach((z, place) => {
    if (!z.choice) return;
    const { heat } = z;
    const limitC = heat ? orNull(heat.limitC) : null;
    const row: WorkedRow = {
      visitId,
      place,
      zone: z.zone,
      side: z.side,
      product: z.choice.product,
      way: z.choice.way,
      touchC: heat?.workingC.target ?? null,
      feltPeakC: heat?.feltPeakC ?? null,
      limitC: limitC === null ? null : limitC - (heat?.learned?.shiftK ?? 0),
    };
    db.insert(worked).values(row).onConflictDoNothing().run();
  });
}

/** Of all visits of a client that were done, latest visit first, its zones in their order. */
export const workedOfClient = (db: DbOrTx, clientId: string): WorkedRow[] =>
  db
    .select({ row: worked })
    .from(worked)
    .innerJoin(visits, eq(visits.id, worked.visitId))
    .where(
      and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs), ne(worked.product, '')),
    )
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs), asc(worked.place))
    .all()
    .map((r) => r.row);

export interface WorkedReading extends WorkedRow {
  readonly onDate: string;
  readonly sensitivity: number;
  readonly reading: Reading;
}

/** Zones of a client's visits that were done and read, latest visit first; only of visits of an earlier day. */
export function workedReadings(
  db: DbOrTx,
  clientId: string,
  before?: { readonly onDate: string; readonly id: string },
): WorkedReading[] {
  return db
    .select({
      row: worked,
      onDate: visits.onDate,
      sensitivity: sql<number>`coalesce(case when json_valid(${visits.consult}) then ${visits.consult} ->> '$.sensitivity' end, 3)`,
      reading: readings.data,
    })
    .from(worked)
    .innerJoin(visits, eq(visits.id, worked.visitId))
    .innerJoin(
      readings,
      and(eq(readings.visitId, worked.visitId), eq(readings.zone, worked.zone), eq(readings.side, worked.side)),
    )
    .where(
      and(
        eq(visits.clientId, clientId),
        eq(visits.status, 'closed'),
        isNull(visits.endedAs),
        ...(before ? [lt(visits.onDate, before.onDate), ne(visits.id, before.id)] : []),
      ),
    )
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs), asc(worked.place))
    .limit(MOST_READ)
    .all()
    .map(({ row, ...more }) => ({ ...row, ...more }));
}

/** Marks a visit whose plan chose nothing, or cannot be read, so that it is not looked at again. */
export const markRead = (db: DbOrTx, visitId: string): void => {
  const has = db
    .select({ n: sql`1` })
    .from(worked)
    .where(eq(worked.visitId, visitId))
    .get();
  if (has) return;
  const nothing = { touchC: null, feltPeakC: null, limitC: null, product: '', way: '', zone: '' };
  db.insert(worked)
    .values({ visitId, place: 0, side: 'middle', ...nothing })
    .run();
};

/** Visits that were worked by a plan and have nothing written down yet: closed by an older version. */
export const visitsWithoutWorked = (db: DbOrTx, most: number): { readonly id: string; readonly planHash: string }[] =>
  db
    .select({ id: visits.id, planHash: visits.planHash })
    .from(visits)
    .where(
      and(
        eq(visits.status, 'closed'),
        ne(visits.planHash, ''),
        sql`not exists (select 1 from ${worked} where ${worked.visitId} = ${visits.id})`,
      ),
    )
    .limit(most)
    .all()
    .flatMap((r) => (r.planHash === null ? [] : [{ id: r.id, planHash: r.planHash }]));
