'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import { liveTable, pressingStrip, type Act, type LiveTable, type StripMark, type TableEvent } from '@/core/hands';
import { liveGroups, type PlanStrip, type PlanZone } from '@/core/plan';
import { CurtainButton } from '@/ui/Curtain.client';
import { tabletNow } from '@/ui/tabletClock';
import { useKeys } from '@/ui/useKeys';
import { withDates } from '@/ui/words';
import { useBench, useSync } from '../BenchContext.client';
import { notLookedAt } from '../chart/useLooked';
import { productName } from '../stations';
import { NotTaken } from '../SyncWords.client';
import { ActPanel } from './ActPanel';
import { FaultList } from './FaultList';
import { Guard, LookFirst } from './Guards.client';
import { StoppedPanel } from './StoppedPanel';
import { WorkSheet } from './WorkSheet';
import styles from './Work.module.css';

const TICK_MS = 250;
const MARKS: readonly (readonly [StripMark, string])[] = [
  ['clean', 'clean'],
  ['some-left', 'some left'],
  ['broke', 'broke'],
  ['sore', 'sore'],
];

export interface FoundStrip {
  readonly strip: PlanStrip;
  readonly zone: PlanZone;
}

/** Full screen at the table: one act at a time, asked to be confirmed by the hand. */
export function WorkStation() {
  const { bench } = useBench();
  const { visit, plan } = bench;
  const strips = plan.zones.reduce((n, z) => n + z.strips.length, 0);
  const begun = bench.journal.length > 0;
  const at = `/visits/${visit.id}`;
  if (strips === 0) {
    return (
      <Guard
        title="Nothing to lay"
        text={plan.zones[0]?.reasons[0] ? withDates(plan.zones[0].reasons[0]) : 'Choose zones and product first.'}
        href={`${at}/match`}
        link="To the match"
      />
    );
  }
  if (visit.consult.confirmedAtMs === null && !begun) {
    return (
      <Guard
        title="Ask first"
        text="The consultation is not confirmed yet. Nothing warm touches skin before it."
        href={`${at}/consult`}
        link="To the consultation"
      />
    );
  }
  if (visit.status === 'closed') {
    return (
      <Guard
        title="This visit is closed"
        text="What was done at the table stands in its record."
        href={`${at}/read`}
        link="To the reading"
      />
    );
  }
  if (!begun && notLookedAt(bench.zones).length > 0) return <LookFirst />;
  return <AtTheTable />;
}

function AtTheTable() {
  const { bench, sendEvents } = useBench();
  const { sync } = useSync();
  const { plan, journal, visit } = bench;
  const groups = useMemo(() => liveGroups(plan), [plan]);
  const table = useMemo(() => liveTable(groups, journal), [groups, journal]);
  const [nowMs, setNowMs] = useState(0);
  const [choosing, setChoosing] = useState(false);
  const [faults, setFaults] = useState(false);
  useEffect(() => {
    const tick = (): void => setNowMs(tabletNow());
    tick();
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, []);
  // what lies behind the table can neither be reached by key nor be read out
  useEffect(() => {
    const behind = [...document.querySelectorAll<HTMLElement>('[data-behind]')];
    for (const element of behind) element.inert = true;
    return () => {
      for (const element of behind) element.inert = false;
    };
  }, []);
  const found = useMemo(
    () =>
      new Map(
        plan.zones.flatMap((zone) => zone.strips.map((strip): [string, FoundStrip] => [strip.id, { strip, zone }])),
      ),
    [plan],
  );
  const act = interrupted(table, groups, nowMs);
  const emit = (kind: TableEvent['kind'], more: Partial<TableEvent> = {}): void =>
    sendEvents([{ id: crypto.randomUUID(), atMs: tabletNow(), kind, ...more }]);
  const next = (): void => {
    if (act.kind === 'wrist') emit('wrist', { product: act.product });
    else if (act.kind === 'turn') emit('turned', { position: act.position });
    else if (act.kind === 'lay') emit('laid', { strip: act.strip });
    else if (act.kind === 'pull') emit('pulled', { strip: act.strip });
    else if (act.kind === 'held') emit('resume');
  };
  const backOne = (): void => {
    if (table.undoable) emit('undo', { undoes: table.undoable });
  };
  const mark = (kind: StripMark): void => {
    if (table.lastPulled) emit('mark', { strip: table.lastPulled, mark: kind });
  };
  const hold = (): void => emit(act.kind === 'held' ? 'resume' : 'hold');
  const stop = (): void => {
    if (act.kind !== 'stopped') emit('stop');
  };
  const another = (): void => setChoosing(table.layable.length > 0 && !choosing);
  useKeys({
    Space: (e) => {
      if (e.target instanceof HTMLElement && e.target.closest('button, a')) return;
      e.preventDefault();
      next();
    },
    PageDown: (e) => {
      e.preventDefault();
      next();
    },
    PageUp: (e) => {
      e.preventDefault();
      backOne();
    },
    w: () => {
      if (act.kind === 'wrist') next();
    },
    h: hold,
    a: another,
    0: stop,
    f: () => setFaults(!faults),
    ...Object.fromEntries(MARKS.map(([kind], i) => [String(i + 1), () => mark(kind)])),
    Escape: () => {
      setChoosing(false);
      setFaults(false);
    },
  });
  const strip = 'strip' in act ? found.get(act.strip) : undefined;
  const shownZone =
    strip?.zone ??
    found.get(act.kind === 'turn' ? act.firstStrip : '')?.zone ??
    found.get(table.onSkin[0] ?? table.lastPulled ?? '')?.zone ??
    plan.zones.find((z) => z.strips.length > 0);
  const lastMark = table.lastPulled ? table.strips.get(table.lastPulled)?.mark : null;
  return (
    <div className={styles.work} data-act={act.kind}>
      <div className={styles.say}>
        {act.kind === 'stopped' ? (
          <StoppedPanel
            table={table}
            found={found}
            onPulled={(id) => emit('pulled', { strip: id })}
            readHref={`/visits/${visit.id}/read`}
          />
        ) : (
          <ActPanel
            act={act}
            table={table}
            found={found}
            plan={plan}
            productName={(id) => productName(bench, id)}
            nowMs={nowMs}
            readySign={bench.studio.settings.readySign}
            visitId={visit.id}
            onNext={next}
            onHold={hold}
            onAnother={another}
            sheet={
              shownZone ? (
                <WorkSheet
                  zone={shownZone}
                  bench={bench}
                  table={table}
                  act={'strip' in act ? act.strip : null}
                  arrow={act.kind === 'lay' ? 'lay' : 'pull'}
                  nowMs={nowMs}
                />
              ) : null
            }
          />
        )}
      </div>
      {choosing ? (
        <div className={styles.another} role="dialog" aria-label="Which strip did you lay?">
          <p>Which did you lay?</p>
          <div>
            {table.layable.map((id) => (
              <button
                key={id}
                type="button"
                onClick={() => {
                  setChoosing(false);
                  emit('laid', { strip: id });
                }}
              >
                {found.get(id)?.strip.number}
                <small>{found.get(id)?.zone.side === 'middle' ? '' : found.get(id)?.zone.side}</small>
              </button>
            ))}
          </div>
          <button type="button" className={styles.plain} onClick={() => setChoosing(false)}>
            None
          </button>
        </div>
      ) : null}
      {faults ? (
        <FaultList
          family={shownZone?.choice?.family ?? 'hard'}
          strip={strip?.strip.number ?? null}
          onClose={() => setFaults(false)}
        />
      ) : null}
      <div className={styles.told}>
        <NotTaken />
      </div>
      <div className={styles.foot}>
        <div
          className={styles.marks}
          role="group"
          aria-label={
            table.lastPulled
              ? `How strip ${found.get(table.lastPulled)?.strip.number ?? ''} came off`
              : 'How the last strip came off'
          }
        >
          {MARKS.map(([kind, word], i) => (
            <button
              key={kind}
              type="button"
              aria-pressed={lastMark === kind}
              disabled={!table.lastPulled}
              onClick={() => mark(kind)}
            >
              <b>{i + 1}</b> {word}
            </button>
          ))}
        </div>
        <span className={styles.saved} data-sync={sync} role="status">
          {sync === 'saved' || sync === 'saving' ? '' : 'Server away: kept on this tablet'}
        </span>
        <button type="button" className={styles.plain} onClick={() => setFaults(!faults)}>
          Problem
        </button>
        <CurtainButton className={styles.plain} />
        <button type="button" className={styles.plain} onClick={backOne} disabled={!table.undoable}>
          Undo
        </button>
        <Link href={`/visits/${visit.id}/strips`} className={styles.plain}>
          Leave
        </Link>
        <button type="button" className={styles.stop} onClick={stop} disabled={act.kind === 'stopped'}>
          Stop
        </button>
      </div>
    </div>
  );
}

/** A strip about to pass its latest pull goes before whatever was proposed. */
function interrupted(table: LiveTable, groups: ReturnType<typeof liveGroups>, nowMs: number): Act {
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
