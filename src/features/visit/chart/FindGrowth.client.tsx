'use client';

import { Modal } from 'antd';
import { useState } from 'react';
import { strokesFromHandTest, type Compass, type HandTestResult } from '@/core/field';
import { radioKeys } from '@/ui/radioKeys';
import styles from './Chart.module.css';

const ROSE: readonly (readonly [Compass, string])[] = [
  ['up-left', '↖'],
  ['up', '↑'],
  ['up-right', '↗'],
  ['left', '←'],
  ['right', '→'],
  ['down-left', '↙'],
  ['down', '↓'],
  ['down-right', '↘'],
];
const PLACES: readonly (readonly [string, readonly [number, number]])[] = [
  ['middle', [0.5, 0.5]],
  ['top', [0.5, 0.2]],
  ['bottom', [0.5, 0.8]],
  ['left', [0.25, 0.5]],
  ['right', [0.75, 0.5]],
];

interface Props {
  readonly sheetCm: readonly [number, number];
  readonly onFound: (result: HandTestResult) => void;
  readonly onClose: () => void;
}

/**
 * The two tests of the hand, one after the other; the answers become strokes on the chart. Ways are those of the sheet:
 * up is towards the head.
 */
export function FindGrowth({ sheetCm, onFound, onClose }: Props) {
  const [place, setPlace] = useState(0);
  const [resists, setResists] = useState<Compass | null>(null);
  const [rises, setRises] = useState<Compass | null>(null);
  const [u, v] = PLACES[place]?.[1] ?? [0.5, 0.5];
  const result =
    resists === null ? null : strokesFromHandTest({ at: [u * sheetCm[0], v * sheetCm[1]], resists, rises });
  return (
    <Modal
      open
      title="Find the way of growth"
      okText="Put it on the chart"
      cancelText="Leave it"
      okButtonProps={{ disabled: result === null }}
      onOk={() => {
        if (result) onFound(result);
        onClose();
      }}
      onCancel={onClose}
      destroyOnHidden
    >
      <div className={styles.find}>
        <p>Up is towards the head, whichever way the sheet lies.</p>
        <div
          className={styles.places}
          role="radiogroup"
          aria-label="Place on the sheet"
          tabIndex={-1}
          onKeyDown={radioKeys}
        >
          {PLACES.map(([name], i) => (
            <button
              key={name}
              type="button"
              role="radio"
              aria-checked={place === i}
              className={styles.tool}
              onClick={() => setPlace(i)}
            >
              {name}
            </button>
          ))}
        </div>
        <Rose
          label="1. Brush your fingers over the skin in every way. Which way meets most resistance?"
          value={resists}
          onChange={setResists}
        />
        <Rose
          label="2. Spread a trace of powder or product. Spread which way do the hairs rise? Leave it out if you see none rise."
          value={rises}
          onChange={(way) => setRises(way === rises ? null : way)}
        />
        {result ? (
          <p role="status">
            {result.agree
              ? 'The tips point away from there; the chart shows it.'
              : 'The two tests do not agree: hair may cross here. Both ways go on the chart; look again before the first strip.'}
          </p>
        ) : null}
      </div>
    </Modal>
  );
}

function Rose({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: Compass | null;
  readonly onChange: (way: Compass) => void;
}) {
  const [, , , ...rest] = ROSE;
  const button = ([way, arrow]: readonly [Compass, string]): React.ReactNode => (
    <button
      key={way}
      type="button"
      role="radio"
      aria-checked={value === way}
      aria-label={way.replace('-', ' and ')}
      onClick={() => onChange(way)}
    >
      {arrow}
    </button>
  );
  return (
    <div>
      <p>{label}</p>
      <div className={styles.rose} role="radiogroup" aria-label={label} tabIndex={-1} onKeyDown={radioKeys}>
        {ROSE.slice(0, 3).map(button)}
        {rest.slice(0, 1).map(button)}
        <span aria-hidden="true" />
        {rest.slice(1).map(button)}
      </div>
    </div>
  );
}
