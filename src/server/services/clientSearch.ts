// Clients found by their words, each with what is due.

import 'server-only';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { findClients } from '../repos/clientRepo';
import { readStudio } from '../repos/studioRepo';
import { alertsOf } from './alerts';
import { dueOf, type Due } from './outlook';

export interface ClientLine {
  readonly id: string;
  readonly name: string;
  readonly byline: string;
  readonly phone: string;
  readonly alerts: readonly string[];
  /** Last done, next due or booked; null where no visit was closed lately and none is ahead. */
  readonly due: Due | null;
}

const MOST_LINES = 60;
const DAMAGED_CARD = 'This card is damaged in the data file: a backup has it whole.';

/** @param archived looks among the cards that were put away instead */
export function searchClients(db: Db, query: string, nowMs: number, archived = false): readonly ClientLine[] {
  const on = civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC');
  const found = findClients(db, query, MOST_LINES, archived);
  const due = dueOf(
    db,
    found.map((c) => c.id),
    nowMs,
  );
  return found.map((c) => ({
    due: due.get(c.id) ?? null,
    id: c.id,
    name: c.name,
    byline: c.byline,
    phone: c.phone,
    alerts: c.isDamaged ? [DAMAGED_CARD] : alertsOf(c, on),
  }));
}
