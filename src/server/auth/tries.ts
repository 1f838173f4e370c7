// Tries of PINs and passphrases: each is counted before it is looked at, so that many at once are no more than one
// after the other. A tablet that is known has a count of its own: strangers who guess keep nobody of the studio
// waiting.

import 'server-only';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { refused, type ServiceResult } from '../errors';
import { putTablet, readTablet } from '../repos/groundRepo';
import { waitAfterMs } from '../services/pin';

/** Under this id wrong tries of browsers that are not known are counted together: a new cookie is no new try. */
export const DOOR = 'door';

const waitFault = (untilMs: number, nowMs: number, path: string) =>
  refused(`Too many wrong tries: wait ${Math.ceil((untilMs - nowMs) / 1000)} seconds.`, path);

/** Where tries from a tablet are counted. */
export const countedAt = (db: Db, tablet: string): string =>
  (readTablet(db, tablet)?.knownSinceMs ?? null) === null ? DOOR : tablet;

/** Counts one try as wrong beforehand; refused while one has to wait. */
export function takeTry(db: Db, at: string, nowMs: number, path: string): ServiceResult<null> {
  const waits = () => {
    const until = readTablet(db, at)?.pinWaitUntilMs ?? 0;
    return nowMs < until ? waitFault(until, nowMs, path) : null;
  };
  // thousands of them cost a look each
  const away = waits();
  if (away) return away;
  return atomically(db, () => {
    const now = waits();
    if (now) return now;
    const row = readTablet(db, at);
    const wrong = (row?.wrongPins ?? 0) + 1;
    putTablet(db, at, nowMs, { wrongPins: wrong, pinWaitUntilMs: nowMs + waitAfterMs(wrong) });
    return ok(null);
  });
}

/** It was right. */
export const forgetTries = (db: Db, at: string, nowMs: number): void => {
  putTablet(db, at, nowMs, { wrongPins: 0, pinWaitUntilMs: 0 });
};
