// Which plan is made next. Asked for twice it is made once; an open table goes before a look at the day, that before
// what is only made ahead; and what is only made ahead never takes the last thread.

/** What a plan is wanted for, the most pressing last. */
export const PRIORITIES = ['ahead', 'day', 'visit', 'table'] as const;
export type Priority = (typeof PRIORITIES)[number];

export interface QueuedJob {
  /** The same input has the same key. */
  readonly key: string;
  /** Whose plan it is: a newer one takes the place of one that still waits. */
  readonly owner: string | null;
  readonly priority: Priority;
  readonly run: () => Promise<void>;
}

interface Waiting extends QueuedJob {
  readonly settle: () => void;
  readonly made: Promise<void>;
}

const rank = (p: Priority): number => PRIORITIES.indexOf(p);

export interface PlanQueue {
  /** Settles when the job has run, or when a newer one of the same owner took its place; it never rejects. */
  readonly want: (job: QueuedJob) => Promise<void>;
  readonly size: () => number;
}

/**
 * @param threads how many run at once, at least 1
 * @param restS after the first plan is asked for, looks at the day wait so long: the first page of a start is still
 * being made then, and comes first
 */
export function planQueue(threads: number, restS = 0): PlanQueue {
  let waiting: Waiting[] = [];
  const running = new Map<string, Waiting>();
  let rest: 'to come' | 'now' | 'over' = restS > 0 ? 'to come' : 'over';

  const mayRun = (job: Waiting): boolean => {
    if (running.size >= threads) return false;
    if (rest === 'now' && rank(job.priority) <= rank('day')) return false;
    if (rank(job.priority) > rank('day') || threads === 1) return true;
    const behind = [...running.values()].filter((r) => rank(r.priority) <= rank('day')).length;
    return behind < threads - 1;
  };
  const next = (): void => {
    for (;;) {
      const job = waiting.reduce<Waiting | null>(
        (best, w) => (mayRun(w) && (best === null || rank(w.priority) > rank(best.priority)) ? w : best),
        null,
      );
      if (!job) return;
      waiting = waiting.filter((w) => w !== job);
      running.set(job.key, job);
      const done = (): void => {
        running.delete(job.key);
        job.settle();
        next();
      };
      void job.run().then(done, done);
    }
  };
  const beginRest = (): void => {
    rest = 'now';
    setTimeout(() => {
      rest = 'over';
      next();
    }, 1000 * restS).unref();
  };
  const want = (job: QueuedJob): Promise<void> => {
    if (rest === 'to come') beginRest();
    const same = running.get(job.key) ?? waiting.find((w) => w.key === job.key);
    if (same) {
      // a waiting one moves up where it is wanted more by now
      if (rank(job.priority) > rank(same.priority)) {
        waiting = waiting.map((w) => (w === same ? { ...w, priority: job.priority } : w));
        next();
      }
      return same.made;
    }
    const older = waiting.filter((w) => job.owner !== null && w.owner === job.owner);
    waiting = waiting.filter((w) => !older.includes(w));
    let settle: () => void = () => undefined;
    const made = new Promise<void>((resolve) => {
      settle = resolve;
    });
    waiting.push({ ...job, settle, made });
    next();
    for (const w of older) w.settle();
    return made;
  };
  return { want, size: () => waiting.length + running.size };
}
