'use client';

import { Button, Select } from 'antd';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import { dayMonth } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { Fault } from '@/ui/Fault';
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
          <Select
            aria-label="Product to test"
            placeholder="Product to test …"
            value={product === '' ? null : product}
            options={products.map((p) => ({ value: p.id, label: p.name }))}
            onChange={setProduct}
          />
          <Button disabled={product === ''} onClick={() => void send({ lay: { product, place: 'inner forearm' } })}>
            Laid today, inner forearm
          </Button>
        </div>
      )}
      <Fault text={fault} />
    </div>
  );
}
