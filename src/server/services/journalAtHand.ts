// Journals of the tables that are at work, kept at hand: an act comes many times a second, and what stands before it is
// not read anew each time. Only what is on the disk is kept; where what is kept and the disk part, it is read again.

import 'server-only';
import type { TableEvent } from '../../core/hands';
import type { Db } from '../db/openDatabase';
import { lostCommits } from '../db/together';
import { entriesOf, lastSeq } from '../repos/journalRepo';

export interface JournalAtHand {
  readonly events: readonly TableEvent[];
  readonly byId: ReadonlyMap<string, TableEvent>;
}
interface Kept {
  /** Commits lost when it was read: places of theirs are given to other acts. */
  readonly lost: number;
  seq: number;
  readonly events: TableEvent[];
  readonly byId: Map<string, TableEvent>;
}

/** Tables at work at one time, with room. */
const MOST_KEPT = 60;
const kept = new WeakMap<Db, Map<string, Kept>>();

/** The acts of a visit as they stand now. */
export function journalAtHand(db: Db, visitId: string): JournalAtHand {
  const visits = kept.get(db) ?? new Map<string, Kept>();
  kept.set(db, visits);
  const last = lastSeq(db, visitId);
  const known = visits.get(visitId);
  const lost = lostCommits(db);
  const journal: Kept =
    known && known.seq <= last && known.lost === lost ? known : { lost, seq: 0, events: [], byId: new Map() };
  for (const { seq, event } of journal.seq === last ? [] : entriesOf(db, visitId, journal.seq)) {
    journal.events.push(event);
    journal.byId.set(event.id, event);
    journal.seq = seq;
  }
  visits.delete(visitId);
  visits.set(visitId, journal);
  const [oldest] = visits.keys();
  if (visits.size > MOST_KEPT && oldest !== undefined) visits.delete(oldest);
  return journal;
}
