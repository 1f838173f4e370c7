'use client';

import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import type { PriceList } from '@/server/services/prices';
import { moneyIn } from '@/ui/money';
import { sendJson } from '@/ui/sendJson';
import styles from './Studio.module.css';

/** What services cost, and what an hour costs: the margin of a visit is worked out from both. */
export function PricesView({ first }: { readonly first: PriceList }) {
  const [list, setList] = useState(first);
  const { minorOf, typed, digits } = moneyIn(list.currency);
  const [money, setMoney] = useState(first.money);
  const [minutes, setMinutes] = useState(first.serviceMinutes);
  const [said, setSaid] = useState<{ readonly text: string; readonly bad: boolean } | null>(null);
  const isChanged = JSON.stringify([money, minutes]) !== JSON.stringify([list.money, list.serviceMinutes]);
  const price = (id: string, minor: number | null): void => {
    const others = Object.entries(money.priceMinor).filter(([service]) => service !== id);
    setMoney({ ...money, priceMinor: Object.fromEntries(minor === null ? others : [...others, [id, minor]]) });
  };
  const long = (id: string, min: number | null): void => {
    const others = Object.entries(minutes).filter(([service]) => service !== id);
    setMinutes(Object.fromEntries(min === null ? others : [...others, [id, min]]));
  };
  const save = async (): Promise<void> => {
    const sent = await sendJson<PriceList>('PUT', '/api/prices', {
      ...{ version: list.studioVersion, money, serviceMinutes: minutes },
    });
    if (sent.ok) {
      setList(sent.value);
      setMoney(sent.value.money);
      setMinutes(sent.value.serviceMinutes);
      setSaid({ text: 'Saved.', bad: false });
    } else {
      setSaid({
        text: `${sent.error.message} ${sent.error.code === 'stale' ? 'The list was changed elsewhere: load the page again. What you typed still stands here.' : sent.error.details.map((d) => d.message).join(' ')}`,
        bad: true,
      });
    }
  };
  const rate = (name: 'labourMinorPerHour' | 'roomMinorPerHour', label: string) => (
    <label className={styles.price}>
      <span>{label}</span>
      <InputNumber
        min={0}
        max={100_000}
        step={0.5}
        precision={digits}
        value={typed(money[name])}
        onChange={(v) => setMoney({ ...money, [name]: minorOf(v) ?? 0 })}
        suffix={`${list.currency} an hour`}
        aria-label={label}
      />
    </label>
  );
  const tax = (name: 'services' | 'goods', label: string) => (
    <label className={styles.price}>
      <span>{label}</span>
      <InputNumber
        min={0}
        max={50}
        step={0.5}
        precision={2}
        value={(money.vatBp?.[name] ?? 0) / 100}
        onChange={(v) =>
          setMoney({ ...money, vatBp: { services: 0, goods: 0, ...money.vatBp, [name]: Math.round((v ?? 0) * 100) } })
        }
        suffix="%"
        aria-label={label}
      />
    </label>
  );
  const goods = (id: string, minor: number | null): void => {
    const others = Object.entries(money.goodsMinor ?? {}).filter(([thing]) => thing !== id);
    setMoney({ ...money, goodsMinor: Object.fromEntries(minor === null ? others : [...others, [id, minor]]) });
  };
  return (
    <section className={styles.page}>
      <h1>Prices and lengths</h1>
      <p className="quiet">
        What the client pays for each service, and what an hour costs you. From both and the planned minutes the margin
        of a visit is worked out; it stands under Strips for the desk, never on the table’s screen. The minutes are what
        is booked while nothing is known of a client’s own visits.
      </p>
      {said ? (
        <p role={said.bad ? 'alert' : 'status'} className={said.bad ? styles.bad : undefined}>
          {said.text}
        </p>
      ) : null}
      <div className={styles.prices}>
        {rate('labourMinorPerHour', 'The hands')}
        {rate('roomMinorPerHour', 'The room, heat and light')}
      </div>
      <div className={styles.prices}>
        {tax('services', 'Tax inside of the services’ prices')}
        {tax('goods', 'Tax inside of the goods’ prices')}
      </div>
      <h2>Services</h2>
      <div className={styles.prices}>
        {list.services.map((s) => (
          <div key={s.id} className={`${styles.price} ${styles.service}`}>
            <span>
              {s.name}
              <small className="quiet">{s.says}</small>
            </span>
            <InputNumber
              min={5}
              max={600}
              step={5}
              precision={0}
              value={minutes[s.id] ?? null}
              placeholder={String(s.shippedMin)}
              onChange={(v) => long(s.id, v)}
              suffix="min"
              aria-label={`Length of ${s.name}`}
            />
            <InputNumber
              min={0}
              max={100_000}
              step={0.5}
              precision={digits}
              value={typed(money.priceMinor[s.id] ?? null)}
              placeholder="not entered"
              onChange={(v) => price(s.id, minorOf(v))}
              suffix={list.currency}
              aria-label={`Price of ${s.name}`}
            />
          </div>
        ))}
      </div>
      {list.goods.length > 0 ? <h2>Goods</h2> : null}
      <div className={styles.prices}>
        {list.goods.map((g) => (
          <label key={g.id} className={styles.price}>
            <span>{g.name}</span>
            <InputNumber
              min={0}
              max={100_000}
              step={0.5}
              precision={digits}
              value={typed(money.goodsMinor?.[g.id] ?? null)}
              placeholder="not entered"
              onChange={(v) => goods(g.id, minorOf(v))}
              suffix={list.currency}
              aria-label={`Price of ${g.name}`}
            />
          </label>
        ))}
      </div>
      <div>
        <Button type="primary" size="large" disabled={!isChanged} onClick={() => void save()}>
          Save the list
        </Button>
      </div>
    </section>
  );
}
