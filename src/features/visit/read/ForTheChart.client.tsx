'use client';

import { seededRandom, type Vec } from '@/core/shared';
import type { BenchZone } from '@/server/services/bench';
import { placeWords } from './placeWords';
import type { ZoneReading } from './useZoneReading';
import styles from './Read.module.css';

interface Props {
  readonly zone: BenchZone;
  readonly read: ZoneReading;
  readonly disabled: boolean;
}

/** What the next chart could learn of hair that grew another way; one touch takes it. */
export function ForTheChart({ zone, read, disabled }: Props) {
  const { comb, reading, patches, save } = read;
  const isTaken = (reading.combed ?? []).length > 0;
  const found = patches.find((p) => p.kind === 'other-way' && p.way !== null);
  // what was taken over can be taken back, also once its hair was gone over
  const way = found?.way ?? reading.combed?.[0]?.towards;
  const isAsked = comb.length > 0 && !disabled;
  if (!way || (!isAsked && !isTaken)) return null;
  const at = found?.middle ?? reading.combed?.[0]?.at;
  const strip = read.zone.strips.find((s) => s.pass === 1);
  const wasMissed = (zone.last?.reading?.leftKind ?? 'none') === 'other-way';
  return (
    <section className={styles.chart} aria-label="For the chart">
      <h2>For the chart</h2>
      <p>
        It grows another way {at ? placeWords(read.zone, at) : ''}
        {wasMissed ? ', as last time' : ''}.{' '}
        <strong>{isTaken ? 'Combed so for next time.' : 'Comb it so for next time?'}</strong>
      </p>
      <div className={styles.tufts}>
        <Tuft way={strip?.growth ?? [0, 1]} name="as charted" />
        <span aria-hidden="true">→</span>
        <Tuft way={way} name="as found" />
      </div>
      <div className={styles.pair}>
        <button type="button" disabled={disabled || isTaken} data-main onClick={() => save({ combed: comb })}>
          Comb it so
        </button>
        <button type="button" disabled={disabled || !isTaken} onClick={() => save({ combed: [] })}>
          {isTaken ? 'Take back' : 'Leave'}
        </button>
      </div>
    </section>
  );
}

const HAIRS = Array.from({ length: 34 }, (_, i) => {
  const random = seededRandom(90 + i);
  return { x: random.between(14, 82), y: random.between(14, 62), turn: random.between(-0.22, 0.22) };
});

function Tuft({ way: [dx, dy], name }: { readonly way: Vec; readonly name: string }) {
  return (
    <figure>
      <svg viewBox="0 0 96 76" aria-hidden="true">
        {HAIRS.map(({ x, y, turn }, i) => {
          const [u, v] = [dx * Math.cos(turn) - dy * Math.sin(turn), dx * Math.sin(turn) + dy * Math.cos(turn)];
          return (
            <path
              key={i}
              d={`M${x - 9 * u} ${y - 9 * v}L${x + 9 * u} ${y + 9 * v}`}
              stroke="var(--walnut)"
              strokeWidth="1.8"
              strokeLinecap="round"
            />
          );
        })}
      </svg>
      <figcaption>{name}</figcaption>
    </figure>
  );
}
