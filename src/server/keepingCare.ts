// How many cards are past their term, counted beside the hourly care: Today only says it.

import 'server-only';
import { nowMs } from './clock';
import type { Db } from './db/openDatabase';
import { dropOldMessages, dueCount } from './services/keeping';

let due = 0;
export const cardsPastTerm = (): number => due;

/** Counts anew, and lets messages go whose time is over. */
export function keepTerms(db: Db): void {
  dropOldMessages(db, nowMs());
  due = dueCount(db, nowMs());
}
