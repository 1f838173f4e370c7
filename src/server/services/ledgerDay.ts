// A day of the ledger: what of its visits and sales nobody has entered yet, its lines, its sums, whether it is closed.

import 'server-only';
import type { ZoneId } from '../../core/anatomy';
import { creditsIn, sumsOf, type Credit, type Entry, type Sums } from '../../core/ledger';
import { addDays, ok } from '../../core/shared';
import { civilDateAt, instantAt } from '../clock';
import type { Db, DbOrTx } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { readClient } from '../repos/clientRepo';
import {
  entriesBetween,
  openCreditLines,
  readClosing,
  undoneAmong,
  salesNotEntered,
  visitsNotEntered,
  type ClosingRow,
  type EntryRow,
} from '../repos/ledgerRepo';
import { allServices } from '../repos/houseRepo';
import { shelfItemsInUse } from '../repos/shelfRepo';
import { peopleNames, readServices, readStudio, type StudioRow } from '../repos/studioRepo';
import { chartsOf } from '../repos/visitRepo';
import { OTHER, servicesOfVisit } from './visitParts';

/** Earlier days are looked through so far back, days. */
const LOOK_BACK_DAYS = 30;

export interface DueLine {
  readonly item: string;
  readonly name: string;
  /** By the list; null = no price is entered. */
  readonly priceMinor: number | null;
}
export interface DueVisit {
  readonly visitId: string;
  readonly clientId: string;
  readonly clientName: string;
  readonly personName: string;
  readonly atMs: number;
  readonly lines: readonly DueLine[];
}
export interface DueSale {
  readonly moveSeq: number;
  readonly name: string;
  readonly amount: number;
  /** For all of it; null = no price is entered. */
  readonly priceMinor: number | null;
}
export interface LedgerLine extends Entry {
  readonly atMs: number;
  readonly itemName: string;
  readonly clientName: string;
  readonly personName: string;
  /** Undone, or undoing, within the same lines: together they are nothing. */
  readonly isUndone: boolean;
  /** Undone by a line of another day: here it stands as it was closed. */
  readonly isUndoneLater: boolean;
}
export interface NamedCredit extends Credit {
  readonly clientName: string;
  readonly itemName: string;
}
export interface LedgerDay {
  readonly date: string;
  readonly today: string;
  readonly timeZone: string;
  readonly currency: string;
  readonly due: readonly DueVisit[];
  readonly dueSales: readonly DueSale[];
  /** Earlier days with visits that nobody has entered. */
  readonly earlier: readonly { readonly date: string; readonly visits: number }[];
  readonly lines: readonly LedgerLine[];
  readonly sums: Sums;
  readonly credits: readonly NamedCredit[];
  readonly closing: Pick<ClosingRow, 'atMs' | 'lines' | 'earnedMinor' | 'cashMinor' | 'countedMinor' | 'words'> | null;
  readonly services: readonly { readonly id: string; readonly name: string }[];
}

export interface Names {
  readonly item: (id: string | null) => string;
  readonly client: (id: string | null) => string;
  readonly person: (id: string | null) => string;
}

/** Names of what lines are about; a thing that is gone keeps its id. */
export function namesIn(db: DbOrTx): Names {
  const people = peopleNames(db);
  const items = new Map<string, string>([
    ...shelfItemsInUse(db).map((i) => [i.id, i.name] as const),
    ...[...readServices(db), ...allServices(db)].map((s) => [s.id, s.name] as const),
    [OTHER, 'Something else'],
  ]);
  const clients = new Map<string, string>();
  return {
    item: (id) => (id === null ? '' : (items.get(id) ?? id)),
    person: (id) => (id === null ? '' : (people.get(id) ?? '')),
    client: (id) => {
      if (id === null) return '';
      const name = clients.get(id) ?? readClient(db, id)?.name ?? '';
      clients.set(id, name);
      return name;
    },
  };
}

export const namedLines = (db: DbOrTx, rows: readonly EntryRow[], names: Names): readonly LedgerLine[] => {
  const here = new Set(rows.map((r) => r.id));
  const pairs = rows.filter((r) => r.act === 'undone' && r.about !== null && here.has(r.about));
  const undone = new Set(pairs.flatMap((r) => [r.about, r.id]));
  const later = undoneAmong(db, [...here]);
  return rows.map((r) => ({
    ...r,
    isUndoneLater: later.has(r.id) && !undone.has(r.id),
    itemName: names.item(r.item),
    clientName: names.client(r.clientId),
    personName: names.person(r.personId),
    isUndone: undone.has(r.id),
  }));
};

export const openCredits = (db: DbOrTx, names: Names): readonly NamedCredit[] =>
  creditsIn(openCreditLines(db)).map((c) => ({
    ...c,
    clientName: names.client(c.clientId),
    itemName: names.item(c.item),
  }));

function dueVisits(db: DbOrTx, date: string, { settings }: StudioRow, names: Names): readonly DueVisit[] {
  const services = readServices(db);
  return visitsNotEntered(db, date, date).map((v) => {
    const zones = chartsOf(db, v.id).map((c) => ({ zone: c.zone as ZoneId, side: c.side })); // our own column
    const done = servicesOfVisit(services, v.consult.services, zones);
    const lines = done.map(({ id, name }) => ({ item: id, name, priceMinor: settings.money?.priceMinor[id] ?? null }));
    return {
      ...{ visitId: v.id, clientId: v.clientId, clientName: v.clientName, personName: names.person(v.personId) },
      atMs: v.closedAtMs ?? 0,
      lines: lines.length > 0 ? lines : [{ item: OTHER, name: names.item(OTHER), priceMinor: null }],
    };
  });
}

function dueSales(db: DbOrTx, date: string, { settings, timeZone }: StudioRow): readonly DueSale[] {
  const fromMs = instantAt(date, 0, 0, timeZone);
  const toMs = instantAt(addDays(date, 1), 0, 0, timeZone) - 1;
  return salesNotEntered(db, fromMs, toMs).map(({ seq, amount, itemId, name }) => {
    const each = settings.money?.goodsMinor?.[itemId];
    return { moveSeq: seq, name, amount: -amount, priceMinor: each === undefined ? null : each * -amount };
  });
}

/** @param on civil date; absent or still to come = today */
export function loadLedgerDay(db: Db, on: string | undefined, nowMs: number): ServiceResult<LedgerDay> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { timeZone, currency } = studio;
  const today = civilDateAt(nowMs, timeZone);
  const date = on !== undefined && on <= today ? on : today;
  const names = namesIn(db);
  const rows = entriesBetween(db, date, date);
  const before = new Map<string, number>();
  for (const v of visitsNotEntered(db, addDays(date, -LOOK_BACK_DAYS), addDays(date, -1))) {
    before.set(v.onDate, (before.get(v.onDate) ?? 0) + 1);
  }
  const closing = readClosing(db, date);
  return ok({
    ...{ date, today, timeZone, currency },
    due: dueVisits(db, date, studio, names),
    dueSales: dueSales(db, date, studio),
    earlier: [...before].map(([day, visits]) => ({ date: day, visits })),
    lines: namedLines(db, rows, names),
    sums: sumsOf(rows),
    credits: openCredits(db, names),
    closing: closing
      ? {
          ...{ atMs: closing.atMs, lines: closing.lines, earnedMinor: closing.earnedMinor },
          ...{ cashMinor: closing.cashMinor, countedMinor: closing.countedMinor, words: closing.words },
        }
      : null,
    services: readServices(db).map(({ id, name }) => ({ id, name })),
  });
}
