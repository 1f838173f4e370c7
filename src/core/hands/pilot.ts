// Pilot search for long tasks: a narrow beam of two halves. One half is judged by finishing each state with the best simple policies,
// the other by the bound on what is still needed: the first is better on mixed tasks, the second on regular ones, and together they
// beat a wide beam of either kind in less time (docs/decisions/0011).
// The rollout runs on plain arrays, since it is done some thousands of times; what it finds is replayed by `step`, the one step
// function that everything shares, so that both must agree.

import { boundTables, type BoundTables } from './bounds';
import { allPolicies, runPolicy, type Policy } from './policies';
import * as stages from './state';
import { COAT_REST_S, type HandsInput } from './types';

// copies of their own: the rollout reads them some millions of times, and a binding of another module is looked up at every read
const { FIRST_COAT, OFF, SETTING, UNLAID } = stages;

export interface PilotOptions {
  /** States kept a level for where the policies end, and for their bound. */
  readonly width: number;
  readonly boundWidth: number;
  /** Policies that each state is finished with; the best ones of the whole task. */
  readonly policies: number;
}

interface Jobs {
  readonly count: number;
  readonly lay: Float64Array;
  readonly coats: Uint8Array;
  readonly setMin: Float64Array;
  readonly setMax: Float64Array;
  readonly pull: Float64Array;
  readonly finish: Float64Array;
  /** 0 from either side, 1 left, 2 right. */
  readonly side: Uint8Array;
  readonly needs: readonly Int32Array[];
  readonly touches: readonly Int32Array[];
  readonly maxOnSkin: number;
  readonly walkS: number;
}

function packed({ jobs, maxOnSkin, walkS }: HandsInput): Jobs {
  return {
    count: jobs.length, lay: Float64Array.from(jobs, (j) => j.layS), coats: Uint8Array.from(jobs, (j) => j.coats), setMin: Float64Array.from(jobs, (j) => j.setMinS), setMax: Float64Array.from(jobs, (j) => j.setMaxS),
    pull: Float64Array.from(jobs, (j) => j.pullS), finish: Float64Array.from(jobs, (j) => j.pullS + j.pressS), side: Uint8Array.from(jobs, (j) => (j.side === 'left' ? 1 : j.side === 'right' ? 2 : 0)),
    needs: jobs.map((j) => Int32Array.from(j.needs)), touches: jobs.map((j) => Int32Array.from(j.touches)), maxOnSkin, walkS,
  };
}

/** The table as the rollout changes it in place. */
class Table {
  now = 0;
  side = 0;
  off = 0;
  skinCount = 0;
  readonly stage: Uint8Array;
  readonly ready: Float64Array;
  readonly due: Float64Array;
  readonly skin: Int32Array;

  constructor(private readonly j: Jobs) {
    this.stage = new Uint8Array(j.count);
    this.ready = new Float64Array(j.count);
    this.due = new Float64Array(j.count);
    this.skin = new Int32Array(j.count);
  }

  copyFrom(other: Table): void {
    this.now = other.now;
    this.side = other.side;
    this.off = other.off;
    this.skinCount = other.skinCount;
    this.stage.set(other.stage);
    this.ready.set(other.ready);
    this.due.set(other.due);
    this.skin.set(other.skin);
  }

  walk(i: number): number {
    const side = this.j.side[i] as number; // i is a job, here and below
    return side !== 0 && this.side !== 0 && side !== this.side ? this.j.walkS : 0;
  }

  nextStart(i: number): number {
    const free = this.now + this.walk(i);
    return this.stage[i] === UNLAID ? free : Math.max(free, this.ready[i] as number);
  }

  canLay(i: number, limit: number): boolean {
    if (this.stage[i] !== UNLAID || this.skinCount >= limit) return false;
    const needs = this.j.needs[i] as Int32Array;
    for (let k = 0; k < needs.length; k++) if (this.stage[needs[k] as number] !== OFF) return false;
    const touches = this.j.touches[i] as Int32Array;
    for (let k = 0; k < touches.length; k++) {
      const stage = this.stage[touches[k] as number];
      if (stage === FIRST_COAT || stage === SETTING) return false;
    }
    return true;
  }

  /** Does a job's next act; false where a pull came too late. */
  act(i: number): boolean {
    const start = this.nextStart(i);
    const side = this.j.side[i] as number;
    if (side !== 0) this.side = side;
    const stage = this.stage[i];
    if (stage === SETTING) {
      this.now = start + (this.j.finish[i] as number);
      this.stage[i] = OFF;
      this.off++;
      let at = 0;
      while (this.skin[at] !== i) at++;
      this.skinCount--;
      for (; at < this.skinCount; at++) this.skin[at] = this.skin[at + 1] as number;
      return start <= (this.due[i] as number);
    }
    this.now = start + (this.j.lay[i] as number);
    if (stage === UNLAID) this.skin[this.skinCount++] = i;
    if (stage === UNLAID && this.j.coats[i] === 2) {
      this.stage[i] = FIRST_COAT;
      this.ready[i] = this.now + COAT_REST_S;
    } else {
      this.stage[i] = SETTING;
      this.ready[i] = this.now + (this.j.setMin[i] as number);
      this.due[i] = this.now + (this.j.setMax[i] as number);
    }
    return true;
  }

  /** Earliest end of everything from here on, as `remainingBound` has it; s. */
  bound(tables: BoundTables): number {
    const { j } = this;
    let work = 0;
    let bound = this.now;
    for (let i = 0; i < j.count; i++) {
      const stage = this.stage[i];
      if (stage === OFF) continue;
      const finish = j.finish[i] as number;
      const lay = j.lay[i] as number;
      const setMin = j.setMin[i] as number;
      if (stage === UNLAID) {
        work += (j.coats[i] as number) * lay + finish;
        bound = Math.max(bound, this.now + (tables.tailS[i] ?? 0));
      } else {
        work += (stage === FIRST_COAT ? lay : 0) + finish;
        bound = Math.max(bound, Math.max(this.now, this.ready[i] as number) + (stage === FIRST_COAT ? lay + setMin : 0) + finish + (tables.afterS[i] ?? 0));
      }
    }
    return Math.max(bound, this.now + work);
  }

  /** Whether all setting strips make their latest pulls, in that order, once `extra` has been laid now (or with none: −1). */
  makesDeadlines(extra: number, order: Int32Array): boolean {
    let time = this.now;
    let side = this.side;
    let count = 0;
    for (let k = 0; k < this.skinCount; k++) if (this.stage[this.skin[k] as number] === SETTING) order[count++] = this.skin[k] as number;
    let extraReady = 0;
    let extraDue = 0;
    if (extra >= 0) {
      time = this.nextStart(extra) + (this.j.lay[extra] as number);
      const own = this.j.side[extra] as number;
      if (own !== 0) side = own;
      if (this.stage[extra] !== UNLAID || this.j.coats[extra] !== 2) {
        extraReady = time + (this.j.setMin[extra] as number);
        extraDue = time + (this.j.setMax[extra] as number);
        order[count++] = extra;
      }
    }
    for (let a = 1; a < count; a++) {
      const i = order[a] as number;
      const due = i === extra ? extraDue : (this.due[i] as number);
      let b = a - 1;
      while (b >= 0 && (order[b] === extra ? extraDue : (this.due[order[b] as number] as number)) > due) {
        order[b + 1] = order[b] as number;
        b--;
      }
      order[b + 1] = i;
    }
    for (let k = 0; k < count; k++) {
      const i = order[k] as number;
      const own = this.j.side[i] as number;
      const from = time + (own !== 0 && side !== 0 && own !== side ? this.j.walkS : 0);
      const start = Math.max(from, i === extra ? extraReady : (this.ready[i] as number));
      if (start > (i === extra ? extraDue : (this.due[i] as number))) return false;
      time = start + (this.j.finish[i] as number);
      if (own !== 0) side = own;
    }
    return true;
  }
}

/** The strip that a policy would lay next; −1 for none. */
function layChoice(b: Table, j: Jobs, { limit, sides }: Policy): number {
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
    if ((b.walk(i) > 0) === (sides === 'turns')) return i;
    if (any < 0) any = i;
  }
  return any;
}

/** Ends a table by a policy: the end, s, or Infinity where a pull would come too late. */
function rollOut(b: Table, j: Jobs, policy: Policy, order: Int32Array): number {
  for (let guard = 0; guard < 4 * j.count + 4; guard++) {
    if (b.off === j.count) return b.now;
    let due = -1;
    let dueStart = Infinity;
    let coat = -1;
    for (let k = 0; k < b.skinCount; k++) {
      const i = b.skin[k] as number;
      const start = b.nextStart(i);
      if (start < dueStart || (start === dueStart && ((b.due[i] as number) < (b.due[due] as number) || ((b.due[i] as number) === (b.due[due] as number) && i < due)))) [due, dueStart] = [i, start];
      if (b.stage[i] === FIRST_COAT && start <= b.now && (coat < 0 || i < coat)) coat = i;
    }
    const isReady = due >= 0 && dueStart <= b.now + b.walk(due);
    const lay = isReady ? -1 : layChoice(b, j, policy);
    const next = coat >= 0 ? coat : lay >= 0 && b.makesDeadlines(lay, order) ? lay : due;
    if (next < 0 || !b.act(next)) return Infinity;
  }
  return Infinity;
}

interface Node {
  readonly table: Table;
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

/** Searches for an end earlier than `beatS`; null where none is found. Deterministic; effort grows with width × strips². */
export function pilotSearch(input: HandsInput, { width, boundWidth, policies }: PilotOptions, beatS: number): stages.TableState | null {
  const j = packed(input);
  const tables = boundTables(input.jobs);
  const order = new Int32Array(j.count + 1);
  const trial = new Table(j);
  const start = new Table(j);
  const ends = allPolicies(input).map((policy) => {
    trial.copyFrom(start);
    return { policy, end: rollOut(trial, j, policy, order) };
  });
  const used = ends.sort((a, b) => a.end - b.end).slice(0, policies).map((e) => e.policy);
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
        const after = new Table(j);
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
    level = [...new Set([...[...next.values()].sort(byValue).slice(0, width), ...[...bounded.values()].sort(byBound).slice(0, boundWidth)])];
  }
  return best && replayed(input, best.acts, best.policy);
}

function replayed(input: HandsInput, acts: readonly number[], policy: Policy | null): stages.TableState | null {
  const prefix = acts.reduce((state, i) => stages.step(state, input, i), stages.emptyTable(input.jobs.length));
  return policy ? runPolicy(input, policy, prefix) : prefix;
}
