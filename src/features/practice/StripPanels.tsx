// The strip in hand: which way it is laid by keys, the signs while it sets, the stretch and the pull.

import { Button } from 'antd';
import { useState } from 'react';
import { ZONES } from '@/core/anatomy';
import { LEVEL_FACTS, SIGNS, signsAt } from '@/core/practice';
import type { Product, Way } from '@/core/products';
import { STRETCHES, THICKNESSES, waitedS } from './practiceState';
import { SIGN_WORDS } from './practiceWords';
import { tabletNow } from '@/ui/tabletClock';
import { useSeconds } from '@/ui/useSeconds';
import type { SidePull } from './SideView.client';
import type { Practising } from './usePractice';
import styles from './Practice.module.css';

interface Turn {
  readonly label: string;
  readonly deg: number;
  readonly most: number;
  readonly onChange: (deg: number) => void;
}

/** A direction by keys or by finger, in steps of five degrees. */
export const TurnField = ({ label, deg, most, onChange }: Turn) => (
  <label className={styles.field}>
    <span>
      {label} <b>{deg}°</b>
    </span>
    <input
      type="range"
      min={-most}
      max={most}
      step={5}
      value={deg}
      onChange={(event) => onChange(Number(event.target.value))}
    />
  </label>
);

/** Does a cloth lie on it that must be pressed on? */
export const isUnderCloth = (product: Product, way: Way): boolean => product.family === 'soft' || way === 'strip';

export function LayPanel({
  practising: { practice, step },
  deg,
  onTurn,
  onLay,
}: {
  readonly practising: Practising;
  readonly deg: number;
  readonly onTurn: (deg: number) => void;
  readonly onLay: () => void;
}) {
  return (
    <div className={styles.panel}>
      <h2>First the skin</h2>
      <div className={styles.list}>
        <button aria-pressed={practice.prepared} onClick={() => step({ do: 'prepare' })}>
          {practice.prepared ? 'Wiped, dried, dusted' : 'Wipe, dry and dust'}
        </button>
      </div>
      <h2 id="thick">How thick</h2>
      <div className={styles.list} role="group" aria-labelledby="thick">
        {THICKNESSES.map(({ of, word }) => (
          <button key={word} aria-pressed={practice.thick === of} onClick={() => step({ do: 'thick', thick: of })}>
            {word}
          </button>
        ))}
      </div>
      <h2>Lay a strip</h2>
      <p>Draw it on the skin with one stroke. The tab is where you lift the stick: end it past the hair.</p>
      <h3>Or by keys</h3>
      <TurnField label="From straight down the sheet, turned" deg={deg} most={180} onChange={onTurn} />
      <Button size="large" onClick={onLay}>
        Lay it there
      </Button>
    </div>
  );
}

export function WaitPanel({ practising, firstMs }: { readonly practising: Practising; readonly firstMs: number }) {
  const { practice, product, answer, isFresh, step } = practising;
  const slab = isFresh ? answer?.slab : null;
  const sets = product !== null && product.setting !== null;
  const now = waitedS(practice, useSeconds(firstMs));
  return (
    <div className={styles.panel}>
      <h2>{sets ? 'Is it ready?' : 'Nothing to wait for'}</h2>
      <p>{sets ? 'Try the signs; they tell, not the clock.' : 'It does not set: press it on and pull.'}</p>
      {sets ? (
        <div className={styles.signs}>
          {SIGNS.map((sign) => {
            const said = practice.strip?.tried[sign];
            const words = SIGN_WORDS[sign];
            return (
              <button
                key={sign}
                disabled={!slab}
                data-says={said}
                onClick={() => {
                  if (!slab) return;
                  const { says } = signsAt(slab.heat, waitedS(practice, tabletNow()));
                  step({ do: 'sign', sign, says: says[sign] });
                }}
              >
                <b>{words.act}</b>
                <span>{said === undefined ? 'not tried' : words[said ? 'ready' : 'not']}</span>
              </button>
            );
          })}
        </div>
      ) : null}
      {practice.clock ? (
        <p className={styles.clock} role="timer">
          {Math.floor(now)} s
        </p>
      ) : null}
      <div className={styles.row}>
        <button aria-pressed={practice.clock} onClick={() => step({ do: 'clock' })}>
          a clock
        </button>
        <button aria-pressed={practice.hurried} onClick={() => step({ do: 'hurry' })}>
          time × 5
        </button>
      </div>
      <Button type="primary" size="large" onClick={() => step({ do: 'go', to: 'pull', atMs: tabletNow() })}>
        Take hold of the tab
      </Button>
    </div>
  );
}

const SPEEDS = [
  { word: 'slowly', cmPerS: 15 },
  { word: 'steadily', cmPerS: 40 },
  { word: 'briskly', cmPerS: 65 },
  { word: 'with a jerk', cmPerS: 140 },
] as const;

interface PullProps {
  readonly practising: Practising;
  /** Turned beside the line of the lay; null = not aimed yet. */
  readonly aimDeg: number | null;
  readonly lengthCm: number;
  readonly onAim: (deg: number) => void;
  readonly onPull: (pull: SidePull) => void;
}

export function PullPanel({ practising: { practice, product, step }, aimDeg, lengthCm, onAim, onPull }: PullProps) {
  const [liftDeg, setLift] = useState(0);
  return (
    <div className={styles.panel}>
      <h2 id="stretch">The other hand</h2>
      <div className={styles.list} role="group" aria-labelledby="stretch">
        {STRETCHES.map(({ taut, word }) => (
          <button key={word} aria-pressed={practice.taut === taut} onClick={() => step({ do: 'stretch', taut })}>
            {word}
          </button>
        ))}
      </div>
      <h3>And before it</h3>
      <div className={styles.list}>
        {product && practice.chosen && isUnderCloth(product, practice.chosen.way) ? (
          <button aria-pressed={practice.rubbed} onClick={() => step({ do: 'rub' })}>
            {ZONES[LEVEL_FACTS[practice.level].zone].face ? 'Press the cloth on' : 'Rub the cloth on, three times'}
          </button>
        ) : null}
        <button aria-pressed={practice.told} onClick={() => step({ do: 'tell' })}>
          Count her in: breathe out
        </button>
      </div>
      <h3>Or by keys</h3>
      <TurnField label="Aimed beside the lay" deg={aimDeg ?? 0} most={90} onChange={onAim} />
      <label className={styles.field}>
        <span>
          Off the skin <b>{liftDeg}°</b>
        </span>
        <input
          type="range"
          min={0}
          max={90}
          step={2}
          value={liftDeg}
          onChange={(event) => setLift(Number(event.target.value))}
        />
      </label>
      <div className={styles.row} role="group" aria-label="Pull it">
        {SPEEDS.map(({ word, cmPerS }) => (
          <Button key={word} disabled={lengthCm <= 0} onClick={() => onPull({ liftDeg, cmPerS })}>
            {word}
          </Button>
        ))}
      </div>
    </div>
  );
}
