'use client';

import { Button, Input, Select } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { Recall, Shelf } from '@/server/services/shelf';
import { DateField } from '@/ui/DateField.client';
import { getJson } from '@/ui/sendJson';
import { dayMonth, plural } from '@/ui/words';
import { AmountField } from './AmountField';
import { amountWords } from './shelfWords';
import { TermsForm } from './TermsForm';
import type { ShelfActs } from './useShelf';
import styles from './Shelf.module.css';

/** What to order, which clients met a lot, what has come. */
export function ShelfSide({ acts }: { readonly acts: ShelfActs }) {
  return (
    <aside className={styles.side} aria-label="Orders and lots">
      <Orders shelf={acts.shelf} />
      <RecallLot />
      <Delivery acts={acts} />
      <TermsForm acts={acts} />
    </aside>
  );
}

const orderWords = (by: string, today: string): string =>
  by <= today ? 'To order today' : `To order by ${dayMonth(by)}`;

function Orders({ shelf }: { readonly shelf: Shelf }) {
  const due = shelf.rows
    .flatMap((r) => (r.order ? [{ ...r, order: r.order }] : []))
    .sort((a, b) => (a.order.by < b.order.by ? -1 : 1));
  const [first] = due;
  return (
    <section>
      <h2>{first ? orderWords(first.order.by, shelf.today) : 'Nothing to order'}</h2>
      {first ? null : <p className="quiet">All lasts three weeks and its delivery.</p>}
      <ul className={styles.orders}>
        {due.map((r) => (
          <li key={r.id}>
            <b>{r.name}</b>
            <b>
              {r.order.packs} × {amountWords(r.pack, r.unit)}
            </b>
            <span className="quiet">
              {[
                r.supplier,
                plural(r.deliveryDays, 'day'),
                r.order.by === first?.order.by ? '' : `by ${dayMonth(r.order.by)}`,
              ]
                .filter(Boolean)
                .join(', ')}
            </span>
          </li>
        ))}
      </ul>
      {first ? (
        <p className={styles.two}>
          <Button onClick={() => window.print()}>Print</Button>
          <Button href="/api/shelf/orders">CSV</Button>
        </p>
      ) : null}
    </section>
  );
}

/** A lot that must come back: who met it. */
function RecallLot() {
  const [lot, setLot] = useState('');
  const [found, setFound] = useState<Recall | null>(null);
  const look = async (): Promise<void> => {
    const sent = await getJson<Recall>(`/api/shelf/recall?lot=${encodeURIComponent(lot.trim())}`);
    setFound(sent.ok ? sent.value : null);
  };
  const clients = new Set(found?.visits.map((v) => v.clientId)).size;
  return (
    <section>
      <h2>Recall a lot</h2>
      <div className={styles.form}>
        <Input
          aria-label="Lot to recall"
          placeholder="lot, as on the tin"
          maxLength={40}
          value={lot}
          onChange={(e) => setLot(e.target.value)}
          onPressEnter={() => void look()}
        />
        <Button disabled={lot.trim() === ''} onClick={() => void look()}>
          Who met it?
        </Button>
      </div>
      {found ? (
        <div role="status">
          <p>
            <b>{plural(clients, 'client')}</b> met {found.lot} on {plural(found.visits.length, 'visit')}.{' '}
            {found.left > 0 ? `${found.left} still on the shelf: set it aside.` : 'None left on the shelf.'}
          </p>
          <ul>
            {found.visits.slice(0, 30).map((v) => (
              <li key={v.visitId}>
                <Link href={`/clients/${v.clientId}`}>{v.name}</Link> <span className="quiet">{dayMonth(v.on)}</span>
              </li>
            ))}
          </ul>
        </div>
      ) : null}
    </section>
  );
}

function Delivery({ acts }: { readonly acts: ShelfActs }) {
  const { rows, others, today } = acts.shelf;
  const all = [...rows, ...others];
  const [itemId, setItemId] = useState<string | null>(null);
  const [lot, setLot] = useState('');
  const [amount, setAmount] = useState<number | null>(null);
  const [expiresOn, setExpiresOn] = useState('');
  const row = all.find((r) => r.id === itemId);
  const come = async (): Promise<void> => {
    if (!row || amount === null) return;
    const delivery = { itemId: row.id, lot: lot.trim(), amount, expiresOn: expiresOn === '' ? null : expiresOn };
    if (!(await acts.act({ delivery }, `${amountWords(amount, row.unit)} of ${row.name} stands on the shelf.`))) return;
    setItemId(null);
    setLot('');
    setAmount(null);
    setExpiresOn('');
  };
  return (
    <section>
      <h2>A delivery came</h2>
      <div className={styles.form}>
        <Select
          aria-label="What came"
          placeholder="what came"
          showSearch
          optionFilterProp="label"
          value={itemId}
          options={all.map((r) => ({ value: r.id, label: r.name }))}
          onChange={(id: string) => {
            setItemId(id);
            setAmount(all.find((r) => r.id === id)?.pack ?? null);
          }}
        />
        <AmountField
          aria-label="How much came"
          unit={row?.unit}
          min={1}
          value={amount}
          placeholder="how much"
          onChange={setAmount}
        />
        <Input aria-label="Lot" placeholder="lot" maxLength={40} value={lot} onChange={(e) => setLot(e.target.value)} />
        <DateField aria-label="Keeps to" min={today} value={expiresOn} onChange={setExpiresOn} placeholder="keeps to" />
        <Button disabled={!row || amount === null} onClick={() => void come()}>
          Onto the shelf
        </Button>
      </div>
    </section>
  );
}
