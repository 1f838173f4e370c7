import { monitorEventLoopDelay } from 'node:perf_hooks';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { planVisit } from '../../core/plan';
import type { OpenDatabase } from '../db/openDatabase';
import { readVisit } from '../repos/visitRepo';
import { answered } from '../http/route';
import { toResponse } from '../http/answers';
import { loadBench, partsOf, plannedBench, type Bench } from '../services/bench';
import { saveChart } from '../services/changeVisit';
import { openVisit } from '../services/openVisit';
import { buildCase } from '../services/planCase';
import { planInPlace, planInThreads } from './planner';
import { planThreads, type PlanThreads } from './threads';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
let threads: PlanThreads;
const made: string[] = [];
beforeEach(() => {
  open = demoStudio(NOW);
  threads = planThreads();
  made.length = 0;
  planInThreads(threads.count, threads.run, (hash) => made.push(hash));
});
afterEach(async () => {
  planInPlace();
  await threads.close();
  open.close();
});

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { code: string } }): T => {
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};
const planned = async (id: string): Promise<Bench> =>
  (await (await answered(() => toResponse(plannedBench(open.db, id, NOW)))).json()) as Bench;

describe('plans made in threads', () => {
  it('come after the bench, are what the core makes of the case, and are made once', async () => {
    const { visitId } = value(
      openVisit(open.db, { clientId: 'ottilie', zones: [{ zone: 'chest', side: 'middle' }] }, NOW),
    );
    const first = value(loadBench(open.db, visitId, NOW));
    expect(first).toMatchObject({
      planComing: true,
      plan: { zones: [], screening: { outcome: expect.any(String) as string } },
    });
    const [bench, again] = await Promise.all([planned(visitId), planned(visitId)]);
    expect(bench).toMatchObject({ planComing: false, planHash: first.planHash });
    expect(again.plan).toEqual(bench.plan);
    expect(made).toEqual([first.planHash]);
    const visit = readVisit(open.db, visitId);
    const parts = visit && partsOf(open.db, visit)?.parts;
    if (!parts) throw new Error('a visit');
    const own = value(planVisit(buildCase(parts), { currency: 'EUR', catalogue: parts.products }));
    expect(bench.plan).toEqual(JSON.parse(JSON.stringify(own)));
  });
  it('leave this thread free while they are made', async () => {
    const zones = [
      { zone: 'upper-back', side: 'middle' },
      { zone: 'chest', side: 'middle' },
    ] as const;
    const { visitId } = value(openVisit(open.db, { clientId: 'corwin', zones }, NOW));
    const watch = monitorEventLoopDelay({ resolution: 5 });
    watch.enable();
    let beats = 0;
    const beat = setInterval(() => beats++, 10);
    await planned(visitId);
    clearInterval(beat);
    watch.disable();
    // planning here at once would leave no beat at all; how long one takes is the bench's to say
    expect(beats).toBeGreaterThan(5);
  });
  it('of a visit that is changed again give way to the newer one', async () => {
    const { visitId } = value(
      openVisit(open.db, { clientId: 'ottilie', zones: [{ zone: 'underarm', side: 'left' }] }, NOW),
    );
    let bench = value(loadBench(open.db, visitId, NOW));
    const waiting = planned(visitId);
    for (const lengthMm of [7, 8, 9, 10]) {
      const [zone] = bench.zones;
      if (!zone) throw new Error('a zone');
      const data = { ...zone.data, hair: { ...zone.data.hair, lengthMm } };
      value(saveChart(open.db, visitId, zone, { version: bench.visit.version, data }, NOW));
      bench = value(loadBench(open.db, visitId, NOW));
    }
    const last = await planned(visitId);
    expect(last.zones[0]?.data.hair.lengthMm).toBe(10);
    expect((await waiting).planHash).toBe(last.planHash);
    expect(made.length).toBeLessThan(5);
  });
  it('that fail are told as a fault and not tried for ever', async () => {
    let runs = 0;
    planInThreads(1, () => {
      runs++;
      return Promise.reject(new Error('the thread died'));
    });
    const { visitId } = value(
      openVisit(open.db, { clientId: 'ottilie', zones: [{ zone: 'knee', side: 'left' }] }, NOW),
    );
    const bench = await planned(visitId);
    expect(bench).toMatchObject({ planComing: false, plan: { zones: [] } });
    expect(bench.faults[0]?.message).toContain('could not be planned');
    expect(runs).toBe(1);
  });
});

describe('plans on the shelf', () => {
  it('of a visit are few: the last three, however often it is changed', async () => {
    const { visitId } = value(
      openVisit(open.db, { clientId: 'ottilie', zones: [{ zone: 'upper-lip', side: 'middle' }] }, NOW),
    );
    planInPlace();
    let bench = value(loadBench(open.db, visitId, NOW));
    for (let k = 0; k < 6; k++) {
      const [zone] = bench.zones;
      if (!zone) throw new Error('a zone');
      const data = { ...zone.data, hair: { ...zone.data.hair, lengthMm: 4 + k } };
      value(saveChart(open.db, visitId, zone, { version: bench.visit.version, data }, NOW));
      bench = value(loadBench(open.db, visitId, NOW));
    }
    const kept = open.db.query.plans.findMany({ where: (p, { eq }) => eq(p.visitId, visitId) }).sync();
    expect(kept).toHaveLength(3);
    expect(kept.some((p) => p.caseHash === bench.planHash)).toBe(true);
    await Promise.resolve();
  });
});
