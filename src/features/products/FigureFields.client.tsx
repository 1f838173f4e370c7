'use client';

import { InputNumber } from 'antd';
import { boundsOf, type Product, type ProductFault } from '@/core/products';
import { valueAt } from './draft';
import type { Field } from './fields';
import styles from './Products.module.css';

interface Props {
  readonly fields: readonly Field[];
  readonly product: Product;
  readonly faults: readonly ProductFault[];
  readonly onChange: (path: string, value: number) => void;
}

/** Figures with their unit and bounds; a fault stands under its field. */
export function FigureFields({ fields, product, faults, onChange }: Props) {
  return (
    <div className={styles.fields}>
      {fields.map((f) => {
        const value = valueAt(product, f.path);
        const bound = boundsOf(f.path);
        const fault = faults.find((x) => x.path === f.path);
        return (
          <label key={f.path} className={styles.field}>
            <span>{f.label}</span>
            <InputNumber<number>
              value={typeof value === 'number' && !Number.isNaN(value) ? value : null}
              step={f.step}
              suffix={f.unit}
              controls={false}
              inputMode="decimal"
              status={fault ? 'error' : ''}
              data-path={f.path}
              title={bound ? `${bound.min} to ${bound.max} ${bound.unit}` : undefined}
              aria-invalid={fault !== undefined}
              onChange={(v) => onChange(f.path, v ?? Number.NaN)}
            />
            {fault ? <small role="alert">{fault.message}</small> : null}
          </label>
        );
      })}
    </div>
  );
}
