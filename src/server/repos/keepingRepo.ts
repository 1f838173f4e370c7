import { sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';

export interface NotSeen {
  readonly id: string;
  readonly name: string;
  /** Civil date of the last that is known of them. */
  readonly lastOn: string;
}

/**
 * Cards of people who have not come since a day: no visit, here or before this book, no booking and no new card since;
 * longest ago first. Erased ones are not among them.
 */
export const cardsNotSeenSince = (db: DbOrTx, onDate: string, atMs: number): readonly NotSeen[] =>
  db.all<NotSeen>(sql`
    select c.id as id, c.name as name, max(
      coalesce((select max(on_date) from visits where client_id = c.id), ''),
      coalesce((select max(on_date) from past_visits where client_id = c.id), ''),
      date(c.created_at_ms / 1000, 'unixepoch') ) as lastOn
    from clients c
    where not exists (select 1 from erasures e where e.client_id = c.id)
      and not exists (select 1 from visits v where v.client_id = c.id and (v.on_date >= ${onDate} or v.status = 'open'))
      and not exists (select 1 from past_visits p where p.client_id = c.id and p.on_date >= ${onDate})
      and not exists (select 1 from bookings b where b.client_id = c.id and b.starts_at_ms >= ${atMs})
      and (c.created_at_ms < ${atMs} or exists (select 1 from past_visits p where p.client_id = c.id))
      and not exists (select 1 from merges m where (m.gone_id = c.id) and m.undone_at_ms is null)
    order by lastOn, c.name`);

/** True of a studio without any card, booking or line of money. */
export const hasNobody = (db: DbOrTx): boolean =>
  db.get<{ n: number }>(sql`select exists (select 1 from clients) + exists (select 1 from bookings)
    + exists (select 1 from ledger_entries) as n`).n === 0;
