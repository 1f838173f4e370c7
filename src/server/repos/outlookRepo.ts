// When each client's zones are ready again, as their last visits left it.

import { and, asc, eq, gt, gte, inArray, isNull, ne, sql } from 'drizzle-orm';
import type { Family, Side, ZoneId } from '../../core/anatomy';
import type { DbOrTx } from '../db/openDatabase';
import { bookings, clients, visits, worked } from '../db/schema';

/** One zone of a client, of the latest visit at which it was worked. */
export interface OutlookRow {
  readonly clientId: string;
  readonly clientName: string;
  readonly visitId: string;
  readonly lastOn: string;
  readonly zone: ZoneId;
  readonly side: Side;
  /** Null where it was not kept: the visit was closed by an older version. */
  readonly family: Family | null;
  readonly readyFrom: string | null;
  readonly readyTo: string | null;
  readonly rateFactor: number | null;
  readonly lagShift: number | null;
}

/** @param since only visits of that civil date or later. @param only of these clients; absent = of all in use */
export function outlookRows(db: DbOrTx, since: string, only?: readonly string[]): readonly OutlookRow[] {
  const rows = db
    .select({
      clientId: visits.clientId,
      clientName: clients.name,
      visitId: visits.id,
      lastOn: visits.onDate,
      zone: worked.zone,
      side: worked.side,
      family: worked.family,
      readyFrom: worked.readyFrom,
      readyTo: worked.readyTo,
      rateFactor: worked.rateFactor,
      lagShift: worked.lagShift,
    })
    .from(worked)
    .innerJoin(visits, eq(visits.id, worked.visitId))
    .innerJoin(clients, eq(clients.id, visits.clientId))
    .where(
      and(
        gte(worked.plannedOn, since),
        ne(worked.product, ''),
        eq(visits.status, 'closed'),
        isNull(visits.endedAs),
        isNull(clients.archivedAtMs),
        ...(only ? [inArray(visits.clientId, [...only])] : []),
      ),
    )
    .orderBy(asc(worked.plannedOn), asc(visits.createdAtMs), asc(worked.place))
    .all();
  const latest = new Map<string, (typeof rows)[number]>();
  for (const row of rows) {
    const key = `${row.clientId} ${row.zone} ${row.side}`;
    // set anew, so that the order is that of the latest
    latest.delete(key);
    latest.set(key, row);
  }
  // zones and families are checked on the way in
  return [...latest.values()] as unknown as OutlookRow[];
}

/** The first booking ahead of each client. */
export function bookedAhead(db: DbOrTx, nowMs: number, only?: readonly string[]): ReadonlyMap<string, number> {
  const rows = db
    .select({ clientId: bookings.clientId, startsAtMs: sql<number>`min(${bookings.startsAtMs})` })
    .from(bookings)
    .where(
      and(
        gt(bookings.startsAtMs, nowMs),
        eq(bookings.status, 'booked'),
        // who came early and is done has no booking ahead
        sql`not exists (select 1 from ${visits} where ${visits.bookingId} = ${bookings.id} and ${visits.status} = 'closed')`,
        ...(only ? [inArray(bookings.clientId, [...only])] : []),
      ),
    )
    .groupBy(bookings.clientId)
    .all();
  return new Map(rows.map((r) => [r.clientId, r.startsAtMs]));
}
