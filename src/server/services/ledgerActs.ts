// What is written into the ledger: a visit or a sale entered, a gift, package or deposit sold, money given back, a line
// undone, how one was paid, a day closed. Every act is lines that are added; none is ever changed.

import 'server-only';
import { randomUUID } from 'node:crypto';
import {
  creditsIn,
  isCredit,
  packagePart,
  sumsOf,
  undoing,
  type Credit,
  type CreditKind,
  type Entry,
  type Paid,
} from '../../core/ledger';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { readClient } from '../repos/clientRepo';
import {
  entriesAbout,
  entriesBetween,
  entriesOfCredit,
  entriesOfSale,
  entriesOfVisits,
  insertClosing,
  insertEntry,
  lastEntrySeq,
  readClosing,
  readEntry,
  readSale,
  type EntryRow,
} from '../repos/ledgerRepo';
import { readServices, readStudio } from '../repos/studioRepo';
import { readVisit } from '../repos/visitRepo';
import { OTHER } from './visitParts';
import type { By } from './shelfMoves';

type Money = Exclude<Paid, 'credit' | 'nothing'>;
export type LedgerAct =
  | {
      readonly take: {
        readonly visitId: string;
        readonly lines: readonly { readonly item: string; readonly amountMinor: number }[];
        /** Null = nobody has said how yet. */
        readonly paid: Paid | null;
        readonly creditId: string | null;
        readonly words: string;
      };
    }
  | { readonly goods: { readonly moveSeq: number; readonly amountMinor: number; readonly paid: Paid | null } }
  | {
      readonly credit: {
        readonly kind: CreditKind;
        readonly clientId: string | null;
        readonly amountMinor: number;
        readonly paid: Money;
        /** Of a package: how many visits, of which service. */
        readonly uses: number;
        readonly item: string | null;
        readonly words: string;
      };
    }
  | {
      readonly refund: {
        readonly entryId: string;
        readonly amountMinor: number;
        readonly paid: Money;
        readonly words: string;
      };
    }
  | { readonly undo: { readonly entryId: string } }
  | { readonly say: { readonly entryId: string; readonly paid: Money } }
  | { readonly close: { readonly countedMinor: number | null; readonly words: string } };

/** A line with what the file needs beside it. */
type Line = Entry & { readonly moveSeq?: number | null };

interface Book {
  readonly db: Db;
  readonly onDate: string;
  readonly today: string;
  readonly by: By;
  readonly vatBp: { readonly services: number; readonly goods: number };
}

const write = ({ db, by }: Book, line: Line): void =>
  // a line made out of another one gets a number of its own
  insertEntry(db, { ...line, seq: undefined, atMs: by.atMs, byId: by.personId, moveSeq: line.moveSeq ?? null });

const blank = (book: Book): Omit<Line, 'kind' | 'amountMinor' | 'paid'> => ({
  ...{ id: randomUUID(), onDate: book.onDate, act: 'taken', vatBp: 0, creditId: null, uses: 0, about: null },
  ...{ visitId: null, clientId: null, personId: book.by.personId, item: null, words: '' },
});

const DONE = ok(null);

/** @param onDate civil date that it counts on; absent = today */
export function ledgerAct(db: Db, act: LedgerAct, onDate: string | undefined, by: By): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    const today = civilDateAt(by.atMs, studio.timeZone);
    const date = onDate ?? today;
    if (date > today) return refused('That day is still to come.', 'onDate');
    const isClosed = readClosing(db, date) !== undefined;
    if (isClosed && ('credit' in act || 'close' in act)) {
      return refused('That day is closed: enter it today and say in words what it was.', 'onDate');
    }
    // what comes late counts today: a closed day takes no more lines
    const counts = isClosed ? today : date;
    const isLate = 'take' in act || 'goods' in act || 'refund' in act;
    if (isLate && readClosing(db, counts)) return refused('Today is closed already: do it tomorrow.', 'onDate');
    const vatBp = studio.settings.money?.vatBp ?? { services: 0, goods: 0 };
    const book: Book = { db, onDate: counts, today, by, vatBp };
    if ('take' in act) return takeVisit(book, act.take);
    if ('goods' in act) return takeSale(book, act.goods);
    if ('credit' in act) return sellCredit(book, act.credit);
    if ('refund' in act) return giveBack(book, act.refund);
    if ('undo' in act) return undo(book, act.undo.entryId);
    if ('say' in act) return sayPaid(book, act.say);
    return closeDay(book, act.close);
  });
}

const standing = (rows: readonly EntryRow[]): readonly EntryRow[] => {
  const undone = new Set(rows.flatMap((r) => (r.act === 'undone' && r.about !== null ? [r.about] : [])));
  return rows.filter((r) => r.act === 'taken' && !undone.has(r.id));
};

function takeVisit(book: Book, take: Extract<LedgerAct, { take: unknown }>['take']): ServiceResult<null> {
  const { db } = book;
  const visit = readVisit(db, take.visitId);
  if (visit?.status !== 'closed') return notFound('closed visit');
  if (standing(entriesOfVisits(db, [visit.id])).some((e) => e.kind === 'service')) {
    return refused('This visit is entered already.', 'take.visitId');
  }
  const known = new Set([OTHER, ...readServices(db).map((s) => s.id)]);
  let credit = take.paid === 'credit' ? creditById(db, take.creditId) : null;
  if (take.paid === 'credit' && !credit) return refused('There is nothing left of that.', 'take.creditId');
  // a package of visits of any service takes one visit for all that is done at it
  const whole = credit?.kind === 'package' && credit.item === null ? credit.id : null;
  for (const [i, { item, amountMinor }] of take.lines.entries()) {
    if (!known.has(item)) return refused(`There is no service "${item}".`, `take.lines[${i}].item`);
    if (take.paid === 'nothing' && amountMinor !== 0) {
      return refused('On the house is 0.', `take.lines[${i}].amountMinor`);
    }
    const line = { ...blank(book), kind: 'service' as const, vatBp: book.vatBp.services, item, words: take.words };
    const of = { ...line, visitId: visit.id, clientId: visit.clientId, personId: visit.personId };
    if (whole !== null && i > 0) {
      write(book, { ...of, id: randomUUID(), amountMinor: 0, paid: 'credit', creditId: whole });
      continue;
    }
    const parts = credit
      ? outOfCredit(credit, item, amountMinor)
      : [{ amountMinor, paid: take.paid === 'credit' ? null : take.paid, creditId: null, uses: 0 }];
    for (const part of parts) write(book, { ...of, ...part, id: randomUUID() });
    credit = credit && creditById(db, credit.id);
  }
  return DONE;
}

type Part = Pick<Entry, 'amountMinor' | 'paid' | 'creditId' | 'uses'>;
/** A package pays a visit of its service whole; a gift or deposit what is in it, and the rest is still to be paid. */
function outOfCredit(credit: Credit, item: string, amountMinor: number): readonly Part[] {
  const from = { paid: 'credit' as const, creditId: credit.id };
  const still = (minor: number): readonly Part[] => [{ amountMinor: minor, paid: null, creditId: null, uses: 0 }];
  if (credit.kind === 'package') {
    const isFor = credit.item === null || credit.item === item;
    return isFor && credit.usesLeft > 0
      ? [{ ...from, amountMinor: packagePart(credit), uses: -1 }]
      : still(amountMinor);
  }
  const out = Math.min(credit.leftMinor, amountMinor);
  return [
    ...(out > 0 ? [{ ...from, amountMinor: out, uses: 0 }] : []),
    ...(amountMinor > out ? still(amountMinor - out) : []),
  ];
}

const creditById = (db: Db, id: string | null): Credit | null =>
  id === null ? null : (creditsIn(entriesOfCredit(db, id)).find((c) => c.id === id) ?? null);

function takeSale(
  book: Book,
  { moveSeq, amountMinor, paid }: Extract<LedgerAct, { goods: unknown }>['goods'],
): ServiceResult<null> {
  const sale = readSale(book.db, moveSeq);
  if (!sale) return notFound('sale');
  if (paid === 'credit') return refused('Goods are paid as money.', 'goods.paid');
  if (paid === 'nothing' && amountMinor !== 0) return refused('On the house is 0.', 'goods.amountMinor');
  const isEntered = standing(entriesOfSale(book.db, moveSeq)).length > 0;
  if (isEntered) return refused('This sale is entered already.', 'goods.moveSeq');
  write(book, {
    ...blank(book),
    kind: 'goods',
    amountMinor,
    paid,
    vatBp: book.vatBp.goods,
    item: sale.itemId,
    moveSeq,
  });
  return DONE;
}

function sellCredit(book: Book, sold: Extract<LedgerAct, { credit: unknown }>['credit']): ServiceResult<null> {
  const { kind, clientId, amountMinor, paid, uses, item, words } = sold;
  if (clientId !== null && !readClient(book.db, clientId)) return notFound('client');
  if (kind !== 'gift' && clientId === null) return refused('Whose is it?', 'credit.clientId');
  if (kind === 'package' && uses < 1) return refused('For how many visits?', 'credit.uses');
  if (item !== null && !readServices(book.db).some((s) => s.id === item)) return notFound('service');
  const id = randomUUID();
  const isPackage = kind === 'package';
  write(book, {
    ...{ ...blank(book), id, creditId: id, kind, amountMinor, paid, clientId, words },
    ...(isPackage ? { uses, item } : {}),
  });
  return DONE;
}

function giveBack(book: Book, refund: Extract<LedgerAct, { refund: unknown }>['refund']): ServiceResult<null> {
  const { db } = book;
  const entry = readEntry(db, refund.entryId);
  if (entry?.act !== 'taken') return notFound('line');
  const about = entriesAbout(db, entry.id);
  if (about.some((e) => e.act === 'undone')) return refused('That line was undone.', 'refund.entryId');
  if (entry.paid === 'credit') return refused('It was paid out of a credit: undo it instead.', 'refund.entryId');
  if (entry.paid === null) return refused('Nobody has said that it was paid: undo it instead.', 'refund.entryId');
  const undoneRefunds = new Set(about.flatMap((r) => entriesAbout(db, r.id).map((u) => u.about)));
  const back = about.filter((e) => !undoneRefunds.has(e.id)).reduce((s, e) => s - e.amountMinor, 0);
  const left = isCredit(entry.kind) ? (creditById(db, entry.id)?.leftMinor ?? 0) : entry.amountMinor - back;
  if (refund.amountMinor > left) return refused('That is more than there is to give back.', 'refund.amountMinor');
  // a package that is given back whole has no visits left either
  const uses = entry.kind === 'package' && refund.amountMinor === left ? -(creditById(db, entry.id)?.usesLeft ?? 0) : 0;
  write(book, {
    ...{ ...entry, id: randomUUID(), onDate: book.onDate, act: 'refund', about: entry.id, uses, moveSeq: null },
    ...{ amountMinor: -refund.amountMinor, paid: refund.paid, words: refund.words },
  });
  return DONE;
}

/** A line of a closed day is taken back today. */
const dayFor = ({ db, today }: Book, onDate: string): string => (readClosing(db, onDate) ? today : onDate);

function undo(book: Book, entryId: string): ServiceResult<null> {
  const { db } = book;
  const entry = readEntry(db, entryId);
  if (!entry) return notFound('line');
  if (entry.act === 'undone') return refused('It undoes another line: enter that one anew.', 'undo.entryId');
  const about = entriesAbout(db, entryId);
  if (about.some((e) => e.act === 'undone')) return refused('It is undone already.', 'undo.entryId');
  const undoneRefunds = new Set(about.flatMap((r) => entriesAbout(db, r.id).map((u) => u.about)));
  if (about.some((e) => e.act === 'refund' && !undoneRefunds.has(e.id))) {
    return refused('Money was given back on it: undo that first.', 'undo.entryId');
  }
  const usedUp = isCredit(entry.kind) && entry.act === 'taken' ? creditById(db, entry.id) : null;
  if (isCredit(entry.kind) && entry.act === 'taken') {
    const isWhole = usedUp?.leftMinor === entry.amountMinor && usedUp.usesLeft === entry.uses;
    if (!isWhole) return refused('Some of it is used: undo those lines first.', 'undo.entryId');
  }
  const onDate = dayFor(book, entry.onDate);
  if (readClosing(db, onDate)) return refused('Today is closed already: undo it tomorrow.', 'undo.entryId');
  write(book, { ...undoing(entry, randomUUID(), onDate), moveSeq: entry.moveSeq });
  return DONE;
}

function sayPaid(book: Book, { entryId, paid }: Extract<LedgerAct, { say: unknown }>['say']): ServiceResult<null> {
  const entry = readEntry(book.db, entryId);
  if (!entry) return notFound('line');
  if (entry.paid !== null || entry.act !== 'taken') return refused('It is said already how.', 'say.entryId');
  const undone = undo(book, entryId);
  if (!undone.ok) return undone;
  const onDate = dayFor(book, entry.onDate);
  write(book, { ...entry, id: randomUUID(), onDate, paid, moveSeq: entry.moveSeq });
  return DONE;
}

function closeDay(
  book: Book,
  { countedMinor, words }: Extract<LedgerAct, { close: unknown }>['close'],
): ServiceResult<null> {
  const { db, onDate, by } = book;
  const rows = entriesBetween(db, onDate, onDate);
  const { earnedMinor, cashMinor } = sumsOf(rows);
  insertClosing(db, {
    ...{ onDate, atMs: by.atMs, personId: by.personId, lastSeq: lastEntrySeq(db), lines: rows.length },
    ...{ earnedMinor, cashMinor, countedMinor, words },
  });
  return DONE;
}
