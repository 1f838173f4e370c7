import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { batchNotes } from '../db/schema';
import { fullLots } from '../repos/shelfRepo';
import { batchAct, loadKitchen, saveKitchen, startBatch, type BatchAct, type Kitchen } from './kitchen';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const MIN = 60_000;
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};
const kitchen = (): Kitchen => value(loadKitchen(open.db, NOW));
const start = (atMs = NOW) => startBatch(open.db, { firmness: 'firm', sugarG: 1000 }, { atMs, personId: 'ines' });
const act = (does: BatchAct, afterMin: number, id = kitchen().open?.id ?? '') =>
  batchAct(open.db, id, does, { atMs: NOW + afterMin * MIN, personId: 'ines' });
/** A whole batch, off the heat after some minutes. */
function cooked(offAfterMin: number): string {
  const { id } = value(start());
  value(act({ step: 'cook' }, 8));
  value(act({ heat: 112 }, offAfterMin - 6));
  value(act({ off: 119 }, offAfterMin));
  value(act({ step: 'cool' }, offAfterMin + 1));
  value(act({ step: 'knead' }, offAfterMin + 30));
  value(act({ step: 'jar' }, offAfterMin + 37));
  value(act({ jar: { jarG: 1090, words: '' } }, offAfterMin + 38));
  return id;
}

describe('a batch', () => {
  it('goes step by step into its jar, keeps ninety days, and what was noted stands for good', () => {
    const lot = kitchen().nextLot;
    const id = cooked(24);
    const [batch] = kitchen().batches;
    expect(batch).toMatchObject({ id, lot, state: 'jarred', offC: 119, jarG: 1090, keepsTo: '2027-08-06', by: 'Ines' });
    // the jar stands on the shelf as a lot of its own
    const jar = fullLots(open.db).find((l) => l.lot === lot);
    expect(jar).toMatchObject({ itemId: 'sugar-firm', amount: 1090, expiresOn: '2027-08-06' });
    expect(kitchen().open).toBeNull();
    expect(kitchen().nextLot).not.toBe(lot);
    expect(() => open.db.delete(batchNotes).run()).toThrow(/append-only/);
    value(act({ words: 'moulded well on six' }, 9000, id));
    expect(kitchen().batches[0]?.words).toBe('moulded well on six');
    // over is over
    expect(act({ heat: 100 }, 9001, id).ok).toBe(false);
  });
  it('refuses what comes out of order, and a second one while one cooks', () => {
    value(start());
    expect(start().ok).toBe(false);
    expect(act({ step: 'knead' }, 1).ok).toBe(false);
    expect(act({ on: true }, 1).ok).toBe(false);
    expect(act({ jar: { jarG: 500, words: '' } }, 1).ok).toBe(false);
    // the cold dish comes with the heat that it was taken off at, not by itself
    value(act({ step: 'cook' }, 8));
    expect(act({ step: 'dish' }, 9).ok).toBe(false);
    value(act({ off: 117 }, 20));
    expect(act({ off: 118 }, 21).ok).toBe(false);
    expect(kitchen().open?.step).toBe('dish');
  });
  it('that is too soft goes back onto the heat; burnt it is thrown away and stays in the log', () => {
    const { id } = value(start());
    value(act({ step: 'cook' }, 8));
    value(act({ off: 116 }, 20));
    value(act({ trouble: 'too-soft' }, 21));
    value(act({ on: true }, 22));
    expect(kitchen().open?.endC).toBeCloseTo(121, 0);
    value(act({ off: 121 }, 25));
    expect(kitchen().open).toMatchObject({ step: 'dish', offC: 121 });
    value(act({ thrown: { words: 'smoked' } }, 26));
    expect(kitchen().batches[0]).toMatchObject({ id, state: 'thrown', words: 'smoked', keepsTo: null });
  });
});

describe('whom a batch met', () => {
  it('is counted by the lot that visits used', () => {
    const before = kitchen().batches.find((b) => b.lot === 'S-2')?.met ?? 0;
    expect(before).toBeGreaterThan(0);
    expect(kitchen().batches.find((b) => b.lot === 'S-1')?.met).toBe(0);
  });
});

describe('the stove', () => {
  it('is learned: a batch that took half as long again makes the next one planned longer', () => {
    const before = kitchen();
    cooked(40);
    expect(kitchen().stoveBatches).toBe(before.stoveBatches + 1);
    expect(kitchen().stoveW).toBeLessThan(before.stoveW);
    // and is told from the first time off the heat, not from what was boiled on later
    const found = kitchen().batches[0]?.stoveFoundW;
    expect(found).toBeGreaterThan(200);
  });
});

describe('where it is cooked', () => {
  it('moves the heat at which a batch is taken off: by the water test first, else by the height', () => {
    expect(kitchen()).toMatchObject({ isPreset: true, waterC: expect.closeTo(100, 0) as number });
    const { settings, studioVersion } = kitchen();
    value(saveKitchen(open.db, { version: studioVersion, kitchen: { ...settings, heightM: 1500 } }));
    expect(kitchen().waterC).toBeCloseTo(95, 0);
    const tested = { ...settings, heightM: 1500, boilsC: 96 };
    value(saveKitchen(open.db, { version: kitchen().studioVersion, kitchen: tested }));
    expect(kitchen().waterC).toBe(96);
    value(start());
    expect(kitchen().open?.endC).toBeCloseTo(115, 6);
    expect(saveKitchen(open.db, { version: 1, kitchen: settings }).ok).toBe(false);
  });
});
