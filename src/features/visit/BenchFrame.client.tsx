'use client';

import { zoneKey } from '@/core/anatomy';
import { Link } from '@/ui/Link';
import { usePathname } from 'next/navigation';
import { createContext, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import type { BenchZone } from '@/server/services/bench';
import { useKeys } from '@/ui/useKeys';
import { useBench } from './BenchContext.client';
import { ClientSlip } from './ClientSlip';
import { KeyList } from './KeyList.client';
import { PlanSlip } from './PlanSlip';
import { FootContext, LeftContext, SideContext } from './StationFoot.client';
import { NotTaken, Planning, SyncLine } from './SyncWords.client';
import { isPlanning, STATION_NAMES, stationResult, STATIONS } from './stations';
import { useGo } from './useGo';
import styles from './Bench.module.css';

interface ZoneChoice {
  readonly zone: BenchZone | undefined;
  readonly index: number;
  readonly choose: (index: number) => void;
}

const ZoneContext = createContext<ZoneChoice>({ zone: undefined, index: 0, choose: () => undefined });
/** The zone that the stations look at. */
export const useZone = (): ZoneChoice => useContext(ZoneContext);

/** Stations that show something else in the place of the plan's slip. */
const SIDES: Readonly<Record<string, string>> = {
  match: 'Heat',
  read: 'What now',
  return: 'After-care',
};
/** Stations that show the plan: nothing of them stands before there is one. */
const PLANNED_STATIONS = ['match', 'strips', 'work', 'read', 'return'];

/**
 * Client's slip left, the station's surface in the centre, the plan's slip right, the seven stations along the bottom.
 */
export function BenchFrame({ children }: { readonly children: ReactNode }) {
  const { bench } = useBench();
  const path = usePathname();
  const go = useGo();
  const [index, setIndex] = useState(0);
  const [showKeys, setShowKeys] = useState(false);
  const [side, setSide] = useState<HTMLElement | null>(null);
  const [left, setLeft] = useState<HTMLElement | null>(null);
  const [foot, setFoot] = useState<HTMLElement | null>(null);
  const going = useRef(0);
  const here = path.split('/').pop() ?? '';
  const zone = bench.zones[Math.min(index, bench.zones.length - 1)];
  const at = `/visits/${bench.visit.id}`;
  // at the table nothing is done by a plan that is about to be another one
  const isWaiting = isPlanning(bench) ? PLANNED_STATIONS.includes(here) : bench.planComing && here === 'work';
  const toStation = (n: number) => (): void => {
    const station = STATIONS[n];
    if (station && Date.now() - going.current < 1500) go(`${at}/${station}`);
    going.current = 0;
  };
  useKeys({
    g: () => {
      going.current = Date.now();
    },
    '?': () => setShowKeys(true),
    'Shift+?': () => setShowKeys(true),
    ...(here === 'work' ? {} : Object.fromEntries(STATIONS.map((_, i) => [String(i + 1), toStation(i)]))),
    ...Object.fromEntries(
      STATIONS.map((_, i) => [
        `g ${i + 1}`,
        () => {
          going.current = Date.now();
          toStation(i)();
        },
      ]),
    ),
  });
  const choice = useMemo(
    (): ZoneChoice => ({ zone, index: Math.max(0, Math.min(index, bench.zones.length - 1)), choose: setIndex }),
    [zone, index, bench.zones.length],
  );
  return (
    <ZoneContext value={choice}>
      <div className={styles.bench} data-station={here}>
        <aside className={styles.left} aria-label="Client" data-behind>
          <ClientSlip
            bench={bench}
            at={zone ? zoneKey(zone) : ''}
            isBrief={here === 'read' || here === 'return'}
            asks={here === 'consult'}
          />
          <div ref={setLeft} />
        </aside>
        <main className={styles.centre}>
          <NotTaken />
          {bench.visit.status === 'closed' && here !== 'read' && here !== 'return' ? (
            <p className={styles.closed}>This visit is closed: its record can be read, not changed.</p>
          ) : null}
          <FootContext value={foot}>
            <SideContext value={side}>
              <LeftContext value={left}>{isWaiting ? <Planning /> : children}</LeftContext>
            </SideContext>
          </FootContext>
        </main>
        {/* what scrolls within itself is reached by the keys too */}
        {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
        <aside className={styles.right} aria-label={SIDES[here] ?? 'Plan so far'} data-behind tabIndex={0}>
          {/* Match shows the heat of its choice here, Read what is to be done now */}
          <div ref={setSide} className={styles.side} />
          {here in SIDES ? null : <PlanSlip bench={bench} at={zone ? zoneKey(zone) : ''} />}
        </aside>
        <div ref={setFoot} className={styles.foot} role="group" aria-label="What to do now" />
        <nav className={styles.stations} aria-label="Stations of the visit" data-behind>
          {STATIONS.map((s) => (
            <Link
              key={s}
              href={`${at}/${s}`}
              className={styles.station}
              aria-current={here === s ? 'step' : undefined}

              onClick={(e) => {
                // a new tab by key or middle button is the browser's
                if (e.metaKey || e.ctrlKey || e.shiftKey) return;
                e.preventDefault();
                go(`${at}/${s}`);
              }}
            >
              <strong>{STATION_NAMES[s]}</strong>
              <span>{stationResult(bench, s)}</span>
            </Link>
          ))}
        </nav>
      </div>
      <SyncLine onKeys={() => setShowKeys(true)} />
      {showKeys ? <KeyList onClose={() => setShowKeys(false)} /> : null}
    </ZoneContext>
  );
}
