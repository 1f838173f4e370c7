// Pilot search for long tasks: a narrow beam of two halves. One half is judged by finishing each state with the best
// simple policies, the other by the bound on what is still needed: the first is better on mixed tasks, the second on
// regular ones, and together they beat a wide beam of either kind in less time (docs/decisions/0011). It gives
// polish.ts a place to start from. What it finds on its fast table is replayed by `step`, the one step function that
// everything shares.

import { boundTables } from './bounds';
import { FastTable, packed, type PackedJobs } from './fastTable';
import { allPolicies, runPolicy, type Policy } from './policies';
import * as stages from './state';
import type { HandsInput } from './types';

// copies of their own: the rollout reads them some millions of times, and a binding of another module is looked up at
// every read
const { FIRST_COAT, OFF, UNLAID } = stages;

export interface PilotOptions {
  /** States kept a level for where the policies end, and for their bound. */
  readonly width: number;
  readonly boundWidth: number;
  /** Policies that each state is finished with; the best ones of the whole task. */
  readonly policies: number;
}

/** The strip that a policy would lay next; −1 for none. */
function layChoice(b: FastTable, j: PackedJobs, { limit, sides }: Policy): number {
  if (b.skinCount >= limit) return -1;
  let wanted = -1;
  if (sides === 'one-then-other') {
    let first = 0;
    while (first < j.count && b.stage[first] === OFF) first++;
    wanted = j.side[first] as number; // some job is open while anything is asked
  }
  let any = -1;
  for (let i = 0; i < j.count; i++) {
    if (b.stage[i] !== UNLAID) continue;
    if (wanted > 0 && j.side[i] !== 0 && j.side[i] !== wanted) continue;
    if (!b.canLay(i, limit)) continue;
    if (sides === 'one-then-other') return i;
    if (b.walk(i) > 0 === (sides === 'turns')) return i;
    if (any < 0) any = i;
  }
  return any;
}

/** Ends a table by a policy: the end, s, or Infinity where a pull would come too late. */
function rollOut(b: FastTable, j: PackedJobs, policy: Policy, order: Int32Array): number {
  for (let guard = 0; guard < 4 * j.count + 4; guard++) {
    if (b.off === j.count) return b.now;
    let due = -1;
    let dueStart = Infinity;
    let coat = -1;
    for (let k = 0; k < b.skinCount; k++) {
      const i = b.skin[k] as number;
      const start = b.nextStart(i);
      if (
        start < dueStart ||
        (start === dueStart &&
          ((b.due[i] as number) < (b.due[due] as number) ||
            ((b.due[i] as number) === (b.due[due] as number) && i < due)))
      ) {
        [due, dueStart] = [i, start];
      }
      if (b.stage[i] === FIRST_COAT && start <= b.now && (coat < 0 || i < coat)) coat = i;
    }
    const isReady = due >= 0 && dueStart <= b.now + b.walk(due);
    const lay = isReady ? -1 : layChoice(b, j, policy);
    const laid = lay >= 0 && b.makesDeadlines(lay, order) ? lay : due;
    const next = coat >= 0 ? coat : laid;
    if (next < 0 || !b.act(next)) return Infinity;
  }
  return Infinity;
}

interface Node {
  readonly table: FastTable;
  readonly acts: readonly number[];
  /** Where the policies end it, and what is needed at least. */
  readonly value: number;
  readonly bound: number;
}

const sooner = (a: Node, b: Node): number => a.table.now - b.table.now;
const byValue = (a: Node, b: Node): number => a.value - b.value || sooner(a, b);
const byBound = (a: Node, b: Node): number => a.bound - b.bound || sooner(a, b);

/** Keeps the better of two nodes with the same strips off and on and the same side. */
function keep(nodes: Map<string, Node>, key: string, node: Node, order: (a: Node, b: Node) => number): void {
  const known = nodes.get(key);
  if (!known || order(node, known) < 0) nodes.set(key, node);
}

/**
 * Searches for an end earlier than `beatS`; null where none is found. Deterministic; effort grows with width × strips².
 */
export function pilotSearch(
  input: HandsInput,
  { width, boundWidth, policies }: PilotOptions,
  beatS: number,
): stages.TableState | null {
  const j = packed(input);
  const tables = boundTables(input.jobs);
  const order = new Int32Array(j.count + 1);
  const trial = new FastTable(j);
  const start = new FastTable(j);
  const ends = allPolicies(input).map((policy) => {
    trial.copyFrom(start);
    return { policy, end: rollOut(trial, j, policy, order) };
  });
  const used = ends
    .sort((a, b) => a.end - b.end)
    .slice(0, policies)
    .map((e) => e.policy);
  let best: { readonly acts: readonly number[]; readonly policy: Policy | null } | null = null;
  let bestS = beatS;
  let level: readonly Node[] = [{ table: start, acts: [], value: 0, bound: 0 }];
  while (level.length > 0) {
    const next = new Map<string, Node>();
    const bounded = new Map<string, Node>();
    for (const { table, acts } of level) {
      for (let i = 0; i < j.count; i++) {
        const stage = table.stage[i];
        if (stage === OFF || (stage === UNLAID && !table.canLay(i, j.maxOnSkin))) continue;
        const after = new FastTable(j);
        after.copyFrom(table);
        if (!after.act(i) || (stage === UNLAID && !after.makesDeadlines(-1, order))) continue;
        const done = [...acts, i];
        if (after.off === j.count) {
          if (after.now < bestS) [best, bestS] = [{ acts: done, policy: null }, after.now];
          continue;
        }
        const bound = after.bound(tables);
        if (bound >= bestS) continue;
        let value = Infinity;
        for (const policy of used) {
          trial.copyFrom(after);
          const end = rollOut(trial, j, policy, order);
          if (end < value) value = end;
          if (end < bestS) [best, bestS] = [{ acts: done, policy }, end];
        }
        const key = `${String.fromCharCode(...after.stage)}${after.side}`;
        const node: Node = { table: after, acts: done, value, bound };
        keep(next, key, node, byValue);
        keep(bounded, key, node, byBound);
      }
    }
    level = [
      ...new Set([
        ...[...next.values()].sort(byValue).slice(0, width),
        ...[...bounded.values()].sort(byBound).slice(0, boundWidth),
      ]),
    ];
  }
  return best && replayed(input, best.acts, best.policy);
}

function replayed(input: HandsInput, acts: readonly number[], policy: Policy | null): stages.TableState | null {
  const prefix = acts.reduce((state, i) => stages.step(state, input, i), stages.emptyTable(input.jobs.length));
  return policy ? runPolicy(input, policy, prefix) : prefix;
}
