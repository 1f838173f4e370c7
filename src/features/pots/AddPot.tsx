'use client';

import { sizeSign } from '@/formats/size';
import { SizeField } from '@/ui/SizeField.client';
import { Button, Select } from 'antd';
import { useState } from 'react';
import type { NewPot, PotsView } from '@/server/services/pots';
import { SENSORS } from './PotMore';
import styles from './Pots.module.css';

interface Props {
  readonly products: PotsView['products'];
  readonly onAdd: (pot: NewPot) => Promise<boolean>;
  readonly isFirst: boolean;
}

const USUAL_G = 400;

/** Puts a pot up: what is in it, how much, and who tells its heat. */
export function AddPot({ products, onAdd, isFirst }: Props) {
  const [product, setProduct] = useState<string | null>(null);
  const [waxG, setWaxG] = useState<number | null>(USUAL_G);
  const [sensor, setSensor] = useState<NewPot['sensor']>('none');
  const add = async (): Promise<void> => {
    if (product !== null && waxG !== null && (await onAdd({ productId: product, waxG, sensor }))) setProduct(null);
  };
  return (
    <div className={styles.add}>
      <h2>{isFirst ? 'Put up the first pot' : 'Another pot'}</h2>
      <div className={styles.line}>
        <Select
          aria-label="What is in the new pot"
          value={product}
          placeholder="what is in it"
          options={products.map((p) => ({ value: p.id, label: p.name }))}
          onChange={setProduct}
        />
        <SizeField
          of="g"
          whole
          aria-label={`Wax in the new pot, ${sizeSign('g')}`}
          min={20}
          max={5000}
          value={waxG}
          onChange={setWaxG}
        />
      </div>
      <div className={styles.line}>
        <Select aria-label="Who tells its heat" value={sensor} options={[...SENSORS]} onChange={setSensor} />
        <Button disabled={product === null || waxG === null} onClick={() => void add()}>
          Put it up
        </Button>
      </div>
    </div>
  );
}
