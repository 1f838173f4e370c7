// When each client's zones are ready again, as their last visits left it (table `outlooks`).

import { and, eq, gt, inArray, sql, type SQL } from 'drizzle-orm';
import type { Side, ZoneId } from '../../core/anatomy';
import type { DbOrTx } from '../db/openDatabase';
import { bookings, visits, type ZoneRef } from '../db/schema';

/** Zones of a client that were last worked at one visit, together. */
export interface OutlookLine {
  readonly clientId: string;
  readonly name: string;
  readonly visitId: string;
  readonly lastOn: string;
  /** `zone/side` of each, a space between: taken apart only for what is shown. */
  readonly zoneKeys: string;
  /** When the last of them opens and the first of them closes; null where one of them is not known. */
  readonly fromOn: string | null;
  readonly toOn: string | null;
}

interface Asked {
  /** Only of visits of that civil date or later. */
  readonly since: string;
  /** Only those that close on that date or later, the soonest first, at most so many. */
  readonly closing?: { readonly from: string; readonly most: number } | undefined;
  /** Only of these clients; absent = of all in use. */
  readonly only?: readonly string[] | undefined;
}

interface RawLine extends OutlookLine {
  readonly known: number;
  readonly n: number;
}

const whereOf = ({ since, closing, only }: Asked): SQL =>
  sql.join(
    [
      sql`c.archived_at_ms is null and o.last_on >= ${since}`,
      ...(closing
        ? [
            sql`o.visit_id in (
              select visit_id from outlooks where ready_to >= ${closing.from} order by ready_to limit ${closing.most})`,
          ]
        : []),
      ...(only
        ? [sql`o.client_id in (${sql.join(only.length > 0 ? only.map((id) => sql`${id}`) : [sql`null`], sql`, `)})`]
        : []),
    ],
    sql` and `,
  );

// `cross join` says which table is gone through: few clients of many were here lately
export function outlookLines(db: DbOrTx, asked: Asked): readonly OutlookLine[] {
  // a zone that has closed already closes the visit
  const order = asked.closing ? sql`having min(o.ready_to) >= ${asked.closing.from} order by min(o.ready_to)` : sql``;
  const rows = db.all<RawLine>(sql`
    select o.client_id as clientId, c.name as name, o.visit_id as visitId, o.last_on as lastOn,
      max(o.ready_from) as fromOn, min(o.ready_to) as toOn, count(o.ready_from) as known, count(*) as n,
      group_concat(o.zone || '/' || o.side, ' ' order by o.place) as zoneKeys
    from outlooks o cross join clients c on c.id = o.client_id
    where ${whereOf(asked)} group by o.visit_id ${order}`);
  return rows.map(({ known, n, clientId, name, visitId, lastOn, zoneKeys, fromOn, toOn }): OutlookLine => {
    const line = { clientId, name, visitId, lastOn, zoneKeys };
    if (known < n || fromOn === null || toOn === null) return { ...line, fromOn: null, toOn: null };
    // where windows do not meet, the last to open counts
    return { ...line, fromOn, toOn: toOn < fromOn ? fromOn : toOn };
  });
}

export const zonesOfKeys = (zoneKeys: string): readonly ZoneRef[] =>
  zoneKeys.split(' ').map((key) => {
    const [zone, side] = key.split('/') as [ZoneId, Side]; // zones are checked on the way in
    return { zone, side };
  });

/** One zone of a client with how their hair grows. */
export interface OutlookRow {
  readonly clientId: string;
  readonly name: string;
  readonly visitId: string;
  readonly lastOn: string;
  readonly zone: ZoneId;
  readonly side: Side;
  readonly rateFactor: number | null;
  readonly lagShift: number | null;
}
/** How many zones of clients in use there are since a day. */
export const countOutlookRows = (db: DbOrTx, since: string): number =>
  db.get<{ n: number }>(sql`
    select count(*) as n from outlooks o cross join clients c on c.id = o.client_id
    where c.archived_at_ms is null and o.last_on >= ${since}`).n;

/**
 * The next zones of clients in use: whole visits, those of one visit together.
 * @param after the last visit that was read; '' = from the first
 * @param most rows, more than any visit has zones
 */
export function outlookRowsAfter(
  db: DbOrTx,
  since: string,
  { after, most }: { readonly after: string; readonly most: number },
): readonly OutlookRow[] {
  const rows = db.all<OutlookRow>(sql`
    select o.client_id as clientId, c.name as name, o.visit_id as visitId, o.last_on as lastOn, o.zone as zone,
      o.side as side, o.rate_factor as rateFactor, o.lag_shift as lagShift
    from outlooks o cross join clients c on c.id = o.client_id
    where o.visit_id > ${after} and c.archived_at_ms is null and o.last_on >= ${since}
    order by o.visit_id, o.place limit ${most}`);
  if (rows.length < most) return rows;
  // the last visit may be cut off: it comes with the next
  const cut = rows.at(-1)?.visitId;
  return rows.filter((r) => r.visitId !== cut);
}

const COLUMNS = sql`client_id, zone, side, visit_id, place, last_on, family, ready_from, ready_to, rate_factor, lag_shift`;
const FROM_WORKED = sql`
  select v.client_id, w.zone, w.side, v.id, w.place, v.on_date, coalesce(w.family, ''), w.ready_from, w.ready_to,
    w.rate_factor, w.lag_shift
  from worked w join visits v on v.id = w.visit_id
  where w.product <> '' and v.status = 'closed' and v.ended_as is null`;

/** Writes down what a visit has left, where no later one has. */
export function putOutlook(db: DbOrTx, visitId: string): void {
  db.run(sql`insert or replace into outlooks (${COLUMNS}) ${FROM_WORKED} and v.id = ${visitId} and not exists (
    select 1 from outlooks o
    where o.client_id = v.client_id and o.zone = w.zone and o.side = w.side and o.last_on > v.on_date)`);
}
/** All of them anew, out of what was worked. */
export const fillOutlooks = (db: DbOrTx): void => {
  db.run(sql`insert or replace into outlooks (${COLUMNS}) ${FROM_WORKED} order by v.on_date, v.created_at_ms`);
};
/** Those of one client anew: whose visits they are has changed. */
export function fillOutlooksOf(db: DbOrTx, clientId: string): void {
  db.run(sql`delete from outlooks where client_id = ${clientId}`);
  db.run(sql`insert or replace into outlooks (${COLUMNS}) ${FROM_WORKED} and v.client_id = ${clientId}
    order by v.on_date, v.created_at_ms`);
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
