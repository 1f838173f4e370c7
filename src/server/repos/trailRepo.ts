import 'server-only';
import { and, asc, desc, eq, gt, gte, inArray, lt, sql, type SQL } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { trail } from '../db/schema';

export type TrailRow = typeof trail.$inferSelect;

const lastOf = prepared((db) =>
  db.select({ seq: trail.seq, hash: trail.hash }).from(trail).orderBy(desc(trail.seq)).limit(1).prepare(),
);
export const lastTrail = (db: DbOrTx): { readonly seq: number; readonly hash: string } | undefined => lastOf(db).get();

const givenOf = prepared((db) => {
  const asked = sql`select seq from sqlite_sequence where name = 'trail'`;
  return { get: () => db.get<{ readonly seq: number } | undefined>(asked) };
});
/** The highest number ever given, also where its line is gone. */
export const lastTrailNumber = (db: DbOrTx): number => givenOf(db).get()?.seq ?? 0;

export const insertTrail = (db: DbOrTx, row: TrailRow): void => {
  db.insert(trail).values(row).run();
};

/** When the first line was written; null where there is none. */
export const firstLineMs = (db: DbOrTx): number | null =>
  db.select({ atMs: trail.atMs }).from(trail).orderBy(asc(trail.seq)).limit(1).get()?.atMs ?? null;

/** In their order, after one. */
export const trailAfter = (db: DbOrTx, seq: number, most: number): TrailRow[] =>
  db.select().from(trail).where(gt(trail.seq, seq)).orderBy(asc(trail.seq)).limit(most).all();

export interface TrailWanted {
  readonly personId?: string | undefined;
  readonly kind?: 'write' | 'read' | undefined;
  readonly fromMs?: number | undefined;
  readonly toMs?: number | undefined;
  /** What the line is about is one of these. */
  readonly ids?: readonly string[] | undefined;
  readonly beforeSeq?: number | undefined;
}

/** The latest first. */
export function trailLines(db: DbOrTx, wanted: TrailWanted, most: number): TrailRow[] {
  const { personId, kind, fromMs, toMs, ids, beforeSeq } = wanted;
  const all: (SQL | undefined)[] = [
    personId === undefined ? undefined : eq(trail.personId, personId),
    kind === undefined ? undefined : eq(trail.kind, kind),
    fromMs === undefined ? undefined : gte(trail.atMs, fromMs),
    toMs === undefined ? undefined : lt(trail.atMs, toMs),
    beforeSeq === undefined ? undefined : lt(trail.seq, beforeSeq),
    ids === undefined ? undefined : inArray(trail.about, [...ids]),
  ];
  return db
    .select()
    .from(trail)
    .where(and(...all.filter((x) => x !== undefined)))
    .orderBy(desc(trail.seq))
    .limit(most)
    .all();
}
