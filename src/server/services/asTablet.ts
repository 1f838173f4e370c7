// For tests: changes of a visit as a tablet meets them, the bench that the routes answer with instead of the version.

import 'server-only';
import type { Db } from '../db/openDatabase';
import type { ServiceResult } from '../errors';
import { loadBench, type Bench } from './bench';
import * as changes from './changeVisit';

const asked = (db: Db, visitId: string, saved: ServiceResult<unknown>, nowMs: number): ServiceResult<Bench> =>
  saved.ok ? loadBench(db, visitId, nowMs) : saved;

export const saveConsult = (...[db, id, body, nowMs]: Parameters<typeof changes.saveConsult>): ServiceResult<Bench> =>
  asked(db, id, changes.saveConsult(db, id, body, nowMs), nowMs);
export const setZones = (...[db, id, body, nowMs]: Parameters<typeof changes.setZones>): ServiceResult<Bench> =>
  asked(db, id, changes.setZones(db, id, body, nowMs), nowMs);
export const saveChart = (...[db, id, at, body, nowMs]: Parameters<typeof changes.saveChart>): ServiceResult<Bench> =>
  asked(db, id, changes.saveChart(db, id, at, body, nowMs), nowMs);
export const saveReading = (
  ...[db, id, at, body, nowMs]: Parameters<typeof changes.saveReading>
): ServiceResult<Bench> => asked(db, id, changes.saveReading(db, id, at, body, nowMs), nowMs);
