import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../shared';
import { isAvoided } from './avoid';
import { hoursFault, openOn, USUAL_HOURS, weekdayOf, type WeekHours } from './hours';
import { freePlaces, nearestStart, proposeSlots, slotOn, type SlotInput } from './slots';

const nine = 9 * 60;
const base: SlotInput = {
  windows: [{ label: 'underarms', fromOn: '2027-06-12', toOn: '2027-06-29' }],
  blackouts: [],
  hours: USUAL_HOURS,
  closed: [],
  busy: [],
  minutes: 45,
  past: [],
  firstOn: '2027-05-09',
};

describe('hours', () => {
  it('know the weekday of a date (12 June 2027 is a Saturday, by the calendar)', () => {
    expect([weekdayOf('2027-06-12'), weekdayOf('2027-06-14'), weekdayOf('2023-12-31')]).toEqual([5, 0, 6]);
  });
  it('are none on a day off and on closed days', () => {
    expect(openOn(USUAL_HOURS, [], '2027-06-13')).toEqual([]);
    expect(openOn(USUAL_HOURS, [{ from: '2027-06-14', to: '2027-06-15', why: '' }], '2027-06-15')).toEqual([]);
    expect(openOn(USUAL_HOURS, [], '2027-06-14')).toEqual([{ fromMin: nine, toMin: 18 * 60 }]);
  });
  it('are refused where a span is empty, overlaps or a day is missing', () => {
    const week = (spans: WeekHours[number]): WeekHours => [spans, [], [], [], [], [], []];
    expect(hoursFault(USUAL_HOURS)).toBeNull();
    expect(hoursFault(USUAL_HOURS.slice(1))).not.toBeNull();
    expect(hoursFault(week([{ fromMin: 600, toMin: 600 }]))).not.toBeNull();
    const twice = [
      { fromMin: 540, toMin: 720 },
      { fromMin: 700, toMin: 900 },
    ];
    expect(hoursFault(week(twice))).not.toBeNull();
  });
});

describe('days that they would rather avoid', () => {
  const avoid = { firstOn: '2027-05-20', everyDays: 28, days: 5 };
  it('come again every so many days, before and after the first that was seen', () => {
    const days = [
      '2027-05-20',
      '2027-05-24',
      '2027-05-25',
      '2027-06-17',
      '2027-06-21',
      '2027-06-22',
      '2027-04-22',
      '2027-04-21',
    ];
    expect(days.map((on) => isAvoided(on, avoid))).toEqual([true, true, false, true, true, false, true, false]);
  });
  it('are given way to where the window has others, and taken with the wish said where it has none', () => {
    const wished = proposeSlots({ ...base, avoid, about: '2027-06-18' });
    expect(wished).toHaveLength(3);
    expect(wished.filter((s) => isAvoided(s.on, avoid))).toEqual([]);
    const plain = proposeSlots({ ...base, about: '2027-06-18' });
    expect(plain[0]?.on).toBe('2027-06-18');
    const narrow = [{ label: 'lip', fromOn: '2027-06-17', toOn: '2027-06-19' }];
    const [only] = proposeSlots({ ...base, windows: narrow, avoid });
    expect(only?.reasons[0]).toBe('a day they would rather avoid');
  });
});

describe('freePlaces', () => {
  it('are those that fit between what is there, the break of noon included', () => {
    const open = [
      { fromMin: nine, toMin: 12 * 60 },
      { fromMin: 13 * 60, toMin: 15 * 60 },
    ];
    const places = freePlaces(open, [{ fromMin: nine + 30, toMin: 11 * 60 }], 60);
    expect(places.map((p) => p.startMin)).toEqual([
      11 * 60,
      13 * 60,
      13 * 60 + 15,
      13 * 60 + 30,
      13 * 60 + 45,
      14 * 60,
    ]);
    expect(places[0]).toMatchObject({ before: 0, after: 0 });
  });
  it('are none where the day is too short', () => expect(freePlaces([{ fromMin: 0, toMin: 30 }], [], 45)).toEqual([]));
});

describe('nearestStart', () => {
  const open = [{ fromMin: nine, toMin: 12 * 60 }];
  const busy = [{ fromMin: nine + 60, toMin: nine + 120 }];
  it('is where it was wanted if that is free, else the nearest place beside, the earlier of two', () => {
    const near = (startMin: number) => nearestStart(open, busy, { minutes: 60, startMin });
    expect([near(nine), near(nine + 60), near(nine + 75)]).toEqual([nine, nine, nine + 120]);
    expect(nearestStart(open, busy, { minutes: 90, startMin: nine })).toBeNull();
  });
});

describe('proposeSlots', () => {
  it('offers three days, the first a little into the window, with its reason', () => {
    const slots = proposeSlots(base);
    expect(slots.map((s) => s.on)).toHaveLength(3);
    expect(slots[0]).toMatchObject({ on: '2027-06-15', reasons: ['early in the window'], outside: null });
    expect(Math.abs(daysBetween(slots[0]?.on ?? '', slots[1]?.on ?? ''))).toBeGreaterThanOrEqual(3);
  });
  it('takes the client’s own day and hour where they have one', () => {
    // Saturdays at eleven
    const past = ['2027-03-06', '2027-04-03', '2027-05-08'].map((on) => ({ on, startMin: 11 * 60 }));
    const [first] = proposeSlots({ ...base, past });
    expect(first).toMatchObject({ on: '2027-06-12', startMin: 11 * 60 });
    expect(first?.reasons[0]).toBe('the usual day and hour');
  });
  it('leaves no hole that nobody can use, and says where it fills one', () => {
    const busy = [
      { on: '2027-06-15', fromMin: nine, toMin: nine + 60 },
      { on: '2027-06-15', fromMin: nine + 105, toMin: 18 * 60 },
    ];
    const [first] = proposeSlots({ ...base, busy });
    expect(first).toMatchObject({ on: '2027-06-15', startMin: nine + 60 });
    expect(first?.reasons).toContain('fills a gap');
  });
  it('of a window that is wholly blocked offers the nearest day on both sides, and says what that means', () => {
    const blackouts = [{ from: '2027-06-12', to: '2027-06-30', why: 'at sea' }];
    const slots = proposeSlots({ ...base, blackouts });
    // two days clear before the voyage; the 13th of June and the 4th of July are Sundays
    expect(slots.map((s) => [s.on, s.outside])).toEqual([
      ['2027-06-10', 'before'],
      ['2027-07-01', 'after'],
    ]);
    expect(slots[0]?.reasons[0]).toContain('before the window');
    expect(slots[1]?.reasons[0]).toContain('trim');
  });
  it('offers nothing where there is no window, or the studio never opens', () => {
    expect(proposeSlots({ ...base, windows: [] })).toEqual([]);
    expect(proposeSlots({ ...base, hours: [[], [], [], [], [], [], []] })).toEqual([]);
  });
  it('never clashes, never lies outside the hours, in a blackout or on a closed day (property)', () => {
    const day = fc.integer({ min: 0, max: 60 }).map((d) => addDays('2027-05-20', d));
    const span = fc
      .tuple(fc.integer({ min: 0, max: 1200 }), fc.integer({ min: 15, max: 240 }))
      .map(([fromMin, length]) => ({ fromMin, toMin: Math.min(1440, fromMin + length) }));
    const dates = fc
      .tuple(day, fc.integer({ min: 0, max: 9 }))
      .map(([from, n]) => ({ from, to: addDays(from, n), why: '' }));
    let offered = 0;
    fc.assert(
      fc.property(
        fc.record({
          hours: fc.array(fc.array(span, { maxLength: 1 }), { minLength: 7, maxLength: 7 }),
          closed: fc.array(dates, { maxLength: 2 }),
          blackouts: fc.array(dates, { maxLength: 2 }),
          busy: fc.array(
            fc.tuple(day, span).map(([on, s]) => ({ on, ...s })),
            { maxLength: 60 },
          ),
          minutes: fc.integer({ min: 15, max: 180 }),
          window: fc.tuple(day, fc.integer({ min: 0, max: 20 })),
          past: fc.array(fc.record({ on: day, startMin: fc.integer({ min: 480, max: 1080 }) }), { maxLength: 5 }),
        }),
        ({ window: [fromOn, n], ...rest }) => {
          const input = { ...base, ...rest, windows: [{ label: 'a', fromOn, toOn: addDays(fromOn, n) }] };
          for (const s of proposeSlots(input)) {
            offered++;
            const end = s.startMin + s.minutes;
            const open = openOn(input.hours, input.closed, s.on);
            expect(open.some((o) => o.fromMin <= s.startMin && end <= o.toMin)).toBe(true);
            expect(input.busy.some((b) => b.on === s.on && b.fromMin < end && s.startMin < b.toMin)).toBe(false);
            expect(input.blackouts.some((b) => addDays(b.from, -1) <= s.on && s.on <= b.to)).toBe(false);
            expect(s.outside === null).toBe(fromOn <= s.on && s.on <= addDays(fromOn, n));
          }
        },
      ),
      { seed: 16, numRuns: 300 },
    );
    expect(offered).toBeGreaterThan(200);
  });
});

describe('slotOn', () => {
  it('is the best place of that day, also outside the window; none of a day off', () => {
    expect(slotOn(base, '2027-07-05')).toMatchObject({ on: '2027-07-05', startMin: nine });
    expect(slotOn(base, '2027-07-05')?.reasons[0]).toContain('not ready');
    const regatta = [{ from: '2027-06-16', to: '2027-06-17', why: 'regatta' }];
    expect(slotOn({ ...base, blackouts: regatta }, '2027-06-15')?.reasons[0]).toBe('too near regatta');
    expect(slotOn(base, '2027-06-13')).toBeNull();
    expect(slotOn(base, '2027-05-08')).toBeNull();
  });
});
