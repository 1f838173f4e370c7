'use client';

import { sizeNumber, sizeSign } from '@/formats/size';
import { useState } from 'react';
import { COST_PARTS } from '@/core/matching';
import type { PlanOption } from '@/core/plan';
import { percent } from '@/ui/words';
import { WAYS } from './wayWords';
import styles from './Match.module.css';

interface Props {
  readonly options: readonly PlanOption[];
  readonly currency: string;
  readonly nameOf: (product: string) => string;
}

/**
 * Every figure of every option that can be used, with what it costs: for the desk, closed again when the station is
 * left.
 */
export function AllFigures({ options, currency, nameOf }: Props) {
  const [open, setOpen] = useState(false);
  const money = new Intl.NumberFormat('en-GB', { style: 'currency', currency });
  return (
    <details className={styles.ruled} open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>All figures, with cost: at the desk, not in the client’s sight</summary>
      {open ? (
        <div className={styles.scroll}>
          <table className={styles.allFigures}>
            <thead>
              <tr>
                <th>Product and way</th>
                <th>strips</th>
                <th>passes</th>
                <th>removed</th>
                <th>broken</th>
                <th>tweezed</th>
                <th>stay</th>
                <th>skin load</th>
                <th>felt margin</th>
                <th>min, all passes</th>
                <th>{sizeSign('g')}</th>
                <th>material</th>
                <th>counted, min</th>
                <th>of it time, skin, broken, left, tweezing, material</th>
              </tr>
            </thead>
            <tbody>
              {options.map((o) => (
                <tr key={o.product + o.way}>
                  <th scope="row">
                    {nameOf(o.product)}, {WAYS[o.way] ?? o.way}
                  </th>
                  <td>{o.strips}</td>
                  <td>{o.passes}</td>
                  <td>{percent(o.removedShare)}</td>
                  <td>{percent(o.brokenShare)}</td>
                  <td>{o.tweezed}</td>
                  <td>{o.leftHairs - o.tweezed}</td>
                  <td>{o.skinLoad.toFixed(2)}</td>
                  <td>{o.feltMarginK === null ? '–' : `${o.feltMarginK.toFixed(1)} K`}</td>
                  <td>{o.allMinutes.toFixed(1)}</td>
                  <td>{sizeNumber(o.massG, 'g', 0)}</td>
                  <td>{money.format(o.costMinor / 100)}</td>
                  <td>{o.cost.toFixed(1)}</td>
                  <td>{COST_PARTS.map((p) => o.parts[p].toFixed(1)).join(' + ')}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
    </details>
  );
}
