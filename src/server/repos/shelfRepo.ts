import { and, asc, desc, eq, gt, gte, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { bookings, clients, shelfItems, shelfLots, shelfMoves, visitUses, visits } from '../db/schema';

export type ShelfItemRow = typeof shelfItems.$inferSelect;
export type ShelfLotRow = typeof shelfLots.$inferSelect;
export type ShelfMoveRow = typeof shelfMoves.$inferSelect;

export const shelfItemsInUse = (db: DbOrTx): ShelfItemRow[] =>
  db.select().from(shelfItems).where(eq(shelfItems.active, true)).orderBy(asc(shelfItems.place)).all();
export const readShelfItem = (db: DbOrTx, id: string): ShelfItemRow | undefined =>
  db.select().from(shelfItems).where(eq(shelfItems.id, id)).get();
export const insertShelfItem = (db: DbOrTx, row: typeof shelfItems.$inferInsert): void => {
  db.insert(shelfItems).values(row).run();
};
/** False where the version is no longer the one that was read. */
export const updateShelfItem = (
  db: DbOrTx,
  { id, version }: Pick<ShelfItemRow, 'id' | 'version'>,
  row: Partial<typeof shelfItems.$inferInsert>,
): boolean =>
  db
    .update(shelfItems)
    .set({ ...row, version: version + 1 })
    .where(and(eq(shelfItems.id, id), eq(shelfItems.version, version)))
    .run().changes === 1;
/** Lots with something in them. */
export const fullLots = (db: DbOrTx): ShelfLotRow[] => db.select().from(shelfLots).where(gt(shelfLots.amount, 0)).all();
export const lotsOf = (db: DbOrTx, itemId: string): ShelfLotRow[] =>
  db.select().from(shelfLots).where(eq(shelfLots.itemId, itemId)).all();
export const readLot = (db: DbOrTx, id: string): ShelfLotRow | undefined =>
  db.select().from(shelfLots).where(eq(shelfLots.id, id)).get();
export const insertLot = (db: DbOrTx, row: typeof shelfLots.$inferInsert): void => {
  db.insert(shelfLots).values(row).run();
};

/** Writes a move and what it leaves in its lot, together. */
export function moveLot(db: DbOrTx, move: typeof shelfMoves.$inferInsert, openedOn?: string): void {
  db.insert(shelfMoves).values(move).run();
  db.update(shelfLots)
    .set({
      amount: sql`${shelfLots.amount} + ${move.amount}`,
      ...(openedOn === undefined ? {} : { openedOn: sql`coalesce(${shelfLots.openedOn}, ${openedOn})` }),
    })
    .where(eq(shelfLots.id, move.lotId))
    .run();
}

/** Sales and waste since an instant that were not taken back and that no standing line of the ledger is for. */
export const lastTaken = (db: DbOrTx, sinceMs: number) =>
  db
    .select({
      seq: shelfMoves.seq,
      lotId: shelfMoves.lotId,
      kind: shelfMoves.kind,
      amount: shelfMoves.amount,
      atMs: shelfMoves.atMs,
      name: shelfItems.name,
    })
    .from(shelfMoves)
    .innerJoin(shelfLots, eq(shelfLots.id, shelfMoves.lotId))
    .innerJoin(shelfItems, eq(shelfItems.id, shelfLots.itemId))
    .where(
      sql`${shelfMoves.atMs} >= ${sinceMs} and ${shelfMoves.kind} in ('sold', 'wasted') and ${shelfMoves.amount} < 0 and not exists (select 1 from shelf_moves b where b.about = ${shelfMoves.seq}) and not exists (select 1 from ledger_entries e where e.move_seq = ${shelfMoves.seq} and e.act = 'taken' and not exists (select 1 from ledger_entries u where u.about = e.id and u.act = 'undone'))`,
    )
    .orderBy(desc(shelfMoves.seq))
    .all();

/** When the shelf was last counted, epoch ms; null = never. */
export const lastCount = (db: DbOrTx): number | null =>
  db
    .select({ atMs: shelfMoves.atMs })
    .from(shelfMoves)
    .where(eq(shelfMoves.kind, 'counted'))
    .orderBy(desc(shelfMoves.atMs))
    .limit(1)
    .get()?.atMs ?? null;

export const putVisitUse = (db: DbOrTx, row: typeof visitUses.$inferInsert): void => {
  db.insert(visitUses).values(row).onConflictDoNothing().run();
};

export interface UsedItem {
  readonly item: string;
  readonly amount: number;
}

/** What a client's last counted visit used; empty where none was counted. */
export const lastUseOf = (db: DbOrTx, clientId: string): readonly UsedItem[] =>
  db
    .select({ item: visitUses.item, amount: visitUses.amount })
    .from(visitUses)
    .where(
      sql`${visitUses.visitId} = (select v.id from visits v where v.client_id = ${clientId} and v.status = 'closed' and exists (select 1 from visit_uses u where u.visit_id = v.id) order by v.on_date desc, v.created_at_ms desc limit 1)`,
    )
    .all();

const MEAN_OF = 200;
/** What a visit used in the mean of the last two hundred that were closed, whole units, up. */
export const meanUse = (db: DbOrTx): readonly UsedItem[] => {
  const latest = sql`(select v.id from visits v where v.closed_at_ms is not null order by v.closed_at_ms desc limit ${MEAN_OF})`;
  const of = sql`${visitUses.visitId} in ${latest}`;
  const visitsCounted = db
    .select({ n: sql<number>`count(distinct ${visitUses.visitId})` })
    .from(visitUses)
    .where(of)
    .get();
  const n = Math.max(1, visitsCounted?.n ?? 0);
  return db
    .select({ item: visitUses.item, total: sql<number>`sum(${visitUses.amount})` })
    .from(visitUses)
    .where(of)
    .groupBy(visitUses.item)
    .all()
    .map(({ item, total }) => ({ item, amount: Math.ceil(total / n) }));
};

/** Visits that are booked from an instant on, in the order of time. */
export const bookedFrom = (
  db: DbOrTx,
  fromMs: number,
): { readonly clientId: string; readonly startsAtMs: number; readonly zones: readonly unknown[] }[] =>
  db
    .select({ clientId: bookings.clientId, startsAtMs: bookings.startsAtMs, zones: bookings.zones })
    .from(bookings)
    .where(
      and(
        gte(bookings.startsAtMs, fromMs),
        eq(bookings.status, 'booked'),
        // not as a join: SQLite would first go through every visit of twenty years
        sql`not exists (select 1 from ${visits} where ${visits.bookingId} = ${bookings.id} and ${visits.closedAtMs} is not null)`,
      ),
    )
    .orderBy(asc(bookings.startsAtMs))
    .all();

/** Visits at which a lot was used, latest first. */
export const metLot = (
  db: DbOrTx,
  lot: string,
): {
  readonly visitId: string;
  readonly on: string;
  readonly clientId: string;
  readonly name: string;
  readonly item: string;
}[] =>
  db
    .select({ visitId: visits.id, on: visits.onDate, clientId: clients.id, name: clients.name, item: visitUses.item })
    .from(visitUses)
    .innerJoin(visits, eq(visits.id, visitUses.visitId))
    .innerJoin(clients, eq(clients.id, visits.clientId))
    .where(eq(visitUses.lot, lot))
    .orderBy(desc(visits.onDate))
    .all();
