// Plans on the shelf, made in place (scripts, tests) or in threads beside the one that answers requests. One planner a
// process: Next loads modules more than once, so it is kept on the process.

import 'server-only';
import { caseFaults, planMemory, planVisit, type Plan } from '../../core/plan';
import type { Db, DbOrTx } from '../db/openDatabase';
import { hasPlan, keepPlan, readPlan, type PlanOwner } from '../repos/planRepo';
import type { PlanAnswer, PlanQuestion } from './plan.thread';
import { planQueue, type PlanQueue, type Priority } from './planQueue';

export interface PlanFault {
  readonly path: string;
  readonly message: string;
}

export interface PlanJob extends PlanQuestion {
  readonly hash: string;
  readonly owner: PlanOwner;
  readonly priority: Priority;
}

/** Parsed plans kept at hand: some dozens of kilobytes to some megabytes each. */
const MOST_AT_HAND = 64;
/** Cases that could not be planned, so that they are not tried for ever. */
const MOST_FAILED = 200;

interface Planner {
  /** Null: plans are made in place. */
  threads: {
    readonly queue: PlanQueue;
    readonly run: (q: PlanQuestion) => Promise<PlanAnswer>;
    /** Told when a plan has come onto the shelf. */
    readonly onMade: (hash: string, owner: PlanOwner) => void;
  } | null;
  readonly atHand: Map<string, Plan>;
  readonly failed: Map<string, readonly PlanFault[]>;
  readonly memory: ReturnType<typeof planMemory>;
}

const holder = globalThis as typeof globalThis & { stricklePlanner?: Planner };
function planner(): Planner {
  holder.stricklePlanner ??= { threads: null, atHand: new Map(), failed: new Map(), memory: planMemory() };
  return holder.stricklePlanner;
}

function remember<V>(map: Map<string, V>, key: string, value: V, most: number): V {
  map.delete(key);
  map.set(key, value);
  const [oldest] = map.keys();
  if (map.size > most && oldest !== undefined) map.delete(oldest);
  return value;
}

/** From here on plans are made in `threads` threads; those of the day not before the first page had `restS`. */
export function planInThreads(
  threads: number,
  run: (q: PlanQuestion) => Promise<PlanAnswer>,
  onMade: (hash: string, owner: PlanOwner) => void = () => undefined,
  restS = 0,
): void {
  planner().threads = { queue: planQueue(threads, restS), run, onMade };
}
export function planInPlace(): void {
  planner().threads = null;
}

/** The plan of a case, if it is on the shelf. */
export function shelvedPlan(db: DbOrTx, hash: string): Plan | undefined {
  const { atHand } = planner();
  // at hand or not: what has left the shelf is gone
  const known = hasPlan(db, hash) ? (atHand.get(hash) ?? readPlan(db, hash)) : undefined;
  return known && remember(atHand, hash, known, MOST_AT_HAND);
}

/** Faults for which a case cannot be planned, as far as they are known without planning it. */
export const knownFaults = (job: Pick<PlanJob, 'hash' | 'visitCase' | 'catalogue'>): readonly PlanFault[] =>
  planner().failed.get(job.hash) ?? caseFaults(job.visitCase, job.catalogue);

export type Made =
  | { readonly kind: 'made'; readonly plan: Plan }
  | { readonly kind: 'faults'; readonly faults: readonly PlanFault[] }
  | { readonly kind: 'coming'; readonly made: Promise<void> };

function inPlace(db: DbOrTx, job: PlanJob, nowMs: number): Made {
  const made = planVisit(job.visitCase, { currency: job.currency, catalogue: job.catalogue, memory: planner().memory });
  if (!made.ok) return { kind: 'faults', faults: made.error.details };
  keepPlan(db, { hash: job.hash, plan: made.value, owner: job.owner, atMs: nowMs });
  return { kind: 'made', plan: made.value };
}

const NOT_MADE: PlanFault = { path: '', message: 'This could not be planned: the planner stopped. Change something.' };

/** Makes a plan that is not on the shelf: in place at once, or in a thread, and then it is coming. */
export function makePlan(db: Db, job: PlanJob, nowMs: number): Made {
  const { threads, failed } = planner();
  if (!threads) return inPlace(db, job, nowMs);
  const { visitCase, currency, catalogue, hash, owner } = job;
  const run = async (): Promise<void> => {
    let answer: PlanAnswer;
    try {
      answer = await threads.run({ visitCase, currency, catalogue });
    } catch {
      answer = { ok: false, details: [NOT_MADE] };
    }
    if (!answer.ok) remember(failed, hash, answer.details, MOST_FAILED);
    else keepPlan(db, { hash, packed: answer.packed, owner, atMs: nowMs });
    threads.onMade(hash, owner);
  };
  const made = threads.queue.want({
    key: hash,
    owner: owner && `${owner.kind} ${owner.id}`,
    priority: job.priority,
    run,
  });
  return { kind: 'coming', made };
}
