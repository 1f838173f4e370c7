// Amounts in the reader's form and out of what was typed: whole minor units inside, never floating money.

import { currencyDigits } from '@/core/ledger';

const LOCALE = 'en-GB';

export interface Money {
  readonly digits: number;
  /** With its small coins: `€34.00`. */
  readonly say: (minor: number) => string;
  /** Without them, to be read at arm's length: `€34`. */
  readonly short: (minor: number) => string;
  /** Of a field's number; null where there is none. */
  readonly minorOf: (typed: number | null) => number | null;
  readonly typed: (minor: number | null) => number | null;
}

const kept = new Map<string, Money>();

export function moneyIn(currency: string): Money {
  const known = kept.get(currency);
  if (known) return known;
  const digits = currencyDigits(currency);
  const unit = 10 ** digits;
  const full = new Intl.NumberFormat(LOCALE, { style: 'currency', currency });
  const round = new Intl.NumberFormat(LOCALE, { style: 'currency', currency, maximumFractionDigits: 0 });
  const money: Money = {
    digits,
    say: (minor) => full.format(minor / unit),
    short: (minor) => round.format(Math.round(minor / unit) || 0),
    minorOf: (typed) => (typed === null ? null : Math.round(typed * unit)),
    typed: (minor) => (minor === null ? null : minor / unit),
  };
  kept.set(currency, money);
  return money;
}
