// How a visit is kept in step with the server, as a value and one pure step: (state, event) → { state, effects }. One
// thing is under way at a time; acts of the hands go before documents; nothing leaves the box before the server has
// answered for it, and what it does not take stays in it as refused.

import type { TableEvent } from '@/core/hands';
import { isPassing, type Sent } from '@/ui/sendJson';
import { isSent, joinBoxes, type Box, type DocSending, type Refused, type WaitingAct, type WaitingDoc } from './box';

/** Under the server's limit of 500 acts a request. */
export const SLICE = 400;

export type Phase = 'idle' | 'sending' | 'away';

export interface SyncState {
  readonly box: Box;
  /** What an earlier page has left is known: nothing is sent before, so that it goes first. */
  readonly isReady: boolean;
  readonly phase: Phase;
  /** Version of the visit on the screen: what a hand changes now was seen at it. */
  readonly version: number;
  /** Place in the journal up to which this tablet has heard. */
  readonly journalAt: number;
  readonly underWay:
    { readonly kind: 'acts'; readonly ids: readonly string[] } | { readonly kind: 'doc'; readonly key: string } | null;
}

export interface ActsTaken {
  readonly entries: readonly { readonly seq: number; readonly event: TableEvent }[];
}
/** Of a bench only what the step looks at. */
export interface BenchTaken {
  readonly visit: { readonly version: number };
}

export type SyncEvent =
  /** What an earlier page has left; null = nothing. */
  | { readonly kind: 'found'; readonly box: Box | null }
  | {
      readonly kind: 'changed';
      readonly key: string;
      readonly url: string;
      readonly field: string;
      readonly data: unknown;
      readonly requestId: string;
    }
  | { readonly kind: 'acted'; readonly acts: readonly WaitingAct[] }
  | { readonly kind: 'actsAnswered'; readonly sent: Sent<ActsTaken>; readonly id: string; readonly atMs: number }
  | { readonly kind: 'docAnswered'; readonly sent: Sent<BenchTaken>; readonly id: string; readonly atMs: number }
  /** A fresh look at the server's bench. */
  | { readonly kind: 'seen'; readonly version: number; readonly journalAt: number }
  | { readonly kind: 'woke' }
  | {
      readonly kind: 'chosen';
      readonly key: string;
      readonly keep: 'mine' | 'theirs';
      readonly requestId: string;
    }
  | { readonly kind: 'understood'; readonly id: string };

export type SyncEffect =
  | { readonly kind: 'keep'; readonly box: Box }
  | {
      readonly kind: 'sendActs';
      readonly visitId: string;
      readonly acts: readonly WaitingAct[];
      readonly plan: string;
      readonly after: number;
    }
  | {
      readonly kind: 'sendDoc';
      readonly key: string;
      readonly url: string;
      readonly requestId: string;
      readonly body: Readonly<Record<string, unknown>>;
    }
  | { readonly kind: 'retry' }
  /** The server's bench as it stands now. */
  | { readonly kind: 'take'; readonly bench: unknown }
  | { readonly kind: 'hear'; readonly entries: ActsTaken['entries'] };

export interface Step {
  readonly state: SyncState;
  readonly effects: readonly SyncEffect[];
}

const done = (state: SyncState, ...effects: readonly SyncEffect[]): Step => ({ state, effects });
const withBox = (state: SyncState, box: Partial<Box>): SyncState => ({ ...state, box: { ...state.box, ...box } });

/** The first acts that may go in one request: of one plan, and not too many. */
function slice(acts: readonly WaitingAct[]): readonly WaitingAct[] {
  const [first] = acts;
  const other = acts.findIndex((a) => a.plan !== first?.plan);
  return acts.slice(0, Math.min(SLICE, other < 0 ? acts.length : other));
}

/** Sends what is next, if nothing is under way. */
function onward({ state, effects }: Step): Step {
  if (!state.isReady || state.underWay !== null || state.phase === 'away') return { state, effects };
  const { visitId, acts, docs } = state.box;
  const next = slice(acts);
  const [first] = next;
  if (first) {
    const underWay = { kind: 'acts', ids: next.map((a) => a.event.id) } as const;
    const send = { kind: 'sendActs', visitId, acts: next, plan: first.plan, after: state.journalAt } as const;
    return { state: { ...state, phase: 'sending', underWay }, effects: [...effects, send] };
  }
  const [key, doc] = Object.entries(docs).find(([, d]) => !d.isDisputed) ?? [];
  const sending = doc && (doc.sent ?? doc.next);
  if (key === undefined || !doc || !sending) return { state: { ...state, phase: 'idle' }, effects };
  const onItsWay: WaitingDoc = doc.sent ? doc : { ...doc, sent: sending, next: null };
  const box = { ...state.box, docs: { ...docs, [key]: onItsWay } };
  const body = { version: sending.base, [doc.field]: sending.data };
  const send = { kind: 'sendDoc', key, url: doc.url, requestId: sending.requestId, body } as const;
  return {
    state: { ...state, box, phase: 'sending', underWay: { kind: 'doc', key } },
    effects: [...effects, ...(onItsWay === doc ? [] : [{ kind: 'keep', box } as const]), send],
  };
}

const kept = (state: SyncState, ...more: readonly SyncEffect[]): Step =>
  onward(done(state, { kind: 'keep', box: state.box }, ...more));
const waits = (state: SyncState): Step => done({ ...state, phase: 'away', underWay: null }, { kind: 'retry' });

function actsAnswered(state: SyncState, { sent, id, atMs }: Extract<SyncEvent, { kind: 'actsAnswered' }>): Step {
  const under = state.underWay;
  if (under?.kind !== 'acts') return done(state);
  if (!sent.ok && isPassing(sent.error)) return waits(state);
  const free = { ...state, underWay: null };
  const isUnder = (a: WaitingAct): boolean => under.ids.includes(a.event.id);
  const rest = state.box.acts.filter((a) => !isUnder(a));
  if (sent.ok) {
    const journalAt = Math.max(state.journalAt, ...sent.value.entries.map((e) => e.seq));
    return kept({ ...withBox(free, { acts: rest }), journalAt }, { kind: 'hear', entries: sent.value.entries });
  }
  // the server takes all of a request or none: the one it names goes out, the others are sent again
  const named = /^events\[(\d+)\]/.exec(sent.error.details[0]?.path ?? '')?.[1];
  const asked = state.box.acts.filter(isUnder);
  const wrong = named === undefined ? asked : asked.slice(Number(named), Number(named) + 1);
  const refused: Refused = {
    id,
    what: 'acts',
    count: wrong.length,
    why: sent.error.message,
    atMs,
    kept: wrong,
  };
  const acts = state.box.acts.filter((a) => !wrong.includes(a));
  const next = withBox(free, { acts, refused: [...state.box.refused, refused] });
  return sent.error.code === 'plan-changed' ? kept(next, { kind: 'take', bench: sent.error.newer }) : kept(next);
}

const without = <T>(docs: Readonly<Record<string, T>>, key: string): Readonly<Record<string, T>> =>
  Object.fromEntries(Object.entries(docs).filter(([k]) => k !== key));

function docAnswered(state: SyncState, { sent, id, atMs }: Extract<SyncEvent, { kind: 'docAnswered' }>): Step {
  const under = state.underWay;
  const key = under?.kind === 'doc' ? under.key : undefined;
  const doc = key === undefined ? undefined : state.box.docs[key];
  if (key === undefined || !doc?.sent) return done({ ...state, underWay: null });
  if (!sent.ok && isPassing(sent.error)) return waits(state);
  const free = { ...state, underWay: null };
  if (sent.ok) {
    const { version } = sent.value.visit;
    // what was changed meanwhile was changed on top of what has just been written
    const next = doc.next && { ...doc.next, base: version };
    const docs = next ? { ...state.box.docs, [key]: { ...doc, sent: null, next } } : without(state.box.docs, key);
    return kept({ ...withBox(free, { docs }), version }, { kind: 'take', bench: sent.value });
  }
  if (sent.error.code === 'stale') {
    const disputed = { ...doc, sent: null, next: doc.next ?? doc.sent, isDisputed: true };
    const docs = { ...state.box.docs, [key]: disputed };
    return kept(withBox(free, { docs }), { kind: 'take', bench: sent.error.newer });
  }
  // only what was sent is refused: what was changed since is tried for itself
  const docs = doc.next ? { ...state.box.docs, [key]: { ...doc, sent: null } } : without(state.box.docs, key);
  const why = [sent.error.message, ...sent.error.details.map((d) => d.message)].join(' ');
  const refused: Refused = { id, what: 'document', count: 1, why, atMs, kept: { key, data: doc.sent.data } };
  return kept(withBox(free, { docs, refused: [...state.box.refused, refused] }));
}

function changed(state: SyncState, event: Extract<SyncEvent, { kind: 'changed' }>): Step {
  const { key, url, field, data, requestId } = event;
  const before = state.box.docs[key];
  // a change on top of one that waits was seen at the same version as that
  const base = before?.next?.base ?? before?.sent?.base ?? state.version;
  const next: DocSending = { requestId, base, data };
  const doc: WaitingDoc = before ? { ...before, next } : { url, field, sent: null, next };
  return kept(withBox(state, { docs: { ...state.box.docs, [key]: doc } }));
}

function chosen(state: SyncState, { key, keep, requestId }: Extract<SyncEvent, { kind: 'chosen' }>): Step {
  const doc = state.box.docs[key];
  if (!doc?.next) return done(state);
  if (keep === 'theirs') return kept(withBox(state, { docs: without(state.box.docs, key) }));
  const mine: WaitingDoc = {
    url: doc.url,
    field: doc.field,
    sent: null,
    next: { requestId, base: state.version, data: doc.next.data },
  };
  return kept(withBox(state, { docs: { ...state.box.docs, [key]: mine } }));
}

export function syncStep(state: SyncState, event: SyncEvent): Step {
  switch (event.kind) {
    case 'found':
      return kept({ ...state, isReady: true, box: event.box ? joinBoxes(event.box, state.box) : state.box });
    case 'changed':
      return changed(state, event);
    case 'acted':
      return kept(withBox(state, { acts: [...state.box.acts, ...event.acts] }));
    case 'actsAnswered':
      return actsAnswered(state, event);
    case 'docAnswered':
      return docAnswered(state, event);
    case 'seen':
      return done({
        ...state,
        version: Math.max(state.version, event.version),
        journalAt: Math.max(state.journalAt, event.journalAt),
      });
    case 'woke':
      return onward(done(state.phase === 'away' ? { ...state, phase: 'idle' } : state));
    case 'chosen':
      return chosen(state, event);
    case 'understood':
      return kept(withBox(state, { refused: state.box.refused.filter((r) => r.id !== event.id) }));
  }
}

export const startSync = (box: Box, version: number, journalAt: number): SyncState => ({
  box,
  isReady: false,
  phase: 'idle',
  version,
  journalAt,
  underWay: null,
});

/** Documents that another one wrote too, by their keys. */
export const disputedDocs = (box: Box): readonly string[] =>
  Object.entries(box.docs).flatMap(([key, doc]) => (doc.isDisputed ? [key] : []));

export type SyncWord = 'saved' | 'saving' | 'waiting' | 'conflict';
export function syncWord({ box, phase }: SyncState): SyncWord {
  if (disputedDocs(box).length > 0) return 'conflict';
  if (phase === 'away') return 'waiting';
  return isSent(box) ? 'saved' : 'saving';
}
