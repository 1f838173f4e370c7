import { and, asc, desc, eq, gt, gte, inArray, isNull, lt, ne, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { bookings, clientEdits, clients } from '../db/schema';
import { readable } from '../db/json';
import { EMPTY_PROFILE, upProfile } from '../db/upSteps';

export type ClientRow = typeof clients.$inferSelect;
export type BookingRow = typeof bookings.$inferSelect;

const upClient = (row: ClientRow): ClientRow => ({ ...row, profile: upProfile(row.profile) });

/** A card in a list: one that cannot be read is named, its profile is empty, and the others stand. */
export interface ListedClient extends ClientRow {
  readonly isDamaged: boolean;
}
const listed = (row: ClientRow): ListedClient =>
  readable<ListedClient>(() => ({ ...upClient(row), isDamaged: false }), {
    ...row,
    profile: EMPTY_PROFILE,
    isDamaged: true,
  });
const clientById = prepared((db) =>
  db
    .select()
    .from(clients)
    .where(eq(clients.id, sql.placeholder('id')))
    .prepare(),
);
const readListed = (db: DbOrTx, id: string): ListedClient | undefined => {
  const row = clientById(db).get({ id });
  return row && listed(row);
};

export const readClient = (db: DbOrTx, id: string): ClientRow | undefined => {
  const row = clientById(db).get({ id });
  return row && upClient(row);
};
/** Name of a card, whatever else of it can be read. */
export const clientName = (db: DbOrTx, id: string): string =>
  db.select({ name: clients.name }).from(clients).where(eq(clients.id, id)).get()?.name ?? '';
export const insertClient = (db: DbOrTx, row: typeof clients.$inferInsert): void => {
  db.insert(clients).values(row).run();
};

/** Writes a client if the version still stands; false where another write came first. */
export function updateClient(
  db: DbOrTx,
  id: string,
  version: number,
  row: Partial<typeof clients.$inferInsert>,
): boolean {
  return (
    db
      .update(clients)
      .set({ ...row, version: version + 1 })
      .where(and(eq(clients.id, id), eq(clients.version, version)))
      .run().changes === 1
  );
}

/**
 * Words as an FTS5 query: every word must begin some word of the card. Quoted, so that nothing in it is read as syntax.
 */
const matchOf = (query: string): string =>
  query
    .normalize('NFC')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((w) => w.length > 0)
    .map((w) => `"${w}"*`)
    .join(' ');

/** So few letters begin some word of nearly every card: ranking them all would cost more than it tells. */
const SHORT_LETTERS = 2;

/** Names that begin with the letters, by name; then others with a word that begins so, until the list is full. */
function shortFind(db: DbOrTx, letters: string, match: string, limit: number, archived: boolean): ListedClient[] {
  const shown = archived ? sql`c.archived_at_ms is not null` : sql`c.archived_at_ms is null`;
  const pattern = `${letters.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
  const first = db.all<{ id: string }>(
    sql`select c.id as id from clients c where c.name like ${pattern} escape '\\' and ${shown} order by c.name collate nocase limit ${limit}`,
  );
  const more =
    first.length >= limit
      ? []
      : db.all<{ id: string }>(sql`
    select n.client_id as id from client_search s join client_search_no n on n.no = s.rowid join clients c on c.id = n.client_id where s.client_search match ${match} and ${shown} limit ${limit}`);
  return [...new Set([...first, ...more].map((r) => r.id))].slice(0, limit).flatMap((id) => readListed(db, id) ?? []);
}

/**
 * Clients whose name, byline, phone or note holds words that begin so; those found by their name first, then by name.
 * @param query an empty one gives the whole index by name
 */
export function findClients(db: DbOrTx, query: string, limit: number, archived = false): ListedClient[] {
  const match = matchOf(query);
  const shown = archived ? sql`${clients.archivedAtMs} is not null` : isNull(clients.archivedAtMs);
  if (match === '' && query.trim() !== '') return [];
  if (match === '') {
    return db.select().from(clients).where(shown).orderBy(asc(clients.name)).limit(limit).all().map(listed);
  }
  if (query.trim().length <= SHORT_LETTERS) return shortFind(db, query.trim(), match, limit, archived);
  // the rank is settled inside the index; only the few rows that are shown are read whole
  const ids = db.all<{ id: string }>(sql`
    select n.client_id as id from client_search s join client_search_no n on n.no = s.rowid join clients c on c.id = n.client_id
    where s.client_search match ${match} and ${archived ? sql`c.archived_at_ms is not null` : sql`c.archived_at_ms is null`}
    order by bm25(client_search, 10, 4, 6, 1) limit ${limit}`);
  return ids.flatMap(({ id }) => readListed(db, id) ?? []);
}

/** The next cards in use after one, by name. */
export const clientsAfter = (
  db: DbOrTx,
  after: { readonly name: string; readonly id: string } | null,
  limit: number,
): ListedClient[] =>
  db
    .select()
    .from(clients)
    .where(
      and(
        isNull(clients.archivedAtMs),
        ...(after === null ? [] : [sql`(${clients.name}, ${clients.id}) > (${after.name}, ${after.id})`]),
      ),
    )
    .orderBy(asc(clients.name), asc(clients.id))
    .limit(limit)
    .all()
    .map(listed);

const byName = prepared((db) =>
  db
    .select({ id: clients.id, name: clients.name, bornOn: clients.bornOn })
    .from(clients)
    .where(sql`${clients.name} = ${sql.placeholder('name')} collate nocase`)
    .prepare(),
);
/** Cards with this name, whatever its case. */
export const namesakes = (db: DbOrTx, name: string): Namesake[] => byName(db).all({ name });
export interface Namesake {
  readonly id: string;
  readonly name: string;
  readonly bornOn: string | null;
}

export type ClientEditRow = typeof clientEdits.$inferSelect;
export const insertEdit = (db: DbOrTx, row: typeof clientEdits.$inferInsert): void => {
  db.insert(clientEdits).values(row).run();
};
/** Latest first. */
export const editsOf = (db: DbOrTx, clientId: string): ClientEditRow[] =>
  db.select().from(clientEdits).where(eq(clientEdits.clientId, clientId)).orderBy(desc(clientEdits.seq)).all();

export const readBooking = (db: DbOrTx, id: string): BookingRow | undefined =>
  db.select().from(bookings).where(eq(bookings.id, id)).get();
export const insertBooking = (db: DbOrTx, row: typeof bookings.$inferInsert): void => {
  db.insert(bookings).values(row).run();
};
export const bookingsBetween = (db: DbOrTx, fromMs: number, toMs: number): BookingRow[] =>
  db
    .select()
    .from(bookings)
    .where(and(gte(bookings.startsAtMs, fromMs), lt(bookings.startsAtMs, toMs), eq(bookings.status, 'booked')))
    .orderBy(asc(bookings.startsAtMs))
    .all();
/** A booking of this practitioner that would run at the same time. */
export const clashingBooking = (
  db: DbOrTx,
  { personId, startsAtMs, minutes }: Pick<BookingRow, 'personId' | 'startsAtMs' | 'minutes'>,
  but?: string,
): BookingRow | undefined =>
  db
    .select()
    .from(bookings)
    .where(
      and(
        eq(bookings.personId, personId),
        eq(bookings.status, 'booked'),
        // no booking is longer than ten hours: the index on the start is enough to look at few
        gt(bookings.startsAtMs, startsAtMs - 600 * 60_000),
        lt(bookings.startsAtMs, startsAtMs + minutes * 60_000),
        sql`${bookings.startsAtMs} + ${bookings.minutes} * 60000 > ${startsAtMs}`,
        ne(bookings.id, but ?? ''),
      ),
    )
    .orderBy(asc(bookings.startsAtMs))
    .get();
export const bookingsOfClient = (db: DbOrTx, clientId: string): BookingRow[] =>
  db.select().from(bookings).where(eq(bookings.clientId, clientId)).orderBy(desc(bookings.startsAtMs)).all();

/** False where the version is no longer the one that was read. */
export const updateBooking = (
  db: DbOrTx,
  id: string,
  version: number,
  change: Partial<Pick<BookingRow, 'startsAtMs' | 'minutes' | 'personId' | 'status'>>,
): boolean =>
  db
    .update(bookings)
    .set({ ...change, version: version + 1 })
    .where(and(eq(bookings.id, id), eq(bookings.version, version)))
    .run().changes === 1;
/** Booked and missed of a span, in the order of time. */
export const weekBookings = (db: DbOrTx, fromMs: number, toMs: number): BookingRow[] =>
  db
    .select()
    .from(bookings)
    .where(and(gte(bookings.startsAtMs, fromMs), lt(bookings.startsAtMs, toMs), ne(bookings.status, 'cancelled')))
    .orderBy(asc(bookings.startsAtMs))
    .all();

export const cancelBooking = (db: DbOrTx, id: string): void => {
  db.update(bookings)
    .set({ status: 'cancelled', version: sql`${bookings.version} + 1` })
    .where(eq(bookings.id, id))
    .run();
};

/** Names by id; who is not there is left out. */
export const namesOfClients = (db: DbOrTx, ids: readonly string[]): ReadonlyMap<string, string> =>
  new Map(
    (ids.length === 0
      ? []
      : db
          .select({ id: clients.id, name: clients.name })
          .from(clients)
          .where(inArray(clients.id, [...ids]))
          .all()
    ).map((c) => [c.id, c.name]),
  );
