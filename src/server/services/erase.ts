// Forgets a person on request. What the law makes one keep stays, named and dated: lines of money without the name, and
// signed consents where the owner says which law wants them, and until when.

import 'server-only';
import { sql } from 'drizzle-orm';
import { addDays, dateInWords, isCivilDate, ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { bookingsOfClient, insertEdit, readClient } from '../repos/clientRepo';
import {
  consentsCount,
  dropConsents,
  emptyPerson,
  erasureOf,
  erasuresDue,
  fileBytes,
  isAtTable,
  moneyLinesOf,
  putErasure,
  tidySearch,
  whileErasing,
} from '../repos/erasingRepo';
import { dropMergesOf, mergesOf } from '../repos/mergeRepo';
import { readPerson, readStudio, setSettings } from '../repos/studioRepo';

/** Books are kept for ten years after the year in which they were written: the longest common term, from memory. */
const MONEY_YEARS = 10;
/** A larger file is swept when the server starts the next time: it takes seconds. */
const SWEEP_AT_ONCE_BYTES = 24_000_000;

export interface EraseWanted {
  /** The name as it stands on the card, typed. */
  readonly name: string;
  /** Until when signed consents are kept all the same, and by which law; null = they go too. */
  readonly consents: { readonly until: string; readonly why: string } | null;
}

/** What is about to go, and what stays. */
export interface EraseLook {
  readonly visits: number;
  readonly consents: number;
  readonly moneyLines: number;
  readonly moneyUntil: string;
  readonly cancelled: number;
}

const moneyUntilOf = (today: string): string => `${Number(today.slice(0, 4)) + MONEY_YEARS}-12-31`;
const todayOf = (db: Db, nowMs: number): string => civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC');

export function lookAtErasing(db: Db, clientId: string, visits: number, nowMs: number): EraseLook {
  return {
    ...{ visits, consents: consentsCount(db, clientId), moneyLines: moneyLinesOf(db, clientId) },
    moneyUntil: moneyUntilOf(todayOf(db, nowMs)),
    cancelled: bookingsOfClient(db, clientId).filter((b) => b.status === 'booked' && b.startsAtMs > nowMs).length,
  };
}

export function eraseClient(
  db: Db,
  clientId: string,
  wanted: EraseWanted,
  { byId, nowMs }: { readonly byId: string | null; readonly nowMs: number },
): ServiceResult<null> {
  return atomically(db, () => {
    const client = readClient(db, clientId);
    if (!client) return notFound('client');
    if (erasureOf(db, clientId)) return refused('This person is erased already.');
    if (mergesOf(db, clientId).some((m) => m.goneId === clientId)) {
      return refused('This card was put together with another: erase that one, this goes with it.');
    }
    if (wanted.name.trim() !== client.name) return refused('That is not the name on the card.', 'name');
    if (isAtTable(db, clientId, nowMs)) return refused('A visit is under way: close it first.');
    const today = todayOf(db, nowMs);
    const { consents } = wanted;
    if (consents && (!isCivilDate(consents.until) || consents.until <= today)) {
      return refused('Until when they are kept is a day ahead.', 'consents.until');
    }
    const moneyLines = moneyLinesOf(db, clientId);
    const others = mergesOf(db, clientId).map((m) => (m.keptId === clientId ? m.goneId : m.keptId));
    // pages that are let go of are written over, not only given back
    db.run(sql`pragma secure_delete = on`);
    whileErasing(db, clientId, () => {
      const name = `Erased on ${dateInWords(today)}`;
      emptyPerson(db, clientId, name, nowMs);
      // cards that were put together with this one are of the same person
      for (const id of others) {
        emptyPerson(db, id, name, nowMs);
        dropConsents(db, id);
      }
      dropMergesOf(db, [clientId, ...others]);
      if (!consents) dropConsents(db, clientId);
    });
    for (const id of others) {
      putErasure(db, { ...{ clientId: id, atMs: nowMs, byId, moneyLines: 0, moneyUntil: moneyUntilOf(today) } });
    }
    putErasure(db, {
      ...{ clientId, atMs: nowMs, byId, moneyLines, moneyUntil: moneyUntilOf(today) },
      ...{ consentsUntil: consents?.until ?? null, consentsWhy: consents?.why ?? '' },
    });
    insertEdit(db, {
      clientId,
      personId: byId,
      atMs: nowMs,
      changes: [{ field: 'card', from: 'in use', to: 'erased' }],
    });
    tidySearch(db);
    return ok(null);
  });
}

/** Consents whose time is over go too; true where any did. */
export function endKeptConsents(db: Db, nowMs: number): boolean {
  const due = erasuresDue(db, todayOf(db, nowMs));
  for (const { clientId } of due) {
    db.transaction((tx) => {
      tx.run(sql`pragma secure_delete = on`);
      whileErasing(tx, clientId, () => dropConsents(tx, clientId));
      tx.run(sql`update erasures set consents_until = null where client_id = ${clientId}`);
    });
  }
  return due.length > 0;
}

/**
 * Writes the file anew without what was erased: at once where it is small, else at the next start, before anybody is
 * served. Not inside of a transaction.
 */
export function sweepFile(db: Db, isStarting = false): void {
  const studio = readStudio(db);
  if (!studio) return;
  if (!isStarting && fileBytes(db) > SWEEP_AT_ONCE_BYTES) {
    setSettings(db, { ...studio.settings, sweepDue: true }, studio.version);
    return;
  }
  if (isStarting && studio.settings.sweepDue !== true) return;
  if (isStarting) setSettings(db, { ...studio.settings, sweepDue: undefined }, studio.version);
  db.run(sql`pragma wal_checkpoint(truncate)`);
  db.run(sql`vacuum`);
  db.run(sql`pragma wal_checkpoint(truncate)`);
}

export interface Erased {
  readonly on: string;
  readonly by: string | null;
  readonly kept: readonly string[];
}

/** What the card of an erased person says; null where nobody was. */
export function erasedCard(db: Db, clientId: string): Erased | null {
  const row = erasureOf(db, clientId);
  if (!row) return null;
  const { atMs, byId, moneyLines, moneyUntil, consentsUntil, consentsWhy } = row;
  const on = civilDateAt(atMs, readStudio(db)?.timeZone ?? 'UTC');
  return {
    on,
    by: byId === null ? null : (readPerson(db, byId)?.name ?? null),
    kept: [
      ...(moneyLines > 0
        ? [
            `${moneyLines} lines of the ledger, without the name, until ${dateInWords(moneyUntil)}: books have to be kept.`,
          ]
        : []),
      ...(consentsUntil === null
        ? []
        : [`Signed consents, with the name, until ${dateInWords(consentsUntil)}: ${consentsWhy}`]),
      `Backups made before: the last of them goes by ${dateInWords(addDays(on, BACKUPS_KEPT_DAYS))}.`,
    ],
  };
}
/** Months are kept for a year, and the one that is begun. */
const BACKUPS_KEPT_DAYS = 396;
