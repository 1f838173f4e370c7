'use client';

import { degSpan } from '@/formats/heat';
import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import type { Product } from '@/core/products';
import { useWorkerAnswer } from '@/ui/useWorkerAnswer';
import type { HeatAnswer, HeatQuestion } from '@/workers/heat.worker';
import { unitRead } from './unitRead';
import styles from './Products.module.css';

interface Props {
  readonly product: Product;
  readonly roomC: number;
  readonly onTake: (fitted: Product) => void;
}

const signed = (value: number, unit: string): string =>
  Math.abs(value) < 0.05 ? `0.0 ${unit}` : `${value > 0 ? '+' : '−'}${Math.abs(value).toFixed(1)} ${unit}`;

/** Flow and setting from what is seen at the pot and on the forearm; what does not fit is shown. */
export function FitPanel({ product, roomC, onTake }: Props) {
  const manner = Object.values(product.manners)[0];
  const [seen, setSeen] = useState({
    slowAtC: manner?.labelC.min ?? 52,
    afterS: 30,
    touchC: manner ? Math.round((manner.labelC.min + manner.labelC.max) / 2) : 56,
    thicknessMm: manner?.thicknessMm.usual ?? 2,
    roomC,
  });
  const [asked, setAsked] = useState<HeatQuestion | null>(null);
  const sets = product.setting !== null;
  const answer = useWorkerAnswer<HeatQuestion, HeatAnswer>(
    () => new Worker(new URL('../../workers/heat.worker.ts', import.meta.url), { type: 'module' }),
    asked,
  );
  const fit = answer !== null && answer !== 'failed' && answer.kind === 'fit' ? answer : null;
  const number = (key: keyof typeof seen, label: string, kept: string, step: number) => {
    const { read, typed, unit, step: stepOf } = unitRead(kept);
    return (
      <label className={styles.field}>
        <span>{label}</span>
        <InputNumber<number>
          value={read(seen[key])}
          step={stepOf(step)}
          suffix={unit}
          controls={false}
          inputMode="decimal"
          onChange={(v) => {
            setSeen({ ...seen, [key]: v === null ? seen[key] : typed(v) });
            setAsked(null);
          }}
        />
      </label>
    );
  };
  const ask = (): void =>
    setAsked({
      kind: 'fit',
      template: product,
      roomC,
      seen: {
        slowAtC: seen.slowAtC,
        sets: sets
          ? { afterS: seen.afterS, touchC: seen.touchC, thicknessMm: seen.thicknessMm, roomC: seen.roomC }
          : null,
      },
    });
  return (
    <section id="fit" className={styles.fit} aria-label="From what you see">
      <h2>From what you see</h2>
      <p className="quiet">
        No thermometer curve needed: the heat at which it leaves the stick slowly, like syrup
        {sets ? ', and the seconds in which a coat sets on your own forearm' : ''}. Wrist first.
      </p>
      <div className={styles.fields}>
        {number('slowAtC', 'Leaves the stick slowly at', '°C', 0.5)}
        {sets ? (
          <>
            {number('thicknessMm', 'A coat of', 'mm', 0.1)}
            {number('touchC', 'laid at, at touch', '°C', 0.5)}
            {number('afterS', 'sets after', 's', 1)}
            {number('roomC', 'Room', '°C', 1)}
          </>
        ) : null}
      </div>
      <Button onClick={ask}>Fit</Button>
      <div role="status">
        {asked !== null && answer === null ? <p className="quiet">Fitting …</p> : null}
        {answer === 'failed' ? (
          <p className={styles.fault}>This tablet could not fit it. Your figures are kept.</p>
        ) : null}
        {fit && !fit.fit.ok ? <p className={styles.fault}>{fit.fit.error.message}</p> : null}
        {fit?.fit.ok ? (
          <div className={styles.fitted}>
            <p>
              The model now says: slow {signed(fit.fit.value.residual.slowAtK, 'K')} from what you saw
              {fit.fit.value.residual.setS === null ? '' : `, set ${signed(fit.fit.value.residual.setS, 's')}`}.
              {fit.fit.value.residual.setS !== null && Math.abs(fit.fit.value.residual.setS) > 3
                ? ' That does not fit well: look again at the coat and the heat.'
                : ''}
            </p>
            {fit.trial ? (
              <p>
                {fit.trial.empty
                  ? 'On a usual underarm it would have no working heat.'
                  : `On a usual underarm it would work at about ${degSpan(fit.trial.minC, fit.trial.maxC)} at touch${fit.trial.setAfterS === null ? '' : ` and set in about ${Math.round(fit.trial.setAfterS)} s`}.`}{' '}
                Estimate: test on your wrist.
              </p>
            ) : null}
            <Button
              type="primary"
              onClick={() => {
                if (fit.fit.ok) onTake(fit.fit.value.product);
                setAsked(null);
              }}
            >
              Take these figures
            </Button>
          </div>
        ) : null}
      </div>
    </section>
  );
}
