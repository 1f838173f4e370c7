'use client';

// The pots as they are told, on every page: a heat that has not been heard of for a while is called old, not shown as
// if it were now.

import { useEffect, useState, useSyncExternalStore } from 'react';
import type { LivePot } from '@/server/pots/livePot';
import { getJson } from '@/ui/sendJson';
import { onLive } from './liveEvents';

/** The server tells at least every 25 s: after so long the line is gone, ms. */
const OLD_AFTER_MS = 70_000;
const LOOK_MS = 10_000;

let told: readonly LivePot[] | null = null;
let toldAtMs = 0;
const listeners = new Set<() => void>();

function hear(pots: readonly LivePot[]): void {
  told = pots;
  toldAtMs = performance.now();
  for (const listener of listeners) listener();
}

let isStarted = false;
function start(): void {
  if (isStarted) return;
  isStarted = true;
  toldAtMs = performance.now();
  onLive((event) => {
    if (event.kind === 'pots') hear(event.pots);
    if (event.kind === 'anew') look();
  });
  // a page tells some of its parts only
  look();
}

function look(): void {
  const askedMs = performance.now();
  void getJson<{ readonly pots: readonly LivePot[] }>('/api/pots').then((sent) => {
    // what was told meanwhile is newer than the answer
    if (sent.ok && toldAtMs <= askedMs) hear(sent.value.pots);
  });
}

function subscribe(listener: () => void): () => void {
  start();
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export interface PotsHeard {
  readonly pots: readonly LivePot[];
  /** Nothing was heard for a while: what is shown is not now. */
  readonly isOld: boolean;
}

/** @param first as the page came from the server */
export function usePots(first: readonly LivePot[] | null): PotsHeard {
  const pots = useSyncExternalStore(
    subscribe,
    () => told,
    () => null,
  );
  const [isOld, setOld] = useState(false);
  useEffect(() => {
    const look = (): void => setOld(performance.now() - toldAtMs > OLD_AFTER_MS);
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, [pots]);
  return { pots: pots ?? first ?? [], isOld };
}
