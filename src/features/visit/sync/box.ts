// What waits on this tablet for the server: for every visit and every tab one box, with the documents that were
// changed, the acts of the hands, and what the server did not take, until a person has seen it.

import type { TableEvent } from '@/core/hands';

/** One sending of a document: sent again, it is the same to the letter, so that the server does it once. */
export interface DocSending {
  readonly requestId: string;
  /** Version of the visit that the hand saw when it changed this. */
  readonly base: number;
  readonly data: unknown;
}

export interface WaitingDoc {
  readonly url: string;
  /** Name of the field that carries the document beside the version. */
  readonly field: string;
  /** On its way, or sent and not answered yet. */
  readonly sent: DocSending | null;
  /** Changed since. */
  readonly next: DocSending | null;
  /** Another one wrote it since: a person must choose. */
  readonly isDisputed?: boolean;
}

export interface WaitingAct {
  readonly event: TableEvent;
  /** The plan that the hand saw. */
  readonly plan: string;
}

export interface Refused {
  readonly id: string;
  readonly what: 'acts' | 'document';
  /** How many acts; 1 for a document. */
  readonly count: number;
  /** The server's own words. */
  readonly why: string;
  readonly atMs: number;
  /** What it was, whole. */
  readonly kept: unknown;
}

export interface Box {
  readonly visitId: string;
  /** First name of the client, for the words on Today. */
  readonly who: string;
  readonly docs: Readonly<Record<string, WaitingDoc>>;
  readonly acts: readonly WaitingAct[];
  readonly refused: readonly Refused[];
}

export const emptyBox = (visitId: string, who: string): Box => ({ visitId, who, docs: {}, acts: [], refused: [] });
/** Nothing to send. */
export const isSent = (box: Box): boolean => box.acts.length === 0 && Object.keys(box.docs).length === 0;
/** Nothing to keep. */
export const isEmptyBox = (box: Box): boolean => isSent(box) && box.refused.length === 0;

/** Two boxes of one visit as one: what was left by another tab goes first. */
export function joinBoxes(first: Box, second: Box): Box {
  const known = new Set(first.acts.map((a) => a.event.id));
  const docs: Record<string, WaitingDoc> = { ...first.docs };
  for (const [key, doc] of Object.entries(second.docs)) {
    const before = docs[key];
    docs[key] = before ? { ...before, next: doc.next ?? doc.sent } : doc;
  }
  return {
    visitId: second.visitId,
    who: second.who,
    docs,
    acts: [...first.acts, ...second.acts.filter((a) => !known.has(a.event.id))],
    refused: [...first.refused, ...second.refused.filter((r) => !first.refused.some((f) => f.id === r.id))],
  };
}

/** How much waits, in words for one line. */
export function waitingWords(box: Box): string {
  const acts = box.acts.length;
  const docs = Object.keys(box.docs).length;
  return [
    acts > 0 ? `${acts} ${acts === 1 ? 'act' : 'acts'} of the table` : '',
    docs > 0 ? `${docs} ${docs === 1 ? 'change' : 'changes'}` : '',
  ]
    .filter(Boolean)
    .join(' and ');
}
