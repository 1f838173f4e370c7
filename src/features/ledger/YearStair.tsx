'use client';

import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import { honestYear, type YearFacts } from '@/core/ledger';
import type { LedgerSums, YearSaid } from '@/server/services/ledgerSums';
import type { Money } from '@/ui/money';
import { Slab } from './HourRows';
import { LOSS_WORDS } from './ledgerWords';
import styles from './Ledger.module.css';

type Field = keyof YearSaid;
const FIELD_OF = {
  wish: ['placesAWeek', 'priceMinor'],
  'weeks-off': ['weeksOff'],
  turnover: ['turnoverMin'],
  'no-shows': ['noShowPermille'],
  material: ['materialsMinor'],
  room: ['roomYearMinor'],
  tax: ['taxPermille'],
} as const satisfies Readonly<Record<string, readonly Field[]>>;
type LineName = keyof typeof FIELD_OF;

const LABELS: Readonly<Record<Field, string>> = {
  placesAWeek: 'Places a week, back to back',
  priceMinor: 'A place brings',
  weeksOff: 'Weeks off in a year',
  turnoverMin: 'Turnover after each, min',
  noShowPermille: 'Nobody comes to, of 100',
  materialsMinor: 'Material of a place',
  roomYearMinor: 'Room in a year',
  taxPermille: 'Laid aside for tax, %',
};
const isMoney = (f: Field): boolean => f === 'priceMinor' || f === 'materialsMinor' || f === 'roomYearMinor';
const isPermille = (f: Field): boolean => f === 'noShowPermille' || f === 'taxPermille';

interface Props {
  readonly sums: LedgerSums;
  readonly money: Money;
  readonly onSay: (year: YearSaid) => Promise<boolean>;
}

/** The wish dashed, each loss hanging from the one before, what is left a slab. Each line opens its figure. */
export function YearStair({ sums, money, onSay }: Props) {
  const [open, setOpen] = useState<LineName | null>(null);
  const { year: facts } = sums;
  const year = honestYear(facts);
  const scale = Math.max(1, year.wishMinor);
  const at = (minor: number): string => `${(100 * Math.min(scale, Math.max(0, minor))) / scale}%`;
  /** What is left below each loss. */
  const below = year.losses.map((_, i) => year.losses.slice(0, i + 1).reduce((s, l) => s - l.minor, year.wishMinor));
  const row = (name: LineName, label: string, bar: React.ReactNode, amount: string) => (
    <li key={name}>
      <button
        type="button"
        className={styles.yearRow}
        aria-expanded={open === name}
        onClick={() => setOpen(open === name ? null : name)}
      >
        <span>{label}</span>
        <span className={styles.yearTrack}>{bar}</span>
        <b className={name === 'wish' ? undefined : styles.loss}>{amount}</b>
      </button>
      {open === name ? (
        <Figures key={`${name} ${JSON.stringify(sums.said)}`} name={name} sums={sums} money={money} onSay={onSay} />
      ) : null}
    </li>
  );
  return (
    <ul className={styles.year}>
      {row(
        'wish',
        `${facts.placesAWeek} places a week`,
        <span className={styles.wish} style={{ left: 0, width: '100%' }} />,
        money.short(year.wishMinor),
      )}
      {year.losses.map(({ name, minor }, i) =>
        row(
          name,
          LOSS_WORDS[name](facts),
          <span className={styles.lost} style={{ left: at(below[i] ?? 0), width: at(minor) }} />,
          `− ${money.short(minor)}`,
        ),
      )}
      <li className={styles.left}>
        <span>What is left</span>
        <span className={styles.yearTrack}>
          {year.leftMinor > 0 ? <Slab width={at(year.leftMinor)} /> : null}
          <b style={{ left: at(year.leftMinor) }} className={year.leftMinor < 0 ? styles.loss : undefined}>
            {money.short(year.leftMinor)}
          </b>
        </span>
        <span>{money.short(year.perHourMinor)} an hour at the table</span>
      </li>
    </ul>
  );
}

/** Where a figure comes from, and what the studio says instead. */
function Figures({ name, sums, money, onSay }: Props & { readonly name: LineName }) {
  const fields: readonly Field[] = FIELD_OF[name];
  const [draft, setDraft] = useState<YearSaid>(sums.said);
  const shown = (f: Field, of: YearSaid | YearFacts): number | null => {
    const value = of[f];
    if (value === null) return null;
    if (isMoney(f)) return money.typed(value);
    return isPermille(f) ? value / 10 : value;
  };
  const taken = (f: Field, typed: number | null): number | null => {
    if (typed === null) return null;
    if (isMoney(f)) return money.minorOf(typed);
    return Math.round(isPermille(f) ? typed * 10 : typed);
  };
  return (
    <div className={styles.figures}>
      {fields.map((f) => (
        <label key={f}>
          <span>{LABELS[f]}</span>
          <InputNumber
            min={0}
            precision={isMoney(f) ? money.digits : Number(isPermille(f))}
            value={shown(f, draft)}
            placeholder={String(shown(f, sums.year) ?? '')}
            onChange={(v) => setDraft({ ...draft, [f]: taken(f, v) })}
          />
          <small className="quiet">
            {draft[f] === null ? sums.origins[f] : `said by you; else ${sums.origins[f]}`}
          </small>
        </label>
      ))}
      <Button disabled={fields.every((f) => draft[f] === sums.said[f])} onClick={() => void onSay(draft)}>
        Keep it
      </Button>
      {fields.some((f) => sums.said[f] !== null) ? (
        <Button
          onClick={() => void onSay({ ...sums.said, ...Object.fromEntries(fields.map((f) => [f, null])) } as YearSaid)}
        >
          By our own figures
        </Button>
      ) : null}
    </div>
  );
}
