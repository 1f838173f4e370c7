'use client';

import { useState } from 'react';
import { BODY_REGIONS, placeIn, regionAt, ZONES, type Figure, zoneKey } from '@/core/anatomy';
import { BodyFigures } from '@/features/body/BodyFigures';
import type { Spot } from '@/server/db/schema';
import { sideWord } from '@/ui/words';
import { radioKeys } from '@/ui/radioKeys';
import styles from './Form.module.css';

const KINDS = [
  ['sore', 'Sore or broken'],
  ['mark', 'Mole, wart, scar'],
] as const;

interface Props {
  readonly spots: readonly Spot[];
  readonly onAdd: (spot: Spot) => void;
  readonly onDrop: (index: number) => void;
}

/** Three plain figures to tap; the same by a list of names for whoever does not tap. */
export function BodyMap({ spots, onAdd, onDrop }: Props) {
  const [kind, setKind] = useState<Spot['kind']>('sore');
  const [beside, setBeside] = useState(false);
  const [named, setNamed] = useState('');
  const tap = (figure: Figure, at: readonly [number, number]): void => {
    const region = regionAt(figure, [at[0], at[1]]);
    setBeside(!region);
    if (region) {
      onAdd({
        figure,
        at: [Math.round(at[0] * 10) / 10, Math.round(at[1] * 10) / 10],
        kind,
        zone: region.zone,
        side: region.side,
      });
    }
  };
  const addNamed = (): void => {
    const region = BODY_REGIONS.find((r) => zoneKey(r) === named);
    if (!region) return;
    const [x, y] = placeIn(region);
    onAdd({ figure: region.figure, at: [x, y], kind, zone: region.zone, side: region.side });
    setNamed('');
  };
  const options = [...new Map(BODY_REGIONS.map((r) => [zoneKey(r), sideWord(ZONES[r.zone].name, r.side)])).entries()];
  return (
    <div className={styles.map}>
      <div className={styles.kinds} role="radiogroup" aria-label="What is there" tabIndex={-1} onKeyDown={radioKeys}>
        {KINDS.map(([id, word]) => (
          <button
            key={id}
            type="button"
            role="radio"
            aria-checked={kind === id}
            className={styles.choice}
            onClick={() => setKind(id)}
          >
            <span className={styles.dot} data-kind={id} />
            {word}
          </button>
        ))}
      </div>
      <BodyFigures
        hint="tap a place, or choose it from the list below"
        onTap={tap}
        over={(figure) =>
          spots.map((s, i) =>
            s.figure === figure ? (
              <g key={i} transform={`translate(${s.at[0]} ${s.at[1]})`}>
                {s.kind === 'sore' ? (
                  <circle r="3.2" className={styles.sore} />
                ) : (
                  <path d="M-3 -3 L3 3 M3 -3 L-3 3" className={styles.mark} />
                )}
              </g>
            ) : null,
          )
        }
      />
      {beside ? (
        <p role="status" className={styles.hint}>
          No place that is waxed lies there. Tap nearer to it, or choose it below.
        </p>
      ) : null}
      <ul className={styles.spotList} aria-label="Places tapped">
        {spots.map((s, i) => (
          <li key={i}>
            {sideWord(ZONES[s.zone].name, s.side)}: {s.kind === 'sore' ? 'sore or broken' : 'mole, wart or scar'}{' '}
            <button type="button" onClick={() => onDrop(i)}>
              Take it off
            </button>
          </li>
        ))}
      </ul>
      <div className={styles.named}>
        <label>
          Or choose the place
          <select value={named} onChange={(e) => setNamed(e.target.value)}>
            <option value="">…</option>
            {options.map(([key, name]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <button type="button" className={styles.small} disabled={named === ''} onClick={addNamed}>
          Add
        </button>
      </div>
    </div>
  );
}
