'use client';

import { InputNumber } from 'antd';
import { boundsOf, type Product, type ProductFault } from '@/core/products';
import { withHeat } from '@/formats/heat';
import { withSizes } from '@/formats/size';
import { unitRead } from './unitRead';
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
        const { read, typed, unit, step: stepOf } = unitRead(f.unit);
        return (
          <label key={f.path} className={styles.field}>
            <span>{f.label}</span>
            <InputNumber<number>
              value={typeof value === 'number' && !Number.isNaN(value) ? read(value) : null}
              step={stepOf(f.step)}
              suffix={unit}
              controls={false}
              inputMode="decimal"
              status={fault ? 'error' : ''}
              data-path={f.path}
              title={
                bound ? `${read(bound.min)} to ${read(bound.max)} ${unit === f.unit ? bound.unit : unit}` : undefined
              }
              aria-invalid={fault !== undefined}
              onChange={(v) => onChange(f.path, v === null ? Number.NaN : typed(v))}
            />
            {fault ? <small role="alert">{withSizes(withHeat(fault.message))}</small> : null}
          </label>
        );
      })}
    </div>
  );
}
