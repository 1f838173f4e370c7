'use client';

import { useState } from 'react';
import { POSITION_NAMES, ZONES, zoneKey, type Position } from '@/core/anatomy';
import type { Plan, PlanZone } from '@/core/plan';
import { ringPath } from '@/formats/stripsSvg';
import { useInSight } from '@/ui/useInSight';
import { plural, sideWord } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { lying } from './lying';
import { moved, workUnits } from './workOrder';
import styles from './Filmstrip.module.css';

interface Bracket {
  readonly position: Position;
  readonly zones: readonly PlanZone[];
}

function bracketsOf(plan: Plan): readonly Bracket[] {
  const byKey = new Map(plan.zones.map((z) => [zoneKey(z), z]));
  const brackets: { position: Position; zones: PlanZone[] }[] = [];
  for (const r of plan.schedule.rounds) {
    const zones = r.zones.flatMap((key) => byKey.get(key) ?? []);
    const last = brackets.at(-1);
    if (last?.position === r.position) last.zones.push(...zones);
    else brackets.push({ position: r.position, zones });
  }
  return brackets;
}

/** The zones in the order of work, bracketed by how the client lies; dragged, or moved by Alt and the arrows. */
export function Filmstrip({ plan, stands }: { readonly plan: Plan; readonly stands: boolean }) {
  const { bench, saveConsult } = useBench();
  const { index, choose } = useZone();
  const brackets = bracketsOf(plan);
  const worked = new Set(brackets.flatMap((b) => b.zones.map(zoneKey)));
  const out = plan.zones.filter((z) => !worked.has(zoneKey(z)));
  const units = workUnits(plan);
  const place = (zone: PlanZone): number => bench.zones.findIndex((z) => zoneKey(z) === zoneKey(zone));
  const [stays, setStays] = useState(false);
  const wish = (order: readonly string[] | null): void => {
    setStays(!order);
    if (order && !stands) saveConsult({ ...bench.visit.consult, order });
  };
  const { line, chosen } = useInSight<HTMLDivElement, HTMLButtonElement>(`${index} ${bench.planHash}`);
  if (bench.zones.length < 2) return null;
  const card = (zone: PlanZone) => {
    const key = zoneKey(zone);
    const at = place(zone);
    return (
      <button
        key={key}
        ref={at === index ? chosen : null}
        type="button"
        className={styles.card}
        aria-pressed={at === index}
        aria-label={`${sideWord(ZONES[zone.zone].name, zone.side)}, ${plural(zone.strips.length, 'strip')}`}
        title={sideWord(ZONES[zone.zone].name, zone.side)}
        aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight"
        draggable={!stands && worked.has(key)}
        onClick={() => choose(at)}
        onKeyDown={(e) => {
          const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
          if (!e.altKey || by === undefined) return;
          e.preventDefault();
          wish(moved(units, key, by));
        }}
        onDragStart={(e) => e.dataTransfer.setData('text/plain', key)}
        onDragOver={(e) => e.preventDefault()}
        onDrop={(e) => {
          e.preventDefault();
          const from = units.findIndex((u) => u.keys.includes(e.dataTransfer.getData('text/plain')));
          const to = units.findIndex((u) => u.keys.includes(key));
          if (from >= 0 && to >= 0 && from !== to) wish(moved(units, units[from]?.keys[0] ?? '', to - from));
        }}
      >
        <Thumbnail zone={zone} />
        <span className={styles.name}>
          {ZONES[zone.zone].name}
          {zone.side === 'middle' ? null : <span className={styles.side}>{zone.side}</span>}
        </span>
        <span className={styles.count}>{zone.strips.length === 0 ? 'none' : zone.strips.length}</span>
      </button>
    );
  };
  return (
    <div className={styles.line}>
      <p role="status" className={styles.stays}>
        {stays ? 'It stays: the client would have to turn, or a pot to be warmed up again.' : ''}
      </p>
      <div ref={line} className={styles.strip} role="group" aria-label="Zones in the order of work">
        {brackets.map((b, k) => (
          <div key={`${b.position}${b.zones[0] ? zoneKey(b.zones[0]) : ''}`} className={styles.bracketed}>
            {k > 0 ? (
              <span className={styles.turn}>
                <svg viewBox="0 0 40 26" aria-hidden="true">
                  <path d="M8 18a12 9 0 0 1 24 0M28 13l4 6 5-5" fill="none" stroke="currentColor" strokeWidth="2" />
                </svg>
                turn
              </span>
            ) : null}
            <div className={styles.bracket}>
              <p className={styles.position}>
                <span>Client {POSITION_NAMES[b.position]}</span>
              </p>
              <div className={styles.cards}>{b.zones.map(card)}</div>
            </div>
          </div>
        ))}
        {out.length > 0 ? (
          <div className={styles.bracket}>
            <p className={styles.position}>
              <span>{plural(out.length, 'zone')} without strips</span>
            </p>
            <div className={styles.cards}>{out.map(card)}</div>
          </div>
        ) : null}
      </div>
    </div>
  );
}

/** The chosen zone, with its other side, worked before or after its neighbour in the order. */
export function Move({ plan, zone }: { readonly plan: Plan; readonly zone: PlanZone }) {
  const { bench, saveConsult } = useBench();
  const units = workUnits(plan);
  if (units.length < 2) return null;
  const steps = [
    ['earlier', moved(units, zoneKey(zone), -1)],
    ['later', moved(units, zoneKey(zone), 1)],
  ] as const;
  return (
    <div className={styles.move} role="group" aria-label="When this zone is worked">
      <p>Worked</p>
      {steps.map(([word, order]) => (
        <button
          key={word}
          type="button"
          disabled={!order}
          onClick={() => (order ? saveConsult({ ...bench.visit.consult, order }) : undefined)}
        >
          {word}
        </button>
      ))}
    </div>
  );
}

function Thumbnail({ zone }: { readonly zone: PlanZone }) {
  const { outline, sheetCm } = lying(zone).zone;
  const [w, h] = sheetCm;
  const line = Math.max(w / 108, h / 34);
  return (
    <svg viewBox={`${-line} ${-line} ${w + 2 * line} ${h + 2 * line}`} className={styles.thumb} aria-hidden="true">
      <path
        d={ringPath(outline)}
        fill={zone.strips.length > 0 ? 'var(--wax)' : 'none'}
        stroke="var(--walnut)"
        strokeWidth={1.2 * line}
      />
    </svg>
  );
}
