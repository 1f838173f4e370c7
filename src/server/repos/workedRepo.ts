// What later pages need of closed visits, zone by zone (table `worked`).

import { and, asc, desc, eq, exists, inArray, isNotNull, isNull, lt, ne, sql } from 'drizzle-orm';
import type { ReadZone } from '../../core/matching';
import { zoneKey } from '../../core/anatomy';
import type { Plan } from '../../core/plan';
import { PRODUCT_BODIES } from '../../core/products';
import { keptSinceWrite } from '../db/sinceWrite';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { putOutlook } from './outlookRepo';
import { NO_DATE } from './pastRepo';
import { readProduct } from './studioRepo';
import { readings, visits, worked, type Reading } from '../db/schema';

export type WorkedRow = typeof worked.$inferSelect;

/** Plans of before the limit was kept with them have 0 there. */
const orNull = (celsius: number): number | null => (celsius > 0 ? celsius : null);

/** When the hair of a zone is ready again for what it was worked with, and how this person's hair grows. */
function readyAgain(
  plan: Pick<Plan, 'regrowth'>,
  zone: Plan['zones'][number],
): Pick<WorkedRow, 'family' | 'readyFrom' | 'readyTo' | 'rateFactor' | 'lagShift'> {
  const regrowth = plan.regrowth.find((r) => zoneKey(r) === zoneKey(zone));
  const window = regrowth?.ready.find((r) => r.family === zone.choice?.family);
  return {
    family: zone.choice?.family ?? null,
    readyFrom: window?.fromOn ?? null,
    readyTo: window?.toOn ?? null,
    rateFactor: regrowth?.rateFactor ?? null,
    lagShift: regrowth?.lagShiftDays ?? null,
  };
}

/** Writes what was chosen in the plan by which a visit was worked. */
export function putWorked(db: DbOrTx, visitId: string, plan: Plan, sensitivity: number): void {
  plan.zones.forEach((z, place) => {
    if (!z.choice) return;
    const { heat } = z;
    const { product, way } = z.choice;
    const option = z.options.find((o) => o.product === product && o.way === way);
    const limitC = heat ? orNull(heat.limitC) : null;
    const row: WorkedRow = {
      visitId,
      place,
      zone: z.zone,
      side: z.side,
      product,
      way,
      touchC: heat?.workingC.target ?? null,
      feltPeakC: heat?.feltPeakC ?? null,
      limitC: limitC === null ? null : limitC - (heat?.learned?.shiftK ?? 0),
      sensitivity,
      plannedOn: option ? plan.on : null,
      body: readProduct(db, product)?.data.product.body ?? null,
      strips: option?.strips ?? null,
      passes: option?.passes ?? null,
      expectedLeft: option ? 1 - option.removedShare : null,
      holdShift: option?.holdShift ?? null,
      ...readyAgain(plan, z),
    };
    db.insert(worked).values(row).onConflictDoNothing().run();
  });
  putOutlook(db, visitId);
}

/** Of all visits of a client that were done, latest visit first, its zones in their order. */
export const workedOfClient = (db: DbOrTx, clientId: string): readonly WorkedRow[] =>
  // a card asks for it three times, and of a client of twenty years it is long
  keptWorked(db, clientId, () =>
    workedBy(db)
      .all({ clientId })
      .map((r) => r.row),
  );
const keptWorked = keptSinceWrite<readonly WorkedRow[]>(8);
/** Of one visit, its zones in their order. */
export const workedAt = (db: DbOrTx, visitId: string): WorkedRow[] => workedByVisit(db).all({ visitId });
const workedByVisit = prepared((db) =>
  db
    .select()
    .from(worked)
    .where(and(eq(worked.visitId, sql.placeholder('visitId')), ne(worked.product, '')))
    .orderBy(asc(worked.place))
    .prepare(),
);
const ofClientDone = () =>
  and(eq(visits.clientId, sql.placeholder('clientId')), eq(visits.status, 'closed'), isNull(visits.endedAs));
const workedBy = prepared((db) =>
  db
    .select({ row: worked })
    .from(worked)
    .innerJoin(visits, eq(visits.id, worked.visitId))
    .where(and(ofClientDone(), ne(worked.product, '')))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs), asc(worked.place))
    .prepare(),
);

export interface WorkedReading extends WorkedRow {
  readonly onDate: string;
  readonly reading: Reading;
}

/**
 * Zones of a client's latest visits that were done with a warm product and read, latest visit first.
 * @param before only visits of an earlier day than this one
 */
export function workedReadings(
  db: DbOrTx,
  clientId: string,
  most: number,
  before?: { readonly onDate: string; readonly id: string },
): WorkedReading[] {
  const asked = { clientId, onDate: before?.onDate ?? NO_DATE, but: before?.id ?? '', most };
  return warmReadings(db)
    .all(asked)
    .map(({ row, ...more }) => ({ ...row, ...more }));
}
const readToo = () =>
  and(eq(readings.visitId, worked.visitId), eq(readings.zone, worked.zone), eq(readings.side, worked.side));
const isWarm = () => and(isNotNull(worked.touchC), isNotNull(worked.feltPeakC));
const latestWarm = (db: DbOrTx) =>
  db
    .select({ id: visits.id })
    .from(visits)
    .where(
      and(
        ofClientDone(),
        lt(visits.onDate, sql.placeholder('onDate')),
        ne(visits.id, sql.placeholder('but')),
        exists(
          db
            .select({ n: sql`1` })
            .from(worked)
            .innerJoin(readings, readToo())
            .where(and(eq(worked.visitId, visits.id), isWarm())),
        ),
      ),
    )
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
    .limit(sql.placeholder('most'));
const warmReadings = prepared((db) =>
  db
    .select({
      row: worked,
      onDate: visits.onDate,
      reading: readings.data,
    })
    .from(worked)
    .innerJoin(visits, eq(visits.id, worked.visitId))
    .innerJoin(readings, readToo())
    .where(and(inArray(worked.visitId, latestWarm(db)), isWarm()))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs), asc(worked.place))
    .prepare(),
);

/** Latest zones that were worked by plan and read, of visits of an earlier day, as they stand beside the plan. */
export function readZones(db: DbOrTx, before: string, most: number): readonly ReadZone[] {
  return zonesRead(db)
    .all({ before, most })
    .flatMap(({ row, reading }) => {
      const body = PRODUCT_BODIES.find((b) => b === row.body);
      if (!body || row.strips === null || row.passes === null || row.expectedLeft === null) return [];
      const { strips, passes, expectedLeft, holdShift } = row;
      return [
        { body, strips, passes, expectedLeft, plannedShift: holdShift ?? 0, readLeft: 1 - reading.removedPct / 100 },
      ];
    });
}
/** What only follows from the table's marks is not an answer; nor is what cannot be read. */
const wasSaid = () =>
  sql`case when json_valid(${readings.data}) then json_extract(${readings.data}, '$.removedSaid') = 1 else 0 end`;
const zonesRead = prepared((db) =>
  db
    .select({ row: worked, reading: readings.data })
    .from(worked)
    .innerJoin(readings, readToo())
    .where(
      and(
        isNotNull(worked.plannedOn),
        lt(worked.plannedOn, sql.placeholder('before')),
        // not as a join: SQLite would first go through every visit of twenty years
        sql`not exists (select 1 from ${visits} where ${visits.id} = ${worked.visitId} and ${visits.endedAs} is not null)`,
        wasSaid(),
      ),
    )
    .orderBy(desc(worked.plannedOn))
    .limit(sql.placeholder('most'))
    .prepare(),
);

/** Visits whose zones were written down before it was kept when the hair is ready again. */
export const workedWithoutReady = (
  db: DbOrTx,
  most: number,
): { readonly visitId: string; readonly planHash: string }[] =>
  db
    .selectDistinct({ visitId: worked.visitId, planHash: visits.planHash })
    .from(worked)
    .innerJoin(visits, eq(visits.id, worked.visitId))
    .where(and(isNull(worked.family), ne(worked.product, ''), isNotNull(visits.planHash)))
    .limit(most)
    .all()
    .flatMap((r) => (r.planHash === null ? [] : [{ visitId: r.visitId, planHash: r.planHash }]));

/** Writes down when the hair is ready again; without a plan that it is not known, so that it is not asked again. */
export function putReady(db: DbOrTx, visitId: string, plan: Plan | undefined): void {
  const zones = plan?.zones ?? [];
  db.update(worked)
    .set({ family: '' })
    .where(and(eq(worked.visitId, visitId), isNull(worked.family)))
    .run();
  zones.forEach((z, place) => {
    if (!z.choice || !plan) return;
    db.update(worked)
      .set(readyAgain(plan, z))
      .where(and(eq(worked.visitId, visitId), eq(worked.place, place)))
      .run();
  });
  putOutlook(db, visitId);
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
    .values({ visitId, place: 0, side: 'middle', sensitivity: 3, ...nothing })
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
