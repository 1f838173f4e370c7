'use client';

import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { honestYear } from '@/core/ledger';
import type { LedgerSums, Period, YearSaid } from '@/server/services/ledgerSums';
import { moneyIn } from '@/ui/money';
import { Rooms } from '@/ui/Rooms';
import { getJson, sendJson } from '@/ui/sendJson';
import { dayMonth, plural } from '@/ui/words';
import { HourRows } from './HourRows';
import { hourFinding } from './ledgerWords';
import { WhatIf } from './WhatIf.client';
import { YearStair } from './YearStair';
import styles from './Ledger.module.css';

const PERIODS: readonly { readonly period: Period; readonly name: string }[] = [
  { period: 'half-year', name: 'Half a year' },
  { period: 'month', name: 'Month' },
  { period: 'year', name: 'Year' },
];

interface Props {
  readonly first: LedgerSums;
  /** What is open today, in words, and how the closing is called. */
  readonly till: { readonly words: string; readonly act: string };
}

/** What an hour earns, what is left of a year, and what another price, length, product or table would change. */
export function LedgerPage({ first, till }: Props) {
  const router = useRouter();
  const [sums, setSums] = useState(first);
  const [byPerson, setByPerson] = useState(false);
  const [fault, setFault] = useState('');
  const money = moneyIn(sums.currency);
  const rows = byPerson ? sums.persons : sums.services;
  const look = async (period: Period): Promise<void> => {
    const got = await getJson<LedgerSums>(`/api/ledger/year?period=${period}`);
    if (got.ok) setSums(got.value);
    setFault(got.ok ? '' : got.error.message);
  };
  const say = async (year: YearSaid): Promise<boolean> => {
    const body = { version: sums.studioVersion, year };
    const sent = await sendJson<LedgerSums>('PUT', `/api/ledger/year?period=${sums.period}`, body);
    if (sent.ok) setSums(sent.value);
    setFault(sent.ok ? '' : `${sent.error.message} What you typed still stands here.`);
    return sent.ok;
  };
  return (
    <section className={styles.page}>
      {fault === '' ? null : (
        <p role="alert" className={styles.bad}>
          {fault}
        </p>
      )}
      <div className={styles.halves}>
        <div className={styles.half}>
          <h1>{hourFinding(rows, money)}</h1>
          <p className="quiet">
            {plural(sums.visits, 'own visit')} since {dayMonth(sums.from)}
            {sums.people === '' ? '' : `, ${sums.people}`}
          </p>
          {rows.length > 0 ? (
            <HourRows rows={rows} money={money} />
          ) : (
            <p className={styles.none}>
              Nothing is entered in this time. Enter what came for a visit under <Link href="/ledger/day">Day</Link>:
              from the first on it stands here what an hour of it earns.
            </p>
          )}
          <div className={styles.keys}>
            {PERIODS.map(({ period, name }) => (
              <Button key={period} size="large" aria-pressed={sums.period === period} onClick={() => void look(period)}>
                {name}
              </Button>
            ))}
            <Button size="large" aria-pressed={byPerson} onClick={() => setByPerson(!byPerson)}>
              By person
            </Button>
            <Button size="large" href={`/api/ledger/csv?table=months&from=${sums.from}&to=${sums.today}`}>
              CSV
            </Button>
          </div>
        </div>
        <div className={styles.half}>
          <div className={styles.head}>
            <h2 className={styles.finding}>
              From wish to truth: {money.short(honestYear(sums.year).leftMinor)} a year
            </h2>
            <Rooms of="ledger" here="/ledger" />
          </div>
          <p className="quiet">
            one practitioner, {money.say(sums.year.priceMinor)} a place, 52 weeks; tap a line to change it
          </p>
          <YearStair sums={sums} money={money} onSay={say} />
          <WhatIf sums={sums} money={money} />
          <div className={styles.till}>
            <p className="quiet">{till.words}</p>
            <Button type="primary" size="large" onClick={() => router.push('/ledger/day')}>
              {till.act}
            </Button>
          </div>
        </div>
      </div>
    </section>
  );
}
