'use client';

import type { LeftPatch, PatchKind } from '@/core/reading';
import type { Vec } from '@/core/shared';
import type { BenchZone } from '@/server/services/bench';
import { lying } from '../strips/lying';
import { liesAlong } from '../sheetView';
import { Choice } from './Choice.client';
import { placeWords } from './placeWords';
import { useCauses } from './useCauses';
import type { ZoneReading } from './useZoneReading';
import styles from './Read.module.css';

interface Props {
  readonly read: ZoneReading;
  readonly patch: LeftPatch | null;
  readonly zone: BenchZone;
  readonly disabled: boolean;
  /** What is asked stays about this patch, by its place, until it is left. */
  readonly onStay: (at: number) => void;
  readonly onNext: () => void;
}

const KINDS: readonly (readonly [PatchKind, string])[] = [
  ['short', 'too short'],
  ['flat', 'lying flat'],
  ['other-way', 'growing another way'],
];

/** Of one patch: why it stayed and which way it grows; under it what was tweezed and what the cause may be. */
export function PatchPanel({ read, patch, zone, disabled, onStay, onNext }: Props) {
  const { hairs, reading, patches } = read;
  const causes = useCauses(zone, read);
  const inPatch = new Set(patch?.hairs ?? []);
  const change = (more: Partial<(typeof hairs)[number]>): void => {
    if (patch) onStay(patches.indexOf(patch));
    read.leave(hairs.map((one, i) => (inPatch.has(i) ? { ...one, ...more } : one)));
  };
  const [cause] = causes;
  return (
    <div className={styles.patch}>
      {patch ? (
        <>
          <Choice
            name={`What kind, ${placeWords(read.zone, patch.middle)}`}
            value={patch.kind}
            disabled={disabled}
            options={KINDS}
            onChange={(kind) => change({ kind })}
          />
          {patch.kind === 'other-way' && patch.way === null ? (
            <Ways read={read} disabled={disabled} onWay={(way) => change({ way })} />
          ) : null}
          {patches.length > 1 ? (
            <button type="button" className={styles.plain} onClick={onNext}>
              Next patch
            </button>
          ) : null}
        </>
      ) : (
        !disabled && <p className="quiet">Each patch counts itself. Then say why it stayed.</p>
      )}
      <Tweezed read={read} disabled={disabled} />
      {cause ? (
        <p className={styles.cause}>
          <strong>Most likely: {cause.text.charAt(0).toLowerCase() + cause.text.slice(1)}</strong> {cause.remedy}
          {causes[1] ? <span className="quiet"> Or: {causes[1].text.toLowerCase()}</span> : null}
        </p>
      ) : null}
      {reading.leave ? <p className="quiet">The rest is left for next time.</p> : null}
    </div>
  );
}

const ARROWS: readonly (readonly [name: string, sign: string, way: Vec])[] = [
  ['up', '↑', [0, -1]],
  ['right', '→', [1, 0]],
  ['down', '↓', [0, 1]],
  ['left', '←', [-1, 0]],
];

/** The way of a patch as it lies in the drawing, for hair that was only touched. */
function Ways({
  read,
  disabled,
  onWay,
}: {
  readonly read: ZoneReading;
  readonly disabled: boolean;
  readonly onWay: (way: Vec) => void;
}) {
  const { edges } = lying(read.zone);
  const isTurned = liesAlong(...read.zone.sheetCm);
  const toSheet = ([x, y]: Vec): Vec => (isTurned ? [0 - y, x] : [x, y]);
  const TO = { up: edges.up, right: edges.right, down: edges.down, left: edges.left } as const;
  return (
    <div className={styles.ways} role="group" aria-label="Which way it grows">
      <h3>It grows to the</h3>
      <div>
        {ARROWS.map(([name, sign, way]) => (
          <button
            key={name}
            type="button"
            disabled={disabled}
            aria-label={`towards ${TO[name as keyof typeof TO]}`}
            onClick={() => onWay(toSheet(way))}
          >
            {sign}
          </button>
        ))}
      </div>
    </div>
  );
}

const MOST_TWEEZED = 2000;

/** By count, or by the minutes. */
function Tweezed({ read, disabled }: { readonly read: ZoneReading; readonly disabled: boolean }) {
  const { reading, said, say, save } = read;
  const count = said('tweezed') ? reading.tweezed : null;
  const set = (n: number): void => say('tweezed', { tweezed: Math.max(0, Math.min(MOST_TWEEZED, n)) });
  const minutes = reading.tweezedMin ?? null;
  return (
    <div className={styles.tweezed}>
      <h3>Tweezed so far, hairs or minutes</h3>
      <div role="group" aria-label="Hairs tweezed">
        <button
          type="button"
          disabled={disabled || (count ?? 0) === 0}
          aria-label="One less"
          onClick={() => set((count ?? 0) - 1)}
        >
          −
        </button>
        <output aria-label="Hairs tweezed">{count ?? '–'}</output>
        <button type="button" disabled={disabled} aria-label="One more" onClick={() => set((count ?? 0) + 1)}>
          +
        </button>
        <button type="button" disabled={disabled} className={styles.small} onClick={() => set((count ?? 0) + 5)}>
          +5
        </button>
        <button
          type="button"
          disabled={disabled}
          className={styles.small}
          aria-label="One minute more"
          onClick={() => save({ tweezedMin: (minutes ?? 0) + 1 })}
        >
          +1′
        </button>
      </div>
      {minutes === null ? null : (
        <p>
          {minutes} min{' '}
          <button
            type="button"
            disabled={disabled}
            aria-label="One minute less"
            onClick={() => save({ tweezedMin: minutes > 1 ? minutes - 1 : undefined })}
          >
            −1′
          </button>
        </p>
      )}
    </div>
  );
}
