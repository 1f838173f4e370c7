// What other pages and tablets did, as it happens. One page of a browser holds the line to the server and tells the
// others: a browser keeps few lines open at once.

import type { StudioEvent } from '@/server/events';
import { heardServerTime } from '@/ui/tabletClock';
import { isGap, later } from './heard';

/** `anew`: what was missed cannot be told, look at everything again. */
export type LiveEvent = StudioEvent | { readonly kind: 'anew' };

const listeners = new Set<(event: LiveEvent) => void>();
let channel: BroadcastChannel | null = null;

interface Said {
  readonly event: LiveEvent | null;
  readonly serverMs: number | null;
  /** Its cursor; null where it has none. */
  readonly id: string | null;
}

/** The last thing that this page knows of: first what had been told before it was made. */
let heard: string | null = null;

function hear({ event, serverMs, ...said }: Said): void {
  if (serverMs !== null) heardServerTime(serverMs);
  if (!event) return;
  // a page of before an update says none
  const id = (said as Partial<Said>).id ?? null;
  // one that came between the making of this page and its first listening, while another page held the line
  const missed = id !== null && event.kind !== 'anew' && isGap(heard, id, event.kind !== 'pots');
  if (id !== null) heard = later(heard, id);
  for (const listener of listeners) {
    if (missed) listener({ kind: 'anew' });
    listener(event);
  }
}
function say(said: Said): void {
  channel?.postMessage(said);
  hear(said);
}

/** A line that the server has refused, e.g. while it starts, is not opened again by the browser. */
const REOPEN_MS = 3000;

function openLine(): void {
  // what was told since: a page that has just come need not look at everything once more
  const line = new EventSource(heard === null ? '/api/events' : `/api/events?after=${encodeURIComponent(heard)}`);
  line.addEventListener('hello', (e: MessageEvent<string>) => {
    say({ event: null, serverMs: (JSON.parse(e.data) as { nowMs: number }).nowMs, id: null });
  });
  line.addEventListener('anew', (e: MessageEvent<string>) => {
    say({ event: { kind: 'anew' }, serverMs: null, id: e.lastEventId });
  });
  line.onmessage = (e: MessageEvent<string>) => {
    say({ event: JSON.parse(e.data) as StudioEvent, serverMs: null, id: e.lastEventId });
  };
  line.onerror = () => {
    if (line.readyState === EventSource.CLOSED) setTimeout(openLine, REOPEN_MS);
  };
}

/** Holds the line for as long as the page stands. */
function holdLine(): Promise<never> {
  openLine();
  return new Promise(() => undefined);
}

let isStarted = false;
function start(): void {
  if (isStarted) return;
  isStarted = true;
  heard = document.documentElement.dataset['told'] ?? null;
  channel = new BroadcastChannel('strickle-live');
  channel.onmessage = (e: MessageEvent<Said>) => hear(e.data);
  void navigator.locks.request('strickle-line', holdLine);
}

/** @returns ends the listening */
export function onLive(listener: (event: LiveEvent) => void): () => void {
  start();
  listeners.add(listener);
  return () => listeners.delete(listener);
}
