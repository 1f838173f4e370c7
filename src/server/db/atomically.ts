// One use case, one transaction. Whatever is read in it still holds when it is written, and a refusal leaves nothing
// behind: Drizzle rolls back on a throw only, so a refusal is thrown to the edge of the transaction and caught there.

import 'server-only';
import type { ServiceError, ServiceResult } from '../errors';
import type { Db } from './openDatabase';

class Refusal extends Error {
  override readonly name = 'Refusal';

  constructor(readonly error: ServiceError) {
    super(error.code);
  }
}

/**
 * Runs `run` in one immediate transaction (a savepoint where one is open already) and gives its result. A refusal, like
 * a throw, takes back all that was written.
 */
export function atomically<T>(db: Db, run: () => ServiceResult<T>): ServiceResult<T> {
  try {
    return db.transaction(
      () => {
        const result = run();
        if (!result.ok) throw new Refusal(result.error);
        return result;
      },
      { behavior: 'immediate' },
    );
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, error: error.error };
    throw error;
  }
}

/**
 * For use inside {@link atomically}: a write that must meet the row as it was read. Anything else is a fault of ours.
 */
export function mustWrite(written: boolean, what: string): void {
  if (!written) throw new Error(`${what} was changed inside its own transaction`);
}
