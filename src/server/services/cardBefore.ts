// What stands on a card beside what was done here: visits of before this book, consents taken back, cards of the same
// person.

import 'server-only';
import type { Db } from '../db/openDatabase';
import { consentEndsOf } from '../repos/formRepo';
import { pastVisitCount, pastVisitsOf } from '../repos/importRepo';
import { readStudio } from '../repos/studioRepo';
import { togetherWith, type Together } from './merge';
import { pastWords } from './pastWords';

export interface CardBefore {
  /** Latest first; `beforeCount` says how many there are. */
  readonly before: readonly { readonly id: string; readonly on: string; readonly words: string }[];
  readonly beforeCount: number;
  readonly consentEnds: readonly { readonly id: string; readonly atMs: number; readonly words: string }[];
  readonly together: readonly Together[];
}

const MOST_SHOWN = 12;

/** @param all every visit of before, not only the latest */
export const cardBefore = (db: Db, clientId: string, all: boolean): CardBefore => ({
  before: pastVisitsOf(db, clientId, all ? undefined : MOST_SHOWN).map((p) => ({
    ...{ id: p.id, on: p.onDate, words: pastWords(p, readStudio(db)?.currency ?? 'EUR') },
  })),
  beforeCount: pastVisitCount(db, clientId),
  consentEnds: consentEndsOf(db, clientId).map(({ id, atMs, words }) => ({ id, atMs, words })),
  together: togetherWith(db, clientId),
});
