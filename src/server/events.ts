// What changed, told to every open page as it happens. Numbered within one run of the server: a page that comes back
// with a number of this run hears what it missed, one of another run is told to look at everything anew.

import 'server-only';
import { randomUUID } from 'node:crypto';
import type { LivePot } from './pots/livePot';

export type StudioEvent =
  /** A visit, its charts or readings were written. */
  | { readonly kind: 'visit'; readonly visitId: string; readonly version: number }
  /** A visit was closed or put off. */
  | { readonly kind: 'ended'; readonly visitId: string }
  /** Acts were added to a visit's journal, up to this place. */
  | { readonly kind: 'journal'; readonly visitId: string; readonly at: number }
  /** A plan has come onto the shelf. */
  | { readonly kind: 'plan'; readonly visitId: string | null; readonly hash: string }
  /** A client's card was changed. */
  | { readonly kind: 'card'; readonly clientId: string }
  /** A client has signed a form. */
  | { readonly kind: 'form'; readonly formId: string }
  /** The day has changed: bookings, visits opened or ended. */
  | { readonly kind: 'day' }
  /** What plans are made by has changed: products, weights, rules, prices. */
  | { readonly kind: 'studio' }
  /** The batch on the stove, or where it is cooked. */
  | { readonly kind: 'kitchen' }
  /** Something came onto the shelf or went off it. */
  | { readonly kind: 'shelf' }
  /** Something happened at an examination. */
  | { readonly kind: 'exam'; readonly examId: string }
  /** A line of money, or a day closed. */
  | { readonly kind: 'ledger' }
  /** How warm the pots are now; not kept: the next one says all of it again. */
  | { readonly kind: 'pots'; readonly pots: readonly LivePot[] };

export interface Told {
  readonly seq: number;
  readonly event: StudioEvent;
}

const MOST_KEPT = 2000;

interface Teller {
  readonly ends: Set<() => void>;
  readonly run: string;
  seq: number;
  readonly kept: Told[];
  readonly listeners: Set<(told: Told) => void>;
}

const holder = globalThis as typeof globalThis & { strickleTeller?: Teller; strickleSilence?: () => void };
function teller(): Teller {
  holder.strickleTeller ??= { run: randomUUID().slice(0, 8), seq: 0, kept: [], listeners: new Set(), ends: new Set() };
  // for the script that stops the server: streams never end by themselves
  holder.strickleSilence ??= () => {
    for (const end of holder.strickleTeller?.ends ?? []) end();
  };
  return holder.strickleTeller;
}

export function tell(event: StudioEvent): void {
  const t = teller();
  const isKept = event.kind !== 'pots';
  const told = { seq: isKept ? ++t.seq : t.seq, event };
  if (isKept) t.kept.push(told);
  if (t.kept.length > MOST_KEPT) t.kept.shift();
  for (const listener of t.listeners) {
    try {
      listener(told);
    } catch {
      // a line that is gone: the write that is told of has been done all the same
      t.listeners.delete(listener);
    }
  }
}

/** `run.seq`, as it is sent with every event and comes back in `Last-Event-ID`. */
export const cursorOf = (seq: number): string => `${teller().run}.${seq}`;

/** What came after a cursor; null where that cannot be told any more. */
export function toldAfter(cursor: string | null): readonly Told[] | null {
  const t = teller();
  if (cursor === null) return [];
  const [run, text = ''] = cursor.split('.');
  const seq = Number(text);
  const first = t.kept[0]?.seq ?? t.seq + 1;
  if (run !== t.run || !Number.isSafeInteger(seq) || seq > t.seq || seq < first - 1) return null;
  return t.kept.filter((k) => k.seq > seq);
}

/**
 * @param end called when the server stops
 * @returns ends the listening
 */
export function listen(listener: (told: Told) => void, end: () => void = () => undefined): () => void {
  const { listeners, ends } = teller();
  listeners.add(listener);
  ends.add(end);
  return () => {
    listeners.delete(listener);
    ends.delete(end);
  };
}
export const lastSeq = (): number => teller().seq;
