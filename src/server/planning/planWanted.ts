// A use case that cannot go on without a plan that is not made yet: thrown out of its transaction, caught where the
// request is answered, which waits and runs the use case again.

import 'server-only';

export class PlanWanted extends Error {
  override readonly name = 'PlanWanted';

  /** @param made settles when the plan is on the shelf, or cannot be made */
  constructor(readonly made: Promise<void>) {
    super('a plan is wanted');
  }
}

export const isPlanWanted = (error: unknown): error is PlanWanted => error instanceof PlanWanted;
