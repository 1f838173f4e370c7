// About when an order of laying ends, without looking ahead: to tell in a moment which of hundreds of orders are worth
// scheduling in full. It keeps the same rules as `step`; its test holds it against the full schedule.

import { COAT_REST_S, mostRestS, setAfter, type HandsInput, type StripJob } from './types';

/** What is on the skin, by place in the order; changed in place. */
class RoughTable {
  nowS = 0;
  laid = 0;
  coated = 0;
  pulled = 0;
  private side: StripJob['side'] = null;
  private pose: string | null = null;
  private readonly readyS: Float64Array;
  private readonly dueS: Float64Array;
  private readonly placeOf: Int32Array;
  private readonly jobs: readonly StripJob[];

  constructor(
    private readonly input: HandsInput,
    order: readonly number[],
  ) {
    this.jobs = order.flatMap((i) => input.jobs[i] ?? []);
    this.readyS = new Float64Array(order.length);
    this.dueS = new Float64Array(order.length);
    this.placeOf = new Int32Array(input.jobs.length);
    order.forEach((job, place) => {
      this.placeOf[job] = place;
    });
  }

  private goTo(job: StripJob): number {
    const { walkS, poseS = 0 } = this.input;
    const walk = job.side !== null && this.side !== null && job.side !== this.side ? walkS : 0;
    const pose = job.pose ?? null;
    return this.nowS + walk + (pose !== null && pose !== this.pose ? poseS : 0);
  }

  private standAt(job: StripJob): void {
    this.side = job.side ?? this.side;
    this.pose = job.pose ?? this.pose;
  }

  mayLay(): boolean {
    const job = this.jobs[this.laid];
    if (!job || this.laid - this.pulled >= this.input.maxOnSkin) return false;
    // coats go in the order of laying too
    if (this.coated < this.laid && job.coats === 1) return false;
    for (const n of job.needs) if ((this.placeOf[n] ?? 0) >= this.pulled) return false;
    for (const t of job.touches) {
      const place = this.placeOf[t] ?? 0;
      if (place < this.laid && place >= this.pulled) return false;
    }
    return true;
  }

  isReady(place: number): boolean {
    return (this.readyS[place] ?? 0) <= this.nowS;
  }

  /** Whether what is on the skin still comes off in time when it is pulled one after the other once this was laid. */
  keepsTime(): boolean {
    const next = this.jobs[this.laid];
    if (!next) return true;
    let at = this.goTo(next) + next.layS;
    for (let k = this.pulled; k < this.laid; k++) {
      const job = this.jobs[k] as StripJob; // k < laid
      const startS = Math.max(at, this.readyS[k] ?? 0);
      if (startS > (this.dueS[k] ?? 0)) return false;
      at = startS + job.pullS + job.pressS;
    }
    return true;
  }

  lay(): void {
    const place = this.laid++;
    const job = this.jobs[place] as StripJob; // asked for by mayLay
    this.nowS = this.goTo(job) + job.layS;
    this.standAt(job);
    if (job.coats === 2) this.rests(place, job);
    else {
      this.coated++;
      this.sets(place, job, COAT_REST_S);
    }
  }

  private rests(place: number, job: StripJob): void {
    this.readyS[place] = this.nowS + COAT_REST_S;
    this.dueS[place] = this.nowS + mostRestS(job);
  }

  private sets(place: number, job: StripJob, restS: number): void {
    const set = setAfter(job, restS);
    this.readyS[place] = this.nowS + set.min;
    this.dueS[place] = this.nowS + set.max;
  }

  /** False where it comes too late. */
  coat(): boolean {
    const place = this.coated++;
    const job = this.jobs[place] as StripJob; // coated < laid
    const ready = this.readyS[place] ?? 0;
    const startS = Math.max(this.goTo(job), ready);
    const inTime = startS <= (this.dueS[place] ?? 0);
    this.nowS = startS + job.layS;
    this.standAt(job);
    this.sets(place, job, startS - ready + COAT_REST_S);
    return inTime;
  }

  /** False where it comes too late. */
  pull(): boolean {
    const place = this.pulled++;
    const job = this.jobs[place] as StripJob; // pulled < coated
    const startS = Math.max(this.goTo(job), this.readyS[place] ?? 0);
    const inTime = startS <= (this.dueS[place] ?? 0);
    this.nowS = startS + job.pullS + job.pressS;
    this.standAt(job);
    return inTime;
  }
}

/**
 * About when an order ends, s: the oldest strip comes off as soon as it is ready, until then the next is laid. Infinite
 * where a strip would come off too late so. Never earlier than the best schedule of the order.
 */
export function roughEndS(input: HandsInput, order: readonly number[]): number {
  const table = new RoughTable(input, order);
  while (table.pulled < order.length) {
    const rests = table.coated < table.laid;
    const sets = table.pulled < table.coated;
    let inTime = true;
    if (rests && table.isReady(table.coated)) inTime = table.coat();
    else if (sets && table.isReady(table.pulled)) inTime = table.pull();
    else if (table.mayLay() && table.keepsTime()) table.lay();
    else if (rests) inTime = table.coat();
    else if (sets) inTime = table.pull();
    else return Infinity;
    if (!inTime) return Infinity;
  }
  return table.nowS;
}
