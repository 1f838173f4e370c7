// The book of a year: its months, what each service, person, product and thing brought, what is owed to clients, the
// days that were closed. All of it sums of the ledger's lines.

import 'server-only';
import { earnedOf, sumsOf, type Sums } from '../../core/ledger';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { closingsBetween, lineGroups, type ClosingRow, type LineGroup } from '../repos/ledgerRepo';
import { allProducts, readStudio } from '../repos/studioRepo';
import { namesIn, openCredits, type NamedCredit } from './ledgerDay';

export interface BookRow {
  readonly name: string;
  readonly lines: number;
  readonly earnedMinor: number;
}
export interface LedgerBook {
  readonly year: number;
  readonly thisYear: number;
  readonly currency: string;
  readonly months: readonly { readonly month: string; readonly sums: Sums }[];
  readonly total: Sums;
  readonly services: readonly BookRow[];
  readonly persons: readonly BookRow[];
  /** Services by what they were worked with, then goods. */
  readonly products: readonly BookRow[];
  readonly credits: readonly NamedCredit[];
  readonly closings: readonly Pick<ClosingRow, 'onDate' | 'lines' | 'earnedMinor' | 'cashMinor' | 'countedMinor'>[];
}

function rowsBy(lines: readonly LineGroup[], nameOf: (e: LineGroup) => string): readonly BookRow[] {
  const found = new Map<string, BookRow>();
  for (const e of lines) {
    const name = nameOf(e);
    const at = found.get(name) ?? { name, lines: 0, earnedMinor: 0 };
    const taken = e.act === 'taken' ? e.times : 0;
    found.set(name, { name, lines: at.lines + taken, earnedMinor: at.earnedMinor + e.times * earnedOf(e) });
  }
  return [...found.values()]
    .filter((r) => r.earnedMinor !== 0)
    .sort((a, b) => b.earnedMinor - a.earnedMinor || a.name.localeCompare(b.name));
}

/** @param year absent = this one */
export function loadBook(db: Db, year: number | undefined, nowMs: number): ServiceResult<LedgerBook> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const thisYear = Number(civilDateAt(nowMs, studio.timeZone).slice(0, 4));
  const of = year ?? thisYear;
  const [from, to] = [`${of}-01-01`, `${of}-12-31`];
  const lines = lineGroups(db, from, to);
  const names = namesIn(db);
  const products = new Map(allProducts(db).map((p) => [p.id, p.data.product.name]));
  const earned = lines.filter((e) => e.kind === 'service' || e.kind === 'goods');
  const services = earned.filter((e) => e.kind === 'service');
  const productOf = (e: LineGroup): string => {
    if (e.kind === 'goods') return names.item(e.item);
    return e.product === null ? 'Several, or not known' : (products.get(e.product) ?? e.product);
  };
  return ok({
    ...{ year: of, thisYear, currency: studio.currency },
    months: Array.from({ length: 12 }, (_, i) => {
      const month = `${of}-${String(i + 1).padStart(2, '0')}`;
      return { month, sums: sumsOf(lines.filter((e) => e.month === month)) };
    }),
    total: sumsOf(lines),
    services: rowsBy(services, (e) => names.item(e.item)),
    persons: rowsBy(earned, (e) => names.person(e.personId) || 'Nobody was named'),
    products: rowsBy(earned, productOf),
    credits: openCredits(db, names),
    closings: closingsBetween(db, from, to).map(({ onDate, lines, earnedMinor, cashMinor, countedMinor }) => ({
      ...{ onDate, lines, earnedMinor, cashMinor, countedMinor },
    })),
  });
}
