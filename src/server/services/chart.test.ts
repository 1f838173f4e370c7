import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addDays } from '../../core/shared';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { upPlan } from '../db/upSteps';
import type { ChartData } from '../db/schema';
import { loadBench, partsOf, type Bench, type BenchZone } from './bench';
import { saveChart, saveConsult } from './changeVisit';
import { closeVisit } from './closeVisit';
import { loadClientCard } from './clients';
import { openVisit } from './openVisit';
import { buildCase } from './planCase';
import { putOff } from './putOff';
import { readVisit } from '../repos/visitRepo';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY = 86_400_000;
let open: OpenDatabase;

beforeEach(() => { open = demoStudio(NOW); });
afterEach(() => open.close());

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { code: string; message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};
const first = (b: Bench): BenchZone => {
  const [zone] = b.zones;
  if (!zone) throw new Error('a zone');
  return zone;
};
/** A visit of a client for one underarm, some days from now. */
function visit(clientId: string, inDays: number): { readonly id: string; readonly bench: Bench } {
  const { visitId: id } = value(openVisit(open.db, { clientId, zones: [{ zone: 'underarm', side: 'left' }] }, NOW + inDays * DAY));
  return { id, bench: value(loadBench(open.db, id, NOW + inDays * DAY)) };
}
function chart(id: string, b: Bench, more: Partial<ChartData>): Bench {
  return value(saveChart(open.db, id, first(b), { version: b.visit.version, data: { ...first(b).data, confirmed: true, ...more } }, NOW));
}
function close(id: string, b: Bench): void {
  const ready = value(saveConsult(open.db, id, { version: b.visit.version, consult: { ...b.visit.consult, consent: true, confirmedAtMs: NOW } }, NOW));
  value(closeVisit(open.db, id, { version: ready.visit.version, next: null }, NOW));
}
const scar = { kind: 'scar', at: [3, 4], radiusMm: 5, note: 'from surgery', since: '2027-05-08' } as const;

describe('marks of a client', () => {
  it('stay over the visits until someone says that they are gone, and are looked at each time', () => {
    const one = visit('ottilie', 0);
    const before = first(one.bench).data.marks.length;
    close(one.id, chart(one.id, one.bench, { marks: [scar] }));
    expect(before).toBeGreaterThan(0);
    const two = visit('ottilie', 30);
    expect(first(two.bench).data.marks).toEqual([{ ...scar, unseen: true }]);
    close(two.id, chart(two.id, two.bench, { marks: [] }));
    expect(first(visit('ottilie', 60).bench).data.marks).toEqual([]);
  });
  it('found in a visit that was put off are there at the next one, also on a zone never done', () => {
    const one = visit('anselm', 0);
    const charted = chart(one.id, one.bench, { marks: [scar] });
    value(putOff(open.db, one.id, { version: charted.visit.version, as: 'postponed', next: null, words: '', post: false }, NOW));
    expect(first(visit('anselm', 20).bench).data.marks).toEqual([{ ...scar, unseen: true }]);
  });
  it('are named on the card with what was noted', () => {
    const one = visit('ottilie', 0);
    close(one.id, chart(one.id, one.bench, { marks: [scar] }));
    expect(value(loadClientCard(open.db, 'ottilie', NOW + DAY)).marks).toContainEqual({ name: 'Underarm, left', mark: scar });
  });
  it('count while they have not been looked at, and leave the tablet’s own word out of the case', () => {
    const { id, bench } = visit('ottilie', 0);
    expect(bench.plan.zones[0]?.excluded).toHaveLength(first(bench).data.marks.length);
    const row = readVisit(open.db, id);
    const found = row && partsOf(open.db, row);
    const marks = found ? buildCase(found.parts).zones[0]?.marks : undefined;
    expect(marks?.length).toBeGreaterThan(0);
    expect(JSON.stringify(marks)).not.toContain('unseen');
  });
});

describe('a chart', () => {
  it('is planned on the measured sheet, with flags and spread in the case', () => {
    const { id, bench } = visit('ottilie', 0);
    const after = chart(id, bench, { sheetCm: [11, 15], hair: { ...first(bench).data.hair, lengthMm: 8, shortestMm: 6, longestMm: 11, flags: ['layers'] } });
    expect(after.plan.zones[0]).toMatchObject({ basis: 'measured', sheetCm: [11, 15] });
    expect(after.plan.zones[0]?.reasons.join(' ')).toContain('in layers');
  });
  it('whose shortest hair is longer than the typical one is refused by name, and nothing is changed', () => {
    const { id, bench } = visit('ottilie', 0);
    const refused = saveChart(open.db, id, first(bench), { version: bench.visit.version, data: { ...first(bench).data, hair: { ...first(bench).data.hair, lengthMm: 6, shortestMm: 8 } } }, NOW);
    expect(refused).toMatchObject({ ok: false, error: { code: 'invalid', details: [{ path: 'zones[0].hair.shortestMm' }] } });
    expect(value(loadBench(open.db, id, NOW)).visit.version).toBe(bench.visit.version);
  });
  it('of an older plan reads as crossing nothing', () => {
    const { plan } = visit('ottilie', 0).bench;
    const fresh = ['basis', 'crossingShare', 'place', 'crossing'];
    const old = JSON.parse(JSON.stringify(plan, (key, v: unknown) => (fresh.includes(key) ? undefined : v))) as typeof plan; // as it lay in the file before
    expect(old.zones[0]).not.toHaveProperty('basis');
    const up = upPlan(old);
    expect(up.zones[0]).toMatchObject({ basis: 'reference-adult', crossingShare: 0 });
    expect(up.zones[0]?.strips[0]).toMatchObject({ place: null, crossing: null });
    expect(upPlan(plan)).toEqual(plan);
  });
  it('expects no mark earlier than it was found', () => {
    const { id, bench } = visit('ottilie', 0);
    const future = saveChart(open.db, id, first(bench), { version: bench.visit.version, data: { ...first(bench).data, marks: [{ ...scar, since: addDays('2027-05-08', 900) }] } }, NOW);
    expect(future).toMatchObject({ ok: false, error: { details: [{ path: 'zones[0].marks[0].since' }] } });
  });
});
