'use client';

import { useEffect, useRef, useState } from 'react';
import { zoneKey } from '@/core/anatomy';
import type { Act, LiveGroup, LiveTable, SignalState, StripMark } from '@/core/hands';
import type { PlanZone } from '@/core/plan';
import type { Bench } from '@/server/services/bench';
import { StripSheet, type StripLook } from '../strips/StripSheet';
import styles from './Work.module.css';

interface Props {
  readonly zone: PlanZone;
  readonly bench: Bench;
  readonly table: LiveTable;
  readonly groups: readonly LiveGroup[];
  readonly act: Act;
  readonly state: SignalState;
  readonly nowMs: number;
  /** Beside other things, without keys over it. */
  readonly small?: boolean;
}

/** Beside the keys at the sheet's left, where they stand over it, px. */
const KEYS_PX = 108;
/** On an upright tablet they stand at its right (Work.module.css). */
const KEYS_RIGHT_UNDER_PX = 1000;
const NARROW_PX = 560;
const SLABS_PX = 84;
/** Set in this many steps, so that the drawing is not made anew four times a second. */
const STEPS = 10;

/** The zone at the table: what is off, what sets, what comes now. */
export function WorkSheet({ zone, bench, table, groups, act, state, nowMs, small = false }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 768, height: 672, keysRight: false });
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => {
      const now = entry?.contentRect;
      if (now && now.width > 0 && now.height > 0) {
        setSize({ width: now.width, height: now.height, keysRight: window.innerWidth <= KEYS_RIGHT_UNDER_PX });
      }
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const data = bench.zones.find((z) => zoneKey(z) === zoneKey(zone))?.data;
  if (!data) return null;
  const inHand = 'strip' in act ? act.strip : null;
  const setMinS = new Map(groups.flatMap((g) => g.jobs.map((j) => [j.id, j.setMinS])));
  const looks = new Map<string, StripLook>();
  const sets = new Map<string, number>();
  const marks = new Map<string, StripMark>();
  for (const { id } of zone.strips) {
    const live = table.strips.get(id);
    const laidAtMs = live?.pulledAtMs === null ? live.laidAtMs : null;
    const setMs = Math.max(1, 1000 * (setMinS.get(id) ?? 1));
    const share = laidAtMs === null ? 0 : Math.min(1, Math.max(0, (nowMs - laidAtMs) / setMs));
    if (laidAtMs !== null) sets.set(id, Math.round(share * STEPS) / STEPS);
    if (live?.mark) marks.set(id, live.mark);
    looks.set(id, lookOf(live?.spreadAtMs ? 2 : (live?.stage ?? 0), share));
  }
  if (inHand !== null && act.kind === 'pull' && state !== 'wait') looks.set(inHand, 'now');
  const isNarrow = small || size.width < NARROW_PX;
  const { width, height, keysRight } = size;
  const keys = isNarrow ? 0 : KEYS_PX;
  // on a phone what else sets stands at its right
  const slabs = isNarrow && !small && table.onSkin.some((id) => id !== inHand) ? SLABS_PX : 0;
  const frame = { width, height, left: keysRight ? 0 : keys, right: slabs + (keysRight ? keys : 0) };
  return (
    <div ref={box} className={styles.drawing}>
      <StripSheet
        zone={zone}
        data={data}
        looks={looks}
        sets={sets}
        marks={marks}
        marked={isNarrow ? null : table.lastPulled}
        act={inHand}
        arrow={act.kind === 'lay' ? 'lay' : 'pull'}
        frame={frame}
      />
    </div>
  );
}

/** Stages of the live table: 1 a first coat, 2 setting, 3 off. */
function lookOf(stage: number, share: number): StripLook {
  if (stage === 0) return 'planned';
  if (stage === 3) return 'off';
  return share < 1 ? 'setting' : 'ready';
}
