// Does what the steps of `reduce` ask for: keeps boxes, sends, waits, and tells who listens. Outside React, so that a
// save under way draws nothing anew but the word that says so.

import type { TableEvent } from '@/core/hands';
import { sendJson, type Sent } from '@/ui/sendJson';
import { tabletNow } from '@/ui/tabletClock';
import type { Box } from './box';
import {
  startSync,
  syncStep,
  type ActsTaken,
  type BenchTaken,
  type SyncEffect,
  type SyncEvent,
  type SyncState,
} from './reduce';
import { keepBox } from './store';

const RETRY_MS = 2500;

export interface SyncControl {
  readonly state: () => SyncState;
  readonly dispatch: (event: SyncEvent) => void;
  /** Told after every step. */
  readonly subscribe: (listener: () => void) => () => void;
  /** Listens for the line coming back. @returns ends the waiting; what waits stays in its box */
  readonly start: () => () => void;
}

interface Wiring {
  readonly box: Box;
  readonly version: number;
  readonly journalAt: number;
  /** The server's bench as it stands. */
  readonly onBench: (bench: unknown) => void;
  readonly onEntries: (entries: ActsTaken['entries']) => void;
}

export function syncControl({ box, version, journalAt, onBench, onEntries }: Wiring): SyncControl {
  let state = startSync(box, version, journalAt);
  let timer: ReturnType<typeof setTimeout> | null = null;
  let keeping: Promise<void> = Promise.resolve();
  const listeners = new Set<() => void>();

  const answered = { id: () => crypto.randomUUID(), atMs: () => tabletNow() };
  const perform = (effect: SyncEffect): void => {
    switch (effect.kind) {
      case 'keep':
        keeping = keepBox(effect.box);
        return;
      case 'sendActs':
        void keeping.then(async () => {
          const events: readonly TableEvent[] = effect.acts.map((a) => a.event);
          const plan = effect.plan === '' ? {} : { plan: effect.plan };
          const body = { events, after: effect.after, ...plan };
          const sent = await sendJson<ActsTaken>('POST', `/api/visits/${effect.visitId}/journal`, body);
          dispatch({ kind: 'actsAnswered', sent, id: answered.id(), atMs: answered.atMs() });
        });
        return;
      case 'sendDoc':
        // first on the disk, then on the line: what the server has done is known here whatever happens to the page
        void keeping.then(async () => {
          const sent: Sent<BenchTaken> = await sendJson('PUT', effect.url, effect.body, effect.requestId);
          dispatch({ kind: 'docAnswered', sent, id: answered.id(), atMs: answered.atMs() });
        });
        return;
      case 'retry':
        if (timer) clearTimeout(timer);
        timer = setTimeout(() => dispatch({ kind: 'woke' }), RETRY_MS);
        return;
      case 'take':
        onBench(effect.bench);
        return;
      case 'hear':
        onEntries(effect.entries);
    }
  };
  function dispatch(event: SyncEvent): void {
    const step = syncStep(state, event);
    state = step.state;
    for (const effect of step.effects) perform(effect);
    for (const listener of listeners) listener();
  }
  const awake = (): void => dispatch({ kind: 'woke' });
  return {
    state: () => state,
    dispatch,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    start: () => {
      window.addEventListener('online', awake);
      return () => {
        window.removeEventListener('online', awake);
        if (timer) clearTimeout(timer);
      };
    },
  };
}
