import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { SHIPPED_COUNTS, SHIPPED_LEFTOVERS, SHIPPED_PREFERENCES } from '../../core/matching';
import type { Product } from '../../core/products';
import { addDays } from '../../core/shared';
import type { OpenDatabase } from '../db/openDatabase';
import { exportProducts, importProducts, loadCatalogue, saveChoosing, saveProduct, type Catalogue } from './catalogue';
import { loadBench, partsOf, type Bench } from './bench';
import { saveChart, saveConsult, saveReading } from './asTablet';
import { closeVisit } from './closeVisit';
import { appendJournal } from './appendJournal';
import { feltBefore, workedLately } from './feltBefore';
import { openVisit } from './openVisit';
import { loadPrices, savePrices } from './prices';
import { readClient } from '../repos/clientRepo';
import { readStudio } from '../repos/studioRepo';
import { closedVisits, readVisit } from '../repos/visitRepo';
import { buildCase } from './planCase';
import { studioHold } from './studioHold';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

/** A reading where all was well; tests say what was not. */
const ALL_OFF = {
  v: 1,
  removedPct: 96,
  brokenPct: 2,
  left: 'none',
  leftKind: 'none',
  bleeding: 'none',
  skin: 'pink',
  tweezed: 0,
  heatFelt: 'right',
  note: '',
} as const;

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { code: string; message: string } }): T => {
  if (!result.ok) throw new Error(`${result.error.code}: ${result.error.message}`);
  return result.value;
};
const code = (result: { ok: boolean; error?: { code: string } }): string =>
  result.ok ? 'ok' : (result.error?.code ?? '');
const catalogue = (): Catalogue => value(loadCatalogue(open.db));
const rowOf = (id: string): Catalogue['rows'][number] => {
  const row = catalogue().rows.find((r) => r.product.id === id);
  if (!row) throw new Error(id);
  return row;
};
const opened = (client: string): { readonly id: string; readonly bench: Bench } => {
  const { visitId } = value(openVisit(open.db, { bookingId: `demo-booking-${client}` }, NOW));
  return { id: visitId, bench: value(loadBench(open.db, visitId, NOW)) };
};

describe('the catalogue', () => {
  it('says what is as shipped, changed here, and the studio’s own', () => {
    const film = rowOf('film-hard');
    expect(film.origin).toBe('shipped');
    value(
      saveProduct(open.db, {
        version: film.version,
        product: { ...film.product, priceMinorPerKg: 2600 },
        stocked: true,
      }),
    );
    expect(rowOf('film-hard').origin).toBe('changed');
    value(
      saveProduct(open.db, {
        version: null,
        product: { ...film.product, id: 'house-film', name: 'House film wax, beads' },
        stocked: true,
      }),
    );
    expect(rowOf('house-film').origin).toBe('own');
  });
  it('refuses what cannot be worked with, a second of an id, a stale version and an unknown one, and changes nothing', () => {
    const film = rowOf('film-hard');
    const wrong: Product = { ...film.product, grip: 3 };
    expect(saveProduct(open.db, { version: film.version, product: wrong, stocked: true })).toMatchObject({
      ok: false,
      error: { code: 'invalid', details: [{ path: 'grip' }] },
    });
    expect(code(saveProduct(open.db, { version: null, product: film.product, stocked: true }))).toBe('refused');
    expect(code(saveProduct(open.db, { version: film.version + 1, product: film.product, stocked: true }))).toBe(
      'stale',
    );
    expect(
      code(saveProduct(open.db, { version: 1, product: { ...film.product, id: 'never-seen' }, stocked: true })),
    ).toBe('not-found');
    expect(rowOf('film-hard')).toEqual(film);
  });
  it('off the shelf a product is planned with no more, also where it was taken by hand; the last one stays', () => {
    const { id, bench } = opened('ottilie');
    const [zone] = bench.zones;
    if (!zone) throw new Error('a zone');
    const forced = value(
      saveChart(
        open.db,
        id,
        zone,
        {
          version: bench.visit.version,
          data: {
            ...zone.data,
            product: 'cream-hard',
            way: 'with',
            reason: 'likes it',
            heat: { product: 'cream-hard', touchC: 53, reason: 'likes it' },
          },
        },
        NOW,
      ),
    );
    expect(forced.plan.zones[0]?.choice?.product).toBe('cream-hard');
    const cream = rowOf('cream-hard');
    value(saveProduct(open.db, { version: cream.version, product: cream.product, stocked: false }));
    const after = value(loadBench(open.db, id, NOW));
    expect(after.faults).toEqual([]);
    expect(after.plan.zones[0]?.choice?.product).not.toBe('cream-hard');
    expect(after.zones[0]?.data.product).toBe('cream-hard');
    for (const row of catalogue()
      .rows.filter((r) => r.stocked)
      .slice(1)) {
      value(saveProduct(open.db, { version: row.version, product: row.product, stocked: false }));
    }
    const [last] = catalogue().rows.filter((r) => r.stocked);
    expect(last && code(saveProduct(open.db, { version: last.version, product: last.product, stocked: false }))).toBe(
      'refused',
    );
  });
  it('a slab beyond the label is refused by its field; one that a corrected label no longer allows is planned as usual', () => {
    const { id, bench } = opened('ottilie');
    const [zone] = bench.zones;
    if (!zone) throw new Error('a zone');
    const asked = (thicknessMm: number, version: number) =>
      saveChart(
        open.db,
        id,
        zone,
        {
          version,
          data: {
            ...zone.data,
            product: 'film-hard',
            way: 'with',
            heat: { product: 'film-hard', thicknessMm, reason: 'tried' },
          },
        },
        NOW,
      );
    expect(asked(5, bench.visit.version)).toMatchObject({
      ok: false,
      error: { code: 'invalid', details: [{ path: 'data.heat.thicknessMm' }] },
    });
    expect(value(asked(2.8, bench.visit.version)).plan.zones[0]?.heat?.thicknessMm).toBe(2.8);
    const { product, version } = rowOf('film-hard');
    const { tab } = product.manners;
    if (!tab) throw new Error('film wax has a tab');
    value(
      saveProduct(open.db, {
        version,
        stocked: true,
        product: { ...product, manners: { tab: { ...tab, thicknessMm: { min: 1.5, usual: 2, max: 2.4 } } } },
      }),
    );
    const after = value(loadBench(open.db, id, NOW));
    expect(after.faults).toEqual([]);
    expect(after.plan.zones[0]?.heat?.thicknessMm).toBe(2);
  });
  it('goes out to a file and comes back: new ones are entered, others replaced, what is off the shelf stays off', () => {
    const soft = rowOf('soft');
    value(saveProduct(open.db, { version: soft.version, product: soft.product, stocked: false }));
    const text = exportProducts(open.db);
    expect(value(importProducts(open.db, { text, commit: false })).lines.every((l) => l.does === 'same')).toBe(true);
    const file = JSON.parse(text) as { products: Product[] };
    const changed = JSON.stringify({
      ...file,
      products: [
        ...file.products.map((p) => (p.id === 'soft' ? { ...p, packKg: 0.4 } : p)),
        { ...file.products[0], id: 'other-film', name: 'Other film wax' },
      ],
    });
    const preview = value(importProducts(open.db, { text: changed, commit: false }));
    expect(preview.lines.filter((l) => l.does !== 'same').map((l) => `${l.id} ${l.does}`)).toEqual([
      'soft changes',
      'other-film new',
    ]);
    expect(rowOf('soft').product.packKg).toBe(0.8);
    value(importProducts(open.db, { text: changed, commit: true }));
    expect(rowOf('soft')).toMatchObject({ stocked: false, product: { packKg: 0.4 } });
    expect(rowOf('other-film').stocked).toBe(true);
    const before = exportProducts(open.db);
    expect(code(importProducts(open.db, { text: changed.replace('"grip":0.85', '"grip":9'), commit: true }))).toBe(
      'invalid',
    );
    expect(exportProducts(open.db)).toBe(before);
  });
  it('what counts and what the house would rather use move what is planned, and as shipped leave no trace', () => {
    const { id, bench: was } = opened('ottilie');
    const shipped = {
      counts: SHIPPED_COUNTS,
      preferences: SHIPPED_PREFERENCES,
      leftovers: SHIPPED_LEFTOVERS,
      firstOf: {},
      order: 'followable' as const,
    };
    const own = {
      counts: { ...SHIPPED_COUNTS, minutes: 0, material: 5 },
      preferences: { ...SHIPPED_PREFERENCES, coarseHard: false, worked: false, first: 'sugar' as const },
      leftovers: { ...SHIPPED_LEFTOVERS, bodyMax: 12 },
      firstOf: {},
      order: 'quickest' as const,
    };
    value(saveChoosing(open.db, { version: catalogue().studioVersion, ...own }));
    const saved = catalogue();
    expect(saved).toMatchObject(own);
    const now = value(loadBench(open.db, id, NOW));
    expect(now.plan.zones[0]?.options.map((o) => o.score)).not.toEqual(was.plan.zones[0]?.options.map((o) => o.score));
    expect(now.plan.zones.flatMap((z) => z.options.map((o) => o.tweezed)).every((n) => n <= 12)).toBe(true);
    const patterns = (plan: typeof was.plan): readonly unknown[] =>
      plan.schedule.rounds.flatMap((r) => r.parts.map((p) => p.pattern));
    expect(patterns(was.plan)).not.toContain(null);
    expect(new Set(patterns(now.plan))).toEqual(new Set([null]));
    expect(code(saveChoosing(open.db, { version: saved.studioVersion - 1, ...shipped }))).toBe('stale');
    value(saveChoosing(open.db, { version: saved.studioVersion, ...shipped }));
    expect(value(loadBench(open.db, id, NOW)).plan).toEqual(was.plan);
  });
});

describe('what a practitioner reaches for first', () => {
  it('goes before what the house does, at this practitioner’s table only', () => {
    const { id } = opened('ottilie');
    const visit = readVisit(open.db, id);
    if (!visit) throw new Error('the visit');
    const { personId } = visit;
    const put = (firstOf: Catalogue['firstOf']): string | undefined => {
      const { counts, preferences, leftovers, order, studioVersion: version } = catalogue();
      value(saveChoosing(open.db, { version, counts, preferences, leftovers, firstOf, order }));
      const found = partsOf(open.db, visit);
      return found && buildCase(found.parts).studio?.preferences?.first;
    };
    expect(put({})).toBeUndefined();
    expect(put({ [personId]: 'sugar' })).toBe('sugar');
    expect(put({ 'someone-else': 'sugar' })).toBeUndefined();
  });
});

describe('how wax felt before', () => {
  it('is learned from the readings of closed visits, with what was planned then, and makes the next plan cooler', () => {
    const { id, bench } = opened('ottilie');
    const before = feltBefore(workedLately(open.db, 'ottilie'));
    let { version } = bench.visit;
    for (const zone of bench.zones) {
      const reading = { ...ALL_OFF, heatFelt: 'too-warm' } as const;
      version = value(saveReading(open.db, id, zone, { version, data: reading }, NOW)).visit.version;
    }
    const consult = { ...bench.visit.consult, confirmedAtMs: NOW };
    const { plan, planHash, visit } = value(saveConsult(open.db, id, { version, consult }, NOW));
    version = visit.version;
    value(
      appendJournal(
        open.db,
        id,
        {
          events: [
            { id: 'w1', atMs: NOW, kind: 'wrist', product: plan.zones[0]?.choice?.product ?? '' },
            { id: 'l1', atMs: NOW + 1000, kind: 'laid', strip: plan.zones[0]?.strips[0]?.id ?? '' },
          ],
          plan: planHash,
        },
        NOW,
      ),
    );
    value(closeVisit(open.db, id, { version, next: null }, NOW));
    const after = feltBefore(workedLately(open.db, 'ottilie'));
    // both sides felt alike: counted once
    expect(after.length).toBe(before.length + 1);
    expect(after.at(-1)).toMatchObject({ on: bench.visit.onDate, zone: 'underarm', felt: 'too-warm' });
    expect(after.at(-1)?.marginK).toBeLessThan(0);
    const client = readClient(open.db, 'ottilie');
    expect(client && closedVisits(open.db, client.id).length).toBeGreaterThan(1);
  });
  it('and what the strips left stands beside what was planned: with a product its strips, and from the next day on in plans', () => {
    const { id, bench } = opened('ottilie');
    const was = catalogue().rows;
    let { version } = bench.visit;
    for (const zone of bench.zones) {
      const data = { ...ALL_OFF, removedPct: 40, removedSaid: true } as const;
      version = value(saveReading(open.db, id, zone, { version, data }, NOW)).visit.version;
    }
    const consult = { ...bench.visit.consult, confirmedAtMs: NOW };
    const { plan, visit } = value(saveConsult(open.db, id, { version, consult }, NOW));
    value(closeVisit(open.db, id, { version: visit.version, next: null }, NOW));
    const product = plan.zones[0]?.choice?.product ?? '';
    const strips = plan.zones.filter((z) => z.choice?.product === product).reduce((n, z) => n + z.strips.length, 0);
    const before = was.find((r) => r.product.id === product)?.hold;
    const after = rowOf(product).hold;
    expect(strips).toBeGreaterThan(0);
    expect(after.strips).toBe((before?.strips ?? NaN) + strips);
    expect(after.shift).toBeGreaterThan(before?.shift ?? NaN);
    // the day's own plans stay as they are
    const { onDate } = bench.visit;
    expect(studioHold(open.db, onDate)).not.toEqual(studioHold(open.db, addDays(onDate, 1)));
  });
});

describe('what only follows from the marks', () => {
  it('teaches nothing of a product’s hold', () => {
    const { id, bench } = opened('ottilie');
    const was = catalogue().rows.map((r) => r.hold);
    let { version } = bench.visit;
    for (const zone of bench.zones) {
      const data = { ...ALL_OFF, removedPct: 40 };
      version = value(saveReading(open.db, id, zone, { version, data }, NOW)).visit.version;
    }
    const consult = { ...bench.visit.consult, confirmedAtMs: NOW };
    const { visit } = value(saveConsult(open.db, id, { version, consult }, NOW));
    value(closeVisit(open.db, id, { version: visit.version, next: null }, NOW));
    expect(catalogue().rows.map((r) => r.hold)).toEqual(was);
  });
});

describe('the price list', () => {
  it('is kept whole with its version; a stale one gets what is newer; a service that is not there is refused', () => {
    const { money, studioVersion } = value(loadPrices(open.db));
    const dearer = { ...money, priceMinor: { ...money.priceMinor, underarms: 2050 } };
    value(savePrices(open.db, { version: studioVersion, money: dearer }));
    expect(value(loadPrices(open.db))).toMatchObject({
      money: { priceMinor: { underarms: 2050 } },
      studioVersion: studioVersion + 1,
    });
    expect(savePrices(open.db, { version: studioVersion, money })).toMatchObject({
      ok: false,
      error: { code: 'stale', newer: { money: dearer } },
    });
    expect(
      code(savePrices(open.db, { version: studioVersion + 1, money: { ...money, priceMinor: { nonsense: 1 } } })),
    ).toBe('refused');
    // the other settings stand as they were
    expect(readStudio(open.db)?.settings).toMatchObject({ roomC: 22, readySign: 'no-thread', money: dearer });
  });
});
