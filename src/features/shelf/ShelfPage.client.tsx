'use client';

import { Button } from 'antd';
import { useState } from 'react';
import { Rooms } from '@/ui/Rooms';
import type { Shelf, ShelfRow } from '@/server/services/shelf';
import { dayMonth, plural } from '@/ui/words';
import { AmountField } from './AmountField';
import { Goods } from './Goods';
import { amountWords, finding, lotsWords } from './shelfWords';
import { ShelfSide } from './ShelfSide';
import { Stair } from './Stair';
import { useShelf, type ShelfActs } from './useShelf';
import styles from './Shelf.module.css';

/** What stands on the shelf, how long it lasts, what to order; counted in some minutes. */
export function ShelfPage({ first }: { readonly first: Shelf }) {
  const acts = useShelf(first);
  const { shelf, said } = acts;
  const [counts, setCounts] = useState<Readonly<Record<string, number>> | null>(null);
  const counted = Object.entries(counts ?? {}).map(([itemId, amount]) => ({ itemId, amount }));
  const keep = async (): Promise<void> => {
    if (await acts.act({ count: counted }, `${plural(counted.length, 'thing')} counted.`)) setCounts(null);
  };
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{finding(shelf)}</h1>
        <p className="quiet">by the {plural(shelf.visits, 'visit')} booked, an estimate</p>
        <Rooms of="pots" here="/shelf" />
      </div>
      {said ? (
        <p role={said.bad ? 'alert' : 'status'} className={said.bad ? styles.bad : 'quiet'}>
          {said.text}
        </p>
      ) : null}
      {shelf.lastTaken ? (
        <p className={styles.sale}>
          <span className="quiet">{shelf.lastTaken.words}</span>
          <Button
            size="small"
            onClick={() =>
              void acts.act({ back: { moveSeq: shelf.lastTaken?.moveSeq ?? 0 } }, 'Taken back: it stands there again.')
            }
          >
            It was not: take it back
          </Button>
        </p>
      ) : null}
      <div className={styles.body}>
        <div>
          {shelf.rows.map((row) => (
            <Row key={row.id} row={row} acts={acts} counts={counts} onCounts={setCounts} />
          ))}
          {shelf.rows.length === 0 ? (
            <p className={styles.none}>
              Take in what stands there as it came, at the right; or count it. From the first on, visits count it down.
            </p>
          ) : null}
          {counts === null
            ? null
            : shelf.others.map((o) => (
                <article key={o.id} className={styles.row} aria-label={o.name}>
                  <span />
                  <div>
                    <h2>{o.name}</h2>
                    <p className="quiet">never counted</p>
                  </div>
                  <CountField row={{ ...o, amount: null }} counts={counts} onCounts={setCounts} />
                </article>
              ))}
          <div className={styles.count}>
            <p className="quiet">
              {shelf.lastCountOn === null ? 'Never counted yet.' : `Last count: ${dayMonth(shelf.lastCountOn)}.`}
            </p>
            {counts === null ? (
              <Button type="primary" size="large" onClick={() => setCounts({})}>
                Count the shelf, about {Math.max(1, Math.round(shelf.rows.length / 2))} min
              </Button>
            ) : (
              <>
                <Button onClick={() => setCounts(null)}>Leave it as it was</Button>
                <Button type="primary" size="large" disabled={counted.length === 0} onClick={() => void keep()}>
                  Keep the count of {counted.length}
                </Button>
              </>
            )}
          </div>
        </div>
        <ShelfSide acts={acts} />
      </div>
    </section>
  );
}

interface RowProps {
  readonly row: ShelfRow;
  readonly acts: ShelfActs;
  /** What was counted so far; null while nobody counts. */
  readonly counts: Readonly<Record<string, number>> | null;
  readonly onCounts: (counts: Readonly<Record<string, number>>) => void;
}

function Row({ row, acts, counts, onCounts }: RowProps) {
  const { shelf } = acts;
  return (
    <article className={styles.row} aria-label={row.name}>
      <Goods row={row} />
      <div>
        <h2>{row.name}</h2>
        <p>{lotsWords(row, shelf.today)}</p>
        {row.kind === 'retail' ? (
          <p className={styles.sale}>
            <span className="quiet">
              {row.sellable} may be sold, {row.reserve} kept for the table
            </span>
            <Button
              size="small"
              disabled={row.sellable === 0}
              onClick={() => void acts.act({ sale: { itemId: row.id, amount: 1 } }, `One ${row.name} sold.`)}
            >
              Sell one
            </Button>
          </p>
        ) : null}
        {row.lots
          .filter((l) => l.isPast)
          .map((l) => (
            <Button
              key={l.id}
              size="small"
              onClick={() =>
                void acts.act({ waste: { lotId: l.id, amount: l.amount } }, `${l.lot || 'The lot'} thrown away.`)
              }
            >
              Throw {l.lot || 'it'} away
            </Button>
          ))}
      </div>
      {counts === null ? (
        <Stair shelf={shelf} row={row} />
      ) : (
        <CountField row={row} counts={counts} onCounts={onCounts} />
      )}
    </article>
  );
}

interface CountProps extends Pick<RowProps, 'onCounts'> {
  readonly row: Pick<ShelfRow, 'id' | 'name' | 'unit'> & { readonly amount: number | null };
  readonly counts: Readonly<Record<string, number>>;
}

/** What was counted of one thing; left empty it was not counted. */
function CountField({ row, counts, onCounts }: CountProps) {
  const { id, name, unit, amount } = row;
  const others = Object.fromEntries(Object.entries(counts).filter(([other]) => other !== id));
  return (
    <AmountField
      aria-label={`Counted: ${name}`}
      unit={unit}
      min={0}
      value={counts[id] ?? null}
      placeholder={amount === null ? '' : `${amountWords(amount, unit)} by count of the visits`}
      onChange={(v) => onCounts(v === null ? others : { ...counts, [id]: v })}
    />
  );
}
