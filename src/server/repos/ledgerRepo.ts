import { and, asc, desc, eq, gte, inArray, isNull, lte, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { bookings, clients, ledgerClosings, ledgerEntries, shelfItems, shelfLots, shelfMoves } from '../db/schema';
import { visitParts, visits } from '../db/schema';

export type EntryRow = typeof ledgerEntries.$inferSelect;
export type ClosingRow = typeof ledgerClosings.$inferSelect;
export type VisitPartRow = typeof visitParts.$inferSelect;

export const insertEntry = (db: DbOrTx, row: typeof ledgerEntries.$inferInsert): void => {
  db.insert(ledgerEntries).values(row).run();
};
export const readEntry = (db: DbOrTx, id: string): EntryRow | undefined =>
  db.select().from(ledgerEntries).where(eq(ledgerEntries.id, id)).get();
/** Lines of a span of civil dates, both ends in it, in the order in which they were written. */
export const entriesBetween = (db: DbOrTx, from: string, to: string): EntryRow[] =>
  db
    .select()
    .from(ledgerEntries)
    .where(and(gte(ledgerEntries.onDate, from), lte(ledgerEntries.onDate, to)))
    .orderBy(asc(ledgerEntries.seq))
    .all();
/** Lines that are alike in what is summed, and how many of them: a busy year has some hundred kinds of lines. */
export interface LineGroup extends Pick<
  EntryRow,
  'kind' | 'act' | 'paid' | 'amountMinor' | 'vatBp' | 'item' | 'personId'
> {
  readonly month: string;
  /** What its service was worked with at its visit; null = several, or not known. */
  readonly product: string | null;
  readonly times: number;
}
export function lineGroups(db: DbOrTx, from: string, to: string): LineGroup[] {
  const { kind, act, paid, amountMinor, vatBp, item, personId } = ledgerEntries;
  const month = sql<string>`substr(${ledgerEntries.onDate}, 1, 7)`;
  const part = sql`${visitParts.visitId} = ${ledgerEntries.visitId} and ${visitParts.service} = ${item}`;
  const product = sql<string | null>`(select ${visitParts.product} from ${visitParts} where ${part} limit 1)`;
  const alike = {
    month: month.as('month'),
    kind,
    act,
    paid,
    amountMinor,
    vatBp,
    item,
    personId,
    product: product.as('with'),
  };
  return db
    .select({ ...alike, times: sql<number>`count(*)` })
    .from(ledgerEntries)
    .where(and(gte(ledgerEntries.onDate, from), lte(ledgerEntries.onDate, to)))
    .groupBy(sql`1, 2, 3, 4, 5, 6, 7, 8, 9`)
    .all();
}
/** Lines that give a line back or undo it. */
export const entriesAbout = (db: DbOrTx, id: string): EntryRow[] =>
  db.select().from(ledgerEntries).where(eq(ledgerEntries.about, id)).all();
/** Those of some lines that another line undoes. */
export const undoneAmong = (db: DbOrTx, ids: readonly string[]): ReadonlySet<string | null> =>
  ids.length === 0
    ? new Set()
    : new Set(
        db
          .select({ about: ledgerEntries.about })
          .from(ledgerEntries)
          .where(
            and(
              eq(ledgerEntries.act, 'undone'),
              sql`${ledgerEntries.about} in (select value from json_each(${JSON.stringify(ids)}))`,
            ),
          )
          .all()
          .map((r) => r.about),
      );
export const entriesOfVisits = (db: DbOrTx, visitIds: readonly string[]): EntryRow[] =>
  visitIds.length === 0
    ? []
    : db
        .select()
        .from(ledgerEntries)
        .where(inArray(ledgerEntries.visitId, [...visitIds]))
        .all();
export const entriesOfSale = (db: DbOrTx, moveSeq: number): EntryRow[] =>
  db.select().from(ledgerEntries).where(eq(ledgerEntries.moveSeq, moveSeq)).all();
/** All lines about credits that have something left, by the sums of their lines. */
export function openCreditLines(db: DbOrTx): EntryRow[] {
  const left = sql`sum(case when kind in ('gift', 'package', 'deposit') then amount_minor when paid = 'credit' then -amount_minor else 0 end)`;
  const open = sql`(select credit_id from ledger_entries where credit_id is not null group by credit_id having ${left} > 0 or sum(uses) > 0)`;
  return db
    .select()
    .from(ledgerEntries)
    .where(sql`${ledgerEntries.creditId} in ${open}`)
    .orderBy(asc(ledgerEntries.seq))
    .all();
}
export const entriesOfCredit = (db: DbOrTx, creditId: string): EntryRow[] =>
  db.select().from(ledgerEntries).where(eq(ledgerEntries.creditId, creditId)).orderBy(asc(ledgerEntries.seq)).all();
export const lastEntrySeq = (db: DbOrTx): number =>
  db.select({ seq: ledgerEntries.seq }).from(ledgerEntries).orderBy(desc(ledgerEntries.seq)).limit(1).get()?.seq ?? 0;

export const readClosing = (db: DbOrTx, onDate: string): ClosingRow | undefined =>
  db.select().from(ledgerClosings).where(eq(ledgerClosings.onDate, onDate)).get();
export const insertClosing = (db: DbOrTx, row: typeof ledgerClosings.$inferInsert): void => {
  db.insert(ledgerClosings).values(row).run();
};
export const closingsBetween = (db: DbOrTx, from: string, to: string): ClosingRow[] =>
  db
    .select()
    .from(ledgerClosings)
    .where(and(gte(ledgerClosings.onDate, from), lte(ledgerClosings.onDate, to)))
    .orderBy(asc(ledgerClosings.onDate))
    .all();

export const putVisitPart = (db: DbOrTx, row: typeof visitParts.$inferInsert): void => {
  db.insert(visitParts).values(row).onConflictDoNothing().run();
};
/** One line of what came for a service of a visit, beside what that service took. */
export interface PartLine extends Pick<
  VisitPartRow,
  'visitId' | 'place' | 'service' | 'family' | 'minutes' | 'materialsMinor'
> {
  readonly personId: string;
  readonly amountMinor: number;
  readonly vatBp: number;
}
/**
 * Lines of the services of the visits of a span of civil dates, those of one part together; what was given back later
 * is with its visit. Read bare: they are some ten thousand in a busy year.
 */
export const partLines = (db: DbOrTx, from: string, to: string): readonly PartLine[] =>
  // `cross join`: SQLite goes by the days, not through all parts of all years
  db.all<PartLine>(sql`
    select p.visit_id as visitId, p.place, p.service, p.family, p.minutes, p.materials_minor as materialsMinor,
      v.person_id as personId, e.amount_minor as amountMinor, e.vat_bp as vatBp
    from visits v cross join visit_parts p on p.visit_id = v.id
      cross join ledger_entries e on e.visit_id = v.id and e.kind = 'service' and e.item = p.service
    where v.on_date between ${from} and ${to} order by v.on_date, v.id, p.place`);

const noService = sql`not exists (select 1 from ledger_entries e where e.visit_id = ${visits.id} and e.kind = 'service' and e.act = 'taken' and not exists (select 1 from ledger_entries u where u.about = e.id and u.act = 'undone'))`;
/** Visits that were done and of which no service stands in the ledger, by their day. */
export const visitsNotEntered = (db: DbOrTx, from: string, to: string) =>
  db
    .select({
      id: visits.id,
      onDate: visits.onDate,
      clientId: visits.clientId,
      clientName: clients.name,
      personId: visits.personId,
      consult: visits.consult,
      closedAtMs: visits.closedAtMs,
    })
    .from(visits)
    .innerJoin(clients, eq(clients.id, visits.clientId))
    .where(
      and(
        eq(visits.status, 'closed'),
        isNull(visits.endedAs),
        gte(visits.onDate, from),
        lte(visits.onDate, to),
        noService,
      ),
    )
    .orderBy(asc(visits.closedAtMs))
    .all();

/** Sales on the shelf that no standing line is for. */
export const salesNotEntered = (db: DbOrTx, fromMs: number, toMs: number) =>
  db
    .select({
      seq: shelfMoves.seq,
      amount: shelfMoves.amount,
      atMs: shelfMoves.atMs,
      itemId: shelfItems.id,
      name: shelfItems.name,
    })
    .from(shelfMoves)
    .innerJoin(shelfLots, eq(shelfLots.id, shelfMoves.lotId))
    .innerJoin(shelfItems, eq(shelfItems.id, shelfLots.itemId))
    .where(
      and(
        eq(shelfMoves.kind, 'sold'),
        sql`${shelfMoves.amount} < 0 and not exists (select 1 from shelf_moves b where b.about = ${shelfMoves.seq})`,
        gte(shelfMoves.atMs, fromMs),
        lte(shelfMoves.atMs, toMs),
        sql`not exists (select 1 from ledger_entries e where e.move_seq = ${shelfMoves.seq} and e.act = 'taken' and not exists (select 1 from ledger_entries u where u.about = e.id and u.act = 'undone'))`,
      ),
    )
    .all();
export const readSale = (db: DbOrTx, seq: number): { readonly itemId: string; readonly amount: number } | undefined =>
  db
    .select({ itemId: shelfLots.itemId, amount: shelfMoves.amount })
    .from(shelfMoves)
    .innerJoin(shelfLots, eq(shelfLots.id, shelfMoves.lotId))
    .where(
      and(
        eq(shelfMoves.seq, seq),
        eq(shelfMoves.kind, 'sold'),
        sql`not exists (select 1 from shelf_moves b where b.about = ${seq})`,
      ),
    )
    .get();

/** In a span of time and its civil dates: bookings that nobody came to, and visits that were done. */
export function missedAndDone(
  db: DbOrTx,
  { fromMs, toMs, fromOn, toOn }: Readonly<Record<'fromMs' | 'toMs', number> & Record<'fromOn' | 'toOn', string>>,
): { readonly missed: number; readonly done: number } {
  const count = sql<number>`count(*)`;
  const span = and(gte(bookings.startsAtMs, fromMs), lte(bookings.startsAtMs, toMs), eq(bookings.status, 'missed'));
  const done = and(
    gte(visits.onDate, fromOn),
    lte(visits.onDate, toOn),
    eq(visits.status, 'closed'),
    isNull(visits.endedAs),
  );
  return {
    missed: db.select({ n: count }).from(bookings).where(span).get()?.n ?? 0,
    done: db.select({ n: count }).from(visits).where(done).get()?.n ?? 0,
  };
}
