import { describe, expect, it } from 'vitest';
import type { PotDay } from '@/core/pots';
import { actWords, potNeeds } from './potDayWords';

const AT = Date.UTC(2027, 4, 8, 8, 0);
const day = (over: Partial<PotDay> = {}): PotDay => ({
  curve: [],
  core: [],
  acts: [{ atS: 3600, what: 'on', setC: 57.4 }],
  late: null,
  clashes: [],
  short: null,
  refill: null,
  readyAtS: null,
  ...over,
});
const needs = (d: PotDay, nowMs = AT) =>
  potNeeds({ potId: 'p', name: 'Film hard wax', day: d, fromMs: AT, nowMs, timeZone: 'UTC' });

describe('what the pots ask for', () => {
  it('names the act with its time on the lane', () => {
    expect(actWords({ atS: 2400, what: 'on', setC: 57 }, AT, 'UTC')).toBe('switch on 08:40');
    expect(actWords({ atS: 0, what: 'off', setC: null }, AT, 'UTC')).toBe('off 08:00');
  });
  it('asks for an act only when it is near, with the setting as the remedy', () => {
    expect(needs(day())).toEqual([]);
    const [soon] = needs(day(), AT + 45 * 60_000);
    expect(soon).toMatchObject({ text: 'Set to 57° at 09:00.', weight: 'note', setC: 57 });
    const [now] = needs(day({ late: { who: 'Corwin', byS: 700 } }), AT + 3_600_000);
    expect(now).toMatchObject({
      text: 'Set to 57° now. Corwin waits about 12 min for it: test on the wrist.',
      weight: 'stop',
    });
    const [off] = needs(day({ acts: [{ atS: 0, what: 'off', setC: null }] }));
    expect(off).toMatchObject({ text: 'Off now: nothing more is worked from it today.', setC: null });
  });
  it('says who clashes and for whom it does not last; neither has a setting as its remedy', () => {
    const short = { who: 'C', needsG: 220, holdsG: 180 };
    const refill = { atS: 3600, readyAtS: 5100, addG: 120, stillShortG: 0, who: 'C', isInTime: true };
    const said = needs(day({ clashes: [['A', 'B']], short, refill }));
    expect(said.map((n) => n.text)).toEqual([
      'A and B want heats that do not meet, at one time: one pot has one heat.',
      '220 g needed for C, 180 g in the pot by then: add 120 g at 09:00, right again about 09:25.',
    ]);
    expect(said.every((n) => n.setC === undefined)).toBe(true);
    const [late] = needs(day({ short, refill: { ...refill, isInTime: false } }));
    expect(late?.text).toMatch(/too late for it, take a second pot\.$/);
    expect(needs(day({ short }))[0]?.text).toMatch(/take a second pot\.$/);
  });
});
