// What waits to be saved, kept on the tablet until the server has it: the latest of each document, and the journal's
// events in order. A reload or a sleeping tablet loses nothing. Emptied as soon as the server has answered.

import type { TableEvent } from '@/core/hands';

export interface WaitingDoc {
  readonly url: string;
  /** Name of the field that carries the document beside the version. */
  readonly field: string;
  readonly data: unknown;
}

export interface Waiting {
  readonly docs: Readonly<Record<string, WaitingDoc>>;
  readonly events: readonly TableEvent[];
}

const NOTHING: Waiting = { docs: {}, events: [] };
const keyOf = (visitId: string): string => `strickle-waiting-${visitId}`;

export function readWaiting(visitId: string): Waiting {
  try {
    const text = localStorage.getItem(keyOf(visitId));
    return text ? (JSON.parse(text) as Waiting) : NOTHING; // written by keepWaiting only
  } catch {
    return NOTHING;
  }
}

export function keepWaiting(visitId: string, waiting: Waiting): void {
  try {
    if (Object.keys(waiting.docs).length === 0 && waiting.events.length === 0) localStorage.removeItem(keyOf(visitId));
    else localStorage.setItem(keyOf(visitId), JSON.stringify(waiting));
  } catch {
    // a full or forbidden store: the page still holds it in memory and keeps trying
  }
}

export const isEmpty = (w: Waiting): boolean => Object.keys(w.docs).length === 0 && w.events.length === 0;

/** Server's journal and what is still on its way, each event once, in the order of the hands. */
export function joinJournal(journal: readonly TableEvent[], waiting: readonly TableEvent[]): readonly TableEvent[] {
  const known = new Set(journal.map((e) => e.id));
  return [...journal, ...waiting.filter((e) => !known.has(e.id))];
}
