// What the bench computes for its screens, away from the screens.

import { zoneKey } from '@/core/anatomy';
import { describe, expect, it } from 'vitest';
import { rankedFaults } from '@/core/reading';
import { planVisit, type Plan, type VisitCase } from '@/core/plan';
import { SHIPPED_PRODUCTS } from '@/core/products';
import type { TableEvent } from '@/core/hands';
import type { Bench, BenchZone } from '@/server/services/bench';
import { dayMonth, plural, sideWord, shortSpan, span, timeOfDay, weekday, withDates } from '@/ui/words';
import { ribbonOf, bandParts, shareOf } from '../today/ribbon';
import type { TodayVisit } from '@/server/services/today';
import { emptyBox } from './sync/box';
import { isNewer, joinJournal, overLast, withLaterActs, withWaiting } from './sync/benchStore';
import { instantOf } from './return/instantOf';
import { regrowthLines } from './return/regrowthLines';
import { stationResult, chosenProducts, productName, STATIONS } from './stations';
import { looksAt, spansOf } from './strips/playback';
import { ringCentre } from '@/formats/stripsSvg';
import { whyThisOrder } from './strips/whyThisOrder';
import { towards } from './work/bodyWords';

const visitCase: VisitCase = {
  version: 1,
  on: '2027-05-14',
  client: { consent: true },
  zones: [
    {
      zone: 'underarm',
      side: 'left',
      hair: {
        lengthMm: 7,
        coarseness: 4,
        density: 3,
        lastWaxOn: '2027-04-12',
        past: [{ on: '2027-03-10', lengthMm: 6.5 }],
      },
    },
    { zone: 'underarm', side: 'right', hair: { lengthMm: 7, coarseness: 4, density: 3 } },
  ],
};
const made = planVisit(visitCase);
if (!made.ok) throw new Error('the case is good');
const plan: Plan = made.value;
const zoneOf = (side: 'left' | 'right'): BenchZone => ({
  zone: 'underarm',
  side,
  name: 'Underarm',
  last: null,
  past: [],
  data: {
    v: 1,
    hair: { lengthMm: 7, coarseness: 4, density: 3, curl: 1, history: 'regular' },
    strokes: [],
    marks: [],
    product: null,
    way: null,
    reason: '',
    confirmed: side === 'left',
  },
});
const bench = (more: Partial<Bench> = {}): Bench => ({
  homeCare: { advised: [], since: null },
  visit: {
    id: 'v',
    version: 1,
    onDate: '2027-05-14',
    status: 'open',
    personId: 'p',
    personName: 'Ines',
    level: 'practised',
    endedAs: null,
    closedAtMs: null,
    consult: {
      v: 2,
      facts: [],
      asked: [],
      unsure: [],
      spots: [],
      services: [],
      overrides: [],
      judged: null,
      consent: true,
      guardianConsent: false,
      sensitivity: 3,
      confirmedAtMs: null,
      agreed: { howMuch: [], coldPack: false, company: 'either', tweezing: true, words: '' },
    },
  },
  client: {
    id: 'c',
    name: 'Nell',
    byline: '',
    ageYears: 30,
    body: {},
    bornOn: null,
    lastWaxOn: [],
    standing: [],
    patchTests: [],
    visitCount: 2,
    note: '',
    heatFelt: [],
    alerts: [],
    lessons: [],
    trials: [],
    skin: 'normal',
    ingrownProne: false,
    saidNoBefore: null,
  },
  zones: [zoneOf('left'), zoneOf('right')],
  plan,
  planHash: 'h',
  planComing: false,
  faults: [],
  products: SHIPPED_PRODUCTS.filter((p) => p.family === 'hard'),
  studio: {
    name: 'S',
    timeZone: 'Europe/London',
    currency: 'EUR',
    settings: { v: 1, roomC: 22, humidityPct: 50, walkS: 6, schools: {}, readySign: 'no-thread' },
  },
  people: [],
  services: [],
  rules: [],
  form: null,
  journal: [],
  journalAt: 0,
  readings: [],
  ...more,
});

describe('what each station says of itself', () => {
  it('is open, then filled, as the visit goes on', () => {
    const open = bench();
    expect(stationResult(open, 'consult')).toBe('not asked yet');
    expect(stationResult(open, 'chart')).toBe('1 zone to look at');
    expect(stationResult(open, 'strips')).toMatch(/^\d+ strips · \d+ min$/);
    expect(stationResult(open, 'work')).toBe('');
    expect(
      stationResult(
        { ...open, zones: open.zones.map((z) => ({ ...z, data: { ...z.data, confirmed: true } })) },
        'chart',
      ),
    ).toBe('7 mm · coarse');
    expect(stationResult({ ...open, zones: [] }, 'chart')).toBe('no zone yet');
    expect(
      stationResult(
        { ...open, visit: { ...open.visit, consult: { ...open.visit.consult, confirmedAtMs: 1 } } },
        'consult',
      ),
    ).toBe('go');
    expect(stationResult({ ...open, visit: { ...open.visit, status: 'closed' } }, 'return')).toBe('closed');
    expect(STATIONS).toHaveLength(7);
  });
  it('counts pulled strips without the undone ones', () => {
    const journal: TableEvent[] = [
      { id: '1', atMs: 1, kind: 'laid', strip: 'A1' },
      { id: '2', atMs: 2, kind: 'pulled', strip: 'A1' },
      { id: '3', atMs: 3, kind: 'laid', strip: 'A2' },
      { id: '4', atMs: 4, kind: 'pulled', strip: 'A2' },
      { id: '5', atMs: 5, kind: 'undo', undoes: '4' },
    ];
    expect(stationResult(bench({ journal }), 'work')).toMatch(/^1 of \d+ off$/);
  });
  it('names products by their first words and zones by both parts', () => {
    expect(productName(bench(), 'film-hard')).toBe('Film hard wax');
    expect(productName(bench(), 'unknown')).toBe('unknown');
    expect(chosenProducts(bench())).toEqual([plan.zones[0]?.choice?.product]);
    expect(zoneKey(zoneOf('left'))).toBe('underarm/left');
  });
});

describe('the plan played back', () => {
  it('shows every strip first planned and at the end off, and never more on the skin than allowed', () => {
    const strips = plan.zones.flatMap((z) => z.strips);
    expect([...looksAt(plan, -1).values()].every((l) => l === 'planned')).toBe(true);
    expect([...looksAt(plan, plan.schedule.endS).values()].every((l) => l === 'off')).toBe(true);
    for (let t = 0; t < plan.schedule.endS; t += 3) {
      const on = [...looksAt(plan, t).values()].filter((l) => l !== 'planned' && l !== 'off');
      expect(on.length).toBeLessThanOrEqual(plan.schedule.maxOnSkin);
    }
    expect(spansOf(plan)).toHaveLength(strips.length);
    for (const s of spansOf(plan)) {
      expect(s.layFrom < s.layTo && s.layTo <= s.readyAt && s.readyAt <= s.pullFrom && s.pullFrom < s.pullTo).toBe(
        true,
      );
    }
  });
  it('puts strips that are on the skin together in different rows', () => {
    const spans = spansOf(plan);
    for (const a of spans) {
      for (const b of spans) {
        if (a.id !== b.id && a.layFrom < b.pullTo && b.layFrom < a.pullTo) expect(a.row).not.toBe(b.row);
      }
    }
  });
  it('says why a strip comes where it does', () => {
    for (const strip of plan.zones.flatMap((z) => z.strips)) {
      const words = whyThisOrder(strip, plan).join(' ');
      expect(words).toContain({ bare: 'without hair', cleared: 'has cleared', hair: 'sore start' }[strip.tabOn]);
      expect(words).toContain('an estimate');
    }
  });
  it('writes numbers in the middle of a strip', () => {
    expect(
      ringCentre([
        [0, 0],
        [4, 0],
        [4, 2],
        [0, 2],
      ]),
    ).toEqual([2, 1]);
    expect(
      ringCentre([
        [4, 0],
        [0, 0],
        [0, 2],
        [4, 2],
      ]),
    ).toEqual([2, 1]);
  });
});

describe('directions at the table', () => {
  it('speak of the body and mirror with the side', () => {
    expect(towards('underarm', 'left', [0, -1])).toBe('towards the elbow');
    expect(towards('underarm', 'left', [0, 1])).toBe('towards the waist');
    expect(towards('underarm', 'left', [1, 0])).toBe('towards the back');
    expect(towards('underarm', 'right', [1, 0])).toBe('towards the chest');
    expect(towards('lower-leg-front', 'left', [0.1, -0.99])).toBe('towards the knee');
    expect(towards('lower-leg-front', 'left', [0.7, 0.7])).toBe('towards the foot and to the outer side');
    expect(towards('chin', 'middle', [0, 1])).toBe('downwards');
  });
  it('know a remedy for every fault, and stop where skin is hurt', () => {
    const asked = { family: 'hard', lastMark: null, justDone: null, isOneCoatFilm: false, zone: null } as const;
    const hard = rankedFaults(asked);
    expect(hard.length).toBeGreaterThan(8);
    expect(hard.filter((f) => f.remedy.length < 10)).toEqual([]);
    // what stops the work stands first, then what the mark on the last strip points to
    expect(hard.slice(0, 2).map((f) => f.seen)).toEqual(['Skin lifted', 'Burn or blister']);
    expect(rankedFaults({ ...asked, lastMark: 'broke', justDone: 'pull' })[2]?.seen).toBe('Strip cracks or breaks');
    expect(rankedFaults({ ...asked, family: 'soft', lastMark: 'some-left', justDone: 'pull' })[2]?.seen).toBe(
      'Hair left',
    );
    expect(rankedFaults({ ...asked, family: 'sugar' }).some((f) => f.seen === 'Stretches')).toBe(false);
  });
});

describe('regrowth lines', () => {
  it('draw one line a family, sugar ready first, hard before soft', () => {
    const [planned] = plan.zones;
    if (!planned) throw new Error('a zone');
    const zone = {
      ...zoneOf('left'),
      past: [
        { on: '2027-03-10', lengthMm: 6.5 },
        { on: '2027-04-12', lengthMm: 7 },
      ],
      last: null,
    };
    const { lines, visits } = regrowthLines(zone, planned, undefined, '2027-05-14');
    expect(visits).toBe(2);
    const ready = Object.fromEntries(
      lines.map((l) => [l.family, l.days.find((d) => d.workableOfVisible >= 0.7)?.day ?? 999]),
    );
    expect(ready['sugar']).toBeLessThan(ready['hard'] ?? 0);
    expect(ready['hard']).toBeLessThan(ready['soft'] ?? 0);
  });
  it('are drawn from what the plan has learned, and say the same figures', () => {
    const [planned] = plan.zones;
    const [regrowth] = plan.regrowth;
    if (!planned || !regrowth) throw new Error('a zone');
    const said = { ...regrowth, learnedFrom: 7, rateFactor: 0.8, lagShiftDays: 1, rateBand: [0.7, 0.95] as const };
    const { visits, band, rateFactor, lines } = regrowthLines(zoneOf('left'), planned, said, '2027-05-14');
    expect({ visits, band, rateFactor }).toEqual({ visits: 7, band: [0.7, 0.95], rateFactor: 0.8 });
    // slower hair is ready later
    const readyDay = (from: typeof lines): number => from[0]?.days.find((d) => d.workableOfVisible >= 0.7)?.day ?? 999;
    const quick = regrowthLines(zoneOf('left'), planned, { ...said, rateFactor: 1.2 }, '2027-05-14');
    expect(readyDay(quick.lines)).toBeLessThan(readyDay(lines));
  });
  it('turn a wall time into the right instant on both sides of a clock change', () => {
    expect(instantOf('2027-03-27', '10:00', 'Europe/London')).toBe(Date.UTC(2027, 2, 27, 10));
    expect(instantOf('2027-03-28', '10:00', 'Europe/London')).toBe(Date.UTC(2027, 2, 28, 9));
    expect(instantOf('', '10:00', 'Europe/London')).toBeNull();
    expect(instantOf('2027-03-28', 'ten', 'Europe/London')).toBeNull();
  });
});

describe('the bench with what waits on this tablet', () => {
  const event: TableEvent = { id: 'e', atMs: 1, kind: 'laid', strip: 'A1' };
  it('joins the journal with what is under way, each act once and in order', () => {
    const later = { ...event, id: 'f' };
    expect(joinJournal([event], [event, later])).toEqual([event, later]);
  });
  it('shows what was changed last, sent or not', () => {
    const shown = bench();
    const box = {
      ...emptyBox('v', 'Nell'),
      acts: [{ event, plan: 'h' }],
      docs: {
        'chart|underarm|left': {
          url: '/x',
          field: 'data',
          sent: { requestId: 'a', base: 1, data: { ...zoneOf('left').data, reason: 'sent' } },
          next: { requestId: 'b', base: 1, data: { ...zoneOf('left').data, reason: 'later' } },
        },
      },
    };
    const over = withWaiting(shown, box);
    expect(over.zones.map((z) => z.data.reason)).toEqual(['later', '']);
    expect(over.journal).toEqual([event]);
    expect(shown.journal).toEqual([]);
  });
  it('keeps the last plan on the screen while a new one is made, but not its id', () => {
    const coming = bench({ plan: { ...plan, zones: [] }, planComing: true });
    expect(overLast(coming, bench())).toMatchObject({ planHash: '', planComing: true, plan: { zones: plan.zones } });
    expect(overLast(bench({ planHash: 'new' }), bench()).planHash).toBe('new');
  });
  it('is never taken over with fewer acts than are known: one that was read before them keeps them', () => {
    const acts = [1, 2, 3].map((n) => ({ ...event, id: `act-${n}` }));
    const shown = { ...bench(), journal: acts, journalAt: 3 };
    const early = { ...bench({ planHash: 'new' }), journal: acts.slice(0, 1), journalAt: 1 };
    const whole = withLaterActs(early, shown);
    expect([whole.journal.map((e) => e.id), whole.journalAt, whole.planHash]).toEqual([
      ...[['act-1', 'act-2', 'act-3'], 3, 'new'],
    ]);
    const later = { ...bench(), journal: [...acts, { ...event, id: 'act-4' }], journalAt: 4 };
    expect(withLaterActs(later, shown)).toBe(later);
  });
  it('takes what is newer, or another plan at the same version, never an older one', () => {
    const shown = bench();
    const at = (version: number, more: Partial<Bench> = {}): Bench =>
      bench({ visit: { ...shown.visit, version }, ...more });
    const { version } = shown.visit;
    expect(isNewer(at(version + 1, { planComing: true, planHash: 'next' }), shown)).toBe(true);
    expect(isNewer(at(version - 1), shown)).toBe(false);
    // the card was changed: the same version, another plan that is still coming
    expect(isNewer(at(version, { planComing: true, planHash: 'next' }), shown)).toBe(true);
    expect(isNewer(at(version, { planComing: true, planHash: shown.planHash }), shown)).toBe(false);
    expect(isNewer(at(version), at(version, { planComing: true, planHash: '' }))).toBe(true);
  });
});

describe('the ribbon of the day', () => {
  const visit = (startsAtMs: number, minutes: number): TodayVisit => ({
    bookingId: 'b',
    visitId: null,
    state: 'ahead',
    startsAtMs,
    minutes,
    personId: 'p',
    clientName: 'Nell',
    clientId: 'c',
    what: '',
    product: '',
    words: [],
    tray: [],
    pots: [],
    version: 1,
    isComing: false,
    parts: { prepareMin: 6, layPullMin: 12, readMin: 2, finishMin: 3, turnoverMin: 8 },
  });
  const nine = Date.UTC(2027, 4, 14, 9, 15);
  it('spans all visits and keeps every one inside', () => {
    const visits = [visit(nine, 40), visit(nine + 3 * 3_600_000, 30)];
    const ribbon = ribbonOf(visits, nine);
    for (const v of visits) {
      expect(shareOf(ribbon, v.startsAtMs)).toBeGreaterThanOrEqual(0);
      expect(shareOf(ribbon, v.startsAtMs + v.minutes * 60_000)).toBeLessThanOrEqual(1);
    }
    expect(ribbon.hours.every((h) => h % 3_600_000 === 0)).toBe(true);
    expect(ribbonOf([], nine).hours.length).toBeGreaterThan(2);
  });
  it('cuts a band into parts that fill the booked time', () => {
    const parts = bandParts(visit(nine, 40));
    expect(parts.reduce((s, p) => s + p.minutes, 0)).toBe(40);
    expect(bandParts(visit(nine, 20)).at(-1)?.minutes).toBe(0);
  });
});

describe('words', () => {
  it('write dates, spans and counts for the reader', () => {
    expect(dayMonth('2027-05-14')).toBe('14 May');
    expect(weekday('2027-05-14')).toBe('Friday');
    expect(span('2027-07-12', '2027-07-28')).toBe('12–28 July');
    expect(span('2027-06-28', '2027-07-03')).toBe('28 June – 3 July');
    expect(shortSpan('2027-12-28', '2028-01-03')).toBe('28 Dec – 3 Jan');
    expect(withDates('From 2027-05-20 on.')).toBe('From 20 May on.');
    expect(plural(1, 'pass', 'passes')).toBe('1 pass');
    expect(plural(2, 'pass', 'passes')).toBe('2 passes');
    expect(sideWord('Underarm', 'left')).toBe('Underarm, left');
    expect(sideWord('Upper lip', 'middle')).toBe('Upper lip');
    expect(timeOfDay(Date.UTC(2027, 6, 1, 9, 15), 'Europe/London')).toBe('10:15');
  });
});
