// The heat that each pot is wanted at next: of every product the window of the first visit of today that is still to be
// worked with it.

import 'server-only';
import { potWindows } from '../../core/plan';
import type { Db } from '../db/openDatabase';
import type { NextWindow } from '../pots/live';
import { plansOfDay } from './today';

/** Only the next few are looked at: what a pot is wanted for in the afternoon is no question of the morning. */
const MOST_VISITS = 4;

export function nextPots(db: Db, nowMs: number): ReadonlyMap<string, NextWindow> {
  const next = new Map<string, NextWindow>();
  for (const { startsAtMs, plan } of plansOfDay(db, nowMs, MOST_VISITS)) {
    for (const [product, window] of potWindows(plan)) {
      if (!next.has(product)) next.set(product, { ...window, startsAtMs });
    }
  }
  return next;
}
