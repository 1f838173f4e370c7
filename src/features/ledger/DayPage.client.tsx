'use client';

import { Button, Input, InputNumber } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { addDays } from '@/core/shared';
import type { LedgerDay } from '@/server/services/ledgerDay';
import { moneyIn } from '@/ui/money';
import { Rooms } from '@/ui/Rooms';
import { dayMonth, plural, timeOfDay, weekday } from '@/ui/words';
import { CreditForm } from './CreditForm';
import { DayLines } from './DayLines';
import { DueVisits } from './DueVisits';
import { dueWords, KIND_WORDS } from './ledgerWords';
import { useLedgerDay, type LedgerActs } from './useLedgerDay';
import styles from './Ledger.module.css';

/** What is still to be entered, or that all is, or that the day is closed. */
function finding({ due, dueSales, date, closing, sums, currency }: LedgerDay): string {
  const open = due.length + dueSales.length;
  const name = `${weekday(date)} ${dayMonth(date)}`;
  if (closing) return `${name} is closed${open > 0 ? `, ${open} still to be entered` : ''}`;
  if (open > 0) return `${name}: ${open} to be entered`;
  return sums.lines === 0 ? `${name}: nothing yet` : `${name}: all entered, ${moneyIn(currency).say(sums.earnedMinor)}`;
}

/** A day: what nobody has entered yet, its lines, its sums and its closing. */
export function DayPage({ first }: { readonly first: LedgerDay }) {
  const acts = useLedgerDay(first);
  const { day, said } = acts;
  const { date, today, earlier } = day;
  const to = (on: string): string => `/ledger/day?on=${on}`;
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{finding(day)}</h1>
        <Link href={to(addDays(date, -1))}>the day before</Link>
        {date < today ? <Link href={to(addDays(date, 1))}>the day after</Link> : null}
        <Rooms of="ledger" here="/ledger/day" />
      </div>
      {said ? (
        <p role={said.bad ? 'alert' : 'status'} className={said.bad ? styles.bad : 'quiet'}>
          {said.text}
        </p>
      ) : null}
      {earlier.length > 0 ? (
        <p>
          Not entered of earlier days:{' '}
          {earlier.slice(-4).map((e, i) => (
            <span key={e.date}>
              {i > 0 ? ', ' : ''}
              <Link href={to(e.date)}>
                {dayMonth(e.date)} ({plural(e.visits, 'visit')})
              </Link>
            </span>
          ))}
        </p>
      ) : null}
      <div className={styles.body}>
        <div>
          {day.closing && day.due.length + day.dueSales.length > 0 ? (
            <p className="quiet">The day is closed: what is entered of it now counts today.</p>
          ) : null}
          <DueVisits acts={acts} />
          <DayLines acts={acts} />
        </div>
        <Side acts={acts} />
      </div>
    </section>
  );
}

function Side({ acts }: { readonly acts: LedgerActs }) {
  const { sums, currency, credits, closing } = acts.day;
  const money = moneyIn(currency);
  const row = (name: string, minor: number, isTotal = false) => (
    <div className={isTotal ? styles.total : undefined}>
      <dt>{name}</dt>
      <dd>{money.say(minor)}</dd>
    </div>
  );
  return (
    <aside className={styles.side}>
      <dl className={styles.sums}>
        {row('Services', sums.servicesMinor)}
        {row('Goods', sums.goodsMinor)}
        {row('Earned', sums.earnedMinor, true)}
        {sums.vatMinor === 0 ? null : row('tax inside of it', sums.vatMinor)}
        {row('Cash', sums.cashMinor)}
        {row('Card', sums.cardMinor)}
        {row('Transfer', sums.transferMinor)}
        {sums.unsaidMinor === 0 ? null : row('not said how', sums.unsaidMinor)}
        {sums.creditMinor === 0 ? null : row('out of credits', sums.creditMinor)}
      </dl>
      {closing ? <Closed acts={acts} /> : <Closing acts={acts} />}
      {closing ? null : <CreditForm acts={acts} />}
      {credits.length > 0 ? (
        <details>
          <summary>
            Owed to clients: {money.say(credits.reduce((s, c) => s + c.leftMinor, 0))} in {credits.length}
          </summary>
          <ul>
            {credits.map((c) => (
              <li key={c.id}>
                <strong>{KIND_WORDS[c.kind]}</strong> {c.clientName || 'for whoever brings it'},{' '}
                {money.say(c.leftMinor)} left
                {c.kind === 'package' ? `, ${c.usesLeft} of ${c.uses} visits` : ''}
                <small className="quiet">
                  {' '}
                  {dayMonth(c.onDate)}
                  {c.words === '' ? '' : `, ${c.words}`}
                </small>
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </aside>
  );
}

/** What was counted in the drawer, and the day is closed: it takes no more lines. */
function Closing({ acts }: { readonly acts: LedgerActs }) {
  const { day } = acts;
  const money = moneyIn(day.currency);
  const [counted, setCounted] = useState<number | null>(null);
  const [words, setWords] = useState('');
  const standing = day.lines.filter((l) => !l.isUndone);
  const unsaid = standing.filter((l) => l.paid === null).length;
  const off = counted === null ? 0 : counted - day.sums.cashMinor;
  return (
    <div className={styles.form}>
      <InputNumber
        aria-label="Cash counted, without what the drawer began with"
        min={0}
        precision={money.digits}
        value={money.typed(counted)}
        placeholder="cash counted"
        onChange={(v) => setCounted(money.minorOf(v))}
        suffix={day.currency}
      />
      <p className="quiet">
        {off === 0
          ? 'Without what the drawer began with; may be left empty.'
          : `${money.say(Math.abs(off))} ${off > 0 ? 'more' : 'less'} than the lines say.`}
      </p>
      <Input
        aria-label="A word on the day"
        placeholder="a word on the day"
        maxLength={120}
        value={words}
        onChange={(e) => setWords(e.target.value)}
      />
      <p>{dueWords(standing.length, unsaid)}.</p>
      <Button
        type="primary"
        size="large"
        onClick={() =>
          void acts.act(
            { close: { countedMinor: counted, words: words.trim() } },
            `${weekday(day.date)} is closed: what was wrong is undone with a line of another day.`,
          )
        }
      >
        Close {weekday(day.date)}
      </Button>
    </div>
  );
}

function Closed({ acts: { day } }: { readonly acts: LedgerActs }) {
  const { closing, timeZone, currency } = day;
  const money = moneyIn(currency);
  if (!closing) return null;
  const { countedMinor, cashMinor, lines, earnedMinor, atMs, words } = closing;
  const counted =
    countedMinor === null
      ? 'Cash was not counted.'
      : `Cash counted ${money.say(countedMinor)}${countedMinor === cashMinor ? ', as the lines say' : `, the lines say ${money.say(cashMinor)}`}.`;
  return (
    <p>
      Closed at {timeOfDay(atMs, timeZone)} with {plural(lines, 'line')}, {money.say(earnedMinor)} earned. {counted}{' '}
      {words}
    </p>
  );
}
