// The table as the pilot search runs it: plain arrays changed in place, since a schedule is rolled out some thousands
// of times. It does what `step`, `canLay`, `makesDeadlines` and `remainingBound` do; the pilot replays its result by
// those, so that both must agree.

import type { BoundTables } from './bounds';
import * as stages from './state';
import { COAT_REST_S, leastSetS, mostRestS, setAfter, type HandsInput } from './types';

// copies of their own: the rollout reads them some millions of times, and a binding of another module is looked up at
// every read
const { FIRST_COAT, OFF, SETTING, UNLAID } = stages;

/** Side of the table as a number; 0 from either side. */
const SIDE_NUMBER = { left: 1, right: 2 } as const;

export interface PackedJobs {
  readonly count: number;
  readonly lay: Float64Array;
  readonly coats: Uint8Array;
  /** Set windows by rest: those of a job stand at `rests × job + whole seconds beyond the shortest rest`. */
  readonly setMin: Float64Array;
  readonly setMax: Float64Array;
  readonly rests: number;
  readonly leastSet: Float64Array;
  /** How long a second coat may wait once it is possible, s. */
  readonly wait: Float64Array;
  readonly pull: Float64Array;
  readonly finish: Float64Array;
  /** 0 from either side, 1 left, 2 right. */
  readonly side: Uint8Array;
  readonly needs: readonly Int32Array[];
  readonly after: readonly Int32Array[];
  readonly touches: readonly Int32Array[];
  readonly maxOnSkin: number;
  readonly walkS: number;
}

export function packed({ jobs, maxOnSkin, walkS }: HandsInput): PackedJobs {
  const coated = jobs.filter((j) => j.coats === 2);
  const rests = 1 + Math.ceil(Math.max(0, ...coated.map((j) => mostRestS(j) - COAT_REST_S)));
  const windows = jobs.flatMap((j) => Array.from({ length: rests }, (_, k) => setAfter(j, COAT_REST_S + k)));
  return {
    count: jobs.length,
    lay: Float64Array.from(jobs, (j) => j.layS),
    coats: Uint8Array.from(jobs, (j) => j.coats),
    setMin: Float64Array.from(windows, (w) => w.min),
    setMax: Float64Array.from(windows, (w) => w.max),
    rests,
    leastSet: Float64Array.from(jobs, leastSetS),
    wait: Float64Array.from(jobs, (j) => mostRestS(j) - COAT_REST_S),
    pull: Float64Array.from(jobs, (j) => j.pullS),
    finish: Float64Array.from(jobs, (j) => j.pullS + j.pressS),
    side: Uint8Array.from(jobs, (j) => (j.side ? SIDE_NUMBER[j.side] : 0)),
    needs: jobs.map((j) => Int32Array.from(j.needs)),
    after: jobs.map((j) => Int32Array.from(j.after ?? [])),
    touches: jobs.map((j) => Int32Array.from(j.touches)),
    maxOnSkin,
    walkS,
  };
}

/** The table as the rollout changes it in place. */
export class FastTable {
  now = 0;
  side = 0;
  off = 0;
  skinCount = 0;
  readonly stage: Uint8Array;
  readonly ready: Float64Array;
  readonly due: Float64Array;
  readonly skin: Int32Array;

  constructor(private readonly j: PackedJobs) {
    this.stage = new Uint8Array(j.count);
    this.ready = new Float64Array(j.count);
    this.due = new Float64Array(j.count);
    this.skin = new Int32Array(j.count);
  }

  copyFrom(other: FastTable): void {
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
    const after = this.j.after[i] as Int32Array;
    for (let k = 0; k < after.length; k++) if (this.stage[after[k] as number] === UNLAID) return false;
    const touches = this.j.touches[i] as Int32Array;
    for (let k = 0; k < touches.length; k++) {
      const stage = this.stage[touches[k] as number];
      if (stage === FIRST_COAT || stage === SETTING) return false;
    }
    return true;
  }

  /** Does a job's next act; false where a pull or a second coat came too late. Times are whole seconds. */
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
    const waited = stage === FIRST_COAT ? start - (this.ready[i] as number) : 0;
    this.now = start + (this.j.lay[i] as number);
    if (stage === UNLAID) this.skin[this.skinCount++] = i;
    if (stage === UNLAID && this.j.coats[i] === 2) {
      this.stage[i] = FIRST_COAT;
      this.ready[i] = this.now + COAT_REST_S;
      this.due[i] = this.now + COAT_REST_S + (this.j.wait[i] as number);
    } else {
      this.stage[i] = SETTING;
      const at = i * this.j.rests + Math.min(this.j.rests - 1, waited);
      this.ready[i] = this.now + (this.j.setMin[at] as number);
      this.due[i] = this.now + (this.j.setMax[at] as number);
    }
    return waited <= (this.j.wait[i] as number);
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
      const setMin = j.leastSet[i] as number;
      if (stage === UNLAID) {
        work += (j.coats[i] as number) * lay + finish;
        bound = Math.max(bound, this.now + (tables.tailS[i] ?? 0));
      } else {
        work += (stage === FIRST_COAT ? lay : 0) + finish;
        bound = Math.max(
          bound,
          Math.max(this.now, this.ready[i] as number) +
            (stage === FIRST_COAT ? lay + setMin : 0) +
            finish +
            (tables.afterS[i] ?? 0),
        );
      }
    }
    return Math.max(bound, this.now + work);
  }

  /**
   * Whether what lies on the skin makes its latest acts, in that order, once `extra` has been laid now (or with none:
   * −1): pulls, and second coats over first ones that rest.
   */
  makesDeadlines(extra: number, order: Int32Array): boolean {
    let time = this.now;
    let side = this.side;
    let count = 0;
    for (let k = 0; k < this.skinCount; k++) {
      if (this.skin[k] !== extra) order[count++] = this.skin[k] as number;
    }
    let extraReady = 0;
    let extraDue = 0;
    const extraRests = extra >= 0 && this.stage[extra] === UNLAID && this.j.coats[extra] === 2;
    if (extra >= 0) {
      time = this.nextStart(extra) + (this.j.lay[extra] as number);
      const own = this.j.side[extra] as number;
      if (own !== 0) side = own;
      const at = extra * this.j.rests;
      extraReady = time + (extraRests ? COAT_REST_S : (this.j.setMin[at] as number));
      extraDue = time + (extraRests ? COAT_REST_S + (this.j.wait[extra] as number) : (this.j.setMax[at] as number));
      order[count++] = extra;
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
      const rests = i === extra ? extraRests : this.stage[i] === FIRST_COAT;
      time = start + ((rests ? this.j.lay[i] : this.j.finish[i]) as number);
      if (own !== 0) side = own;
    }
    return true;
  }
}
