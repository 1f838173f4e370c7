// Plans of the day made before anyone asks: at the start, and after a change of rules, weights or products, which makes
// every plan out of date.

import 'server-only';
import type { Db } from '../db/openDatabase';
import { loadToday } from './today';

/** Asks for the plans of today's visits; where they are made in threads it is done beside the requests. */
export function plansAhead(db: Db, nowMs: number): void {
  loadToday(db, nowMs);
}
