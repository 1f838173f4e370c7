'use client';

import { useEffect, useMemo, useState } from 'react';
import {
  aidOf,
  earlyBy,
  isArmed,
  isJustTested,
  liveTable,
  press,
  pressingStrip,
  standing,
  type Act,
  type Aid,
  type AidStep,
  type Armed,
  type LiveGroup,
  type LiveTable,
  type StripMark,
  type TableEvent,
} from '@/core/hands';
import { lumpsUsed, planAtTable, tableGroups, type Plan, type PlanStrip, type PlanZone } from '@/core/plan';
import { tabletNow } from '@/ui/tabletClock';
import { usePots } from '@/features/live/livePots';
import { useBench } from '../BenchContext.client';
import { potFor, potHere, potSaid, type PotHere } from './potHere';

const TICK_MS = 250;

export interface FoundStrip {
  readonly strip: PlanStrip;
  readonly zone: PlanZone;
}

export interface Table {
  /** With the rounds that were added at the table. */
  readonly plan: Plan;
  readonly groups: readonly LiveGroup[];
  readonly table: LiveTable;
  /** Lumps of hand paste taken so far, by product. */
  readonly lumps: ReadonlyMap<string, number>;
  /** The act in hand: what is proposed, or a strip that cannot wait. */
  readonly act: Act;
  /** The pot that the act takes its wax from; null where it takes none or nothing is known of it. */
  readonly pot: PotHere | null;
  /** The same of any strip, chosen out of turn. */
  readonly potOf: (strip: string) => PotHere | null;
  /** Epoch ms; 0 before the clock is known. */
  readonly nowMs: number;
  readonly found: ReadonlyMap<string, FoundStrip>;
  /** A first press on an act that is too early is waiting for its second. */
  readonly armed: boolean;
  /** Rises with every press that did nothing but flash the key. */
  readonly flashes: number;
  /** The pedal, the main key: confirms the act in hand, unless the brake holds it. */
  readonly go: () => void;
  /** All steps that are open here are done. */
  readonly goAll: () => void;
  readonly skip: () => void;
  readonly undo: () => void;
  readonly hold: () => void;
  readonly stop: () => void;
  readonly mark: (kind: StripMark) => void;
  readonly laid: (strip: string) => void;
  readonly pulled: (...strips: readonly string[]) => void;
  /** First aid after a stop; null where nothing was stopped. */
  readonly aid: Aid | null;
  readonly aids: (step: AidStep) => void;
  /** The pot of a product was warmed again or changed. */
  readonly reheated: (product: string) => void;
  /** A fresh lump of hand paste is taken. */
  readonly freshLump: (product: string) => void;
  /** The wrist was asked again before a load that is warned of. */
  readonly testedAnew: (product: string) => void;
}

/** The table as it stands, told by a clock, and what the hands can say to it. */
export function useTable(): Table {
  const { bench, sendEvents } = useBench();
  const { journal } = bench;
  const plan = useMemo(() => planAtTable(bench.plan, journal), [bench.plan, journal]);
  const groups = useMemo(() => tableGroups(bench.plan, journal), [bench.plan, journal]);
  const table = useMemo(() => liveTable(groups, journal), [groups, journal]);
  const found = useMemo(
    () =>
      new Map(
        plan.zones.flatMap((zone) => zone.strips.map((strip): [string, FoundStrip] => [strip.id, { strip, zone }])),
      ),
    [plan],
  );
  const [nowMs, setNowMs] = useState(0);
  const [armed, setArmed] = useState<Armed | null>(null);
  const [flashes, setFlashes] = useState(0);
  useEffect(() => {
    const tick = (): void => setNowMs(tabletNow());
    tick();
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const act = interrupted(table, groups, nowMs);
  const heard = usePots(null);
  const pot = potHere(heard, act, found);
  /** The pot that this strip's wax would come from, chosen out of turn. */
  const potOf = (strip: string): PotHere | null => {
    const info = found.get(strip);
    return info ? potFor(heard, info.zone.choice?.product, info) : null;
  };
  const isTooWarm = act.kind === 'lay' && pot?.warning?.kind === 'over';
  const emit = (...acts: readonly Omit<TableEvent, 'id' | 'atMs'>[]): void => {
    const atMs = tabletNow();
    sendEvents(acts.map((a) => ({ id: crypto.randomUUID(), atMs, ...a })));
    setNowMs(atMs);
  };
  /** What belongs to the act beside itself: early by so much, from a pot so warm. */
  const besides = (of: Act, atMs: number): Partial<TableEvent> => {
    if (of.kind === 'pull') return earlyBy(of.readyAtMs, atMs);
    return of.kind === 'wrist' || isTooWarm ? potSaid(pot) : {};
  };
  const go = (): void => {
    const event = eventOf(act);
    if (!event) return;
    const isWarned = isTooWarm && !isJustTested(pot.pot.productId, standing(journal), tabletNow());
    const pressed = press({ act, lastAtMs: table.lastAtMs }, groups, armed, tabletNow(), isWarned);
    setArmed(pressed.kind === 'armed' ? pressed.armed : null);
    if (pressed.kind === 'go') emit({ ...event, ...besides(act, tabletNow()) });
    else setFlashes((n) => n + 1);
  };
  return {
    plan,
    groups,
    table,
    lumps: lumpsUsed(plan, standing(journal)),
    act,
    pot,
    nowMs,
    found,
    armed: isArmed(armed, act, nowMs),
    flashes,
    go,
    goAll: () => {
      if (act.kind === 'step') emit(...act.open.map((step) => ({ kind: 'step' as const, step })));
    },
    skip: () => {
      if (act.kind === 'step') emit({ kind: 'step', step: act.step, skipped: true });
    },
    undo: () => {
      if (table.undoable) emit({ kind: 'undo', undoes: table.undoable });
    },
    hold: () => {
      if (act.kind !== 'stopped' && act.kind !== 'done') emit({ kind: act.kind === 'held' ? 'resume' : 'hold' });
    },
    stop: () => {
      if (act.kind !== 'stopped') emit({ kind: 'stop' });
    },
    mark: (kind) => {
      if (table.lastPulled) emit({ kind: 'mark', strip: table.lastPulled, mark: kind });
    },
    laid: (strip) => {
      const from = potOf(strip);
      emit({ kind: 'laid', strip, ...(from?.warning?.kind === 'over' ? potSaid(from) : {}) });
    },
    potOf,
    pulled: (...strips) =>
      // after a stop it is eased off: that is no pull before its time
      emit(
        ...strips.map((strip) => ({
          kind: 'pulled' as const,
          strip,
          ...(act.kind === 'stopped' ? {} : earlyBy(table.readyAtMs.get(strip), tabletNow())),
        })),
      ),
    aid: act.kind === 'stopped' ? aidOf(standing(journal), nowMs) : null,
    aids: (step) => emit({ kind: 'aid', step }),
    reheated: (product) => emit({ kind: 'reheat', product }),
    freshLump: (product) => emit({ kind: 'lump', product }),
    testedAnew: (product) => emit({ kind: 'wrist', product, ...potSaid(pot) }),
  };
}

/** What confirming an act writes; null where there is nothing to confirm. */
function eventOf(act: Act): Omit<TableEvent, 'id' | 'atMs'> | null {
  switch (act.kind) {
    case 'wrist':
      return { kind: 'wrist', product: act.product };
    case 'turn':
      return { kind: 'turned', position: act.position };
    case 'step':
      return { kind: 'step', step: act.step };
    case 'lay':
      return { kind: act.part === 'spread' ? 'spread' : 'laid', strip: act.strip };
    case 'pull':
      return { kind: 'pulled', strip: act.strip };
    case 'held':
      return { kind: 'resume' };
    case 'stopped':
    case 'done':
      return null;
  }
}

/** A strip about to pass its latest pull goes before whatever was proposed. */
function interrupted(table: LiveTable, groups: readonly LiveGroup[], nowMs: number): Act {
  const { act } = table;
  if (nowMs === 0 || act.kind === 'stopped' || act.kind === 'done') return act;
  const pressing = pressingStrip(table, groups, nowMs);
  if (!pressing || (act.kind === 'pull' && act.strip === pressing.strip)) return act;
  const laidAtMs = table.strips.get(pressing.strip)?.laidAtMs ?? nowMs;
  return {
    kind: 'pull',
    strip: pressing.strip,
    laidAtMs,
    readyAtMs: pressing.readyAtMs,
    dueAtMs: pressing.dueAtMs,
  };
}
