'use client';

import { Button } from 'antd';
import { useSyncExternalStore } from 'react';
import { itemWords } from '@/formats/trayWords';
import type { TodayVisit } from '@/server/services/today';
import { timeOfDay } from '@/ui/words';
import styles from './TodayView.module.css';

/** Ticks are of this tablet and of this visit: who lays the tray out stands before it. */
const keyOf = (bookingId: string): string => `strickle-tray:${bookingId}`;
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

function useTicks(bookingId: string): readonly [ReadonlySet<string>, (item: string) => void] {
  const kept = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(keyOf(bookingId)) ?? '',
    () => '',
  );
  const ticks = new Set(kept === '' ? [] : kept.split(' '));
  const toggle = (item: string): void => {
    if (ticks.has(item)) ticks.delete(item);
    else ticks.add(item);
    localStorage.setItem(keyOf(bookingId), [...ticks].join(' '));
    for (const listener of listeners) listener();
  };
  return [ticks, toggle];
}

/** What to lay out for the next visit, counted, ticked off and printed. */
export function TrayList({ visit, timeZone }: { readonly visit: TodayVisit; readonly timeZone: string }) {
  const [ticks, toggle] = useTicks(visit.bookingId);
  const { tray } = visit;
  const done = tray.filter((t) => ticks.has(t.item)).length;
  return (
    <section>
      <h2 className={styles.trayHead}>
        Tray for {timeOfDay(visit.startsAtMs, timeZone)}, {visit.clientName}
        {tray.length > 0 ? (
          <small>
            {done} of {tray.length}
          </small>
        ) : null}
      </h2>
      {tray.length === 0 ? (
        <p className="quiet">
          {visit.isComing
            ? 'Counted as soon as the visit is planned.'
            : 'Nothing to lay out before the question above is answered.'}
        </p>
      ) : (
        <>
          <ul className={styles.tray}>
            {tray.map((t) => {
              const { name, amount } = itemWords(t);
              return (
                <li key={t.item}>
                  <label data-done={ticks.has(t.item)}>
                    <input type="checkbox" checked={ticks.has(t.item)} onChange={() => toggle(t.item)} />
                    <span>{name}</span>
                    <b>{amount}</b>
                  </label>
                </li>
              );
            })}
          </ul>
          <Button href={`/api/bookings/${visit.bookingId}/tray`}>Tray card, A5</Button>
        </>
      )}
    </section>
  );
}
