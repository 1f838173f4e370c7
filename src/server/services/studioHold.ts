// What the studio's own read strips say of how much each product body leaves.

import 'server-only';
import { holdOf, learnHold, type Hold, type LearnedHold } from '../../core/matching';
import type { DbOrTx } from '../db/openDatabase';
import { readZones } from '../repos/workedRepo';

/** Zones that are looked at, the latest: products and hands change. */
const LATEST_ZONES = 300;

/** From visits of days before `on`, so that a day's plans stay as they are while its visits are read. */
export const learnedHold = (db: DbOrTx, on: string): LearnedHold => learnHold(readZones(db, on, LATEST_ZONES));

/** What a plan of that day is made with. */
export const studioHold = (db: DbOrTx, on: string): Hold => holdOf(learnedHold(db, on));
