// What other pages and tablets did, as it happens. One page of a browser holds the line to the server and tells the
// others: a browser keeps few lines open at once.

import type { StudioEvent } from '@/server/events';
import { heardServerTime } from '@/ui/tabletClock';

/** `anew`: what was missed cannot be told, look at everything again. */
export type LiveEvent = StudioEvent | { readonly kind: 'anew' };

const listeners = new Set<(event: LiveEvent) => void>();
let channel: BroadcastChannel | null = null;

interface Said {
  readonly event: LiveEvent | null;
  readonly serverMs: number | null;
}

function hear({ event, serverMs }: Said): void {
  if (serverMs !== null) heardServerTime(serverMs);
  if (event) for (const listener of listeners) listener(event);
}
function say(said: Said): void {
  channel?.postMessage(said);
  hear(said);
}

/** A line that the server has refused, e.g. while it starts, is not opened again by the browser. */
const REOPEN_MS = 3000;

function openLine(): void {
  const line = new EventSource('/api/events');
  let wasOpen = false;
  line.addEventListener('hello', (e: MessageEvent<string>) => {
    say({ event: null, serverMs: (JSON.parse(e.data) as { nowMs: number }).nowMs });
  });
  line.addEventListener('anew', () => say({ event: { kind: 'anew' }, serverMs: null }));
  line.onopen = () => {
    // a page that takes the line over may have missed something between
    if (!wasOpen) say({ event: { kind: 'anew' }, serverMs: null });
    wasOpen = true;
  };
  line.onmessage = (e: MessageEvent<string>) => say({ event: JSON.parse(e.data) as StudioEvent, serverMs: null });
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
