'use client';

import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import type { Paid } from '@/core/ledger';
import type { DueSale, DueVisit, NamedCredit } from '@/server/services/ledgerDay';
import { moneyIn, type Money } from '@/ui/money';
import { timeOfDay } from '@/ui/words';
import { KIND_WORDS, MONEY_WAYS, PAID_WORDS } from './ledgerWords';
import type { LedgerActs } from './useLedgerDay';
import styles from './Ledger.module.css';

/** Visits and sales of the day that nobody has entered yet: one tap says how it was paid. */
export function DueVisits({ acts }: { readonly acts: LedgerActs }) {
  const { due, dueSales, currency } = acts.day;
  const money = moneyIn(currency);
  return (
    <div className={styles.due}>
      {due.map((visit) => (
        <VisitCard key={visit.visitId} visit={visit} acts={acts} money={money} />
      ))}
      {dueSales.map((sale) => (
        <SaleCard key={sale.moveSeq} sale={sale} acts={acts} money={money} />
      ))}
    </div>
  );
}

interface Kit {
  readonly acts: LedgerActs;
  readonly money: Money;
}

function VisitCard({ visit, acts, money }: Kit & { readonly visit: DueVisit }) {
  const { visitId, clientId, clientName, personName, atMs, lines } = visit;
  const { timeZone, credits } = acts.day;
  const [amounts, setAmounts] = useState<readonly (number | null)[]>(lines.map((l) => l.priceMinor));
  const isWhole = amounts.every((a) => a !== null);
  // a gift is for whoever brings it
  const own = credits.filter((c) => c.clientId === clientId || (c.kind === 'gift' && c.clientId === null));
  const fits = (c: NamedCredit): boolean =>
    c.kind !== 'package' || c.item === null || lines.some((l) => l.item === c.item);
  const take = (paid: Paid, creditId: string | null): void => {
    const entered = lines.map((l, i) => ({ item: l.item, amountMinor: paid === 'nothing' ? 0 : (amounts[i] ?? 0) }));
    void acts.act(
      { take: { visitId, lines: entered, paid, creditId, words: '' } },
      `${clientName}: entered, ${PAID_WORDS[paid].toLowerCase()}.`,
    );
  };
  return (
    <article className={styles.card} aria-label={`${clientName}, not entered`}>
      <div>
        <h3>{clientName}</h3>
        <p className="quiet">
          {[atMs > 0 ? timeOfDay(atMs, timeZone) : '', personName, 'not entered yet'].filter(Boolean).join(', ')}
        </p>
      </div>
      <div className={styles.prices}>
        {lines.map((l, i) => (
          <label key={l.item}>
            <span>{l.name}</span>
            <InputNumber
              min={0}
              max={100_000}
              precision={money.digits}
              value={money.typed(amounts[i] ?? null)}
              placeholder="how much"
              onChange={(v) => setAmounts(amounts.map((a, k) => (k === i ? money.minorOf(v) : a)))}
              suffix={acts.day.currency}
            />
          </label>
        ))}
      </div>
      <div className={styles.ways}>
        {MONEY_WAYS.map((paid) => (
          <Button key={paid} disabled={!isWhole} onClick={() => take(paid, null)}>
            {PAID_WORDS[paid]}
          </Button>
        ))}
        {own.filter(fits).map((c) => (
          <Button key={c.id} disabled={!isWhole} onClick={() => take('credit', c.id)}>
            {creditWords(c, money)}
          </Button>
        ))}
        <Button type="text" onClick={() => take('nothing', null)}>
          {PAID_WORDS.nothing}
        </Button>
      </div>
    </article>
  );
}

/** A credit as a button: what is left in it. */
const creditWords = (c: NamedCredit, money: Money): string =>
  c.kind === 'package'
    ? `${KIND_WORDS.package}, ${c.usesLeft} of ${c.uses} left`
    : `${KIND_WORDS[c.kind]}, ${money.say(c.leftMinor)} left`;

function SaleCard({ sale, acts, money }: Kit & { readonly sale: DueSale }) {
  const { moveSeq, name, amount, priceMinor } = sale;
  const [minor, setMinor] = useState<number | null>(priceMinor);
  return (
    <article className={styles.card} aria-label={`${name}, not entered`}>
      <div>
        <h3>
          {amount} × {name}
        </h3>
        <p className="quiet">sold off the shelf, not entered yet</p>
      </div>
      <div className={styles.prices}>
        <label>
          <span>For all of it</span>
          <InputNumber
            min={0}
            max={100_000}
            precision={money.digits}
            value={money.typed(minor)}
            placeholder="how much"
            onChange={(v) => setMinor(money.minorOf(v))}
            suffix={acts.day.currency}
          />
        </label>
      </div>
      <div className={styles.ways}>
        {MONEY_WAYS.map((paid) => (
          <Button
            key={paid}
            disabled={minor === null}
            onClick={() => void acts.act({ goods: { moveSeq, amountMinor: minor ?? 0, paid } }, `${name}: entered.`)}
          >
            {PAID_WORDS[paid]}
          </Button>
        ))}
      </div>
    </article>
  );
}
