import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { addDays } from '../../core/shared';
import type { OpenDatabase } from '../db/openDatabase';
import { readStudio, setSettings } from '../repos/studioRepo';
import { ledgerAct, type LedgerAct } from './ledgerActs';
import { loadBook } from './ledgerBook';
import { decimalOf, ledgerCsv } from './ledgerCsv';
import { loadLedgerDay, type LedgerDay } from './ledgerDay';
import { loadLedger, saveYear } from './ledgerSums';
import { savePrices, loadPrices } from './prices';
import { loadShelf } from './shelf';
import { shelfAct } from './shelfMoves';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const TODAY = '2027-05-08';
const BY = { atMs: NOW, personId: 'ines' };
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const act = (does: LedgerAct, onDate?: string, atMs = NOW): string => {
  const done = ledgerAct(open.db, does, onDate, { ...BY, atMs });
  return done.ok ? 'ok' : done.error.message;
};
const day = (on?: string, atMs = NOW): LedgerDay => {
  const loaded = loadLedgerDay(open.db, on, atMs);
  if (!loaded.ok) throw new Error(loaded.error.code);
  return loaded.value;
};
const take = (
  visitId: string,
  amountMinor: number,
  more: Partial<Extract<LedgerAct, { take: unknown }>['take']> = {},
) =>
  ({
    take: { visitId, lines: [{ item: 'underarms', amountMinor }], paid: 'cash', creditId: null, words: '', ...more },
  }) satisfies LedgerAct;
const VISIT = 'demo-ottilie-3';
/** A day without anything of the demo on it. */
const DAY = '2027-05-05';
const cleared = (): void => {
  // the demo's own lines are not counted here: a file without them
  open.close();
  open = demoStudio(NOW, { ledger: false });
};

describe('what is entered', () => {
  beforeEach(cleared);
  it('is due until it is entered, once, and due again when it is undone', () => {
    const on = day().earlier;
    expect(on.length).toBeGreaterThan(0);
    const { date } = on.at(-1) ?? { date: '' };
    const [due] = day(date).due;
    if (!due) throw new Error('a visit');
    expect(due.lines[0]?.priceMinor).toBeGreaterThan(0);
    expect(act(take(due.visitId, 1850), date)).toBe('ok');
    expect(day(date).due.map((d) => d.visitId)).not.toContain(due.visitId);
    expect(act(take(due.visitId, 1850), date)).toContain('entered already');
    const [line] = day(date).lines;
    expect(act({ undo: { entryId: line?.id ?? '' } }, date)).toBe('ok');
    expect(day(date).sums).toMatchObject({ lines: 2, earnedMinor: 0, cashMinor: 0 });
    expect(day(date).due.map((d) => d.visitId)).toContain(due.visitId);
    expect(act({ undo: { entryId: line?.id ?? '' } }, date)).toContain('undone already');
  });
  it('a gift pays what is in it, the rest is still to be said', () => {
    const gift = {
      kind: 'gift',
      clientId: null,
      amountMinor: 1000,
      paid: 'card',
      uses: 0,
      item: null,
      words: 'for M.',
    } as const;
    expect(act({ credit: gift }, DAY)).toBe('ok');
    const [credit] = day(DAY).credits;
    expect(act(take(VISIT, 1850, { paid: 'credit', creditId: credit?.id ?? '' }), DAY)).toBe('ok');
    expect(day(DAY).sums).toMatchObject({ earnedMinor: 1850, creditMinor: 1000, unsaidMinor: 850, owedMinor: 0 });
    expect(day(DAY).credits).toEqual([]);
    const rest = day(DAY).lines.find((l) => l.paid === null);
    const unpaid = { entryId: rest?.id ?? '', amountMinor: 100, paid: 'cash', words: '' } as const;
    expect(act({ refund: unpaid }, DAY)).toContain('Nobody has said');
    expect(act({ say: { entryId: rest?.id ?? '', paid: 'cash' } }, DAY)).toBe('ok');
    expect(day(DAY).sums).toMatchObject({ unsaidMinor: 0, cashMinor: 850, earnedMinor: 1850 });
    expect(act({ undo: { entryId: credit?.id ?? '' } }, DAY)).toContain('used');
  });
  it('a package hands itself out; what is given back is never more than there is', () => {
    const five = {
      kind: 'package',
      clientId: 'ottilie',
      amountMinor: 8000,
      paid: 'card',
      uses: 3,
      item: 'underarms',
    } as const;
    expect(act({ credit: { ...five, words: '' } }, DAY)).toBe('ok');
    const id = day(DAY).credits[0]?.id ?? '';
    expect(act(take(VISIT, 1850, { paid: 'credit', creditId: id }), DAY)).toBe('ok');
    expect(day(DAY).credits[0]).toMatchObject({ usesLeft: 2, leftMinor: 5334 });
    const back = (amountMinor: number): string =>
      act({ refund: { entryId: id, amountMinor, paid: 'card', words: 'moves away' } }, DAY);
    expect(back(5335)).toContain('more than');
    expect(back(5334)).toBe('ok');
    expect(day(DAY).credits).toEqual([]);
    expect(day(DAY).sums).toMatchObject({ cardMinor: 2666, earnedMinor: 2666, owedMinor: 0 });
  });
  it('a package of any service takes one visit, whatever is done at it', () => {
    const five = {
      kind: 'package',
      clientId: 'ottilie',
      amountMinor: 10_000,
      paid: 'card',
      uses: 5,
      item: null,
    } as const;
    act({ credit: { ...five, words: '' } }, DAY);
    const creditId = day(DAY).credits[0]?.id ?? '';
    const lines = ['underarms', 'lip'].map((item) => ({ item, amountMinor: 1500 }));
    expect(act(take(VISIT, 0, { paid: 'credit', creditId, lines }), DAY)).toBe('ok');
    expect(day(DAY).credits[0]).toMatchObject({ usesLeft: 4, leftMinor: 8000 });
    expect(day(DAY).sums).toMatchObject({ earnedMinor: 2000, unsaidMinor: 0, creditMinor: 2000 });
  });
  it('refuses what cannot be, in words', () => {
    expect(act(take('nobody', 100))).toContain('closed visit');
    expect(act(take(VISIT, 100, { paid: 'nothing' }))).toContain('On the house');
    expect(act(take(VISIT, 100, { paid: 'credit', creditId: 'x' }))).toContain('nothing left');
    expect(act(take(VISIT, 100, { lines: [{ item: 'hairdo', amountMinor: 1 }] }))).toContain('no service');
    expect(act(take(VISIT, 100), '2027-05-09')).toContain('still to come');
    const whose = {
      kind: 'deposit',
      clientId: null,
      amountMinor: 1,
      paid: 'cash',
      uses: 0,
      item: null,
      words: '',
    } as const;
    expect(act({ credit: whose })).toContain('Whose');
    expect(day().lines).toEqual([]);
  });
  it('a sale on the shelf is due until it is entered', () => {
    expect(shelfAct(open.db, { sale: { itemId: 'gel', amount: 2 } }, BY).ok).toBe(true);
    const [sale] = day().dueSales;
    expect(sale).toMatchObject({ amount: 2, name: 'Soothing gel, for sale', priceMinor: 2800 });
    const goods = { moveSeq: sale?.moveSeq ?? 0, amountMinor: 2800, paid: 'card' } as const;
    expect(act({ goods })).toBe('ok');
    expect(act({ goods })).toContain('entered already');
    expect(day().sums).toMatchObject({ goodsMinor: 2800, cardMinor: 2800 });
    expect(day().dueSales).toEqual([]);
  });
});

describe('a closed day', () => {
  beforeEach(cleared);
  it('takes no more lines; what was wrong is undone today; the closing stays as it was', () => {
    expect(act(take(VISIT, 1850), DAY)).toBe('ok');
    expect(act({ close: { countedMinor: 1800, words: 'fifty short' } }, DAY)).toBe('ok');
    expect(act({ close: { countedMinor: null, words: '' } }, DAY)).toContain('closed');
    const gift = {
      kind: 'gift',
      clientId: null,
      amountMinor: 100,
      paid: 'cash',
      uses: 0,
      item: null,
      words: '',
    } as const;
    expect(act({ credit: gift }, DAY)).toContain('closed');
    const closing = day(DAY).closing;
    expect(closing).toMatchObject({ lines: 1, earnedMinor: 1850, cashMinor: 1850, countedMinor: 1800 });
    expect(act({ undo: { entryId: day(DAY).lines[0]?.id ?? '' } }, DAY)).toBe('ok');
    expect(day(DAY).lines).toHaveLength(1);
    expect(day(DAY).closing).toEqual(closing);
    expect(day(DAY).lines[0]).toMatchObject({ isUndone: false, isUndoneLater: true });
    expect(day(TODAY).lines[0]).toMatchObject({ isUndone: false, act: 'undone' });
    expect(day(TODAY).sums).toMatchObject({ cashMinor: -1850, lines: 1 });
  });
  it('what is still due of it is entered today, and it stays as it was closed', () => {
    const { date } = day().earlier.at(-1) ?? { date: '' };
    act({ close: { countedMinor: null, words: '' } }, date);
    const [due] = day(date).due;
    expect(act(take(due?.visitId ?? '', 2600), date)).toBe('ok');
    expect(day(date)).toMatchObject({ lines: [], closing: { lines: 0, earnedMinor: 0 } });
    expect(day(date).due.map((d) => d.visitId)).not.toContain(due?.visitId);
    expect(day(TODAY).sums).toMatchObject({ earnedMinor: 2600, lines: 1 });
  });
  it('gives money of it back today, and not once today is closed too', () => {
    act(take(VISIT, 1850), DAY);
    act({ close: { countedMinor: null, words: '' } }, DAY);
    const entryId = day(DAY).lines[0]?.id ?? '';
    const back = (amountMinor: number): string =>
      act({ refund: { entryId, amountMinor, paid: 'cash', words: '' } }, DAY);
    expect(back(850)).toBe('ok');
    expect(day(DAY).lines).toHaveLength(1);
    expect(day(TODAY).sums).toMatchObject({ earnedMinor: -850, cashMinor: -850 });
    expect(back(1001)).toContain('more than');
    act({ close: { countedMinor: null, words: '' } }, TODAY);
    expect(back(100)).toContain('tomorrow');
  });
  it('neither lines nor closings can be changed in the file itself', () => {
    act(take(VISIT, 1850), DAY);
    act({ close: { countedMinor: null, words: '' } }, DAY);
    expect(() => open.db.run('update ledger_entries set amount_minor = 1')).toThrow();
    expect(() => open.db.run('delete from ledger_entries')).toThrow();
    expect(() => open.db.run('update ledger_closings set lines = 0')).toThrow();
    expect(day(DAY).sums.earnedMinor).toBe(1850);
  });
});

/** One number out of the file by SQL alone, with no part of the ledger's own sums. */
const ask = (sql: string): number => {
  const [row] = open.db.all<Record<string, number | null>>(sql as never);
  return Object.values(row ?? {})[0] ?? 0;
};

describe('the sums', () => {
  beforeEach(cleared);
  it('equal an independent recomputation from the journal, after random acts over many days', () => {
    const studio = readStudio(open.db);
    if (!studio?.settings.money) throw new Error('a studio');
    const money = { ...studio.settings.money, vatBp: { services: 1900, goods: 700 } };
    setSettings(open.db, { ...studio.settings, money }, studio.version);
    const visits = open.db.all<{ id: string }>(
      "select id from visits where status = 'closed' and ended_as is null" as never,
    );
    const some = fc.record({
      what: fc.constantFrom('take', 'take', 'take', 'gift', 'package', 'use', 'refund', 'undo', 'say', 'close'),
      at: fc.nat({ max: 9 }),
      pick: fc.nat({ max: 999 }),
      amountMinor: fc.integer({ min: 1, max: 12_345 }),
      paid: fc.constantFrom('cash' as const, 'card' as const, 'transfer' as const),
      unsaid: fc.boolean(),
    });
    let taken = 0;
    fc.assert(
      fc.property(fc.array(some, { minLength: 30, maxLength: 60 }), (steps) => {
        for (const s of steps) {
          const on = addDays(TODAY, -s.at);
          const lines = open.db.all<{ id: string }>(`select id from ledger_entries where act = 'taken'` as never);
          const entryId = lines[s.pick % Math.max(1, lines.length)]?.id ?? 'none';
          const { amountMinor, paid } = s;
          const visitId = visits[s.pick % visits.length]?.id ?? '';
          const credits = day().credits;
          const creditId = credits[s.pick % Math.max(1, credits.length)]?.id ?? null;
          const of = { clientId: 'ottilie', amountMinor, paid, words: '' };
          const does: Record<string, LedgerAct> = {
            take: take(visitId, amountMinor, { paid: s.unsaid ? null : paid }),
            use: take(visitId, amountMinor, { paid: 'credit', creditId }),
            gift: { credit: { ...of, kind: 'gift', uses: 0, item: null } },
            package: { credit: { ...of, kind: 'package', uses: 1 + (s.pick % 6), item: null } },
            refund: { refund: { entryId, amountMinor, paid, words: '' } },
            undo: { undo: { entryId } },
            say: { say: { entryId, paid } },
            close: { close: { countedMinor: null, words: '' } },
          };
          const wanted = does[s.what === 'close' && s.pick > 40 ? 'take' : s.what];
          if (wanted && act(wanted, on) === 'ok') taken++;
        }
        const book = loadBook(open.db, 2027, NOW);
        if (!book.ok) throw new Error('a book');
        const { total, credits, services, months } = book.value;
        const earned = "kind in ('service', 'goods')";
        expect(total.earnedMinor).toBe(ask(`select sum(amount_minor) from ledger_entries where ${earned}`));
        for (const how of ['cash', 'card', 'transfer', 'credit'] as const) {
          expect(total[`${how}Minor`]).toBe(ask(`select sum(amount_minor) from ledger_entries where paid = '${how}'`));
        }
        expect(total.unsaidMinor).toBe(ask('select sum(amount_minor) from ledger_entries where paid is null'));
        // a half up, in whole numbers: (2·a·r + d) / 2d of the amount without its sign
        const vat = `sum((case when amount_minor < 0 then -1 else 1 end) * ((2 * abs(amount_minor) * vat_bp + 10000 + vat_bp) / (2 * (10000 + vat_bp))))`;
        expect(total.vatMinor).toBe(ask(`select ${vat} from ledger_entries where ${earned}`));
        // what is owed is what was bought of credits less what was paid with them and given back
        const owed = ask(
          `select sum(case when kind in ('gift', 'package', 'deposit') then amount_minor when paid = 'credit' then -amount_minor else 0 end) from ledger_entries`,
        );
        expect(total.owedMinor).toBe(owed);
        expect(credits.reduce((s, c) => s + c.leftMinor, 0)).toBe(owed);
        expect(services.reduce((s, r) => s + r.earnedMinor, 0)).toBe(total.servicesMinor);
        expect(months.reduce((s, m) => s + m.sums.cashMinor, 0)).toBe(total.cashMinor);
        expect(ask("select count(*) from ledger_entries where act = 'taken' and amount_minor < 0")).toBe(0);
      }),
      { numRuns: 6 },
    );
    expect(taken).toBeGreaterThan(60);
  }, 60_000);
});

describe('what an hour earns', () => {
  it('counts the demo’s own visits with what came for them, and says where each figure of the year comes from', () => {
    const loaded = loadLedger(open.db, 'half-year', NOW);
    if (!loaded.ok) throw new Error('a ledger');
    const { services, visits, year, origins, persons } = loaded.value;
    expect(visits).toBeGreaterThan(20);
    expect(services.length).toBeGreaterThan(3);
    expect(services[0]?.perHourMinor).toBeGreaterThanOrEqual(services.at(-1)?.perHourMinor ?? Infinity);
    expect(persons.map((p) => p.name)).toContain('Ines');
    expect(year.placesAWeek).toBeGreaterThan(10);
    expect(origins.taxPermille).toContain('nobody has said');
    const said = { ...loaded.value.said, taxPermille: 250, weeksOff: 6 };
    expect(saveYear(open.db, { version: loaded.value.studioVersion, year: said }).ok).toBe(true);
    expect(saveYear(open.db, { version: loaded.value.studioVersion, year: said }).ok).toBe(false);
    const again = loadLedger(open.db, 'half-year', NOW);
    expect(again.ok && again.value.year).toMatchObject({ taxPermille: 250, weeksOff: 6, priceMinor: year.priceMinor });
  });
  it('the price list keeps what the year was told, and the year the list', () => {
    const prices = loadPrices(open.db);
    const ledger = loadLedger(open.db, 'month', NOW);
    if (!prices.ok || !ledger.ok) throw new Error('both');
    saveYear(open.db, { version: ledger.value.studioVersion, year: { ...ledger.value.said, taxPermille: 300 } });
    const { money, studioVersion } = prices.value;
    const list = { ...money, priceMinor: { ...money.priceMinor, lip: 1000 }, vatBp: { services: 1900, goods: 1900 } };
    expect(savePrices(open.db, { version: studioVersion + 1, money: list }).ok).toBe(true);
    const strange = { version: studioVersion + 2, money: list, serviceMinutes: { 'no-service': 30 } };
    expect(savePrices(open.db, strange)).toMatchObject({
      error: { code: 'refused', details: [{ path: 'serviceMinutes.no-service' }] },
    });
    const after = readStudio(open.db)?.settings.money;
    expect(after).toMatchObject({ year: { taxPermille: 300 }, priceMinor: { lip: 1000 }, vatBp: { services: 1900 } });
  });
});

describe('as a table', () => {
  beforeEach(cleared);
  it('writes exact decimals, and words that look like a formula as words', () => {
    expect([decimalOf(5, 2), decimalOf(-123456, 2), decimalOf(7, 0), decimalOf(1, 3)]).toEqual([
      '0.05',
      '-1234.56',
      '7',
      '0.001',
    ]);
    act(take(VISIT, 1850, { words: '=1+1' }), DAY);
    act({ undo: { entryId: day(DAY).lines[0]?.id ?? '' } }, DAY);
    const [head, first, second] = ledgerCsv(open.db, 'lines', DAY, DAY).split('\r\n');
    expect(head).toContain('number,date,kind');
    expect(first).toContain("Underarms,Ottilie Brandvik,Ines,18.50,0.00,0,cash,,,'=1+1");
    expect(second).toContain(',-18.50,');
    expect(ledgerCsv(open.db, 'months', DAY, DAY)).toContain('2027-05,2,0.00');
  });
});

describe('a sale that was none', () => {
  beforeEach(cleared);
  it('comes back onto the shelf, is due no more, and not once it stands in the ledger', () => {
    const gel = (): number => {
      const shelf = loadShelf(open.db, NOW);
      return shelf.ok ? (shelf.value.rows.find((r) => r.id === 'gel')?.amount ?? -1) : -1;
    };
    const before = gel();
    const sell = (): number => {
      shelfAct(open.db, { sale: { itemId: 'gel', amount: 1 } }, BY);
      return day().dueSales[0]?.moveSeq ?? 0;
    };
    const back = (moveSeq: number): boolean => shelfAct(open.db, { back: { moveSeq } }, BY).ok;
    const none = sell();
    expect(gel()).toBe(before - 1);
    expect(back(none)).toBe(true);
    expect([gel(), day().dueSales.length, back(none)]).toEqual([before, 0, false]);
    expect(act({ goods: { moveSeq: none, amountMinor: 1400, paid: 'cash' } })).toContain('sale');
    const real = sell();
    expect(act({ goods: { moveSeq: real, amountMinor: 1400, paid: 'cash' } })).toBe('ok');
    expect(back(real)).toBe(false);
    expect(gel()).toBe(before - 1);
  });
});
