import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import type { Plan } from '../../core/plan';
import { seededRandom } from '../../core/shared';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { shelfMoves } from '../db/schema';
import { fullLots, insertLot } from '../repos/shelfRepo';
import { ordersCsv } from './ordersCsv';
import { loadPots, notePot } from './pots';
import { loadShelf, recall, usesAhead, type Shelf, type ShelfRow } from './shelf';
import { shelfAct, type ShelfAct } from './shelfMoves';
import { openVisit } from './openVisit';
import { loadToday } from './today';
import { countUse } from './visitUse';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY_MS = 86_400_000;
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};
const shelf = (nowMs = NOW): Shelf => value(loadShelf(open.db, nowMs));
const row = (id: string, nowMs = NOW): ShelfRow => {
  const found = shelf(nowMs).rows.find((r) => r.id === id);
  if (!found) throw new Error(id);
  return found;
};
const act = (does: ShelfAct, nowMs = NOW) => shelfAct(open.db, does, { atMs: nowMs, personId: 'ines' });
const refusal = (result: { ok: boolean; error?: { message: string } }): string => result.error?.message ?? '';
/** A plan of one strip that takes some grams and sticks. */
const planOf = (grams: number, sticks: number): Plan =>
  ({
    zones: [{ strips: [{ id: 's1' }] }],
    materials: [
      { item: 'film-hard', amount: grams, unit: 'g', costMinor: 0 },
      { item: 'stick', amount: sticks, unit: 'piece', costMinor: 0 },
    ],
  }) as unknown as Plan;
const visit = (clientId: string): string =>
  value(openVisit(open.db, { clientId, personId: 'ines', zones: [{ zone: 'chin', side: 'middle' }] }, NOW)).visitId;
const used = (visitId: string, plan: Plan, atMs = NOW): void =>
  countUse(open.db, {
    ...{ visitId, plan, atMs, personId: 'ines' },
    journal: [{ id: 'e', atMs, kind: 'laid', strip: 's1' }],
  });

describe('the shelf', () => {
  it('uses first what expires first, and sets aside what is past', () => {
    expect(row('sugar-firm').lots.map((l) => l.lot)).toEqual(['S-2', 'S-4']);
    const later = NOW + 40 * DAY_MS;
    expect(row('sugar-firm', later).lots.map((l) => [l.lot, l.isPast])).toEqual([
      ['S-4', false],
      ['S-2', true],
    ]);
    expect(row('sugar-firm', later).amount).toBe(1090);
    const [, past] = row('sugar-firm', later).lots;
    value(act({ waste: { lotId: past?.id ?? '', amount: 420 } }, later));
    expect(row('sugar-firm', later).lots.map((l) => l.lot)).toEqual(['S-4']);
  });
  it('never sells what the table needs', () => {
    expect(row('gel').sellable).toBe(2);
    value(act({ sale: { itemId: 'gel', amount: 2 } }));
    expect(refusal(act({ sale: { itemId: 'gel', amount: 1 } }))).toBe('0 may be sold: 3 are kept for the table.');
    expect(row('gel').amount).toBe(3);
    expect(refusal(act({ sale: { itemId: 'stick', amount: 1 } }))).toBe('Sticks is not for sale.');
  });
  it('takes a delivery in and refuses what is past already', () => {
    const delivery = { itemId: 'cream-hard', lot: 'C-119', amount: 1000, expiresOn: '2028-05-01' };
    value(act({ delivery }));
    expect(row('cream-hard').amount).toBe(1480);
    expect(act({ delivery: { ...delivery, expiresOn: '2027-05-01' } }).ok).toBe(false);
    expect(act({ delivery: { ...delivery, itemId: 'nothing' } }).ok).toBe(false);
    expect(row('cream-hard').amount).toBe(1480);
  });
  it('knows the products and small things that were never there, and judges none of them until they are', () => {
    expect(shelf().rows.map((r) => r.id)).not.toContain('gauze');
    expect(shelf().others.map((o) => o.id)).toContain('gauze');
    value(act({ count: [{ itemId: 'gauze', amount: 150 }] }));
    expect(row('gauze')).toMatchObject({ name: 'Gauze', amount: 150, unit: 'piece' });
    expect(shelf().others.map((o) => o.id)).not.toContain('gauze');
    value(act({ delivery: { itemId: 'soft', lot: 'W-31', amount: 800, expiresOn: null } }));
    expect(row('soft').amount).toBe(800);
  });
  it('takes a thing of one’s own, its terms can be changed, a name stands once', () => {
    const thing = { name: 'Aftercare oil', kind: 'retail', unit: 'piece', pack: 6, deliveryDays: 5 } as const;
    value(act({ thing: { ...thing, reserve: 2, supplier: 'Tidewater Skin' } }));
    expect(refusal(act({ thing: { ...thing, name: ' aftercare OIL ', reserve: 0, supplier: '' } }))).toMatch(/name/);
    const own = shelf().rows.find((r) => r.name === 'Aftercare oil');
    value(act({ delivery: { itemId: own?.id ?? '', lot: 'A-1', amount: 6, expiresOn: null } }));
    expect(row(own?.id ?? '').sellable).toBe(4);
    const terms = { name: 'Aftercare oil', pack: 12, deliveryDays: 9, reserve: 5, supplier: '' };
    value(act({ terms: { ...terms, itemId: own?.id ?? '', version: own?.version ?? 0 } }));
    expect(row(own?.id ?? '')).toMatchObject({ sellable: 1, pack: 12, deliveryDays: 9 });
    // of before the change
    expect(act({ terms: { ...terms, itemId: own?.id ?? '', version: own?.version ?? 0 } }).ok).toBe(false);
  });
  it('is counted: what is found more goes into the lot that came last of those that are good', () => {
    const came = (lot: string, receivedOn: string, expiresOn: string | null) =>
      insertLot(open.db, { ...{ id: lot, itemId: 'film-hard', lot, amount: 100, receivedOn, expiresOn } });
    came('old', '2027-01-05', null);
    came('last', '2027-05-01', null);
    came('past', '2027-05-06', '2027-05-07');
    const before = row('film-hard');
    const good = before.lots.filter((l) => !l.isPast).reduce((s, l) => s + l.amount, 0);
    value(act({ count: [{ itemId: 'film-hard', amount: good + 40 }] }));
    const more = row('film-hard').lots.flatMap((l) => {
      const was = before.lots.find((b) => b.lot === l.lot)?.amount ?? 0;
      return l.amount === was ? [] : [[l.lot, l.amount - was]];
    });
    expect(more).toEqual([['last', 40]]);
  });
  it('is counted: less goes out of the lots in their order, more into the newest; all or nothing', () => {
    value(
      act({
        count: [
          { itemId: 'film-hard', amount: 900 },
          { itemId: 'gloves', amount: 70 },
        ],
      }),
    );
    expect(row('film-hard').lots.map((l) => [l.lot, l.amount])).toEqual([['F-211', 900]]);
    expect(row('gloves').amount).toBe(70);
    expect(shelf().lastCountOn).toBe('2027-05-08');
    expect(
      act({
        count: [
          { itemId: 'gloves', amount: 1 },
          { itemId: 'nothing', amount: 1 },
        ],
      }).ok,
    ).toBe(false);
    expect(row('gloves').amount).toBe(70);
    expect(() => open.db.delete(shelfMoves).run()).toThrow();
  });
});

describe('what visits use', () => {
  it('goes out of the pot that holds it, of its lot, and off the shelf; a recall finds who met it', () => {
    const [sticks, film] = [row('stick').amount, row('film-hard').amount];
    const id = visit('lucia');
    used(id, planOf(40, 9));
    expect(row('stick').amount).toBe(sticks - 9);
    // out of the pot, not off the shelf
    expect(row('film-hard').amount).toBe(film);
    const pots = value(loadPots(open.db, NOW)).pots;
    expect(pots.find((p) => p.productId === 'film-hard')?.waxG).toBe(270);
    const met = value(recall(open.db, 'F-207'));
    expect(met.visits.find((v) => v.visitId === id)).toMatchObject({ name: expect.stringMatching(/^Lúcia/) as string });
    expect(met.left).toBe(340);
    expect(value(recall(open.db, 'nothing')).visits).toEqual([]);
  });
  it('a pot that is filled up takes it off the shelf, and the lot’s name with it', () => {
    const pot = value(loadPots(open.db, NOW)).pots.find((p) => p.productId === 'cream-hard');
    value(notePot(open.db, pot?.id ?? '', { kind: 'added', grams: 100 }, { atMs: NOW, personId: 'ines' }));
    expect(row('cream-hard').amount).toBe(380);
    value(act({ count: [{ itemId: 'cream-hard', amount: 0 }] }));
    value(act({ delivery: { itemId: 'cream-hard', lot: 'C-119', amount: 1000, expiresOn: null } }));
    value(notePot(open.db, pot?.id ?? '', { kind: 'added', grams: 50 }, { atMs: NOW, personId: 'ines' }));
    expect(value(loadPots(open.db, NOW)).pots.find((p) => p.id === pot?.id)?.lot).toBe('C-118, C-119');
    // what was left of the one before is in it too: a recall of either finds who met it
    const id = visit('lucia');
    const cream = { zones: [{ strips: [{ id: 's1' }] }], materials: [{ item: 'cream-hard', amount: 20, unit: 'g' }] };
    used(id, cream as unknown as Plan);
    for (const lot of ['C-118', 'C-119']) {
      expect(value(recall(open.db, lot)).visits.map((v) => v.visitId)).toContain(id);
    }
    // emptied, it begins anew
    value(notePot(open.db, pot?.id ?? '', { kind: 'weighed', grams: 0 }, { atMs: NOW, personId: 'ines' }));
    value(notePot(open.db, pot?.id ?? '', { kind: 'added', grams: 50 }, { atMs: NOW, personId: 'ines' }));
    expect(value(loadPots(open.db, NOW)).pots.find((p) => p.id === pot?.id)?.lot).toBe('C-119');
  });
  it('off two lots is found by a recall of either', () => {
    value(act({ count: [{ itemId: 'stick', amount: 5 }] }));
    value(act({ delivery: { itemId: 'stick', lot: 'K-2', amount: 500, expiresOn: '2027-06-01' } }));
    value(act({ delivery: { itemId: 'stick', lot: 'K-3', amount: 500, expiresOn: '2027-07-01' } }));
    const id = visit('lucia');
    used(id, planOf(40, 503));
    expect(value(recall(open.db, 'K-2')).visits.map((v) => v.visitId)).toEqual([id]);
    expect(value(recall(open.db, 'K-3')).visits.map((v) => v.visitId)).toEqual([id]);
  });
  it('is foreseen from what each client used last; what runs out is on the list to order, as a table too', () => {
    const ahead = usesAhead(open.db, NOW, 'Europe/London');
    expect(ahead.get('film-hard')?.length).toBeGreaterThan(0);
    value(act({ count: [{ itemId: 'film-hard', amount: 30 }] }));
    const { forecast, order } = row('film-hard');
    expect(forecast.emptyOn).not.toBeNull();
    expect(order?.packs).toBeGreaterThanOrEqual(1);
    const csv = ordersCsv(shelf());
    expect(csv.split('\r\n')[0]).toBe('order by,what,packs,in a pack,supplier');
    expect(csv).toContain('"Film hard wax, beads"');
  });
});

describe('the day', () => {
  it('says at the first visit what pots and shelf together do not have, and nothing where they do', () => {
    const words = () =>
      value(loadToday(open.db, NOW)).visits.flatMap((v) => v.words.filter((w) => w.short === 'product short'));
    expect(words()).toEqual([]);
    value(act({ count: [{ itemId: 'gloves', amount: 0 }] }));
    expect(words()).toHaveLength(1);
    expect(words()[0]).toMatchObject({ weight: 'note', remedy: { kind: 'shelf' } });
    expect(words()[0]?.text).toMatch(/^Gloves, medium: \d+ pair needed, 0 pair by then/);
  });
});

describe('mass', () => {
  it('is kept from lot to pot to visit to waste over a thousand random days', () => {
    const random = seededRandom(17);
    const filmPot = () => {
      const pot = value(loadPots(open.db, NOW)).pots.find((p) => p.productId === 'film-hard');
      if (!pot) throw new Error('no pot');
      return pot;
    };
    const start = filmPot().waxG;
    const hedda = visit('hedda');
    for (let day = 0; day < 1000; day++) {
      const atMs = NOW + day * DAY_MS;
      const by = { atMs, personId: 'ines' };
      const pick = random.whole(0, 5);
      const amount = random.whole(1, 300);
      if (pick === 0) act({ delivery: { itemId: 'film-hard', lot: `F-${day}`, amount: 1000, expiresOn: null } }, atMs);
      else if (pick === 1 && filmPot().waxG < 4000) {
        notePot(open.db, filmPot().id, { kind: 'added', grams: amount }, by);
      } else if (pick === 2) used(hedda, planOf(amount, 3), atMs);
      else if (pick === 3) act({ count: [{ itemId: 'film-hard', amount: amount * 5 }] }, atMs);
      else if (pick === 4) {
        const lot = fullLots(open.db).find((l) => l.itemId === 'film-hard');
        if (lot) act({ waste: { lotId: lot.id, amount: Math.min(lot.amount, amount) } }, atMs);
      }
    }
    // each lot is the sum of its moves, and never less than nothing
    const wrong = open.db.all(
      sql`select l.id from shelf_lots l left join shelf_moves m on m.lot_id = l.id group by l.id having l.amount <> coalesce(sum(m.amount), 0) or l.amount < 0`,
    );
    expect(wrong).toEqual([]);
    const sum = (kind: string): number =>
      open.db.get<{ n: number }>(
        sql`select coalesce(sum(m.amount), 0) n from shelf_moves m join shelf_lots l on l.id = m.lot_id where l.item_id = 'film-hard' and m.kind = ${kind}`,
      ).n;
    const standing = fullLots(open.db).reduce((s, l) => s + (l.itemId === 'film-hard' ? l.amount : 0), 0);
    expect(sum('received') + sum('counted') + sum('poured') + sum('wasted') + sum('used')).toBe(standing);
    const notes = (kind: string): number =>
      open.db.get<{ n: number }>(
        sql`select coalesce(sum(grams), 0) n from pot_notes where pot_id = ${filmPot().id} and kind = ${kind}`,
      ).n;
    expect(start + notes('added') - notes('used')).toBe(filmPot().waxG);
    expect(notes('added')).toBeGreaterThan(1000);
    expect(notes('used')).toBeGreaterThan(1000);
    // what was poured came off the shelf as far as it stood there
    expect(-sum('poured')).toBeLessThanOrEqual(notes('added'));
    expect(-sum('poured')).toBeGreaterThan(0);
  }, 60_000);
});
