import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { actFault, fixedTable } from './admit';
import { liveTable, pressingStrip, type LiveGroup } from './live';
import type { TableEvent } from './tableEvents';
import type { StripJob } from './types';

const job = (id: string, more: Partial<StripJob> = {}): StripJob => ({
  id,
  side: null,
  layS: 10,
  coats: 1,
  setMinS: 25,
  setMaxS: 90,
  pullS: 4,
  pressS: 3,
  needs: [],
  touches: [],
  ...more,
});
const group = (jobs: readonly StripJob[], product = 'film-hard'): LiveGroup => ({
  product,
  jobs,
  maxOnSkin: 3,
  walkS: 6,
});
let made = 0;
const event = (kind: TableEvent['kind'], atS: number, more: Partial<TableEvent> = {}): TableEvent => ({
  id: `e${made++}`,
  atMs: atS * 1000,
  kind,
  ...more,
});
const wrist = (product = 'film-hard', atS = 0): TableEvent => event('wrist', atS, { product });

describe('liveTable', () => {
  const groups = [group([job('a'), job('b'), job('c'), job('d', { needs: [0] })])];
  it('begins with the wrist test of each product and ends done', () => {
    expect(liveTable(groups, []).act).toMatchObject({ kind: 'wrist', product: 'film-hard', again: null });
    const two = [group([job('a')]), group([job('s')], 'soft')];
    const done = [wrist(), event('laid', 10, { strip: 'a' }), event('pulled', 40, { strip: 'a' })];
    expect(liveTable(two, done).act).toMatchObject({ kind: 'wrist', product: 'soft', again: null });
    expect(
      liveTable(two, [
        ...done,
        wrist('soft', 45),
        event('laid', 55, { strip: 's' }),
        event('pulled', 60, { strip: 's' }),
      ]).act,
    ).toEqual({ kind: 'done' });
  });
  it('walks the whole task by its own proposals without breaking a rule', () => {
    const events: TableEvent[] = [wrist()];
    let clock = 5;
    for (let k = 0; k < 20; k++) {
      const { act, onSkin, strips } = liveTable(groups, events);
      expect(onSkin.length).toBeLessThanOrEqual(3);
      if (act.kind === 'done') break;
      if (act.kind === 'lay') {
        if (act.strip === 'd') expect(strips.get('a')?.pulledAtMs).not.toBeNull();
        events.push(event('laid', (clock += 10), { strip: act.strip }));
      } else if (act.kind === 'pull') {
        clock = Math.max(clock + 7, act.readyAtMs / 1000 + 7);
        expect(clock * 1000).toBeLessThanOrEqual(act.dueAtMs + 7000);
        events.push(event('pulled', clock, { strip: act.strip }));
      }
    }
    expect(liveTable(groups, events)).toMatchObject({ act: { kind: 'done' }, pulledCount: 4 });
  });
  it('follows the plan while the table fits it, and leaves it when it does not', () => {
    const planned = [{ ...group([job('a'), job('b'), job('c')]), sequence: [2, 0, 1, 2, 0, 1] }];
    expect(liveTable(planned, [wrist()]).act).toMatchObject({ kind: 'lay', strip: 'c' });
    expect(liveTable(planned, [wrist(), event('laid', 10, { strip: 'c' })]).act).toMatchObject({
      kind: 'lay',
      strip: 'a',
    });
    expect(liveTable(planned, [wrist(), event('laid', 10, { strip: 'b' })]).act.kind).toBe('lay');
  });
  it('gives the same act when the journal is read again, and accepts another strip than proposed', () => {
    const events = [wrist(), event('laid', 10, { strip: 'c' })];
    expect(liveTable(groups, events)).toEqual(liveTable(groups, [...events]));
    expect(liveTable(groups, events).onSkin).toEqual(['c']);
    expect(liveTable(groups, events).layable).toEqual(['a', 'b']);
  });
  it('undoes one step at a time and never a mark', () => {
    const laid = event('laid', 10, { strip: 'a' });
    const pulled = event('pulled', 40, { strip: 'a' });
    const mark = event('mark', 41, { strip: 'a', mark: 'some-left' });
    const events = [wrist(), laid, pulled, mark];
    expect(liveTable(groups, events).undoable).toBe(pulled.id);
    const after = liveTable(groups, [...events, event('undo', 42, { undoes: pulled.id })]);
    expect(after).toMatchObject({ onSkin: ['a'], undoable: laid.id });
    expect(after.strips.get('a')?.mark).toBe('some-left');
  });
  it('pulls an overdue strip first and says which one presses', () => {
    const events = [wrist(), event('laid', 10, { strip: 'a' }), event('laid', 130, { strip: 'b' })];
    const table = liveTable(groups, events);
    expect(table.act).toMatchObject({ kind: 'pull', strip: 'a' });
    expect(pressingStrip(table, groups, 95_000)?.strip).toBe('a');
    expect(pressingStrip(table, groups, 60_000)).toBeNull();
  });
  it('holds, resumes and stops', () => {
    const events = [wrist(), event('laid', 10, { strip: 'a' }), event('hold', 12)];
    expect(liveTable(groups, events).act).toEqual({ kind: 'held' });
    expect(liveTable(groups, [...events, event('resume', 20)]).act.kind).not.toBe('held');
    expect(liveTable(groups, [...events, event('pulled', 50, { strip: 'a' })])).toMatchObject({
      act: { kind: 'held' },
      onSkin: [],
    });
    const stop = event('stop', 21);
    expect(liveTable(groups, [...events, stop]).act).toEqual({ kind: 'stopped' });
    expect(liveTable(groups, [...events, stop, event('undo', 22, { undoes: stop.id })]).act).toEqual({ kind: 'held' });
  });
  it('rests eight seconds between two coats', () => {
    const coated = [group([job('a', { coats: 2 })])];
    const table = liveTable(coated, [wrist(), event('laid', 10, { strip: 'a' })]);
    expect(table.act).toMatchObject({ kind: 'lay', strip: 'a', coat: 2, notBeforeMs: 18_000 });
  });
});

describe('what the table says of itself', () => {
  const jobs = [job('a'), job('b', { setMinS: 30, setMaxS: 80 }), job('c')];
  const planned: readonly LiveGroup[] = [{ ...group(jobs), sequence: [1, 0, 1, 0, 2, 2] }];
  it('names what lies, oldest lay first, what came off last, and what would be taken back', () => {
    const pulled = event('pulled', 70, { strip: 'c' });
    const events = [
      wrist('film-hard', 5),
      event('laid', 20, { strip: 'c' }),
      event('laid', 32, { strip: 'b' }),
      event('laid', 44, { strip: 'a' }),
      pulled,
      event('mark', 71, { strip: 'c', mark: 'broke' }),
    ];
    const table = liveTable(planned, events);
    expect(table).toMatchObject({
      onSkin: ['b', 'a'],
      lastPulled: 'c',
      undoable: pulled.id,
      pulledCount: 1,
      stripCount: 3,
      layable: [],
    });
    expect(table.strips.get('c')).toEqual({
      stage: 3,
      spreadAtMs: null,
      laidAtMs: 20_000,
      coatsApartS: null,
      pulledAtMs: 70_000,
      mark: 'broke',
    });
    // counted from the lay's end by the label's own seconds
    expect(table.act).toEqual({ kind: 'pull', strip: 'b', laidAtMs: 32_000, readyAtMs: 62_000, dueAtMs: 112_000 });
    expect(table.ahead).toEqual([{ kind: 'pull', strip: 'a', walkS: 0 }]);
    expect(liveTable(planned, [wrist()])).toMatchObject({ lastPulled: null, onSkin: [], pulledCount: 0 });
    expect(liveTable(planned, [])).toMatchObject({ undoable: null, ahead: [], layable: [] });
  });
  it('takes the acts of the plan in the plan’s order while they fit', () => {
    const inOrder = [{ ...group([job('a'), job('b'), job('c')]), sequence: [2, 1, 0, 2, 1, 0] }];
    const table = liveTable(inOrder, [wrist()]);
    const strips = [table.act, ...table.ahead].map((a) => ('strip' in a ? a.strip : ''));
    expect(strips).toEqual(['c', 'b', 'a', 'c', 'b', 'a']);
    expect(table.ahead.map((a) => a.kind)).toEqual(['lay', 'lay', 'pull', 'pull', 'pull']);
    // one strip is off already: its acts are passed over
    const laid = [event('laid', 10, { strip: 'c' }), event('pulled', 50, { strip: 'c' })];
    const after = liveTable(inOrder, [wrist(), ...laid]);
    expect([after.act, ...after.ahead].map((a) => ('strip' in a ? a.strip : ''))).toEqual(['b', 'a', 'b', 'a']);
  });
  it('counts the walk from the side on which the last strip was touched', () => {
    const sides = [group([job('l1', { side: 'left' }), job('l2', { side: 'left' }), job('r', { side: 'right' })])];
    const onRight = [wrist(), event('laid', 10, { strip: 'r' }), event('pulled', 50, { strip: 'r' })];
    const table = liveTable(sides, onRight);
    const lays = [table.act, ...table.ahead].filter((a) => a.kind === 'lay');
    expect(lays.map((a) => ('strip' in a ? a.strip : '')).sort()).toEqual(['l1', 'l2']);
    expect(table.ahead.filter((a) => a.walkS > 0)).toEqual([]);
    const onLeft = liveTable(sides, [wrist(), event('laid', 10, { strip: 'l1' })]);
    expect(onLeft.ahead.filter((a) => a.strip === 'r').some((a) => a.walkS === 6)).toBe(true);
  });
  it('takes no lay of what lies, no pull of what does not, and no act of a strip it does not know', () => {
    const laid = event('laid', 10, { strip: 'a' });
    const strips = liveTable(planned, [
      wrist(),
      laid,
      event('laid', 20, { strip: 'a' }),
      event('pulled', 25, { strip: 'b' }),
      event('laid', 26, { strip: 'nowhere' }),
      event('pulled', 60, { strip: 'a' }),
      event('laid', 70, { strip: 'a' }),
    ]).strips;
    expect(strips.get('a')).toEqual({
      stage: 3,
      spreadAtMs: null,
      laidAtMs: 10_000,
      coatsApartS: null,
      pulledAtMs: 60_000,
      mark: null,
    });
    expect(strips.get('b')?.stage).toBe(0);
    expect(strips.size).toBe(3);
  });
});

describe('what may be laid and what presses', () => {
  it('lets nothing press that is off, or whose first coat still rests; says so from the given seconds before', () => {
    const coated = [group([job('two', { coats: 2, setMaxS: 60 }), job('one', { setMaxS: 60 })])];
    const first = liveTable(coated, [wrist(), event('laid', 10, { strip: 'two' })]);
    expect(pressingStrip(first, coated, 1_000_000)).toBeNull();
    const laid = [wrist(), event('laid', 10, { strip: 'one' })];
    const table = liveTable(coated, laid);
    expect(pressingStrip(table, coated, 57_999)).toBeNull();
    expect(pressingStrip(table, coated, 58_000)).toEqual({ strip: 'one', readyAtMs: 35_000, dueAtMs: 70_000 });
    expect(pressingStrip(table, coated, 58_000, 5)).toBeNull();
    const off = liveTable(coated, [...laid, event('pulled', 40, { strip: 'one' })]);
    expect(pressingStrip(off, coated, 1_000_000)).toBeNull();
  });
  it('counts a second coat’s window from how long the first really rested, on the safe side', () => {
    const afterRest = [
      { restS: 8, setS: { min: 18, max: 107 } },
      { restS: 20, setS: { min: 13, max: 99 } },
      { restS: 60, setS: { min: 10, max: 80 } },
    ];
    const coated = [
      group([job('two', { coats: 2, layS: 10, setMinS: 18, setMaxS: 99, rest: { mostS: 20, afterRest } })]),
    ];
    const first = [wrist(), event('laid', 10, { strip: 'two' })];
    expect(liveTable(coated, first).act).toMatchObject({ coat: 2, notBeforeMs: 18_000, notAfterMs: 30_000 });
    const at = (secondS: number): unknown =>
      liveTable(coated, [...first, event('laid', secondS, { strip: 'two' })]).act;
    // 28 s apart: 18 s of rest if the second lay took as long as planned, up to 28 s if it was quick
    expect(at(38)).toMatchObject({ kind: 'pull', readyAtMs: 56_000, dueAtMs: 118_000 });
    // 90 s apart: brittle sooner than any plan says
    expect(at(100)).toMatchObject({ kind: 'pull', readyAtMs: 110_000, dueAtMs: 180_000 });
  });
  it('offers no strip that touches one on the skin, and offers it again when that is off', () => {
    const touching = [group([job('a', { touches: [1] }), job('b', { touches: [0] }), job('c')])];
    const laid = [wrist(), event('laid', 10, { strip: 'a' })];
    expect(liveTable(touching, laid).layable).toEqual(['c']);
    expect(liveTable(touching, [...laid, event('pulled', 50, { strip: 'a' })]).layable).toEqual(['b', 'c']);
  });
  it('interrupts with the strip that presses most, not with the first one that was laid', () => {
    const slow = [group([job('slow', { setMaxS: 200 }), job('quick', { setMaxS: 60 })])];
    const table = liveTable(slow, [
      wrist(),
      event('laid', 10, { strip: 'slow' }),
      event('laid', 140, { strip: 'quick' }),
    ]);
    expect(pressingStrip(table, slow, 205_000)).toEqual({ strip: 'quick', readyAtMs: 165_000, dueAtMs: 200_000 });
    expect(pressingStrip(table, slow, 190_000)?.strip).toBe('quick');
  });
});

describe('one pot at two heats', () => {
  const pot = [
    { ...group([job('warm')]), heatStage: 0 },
    { ...group([job('tender')]), heatStage: 1 },
  ];
  const done = [wrist(), event('laid', 10, { strip: 'warm' }), event('pulled', 60, { strip: 'warm' })];
  it('asks for the wrist again before the cooler zone, and takes no lay there without it', () => {
    expect(liveTable(pot, []).act).toMatchObject({ kind: 'wrist', firstStrip: 'warm', again: null });
    expect(liveTable(pot, done).act).toMatchObject({ kind: 'wrist', firstStrip: 'tender', again: 'cooler' });
    expect(actFault(fixedTable(pot), done, [event('laid', 70, { strip: 'tender' })])?.code).toBe('act.wrist-first');
    const again = [...done, event('wrist', 200, { product: 'film-hard' })];
    expect(liveTable(pot, again).act).toMatchObject({ kind: 'lay', strip: 'tender' });
    expect(actFault(fixedTable(pot), again, [event('laid', 210, { strip: 'tender' })])).toBeNull();
  });
  it('asks once where the heat is the same', () => {
    const same = pot.map((g) => ({ ...g, heatStage: 0 }));
    expect(liveTable(same, done).act).toMatchObject({ kind: 'lay', strip: 'tender' });
  });
});

describe('an order to remember, at the table', () => {
  /** Three lanes of four rows, laid every other strip of a row. */
  const lanes = Array.from({ length: 12 }, (_, i): StripJob => {
    const lane = i % 3;
    const touches = [i - 3, i + 3, ...(lane > 0 ? [i - 1] : []), ...(lane < 2 ? [i + 1] : [])];
    return job(`s${i}`, { needs: i < 3 ? [] : [i - 3], touches: touches.filter((t) => t >= 0 && t < 12) });
  });
  const order = [0, 1, 2, 3].flatMap((row) => [0, 2, 1].map((lane) => 3 * row + lane));
  const patterned: LiveGroup = { ...group(lanes), order };

  /** Works to the end; now and then another strip is laid, a pull comes early, or a hand is slow. */
  function worked(seed: number) {
    const random = seededRandom(seed);
    const events: TableEvent[] = [wrist()];
    const laid: string[] = [];
    const odd: string[] = [];
    let [clock, left] = [5, 0];
    for (let k = 0; k < 80; k++) {
      const { act, layable, leavesOrder } = liveTable([patterned], events);
      if (act.kind === 'done') break;
      if (leavesOrder) left++;
      clock += random.next() < 0.2 ? random.whole(12, 40) : 10;
      if (act.kind === 'lay') {
        const other = random.next() < 0.25 ? layable[random.whole(0, layable.length - 1)] : undefined;
        const strip = other ?? act.strip;
        if (strip !== act.strip) odd.push(strip);
        laid.push(strip);
        events.push(event('laid', clock, { strip }));
      } else if (act.kind === 'pull') {
        clock = Math.max(clock, act.readyAtMs / 1000 - (random.next() < 0.1 ? 4 : 0));
        events.push(event('pulled', clock, { strip: act.strip }));
      }
    }
    return { laid, odd, left };
  }
  it('is gone on with after any deviation: what is laid as proposed is laid in the order of the plan', () => {
    const runs = Array.from({ length: 60 }, (_, seed) => worked(100 + seed));
    const place = new Map(order.map((i, k) => [`s${i}`, k]));
    const wrong = runs.filter(({ laid, odd, left }) => {
      const asProposed = laid.filter((s) => !odd.includes(s)).map((s) => place.get(s) ?? 0);
      return laid.length !== 12 || (left === 0 && asProposed.some((p, k) => k > 0 && p < (asProposed[k - 1] ?? 0)));
    });
    expect(wrong).toEqual([]);
    expect(runs.filter((r) => r.odd.length > 0).length).toBeGreaterThan(40);
    // it hardly ever has to be left, and then it is said
    expect(runs.filter((r) => r.left === 0).length).toBeGreaterThan(50);
  });
  it('turns the client with nothing on the skin, and lays nothing before that is noted', () => {
    const up: LiveGroup = { ...group([job('a')]), position: 'face-up' };
    const down: LiveGroup = { ...group([job('b')]), position: 'face-down' };
    const groups = [up, down];
    const first = [wrist(), event('laid', 10, { strip: 'a' })];
    const turned = event('turned', 60, { position: 'face-down' });
    expect(actFault(fixedTable(groups), first, [turned])?.code).toBe('act.wax-on-skin');
    const off = [...first, event('pulled', 45, { strip: 'a' })];
    expect(liveTable(groups, off).act).toMatchObject({ kind: 'turn', position: 'face-down', firstStrip: 'b' });
    expect(actFault(fixedTable(groups), off, [event('laid', 70, { strip: 'b' })])?.code).toBe('act.turn-first');
    expect(actFault(fixedTable(groups), off, [turned, event('laid', 90, { strip: 'b' })])).toBeNull();
    expect(liveTable(groups, [...off, turned]).act).toMatchObject({ kind: 'lay', strip: 'b' });
    // taken back it has to be noted again
    expect(liveTable(groups, [...off, turned, event('undo', 62, { undoes: turned.id })]).act.kind).toBe('turn');
  });
});
