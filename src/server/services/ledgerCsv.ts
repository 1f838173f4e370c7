// The ledger as tables for a spreadsheet or an accountant (RFC 4180): amounts in the currency with a point, one line a
// line, nothing of health, clients by name only where the lines are asked for.

import 'server-only';
import { stringify } from 'csv-stringify/sync';
import { currencyDigits, sumsOf, vatOf } from '../../core/ledger';
import type { Db } from '../db/openDatabase';
import { closingsBetween, entriesBetween } from '../repos/ledgerRepo';
import { readStudio } from '../repos/studioRepo';
import { namedLines, namesIn } from './ledgerDay';

export const TABLES = ['lines', 'months', 'closings'] as const;
export type CsvTable = (typeof TABLES)[number];

const COLUMNS: Readonly<Record<CsvTable, readonly string[]>> = {
  lines: [
    'number',
    'date',
    'kind',
    'act',
    'what',
    'client',
    'practitioner',
    'amount',
    'tax inside',
    'tax %',
    'paid',
    'credit',
    'undoes or gives back',
    'words',
  ],
  months: [
    'month',
    'lines',
    'services',
    'goods',
    'earned',
    'tax inside',
    'cash',
    'card',
    'transfer',
    'not said',
    'out of credits',
    'owed to clients, change',
  ],
  closings: ['date', 'lines', 'earned', 'cash by lines', 'cash counted', 'difference', 'words'],
};

/** Whole minor units as a decimal number of the currency: exact, without floating arithmetic. */
export function decimalOf(minor: number, digits: number): string {
  const text = String(Math.abs(minor)).padStart(digits + 1, '0');
  const sign = minor < 0 ? '-' : '';
  return digits === 0 ? `${sign}${text}` : `${sign}${text.slice(0, -digits)}.${text.slice(-digits)}`;
}

export function ledgerCsv(db: Db, table: CsvTable, from: string, to: string): string {
  const digits = currencyDigits(readStudio(db)?.currency ?? 'EUR');
  const money = (minor: number): string => decimalOf(minor, digits);
  const entries = entriesBetween(db, from, to);
  const rows: readonly (readonly (string | number)[])[] = {
    lines: () =>
      namedLines(db, entries, namesIn(db)).map((e, i) => [
        ...[entries[i]?.seq ?? 0, e.onDate, e.kind, e.act, e.itemName, e.clientName, e.personName],
        ...[money(e.amountMinor), money(vatOf(e)), e.vatBp / 100, e.paid ?? 'not said'],
        ...[e.creditId ?? '', e.about ?? '', e.words],
      ]),
    months: () =>
      [...new Set(entries.map((e) => e.onDate.slice(0, 7)))].sort().map((month) => {
        const s = sumsOf(entries.filter((e) => e.onDate.startsWith(month)));
        const minors = [s.servicesMinor, s.goodsMinor, s.earnedMinor, s.vatMinor, s.cashMinor, s.cardMinor];
        const more = [s.transferMinor, s.unsaidMinor, s.creditMinor, s.owedMinor];
        return [month, s.lines, ...[...minors, ...more].map(money)];
      }),
    closings: () =>
      closingsBetween(db, from, to).map((c) => [
        ...[c.onDate, c.lines, money(c.earnedMinor), money(c.cashMinor)],
        ...(c.countedMinor === null ? ['', ''] : [money(c.countedMinor), money(c.countedMinor - c.cashMinor)]),
        c.words,
      ]),
  }[table]();
  // words that begin like a formula are words; an amount below nothing is a number
  return stringify([COLUMNS[table], ...rows], {
    record_delimiter: 'windows',
    cast: { string: (value) => (/^[=+@\t]|^-(?!\d+(\.\d+)?$)/.test(value) ? `'${value}` : value) },
  });
}
