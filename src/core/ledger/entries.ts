// The ledger's lines. Every line is signed and nothing is ever changed: what was wrong is undone by a line of its own.
// All sums are sums of lines: what was earned, what was taken in which way, what is owed to clients.

import { vatInside } from './rounding';

export const KINDS = ['service', 'goods', 'gift', 'package', 'deposit'] as const;
/** `gift`, `package` and `deposit` are money of a client that is not earned yet. */
export type Kind = (typeof KINDS)[number];
export type CreditKind = Exclude<Kind, 'service' | 'goods'>;
export const PAID = ['cash', 'card', 'transfer', 'credit', 'nothing'] as const;
/** `credit` = out of a gift, package or deposit; `nothing` = on the house. */
export type Paid = (typeof PAID)[number];

export interface Entry {
  readonly id: string;
  /** Civil date on which it counts. */
  readonly onDate: string;
  readonly kind: Kind;
  readonly act: 'taken' | 'refund' | 'undone';
  /** What came (above nothing) or went back (below), tax inside, minor units. */
  readonly amountMinor: number;
  /** Tax inside of it, basis points. */
  readonly vatBp: number;
  /** Null = nobody has said how. */
  readonly paid: Paid | null;
  /** The credit that it opens (its own id), draws on or gives back. */
  readonly creditId: string | null;
  /** Visits that a package opens with (above nothing) or that are taken from it (below). */
  readonly uses: number;
  /** The line that is given back or undone. */
  readonly about: string | null;
  readonly visitId: string | null;
  readonly clientId: string | null;
  /** Who did the work. */
  readonly personId: string | null;
  /** Service or thing by its id. */
  readonly item: string | null;
  readonly words: string;
}

export const isCredit = (kind: Kind): kind is CreditKind => kind !== 'service' && kind !== 'goods';
type Line = Pick<Entry, 'kind' | 'amountMinor' | 'vatBp' | 'paid'>;
export const earnedOf = (e: Line): number => (isCredit(e.kind) ? 0 : e.amountMinor);
/** Tax is due where it is earned, not where a gift is bought. */
export const vatOf = (e: Line): number => (isCredit(e.kind) ? 0 : vatInside(e.amountMinor, e.vatBp));
/** How much more is owed to clients by it. */
export const owedOf = (e: Line): number =>
  (isCredit(e.kind) ? e.amountMinor : 0) - (e.paid === 'credit' ? e.amountMinor : 0);

export interface Sums {
  readonly lines: number;
  readonly servicesMinor: number;
  readonly goodsMinor: number;
  /** Services and goods. */
  readonly earnedMinor: number;
  readonly vatMinor: number;
  readonly cashMinor: number;
  readonly cardMinor: number;
  readonly transferMinor: number;
  /** Nobody has said how it was paid. */
  readonly unsaidMinor: number;
  /** Paid out of gifts, packages and deposits. */
  readonly creditMinor: number;
  /** How much more is owed to clients than before. */
  readonly owedMinor: number;
}

/**
 * Sums of some lines. Always: cash + card + transfer + unsaid = earned + owed.
 * @param entries `times` = so many lines just like it, for a year whose lines are counted before they are summed
 */
export function sumsOf(entries: readonly (Line & { readonly times?: number | undefined })[]): Sums {
  const sum = (of: (e: Line) => number): number => entries.reduce((s, e) => s + (e.times ?? 1) * of(e), 0);
  const paid = (how: Paid | null): number => sum((e) => (e.paid === how ? e.amountMinor : 0));
  return {
    lines: sum(() => 1),
    servicesMinor: sum((e) => (e.kind === 'service' ? e.amountMinor : 0)),
    goodsMinor: sum((e) => (e.kind === 'goods' ? e.amountMinor : 0)),
    earnedMinor: sum(earnedOf),
    vatMinor: sum(vatOf),
    cashMinor: paid('cash'),
    cardMinor: paid('card'),
    transferMinor: paid('transfer'),
    unsaidMinor: paid(null),
    creditMinor: paid('credit'),
    owedMinor: sum(owedOf),
  };
}

export interface Credit {
  readonly id: string;
  readonly kind: CreditKind;
  readonly clientId: string | null;
  readonly onDate: string;
  readonly words: string;
  readonly amountMinor: number;
  readonly leftMinor: number;
  /** Of a package: visits it was sold with, and those that are left. */
  readonly uses: number;
  readonly usesLeft: number;
  /** Of a package: the service it is for. */
  readonly item: string | null;
}

/** Gifts, packages and deposits with something left in them, oldest first, by all lines about them. */
export function creditsIn(entries: readonly Entry[]): readonly Credit[] {
  const opened = entries.filter((e) => isCredit(e.kind) && e.act === 'taken');
  return opened.flatMap((o) => {
    const own = entries.filter((e) => e.creditId === o.id);
    const leftMinor = own.reduce((s, e) => s + owedOf(e), 0);
    const usesLeft = own.reduce((s, e) => s + e.uses, 0);
    if (leftMinor <= 0 && usesLeft <= 0) return [];
    const { id, clientId, onDate, words, amountMinor, uses, item } = o;
    return isCredit(o.kind)
      ? [{ id, kind: o.kind, clientId, onDate, words, amountMinor, leftMinor, uses, usesLeft, item }]
      : [];
  });
}

/** What the next visit out of a package earns: an equal part of what is left, the last one takes the rest. */
export function packagePart(credit: Pick<Credit, 'leftMinor' | 'usesLeft'>): number {
  return credit.usesLeft <= 1 ? credit.leftMinor : Math.floor(credit.leftMinor / credit.usesLeft);
}

/** The line that takes another one back, on the day on which that is done. */
export const undoing = (e: Entry, id: string, onDate: string): Entry => ({
  ...e,
  id,
  onDate,
  act: 'undone',
  amountMinor: 0 - e.amountMinor,
  uses: 0 - e.uses,
  about: e.id,
});
