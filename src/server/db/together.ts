// Many small writes, one commit. What tablets send within the same turn is written in one transaction, each in a
// savepoint of its own: a refusal takes back its own writes only, and the disk is waited for once instead of for each.

import 'server-only';
import type { ServiceResult } from '../errors';
import { atomically } from './atomically';
import type { Db } from './openDatabase';

interface Waiting {
  readonly run: () => void;
  readonly settle: (commitFault: unknown) => void;
}

const waiting = new WeakMap<Db, Waiting[]>();
const lost = new WeakMap<Db, number>();
/** How many commits did not stand: what was read inside of them must not be remembered. */
export const lostCommits = (db: Db): number => lost.get(db) ?? 0;

function commit(db: Db): void {
  const all = waiting.get(db) ?? [];
  waiting.delete(db);
  let fault: unknown;
  try {
    db.transaction(() => all.forEach((w) => w.run()), { behavior: 'immediate' });
  } catch (error) {
    fault = error;
    lost.set(db, lostCommits(db) + 1);
  }
  for (const w of all) w.settle(fault);
}

/** As {@link atomically}, with others in one commit; settles when it is on the disk. Rejects with what `run` throws. */
export function together<T>(db: Db, run: () => ServiceResult<T>): Promise<ServiceResult<T>> {
  return new Promise((resolve, reject) => {
    let outcome: (() => void) | null = null;
    const job: Waiting = {
      run: () => {
        try {
          const result = atomically(db, run);
          outcome = () => resolve(result);
        } catch (error) {
          // its savepoint is taken back; the others stand
          outcome = () => reject(error instanceof Error ? error : new Error(String(error)));
        }
      },
      settle: (commitFault) => {
        if (commitFault === undefined && outcome) outcome();
        else reject(commitFault instanceof Error ? commitFault : new Error('the write was not begun'));
      },
    };
    const all = waiting.get(db);
    if (all) {
      all.push(job);
      return;
    }
    waiting.set(db, [job]);
    setImmediate(() => commit(db));
  });
}
