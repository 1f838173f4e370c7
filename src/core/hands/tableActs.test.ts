import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { actFault, fixedTable } from './admit';
import { earlyBy, isEarly, lockedUntilMs, press, TWICE_WITHIN_MS, type Armed } from './brake';
import { aidOf } from './firstAid';
import { liveTable, type LiveGroup } from './live';
import { bandOf, signalOf } from './signal';
import type { TableEvent } from './tableEvents';
import { isJustTested } from './wristTest';
import type { StripJob } from './types';

const job = (id: string): StripJob => ({
  id,
  side: null,
  layS: 12,
  coats: 1,
  setMinS: 25,
  setMaxS: 90,
  pullS: 4,
  pressS: 3,
  needs: [],
  touches: [],
});
const groups: readonly LiveGroup[] = [
  {
    product: 'film-hard',
    jobs: [job('a'), job('b')],
    maxOnSkin: 1,
    walkS: 6,
    before: ['alerts', 'hands', 'cleanse@0'],
    checks: [{ step: 'look@brow/left', jobs: [0] }],
    after: ['light', 'care'],
  },
];
let made = 0;
const event = (kind: TableEvent['kind'], atS: number, more: Partial<TableEvent> = {}): TableEvent => ({
  id: `t${made++}`,
  atMs: atS * 1000,
  kind,
  ...more,
});
const step = (name: string, atS: number): TableEvent => event('step', atS, { step: name });
const prepared = [step('alerts', 1), step('hands', 2), step('cleanse@0', 3)];
const tested = [...prepared, event('wrist', 10, { product: 'film-hard' })];
const laidA = [...tested, event('laid', 30, { strip: 'a' })];

describe('the steps round the wax', () => {
  it('come before the wrist test, one by one, and are named with what else is open', () => {
    expect(liveTable(groups, []).act).toEqual({
      kind: 'step',
      step: 'alerts',
      open: ['alerts', 'hands', 'cleanse@0'],
      firstStrip: 'a',
    });
    expect(liveTable(groups, prepared.slice(0, 2)).act).toMatchObject({ step: 'cleanse@0', open: ['cleanse@0'] });
    expect(liveTable(groups, prepared).act.kind).toBe('wrist');
  });
  it('are out of the way when they are left out, and when wax has been laid without them', () => {
    const skipped = prepared.map((e) => ({ ...e, skipped: true }));
    expect(liveTable(groups, skipped).act.kind).toBe('wrist');
    const bare = [event('wrist', 10, { product: 'film-hard' }), event('laid', 30, { strip: 'a' })];
    expect(liveTable(groups, bare).act.kind).toBe('pull');
  });
  it('a look together is due when its strips are off, before anything else is laid', () => {
    const offA = [...laidA, event('pulled', 60, { strip: 'a' })];
    expect(liveTable(groups, offA).act).toMatchObject({ kind: 'step', step: 'look@brow/left' });
    expect(liveTable(groups, [...offA, step('look@brow/left', 65)]).act).toMatchObject({ kind: 'lay', strip: 'b' });
  });
  it('the finish follows the last pull, then it is done', () => {
    const allOff = [
      ...laidA,
      event('pulled', 60, { strip: 'a' }),
      step('look@brow/left', 62),
      event('laid', 80, { strip: 'b' }),
      event('pulled', 110, { strip: 'b' }),
    ];
    expect(liveTable(groups, allOff).act).toMatchObject({ kind: 'step', step: 'light', open: ['light', 'care'] });
    expect(liveTable(groups, [...allOff, step('light', 120), step('care', 130)]).act.kind).toBe('done');
  });
  it('of another plan are refused', () => {
    expect(actFault(fixedTable(groups), [], [step('trim@3', 1)])).toMatchObject({ code: 'act.no-such-step' });
    expect(actFault(fixedTable(groups), [], prepared)).toBeNull();
  });
});

describe('the wrist test', () => {
  it('is asked again a quarter of an hour later before the next load, never with wax on the skin', () => {
    const late = [...laidA, event('pulled', 60, { strip: 'a' }), step('look@brow/left', 10 + 15 * 60 + 5)];
    expect(liveTable(groups, late).act).toMatchObject({ kind: 'wrist', again: 'minutes' });
    const anew = event('wrist', 10 + 15 * 60 + 15, { product: 'film-hard' });
    expect(liveTable(groups, [...late, anew]).act).toMatchObject({ kind: 'lay', strip: 'b' });
    expect(liveTable(groups, [...laidA, event('hold', 2000), event('resume', 2001)]).act.kind).toBe('pull');
  });
  it('is asked again after the pot was warmed or changed, and nothing is laid before it', () => {
    const warmed = [...tested, event('reheat', 20, { product: 'film-hard' })];
    expect(liveTable(groups, warmed).act).toMatchObject({ kind: 'wrist', again: 'warmed' });
    expect(actFault(fixedTable(groups), warmed, [event('laid', 30, { strip: 'a' })])).toMatchObject({
      code: 'act.wrist-first',
    });
  });
});

describe('the signal', () => {
  const { act } = liveTable(groups, laidA);
  it('waits to the ready sign, is good to the latest pull, then it is over', () => {
    expect(signalOf(act, 41_000)).toEqual({ state: 'wait', seconds: 14 });
    expect(signalOf(act, 55_000)).toEqual({ state: 'pull', seconds: 65 });
    expect(signalOf(act, 126_500)).toEqual({ state: 'now', seconds: 6 });
    expect(signalOf(liveTable(groups, tested).act, 41_000)).toEqual({ state: 'do', seconds: null });
  });
  it('has one band in all states, on which now only moves on', () => {
    if (act.kind !== 'pull') throw new Error('a pull');
    expect(bandOf(act, 30_000)).toMatchObject({ now: 0 });
    const { ready, latest } = bandOf(act, 31_000);
    expect(ready).toBeCloseTo(25 / 112.5, 6);
    expect(latest).toBeCloseTo(0.8, 6);
    fc.assert(
      fc.property(fc.integer({ min: 30_000, max: 200_000 }), fc.integer({ min: 0, max: 50_000 }), (at, more) => {
        const [a, b] = [bandOf(act, at), bandOf(act, at + more)];
        return a.ready === ready && a.latest === latest && b.now >= a.now && b.now <= 1;
      }),
    );
  });
});

describe('a second coat', () => {
  const two = groups.map((g) => ({ ...g, jobs: g.jobs.map((j) => ({ ...j, coats: 2 as const })) }));
  const { act } = liveTable(two, laidA);
  it('waits until the first has rested, then says for how long that still takes it, and when it is late', () => {
    if (act.kind !== 'lay' || act.notBeforeMs === null || act.notAfterMs === null) throw new Error('a second coat');
    expect(signalOf(act, act.notBeforeMs - 3000)).toEqual({ state: 'wait', seconds: 3 });
    expect(signalOf(act, act.notAfterMs - 5000)).toEqual({ state: 'do', seconds: 5 });
    expect(signalOf(act, act.notAfterMs + 5000)).toEqual({ state: 'do', seconds: 0 });
  });
  it('too early wants a second press', () => {
    if (act.kind !== 'lay' || act.notBeforeMs === null) throw new Error('a second coat');
    expect(press({ act, lastAtMs: 30_000 }, two, null, act.notBeforeMs - 1000).kind).toBe('armed');
    expect(press({ act, lastAtMs: 30_000 }, two, null, act.notBeforeMs + 10).kind).toBe('go');
  });
});

describe('a strip that is spread and then covered', () => {
  const [first] = groups;
  if (!first) throw new Error('no group');
  const sugar: readonly LiveGroup[] = [
    { ...first, product: 'sugar-firm', jobs: [{ ...job('a'), spreads: true }, job('b')], checks: [], before: [] },
  ];
  const table = fixedTable(sugar);
  const wrist = event('wrist', 10, { product: 'sugar-firm' });
  const spread = event('spread', 20, { strip: 'a' });
  const lay = (events: readonly TableEvent[]) => liveTable(sugar, events);
  it('is two acts, the cloth before anything else is begun', () => {
    expect(lay([wrist]).act).toMatchObject({ kind: 'lay', strip: 'a', part: 'spread' });
    expect(lay([wrist, spread])).toMatchObject({
      act: { kind: 'lay', strip: 'a', part: 'cloth' },
      ahead: [{ kind: 'pull', strip: 'a' }],
      onSkin: ['a'],
      undoable: spread.id,
    });
    expect(lay([wrist, spread, event('laid', 26, { strip: 'a' })]).act).toMatchObject({ kind: 'pull', strip: 'a' });
    const undone = [wrist, spread, event('undo', 22, { undoes: spread.id })];
    expect(lay(undone)).toMatchObject({ act: { part: 'spread' }, onSkin: [] });
  });
  it('sets from its cloth on, not from the spreading', () => {
    const { readyAtMs } = lay([wrist, spread, event('laid', 30, { strip: 'a' })]);
    expect(readyAtMs.get('a')).toBe((30 + 25) * 1000);
  });
  it('keeps the client from turning, and is wiped off after a stop', () => {
    expect(actFault(table, [wrist, spread], [event('turned', 22, { position: 'face-down' })])?.code).toBe(
      'act.wax-on-skin',
    );
    const stopped = [wrist, spread, event('stop', 22)];
    const off = event('pulled', 24, { strip: 'a' });
    expect(actFault(table, stopped, [off])).toBeNull();
    expect(lay([...stopped, off]).onSkin).toEqual([]);
  });
  it('is spread before the wrist test as little as it is laid, and not at all where it is laid in one', () => {
    expect(actFault(table, [], [spread])?.code).toBe('act.wrist-first');
    expect(actFault(table, [wrist], [spread])).toBeNull();
    expect(actFault(table, [wrist, spread], [event('spread', 21, { strip: 'a' })])?.code).toBe('act.on-the-skin');
    expect(actFault(table, [wrist], [event('spread', 20, { strip: 'b' })])?.code).toBe('act.incomplete');
    expect(actFault(table, [wrist], [event('lump', 20, { product: 'sugar-firm' })])).toBeNull();
    expect(actFault(table, [wrist], [event('lump', 20, { product: 'soft' })])?.code).toBe('act.no-such-product');
  });
});

describe('a load that is warned of', () => {
  const { act, lastAtMs } = liveTable(groups, tested);
  it('wants a second press, not a bounce of the first', () => {
    const first = press({ act, lastAtMs }, groups, null, 20_000, true);
    expect(first.kind).toBe('armed');
    const armed = first.kind === 'armed' ? first.armed : null;
    expect(press({ act, lastAtMs }, groups, armed, 20_100, true).kind).toBe('armed');
    expect(press({ act, lastAtMs }, groups, armed, 21_000, true).kind).toBe('go');
    expect(press({ act, lastAtMs }, groups, armed, 20_000 + TWICE_WITHIN_MS + 1, true).kind).toBe('armed');
    expect(press({ act, lastAtMs }, groups, null, 20_000).kind).toBe('go');
  });
  it('stands on a wrist test of just now, of the same pot', () => {
    expect(isJustTested('film-hard', tested, 10_000 + 120_000)).toBe(true);
    expect(isJustTested('film-hard', tested, 10_000 + 120_001)).toBe(false);
    expect(isJustTested('soft', tested, 11_000)).toBe(false);
  });
  it('may be tested again in the middle of the work: the next act is the same', () => {
    const anew = event('wrist', 40, { product: 'film-hard', pot: { tempC: 63, from: 'probe' } });
    expect(actFault(fixedTable(groups), tested, [anew])).toBeNull();
    expect(liveTable(groups, [...tested, anew]).act).toMatchObject({ kind: 'lay', strip: 'a' });
  });
});

describe('the brake', () => {
  const table = liveTable(groups, laidA);
  const at = (ms: number, armed: Armed | null = null) => press(table, groups, armed, ms);
  it('takes a pull before its window only by a second press within four seconds', () => {
    expect(isEarly(table.act, 35_000)).toBe(true);
    const first = at(35_000);
    if (first.kind !== 'armed') throw new Error('armed');
    // a bounce of the same press is no second one
    expect(at(35_100, first.armed)).toEqual(first);
    expect(at(36_000, first.armed).kind).toBe('go');
    expect(at(35_000 + TWICE_WITHIN_MS + 1, first.armed).kind).toBe('armed');
    expect(at(56_000).kind).toBe('go');
  });
  it('does not take the first press of one strip for the second of another', () => {
    expect(at(36_000, { on: 'pull b', atMs: 35_500 }).kind).toBe('armed');
  });
  it('lets no lay be confirmed faster than hands lay, and nothing on a bounce of the pedal', () => {
    const lay = liveTable(groups, tested);
    expect(lockedUntilMs(lay, groups)).toBe(10_000 + 4_200);
    expect(press(lay, groups, null, 12_000).kind).toBe('locked');
    expect(press(lay, groups, null, 14_300).kind).toBe('go');
    expect(press(table, groups, null, 30_300).kind).toBe('locked');
  });
  it('writes how early an early pull was', () => {
    const readyAtMs = table.readyAtMs.get('a');
    expect(earlyBy(readyAtMs, 43_000)).toEqual({ earlyS: 12 });
    expect(earlyBy(readyAtMs, 55_000)).toEqual({});
    expect(earlyBy(undefined, 55_000)).toEqual({});
  });
});

describe('first aid', () => {
  const stopped = [...laidA, event('stop', 40)];
  const aid = (name: string, atS: number): TableEvent => event('aid', atS, { step: name });
  const minutes = (events: readonly TableEvent[], atS: number) => (aidOf(events, atS * 1000)?.ranMs ?? -1) / 60_000;
  it('counts the minutes of water from the stop on, not those in which it is off', () => {
    expect(minutes(stopped, 40 + 180)).toBe(3);
    const paused = [...stopped, aid('water-off', 40 + 120), aid('water-on', 40 + 300)];
    expect(minutes(paused.slice(0, -1), 40 + 200)).toBe(2);
    expect(minutes(paused, 40 + 360)).toBe(3);
  });
  it('is for no burn once that is said, keeps what was seen, and is gone when the stop is taken back', () => {
    const seen = [...stopped, aid('red', 50), aid('blister', 55), aid('not-a-burn', 60)];
    expect(aidOf(seen, 100_000)).toMatchObject({ isBurn: false, isRunning: false, seen: ['red', 'blister'] });
    expect(aidOf(laidA, 100_000)).toBeNull();
  });
  it('belongs after a stop, and is one of those known', () => {
    expect(actFault(fixedTable(groups), laidA, [aid('water-off', 50)])).toMatchObject({ code: 'act.not-stopped' });
    expect(actFault(fixedTable(groups), stopped, [aid('ice', 50)])).toMatchObject({ code: 'act.incomplete' });
    expect(actFault(fixedTable(groups), stopped, [aid('water-off', 50)])).toBeNull();
  });
});
