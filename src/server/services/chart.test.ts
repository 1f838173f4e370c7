import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addDays } from '../../core/shared';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { upPlan } from '../db/upSteps';
import type { ChartData } from '../db/schema';
import { loadBench, partsOf, type Bench, type BenchZone } from './bench';
import { saveChart, saveConsult } from './asTablet';
import { closeVisit } from './closeVisit';
import { changeClient, loadClientCard } from './clients';
import { openVisit } from './openVisit';
import { buildCase } from './planCase';
import { putOff } from './putOff';
import { readClient } from '../repos/clientRepo';
import { readVisit } from '../repos/visitRepo';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY = 86_400_000;
let open: OpenDatabase;

beforeEach(() => {
  open = demoStudio(NOW);
});
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
  const { visitId: id } = value(
    openVisit(open.db, { clientId, zones: [{ zone: 'underarm', side: 'left' }] }, NOW + inDays * DAY),
  );
  return { id, bench: value(loadBench(open.db, id, NOW + inDays * DAY)) };
}
function chart(id: string, b: Bench, more: Partial<ChartData>): Bench {
  return value(
    saveChart(
      open.db,
      id,
      first(b),
      { version: b.visit.version, data: { ...first(b).data, confirmed: true, ...more } },
      NOW,
    ),
  );
}
function close(id: string, b: Bench): void {
  const ready = value(
    saveConsult(
      open.db,
      id,
      { version: b.visit.version, consult: { ...b.visit.consult, consent: true, confirmedAtMs: NOW } },
      NOW,
    ),
  );
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
    value(
      putOff(
        open.db,
        one.id,
        { version: charted.visit.version, as: 'postponed', next: null, words: '', post: false },
        NOW,
      ),
    );
    expect(first(visit('anselm', 20).bench).data.marks).toEqual([{ ...scar, unseen: true }]);
  });
  it('are named on the card with what was noted', () => {
    const one = visit('ottilie', 0);
    close(one.id, chart(one.id, one.bench, { marks: [scar] }));
    expect(value(loadClientCard(open.db, 'ottilie', NOW + DAY)).marks).toContainEqual({
      name: 'Underarm, left',
      mark: scar,
    });
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
    const after = chart(id, bench, {
      sheetCm: [11, 15],
      hair: { ...first(bench).data.hair, lengthMm: 8, shortestMm: 6, longestMm: 11, flags: ['layers'] },
    });
    expect(after.plan.zones[0]).toMatchObject({ basis: 'measured', sheetCm: [11, 15] });
    expect(after.plan.zones[0]?.reasons.join(' ')).toContain('in layers');
  });
  it('whose shortest hair is longer than the typical one is refused by name, and nothing is changed', () => {
    const { id, bench } = visit('ottilie', 0);
    const refused = saveChart(
      open.db,
      id,
      first(bench),
      {
        version: bench.visit.version,
        data: { ...first(bench).data, hair: { ...first(bench).data.hair, lengthMm: 6, shortestMm: 8 } },
      },
      NOW,
    );
    expect(refused).toMatchObject({
      ok: false,
      error: { code: 'invalid', details: [{ path: 'zones[0].hair.shortestMm' }] },
    });
    expect(value(loadBench(open.db, id, NOW)).visit.version).toBe(bench.visit.version);
  });
  it('of an older plan reads as crossing nothing', () => {
    const { plan } = visit('ottilie', 0).bench;
    const fresh = ['basis', 'crossingShare', 'place', 'crossing'];
    const old = JSON.parse(
      JSON.stringify(plan, (key, v: unknown) => (fresh.includes(key) ? undefined : v)),
    ) as typeof plan; // as it lay in the file before
    expect(old.zones[0]).not.toHaveProperty('basis');
    const up = upPlan(old);
    expect(up.zones[0]).toMatchObject({ basis: 'reference-adult', crossingShare: 0 });
    expect(up.zones[0]?.strips[0]).toMatchObject({ place: null, crossing: null });
    expect(upPlan(plan)).toEqual(plan);
  });
  it('moves with its sheet when the body is measured anew, so that nothing comes to lie beside it', () => {
    const weigh = (massKg: number): void => {
      const card = readClient(open.db, 'ottilie');
      if (!card) throw new Error('a card');
      const { name, byline, bornOn, phone, note } = card;
      value(
        changeClient(
          open.db,
          'ottilie',
          {
            version: card.version,
            name,
            byline,
            bornOn,
            phone,
            note,
            profile: { ...card.profile, statureCm: 170, massKg },
          },
          null,
          NOW,
        ),
      );
    };
    weigh(90);
    const { id, bench } = visit('ottilie', 0);
    const [w, h] = bench.plan.zones[0]?.sheetCm ?? [0, 0];
    const low = { ...scar, at: [w / 2, h - 0.2] } as const;
    chart(id, bench, {
      marks: [low],
      strokes: [{ at: [w - 0.1, h / 2], towards: [1, 0] }],
      densities: [{ at: [w / 2, h - 0.1], radiusCm: 2, density: 1 }],
    });
    weigh(60);
    const after = value(loadBench(open.db, id, NOW));
    const [w2, h2] = after.plan.zones[0]?.sheetCm ?? [0, 0];
    expect(h2).toBeLessThan(0.95 * h);
    expect(after.faults).toEqual([]);
    const { data } = first(after);
    expect(data.marks[0]?.at[1]).toBeCloseTo((low.at[1] * h2) / h, 1);
    expect(data.marks[0]?.radiusMm).toBe(scar.radiusMm);
    expect(data.strokes[0]?.at[0]).toBeLessThanOrEqual(w2);
    expect(data.densities?.[0]?.radiusCm).toBeCloseTo((2 * h2) / h, 1);
    // saved as it is shown, it stays there
    const again = chart(id, after, {});
    expect(first(again).data.marks).toEqual(data.marks);
  });
  it('of before sheets were kept is drawn in from over the rim; what lies far off is refused', () => {
    const { id, bench } = visit('ottilie', 0);
    const [, h] = bench.plan.zones[0]?.sheetCm ?? [0, 0];
    const over = chart(id, bench, { drawnOnCm: undefined, marks: [{ ...scar, at: [4, h + 0.5] }] });
    expect(over.faults).toEqual([]);
    expect(first(over).data.marks[0]?.at[0]).toBe(4);
    expect(first(over).data.marks[0]?.at[1]).toBeCloseTo(h, 1);
    const far = saveChart(
      open.db,
      id,
      first(over),
      { version: over.visit.version, data: { ...first(over).data, marks: [{ ...scar, at: [4, 3 * h] }] } },
      NOW,
    );
    expect(far).toMatchObject({ ok: false, error: { code: 'invalid', details: [{ path: 'zones[0].marks[0].at' }] } });
  });
  it('expects no mark earlier than it was found', () => {
    const { id, bench } = visit('ottilie', 0);
    const future = saveChart(
      open.db,
      id,
      first(bench),
      {
        version: bench.visit.version,
        data: { ...first(bench).data, marks: [{ ...scar, since: addDays('2027-05-08', 900) }] },
      },
      NOW,
    );
    expect(future).toMatchObject({ ok: false, error: { details: [{ path: 'zones[0].marks[0].since' }] } });
  });
});
