'use client';

import { Button } from 'antd';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import { dayMonth } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import styles from './Consult.module.css';

/** Patch tests of this client: lay one for a product that is new, read one that is waiting. */
export function PatchTests({ disabled }: { readonly disabled: boolean }) {
  const { bench, reload } = useBench();
  const { client, products } = bench;
  const [product, setProduct] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const name = (id: string): string => products.find((p) => p.id === id)?.name ?? id;
  const send = async (act: object): Promise<void> => {
    const sent = await sendJson('POST', `/api/clients/${client.id}/patch-tests`, act);
    setFault(sent.ok ? null : `${sent.error.message} Nothing was changed.`);
    if (sent.ok) {
      setProduct('');
      await reload();
    }
  };
  return (
    <div className={styles.patch}>
      <h3>Patch test</h3>
      {client.patchTests.length === 0 ? (
        <p className="quiet">None yet. A product that is new to reactive skin is tested 24–48 h before.</p>
      ) : (
        <ul>
          {client.patchTests.slice(-4).map((t) => (
            <li key={t.id}>
              <span>
                {name(t.product)}, {t.place}, {dayMonth(t.laidOn)}: {t.result ?? 'not read yet'}
              </span>
              {t.result === null && !disabled ? (
                <>
                  <Button size="small" onClick={() => void send({ read: { id: t.id, result: 'calm' } })}>
                    Calm
                  </Button>
                  <Button size="small" onClick={() => void send({ read: { id: t.id, result: 'reacted' } })}>
                    Reacted
                  </Button>
                </>
              ) : null}
            </li>
          ))}
        </ul>
      )}
      {disabled ? null : (
        <div className={styles.wordsFoot}>
          <select
            className={styles.select}
            aria-label="Product to test"
            value={product}
            onChange={(e) => setProduct(e.target.value)}
          >
            <option value="">Product to test …</option>
            {products.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
          <Button disabled={product === ''} onClick={() => void send({ lay: { product, place: 'inner forearm' } })}>
            Laid today, inner forearm
          </Button>
        </div>
      )}
      {fault ? (
        <p role="alert" className={styles.needs}>
          {fault}
        </p>
      ) : null}
    </div>
  );
}
