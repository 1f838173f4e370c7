import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { potWindows } from '../../core/plan';
import { demoStudio } from '../../demo/studioForTests';
import { MOST_CHANNELS } from '../../sim/protocol';
import type { OpenDatabase } from '../db/openDatabase';
import { lastSeq, listen, toldAfter, cursorOf } from '../events';
import { forgetProbe, heardHeat, keepHeats, livePots, setNextWindows, tellPots } from '../pots/live';
import type { LivePot } from '../pots/livePot';
import { insertPotNote, lastPotHeat } from '../repos/potRepo';
import { loadBench } from './bench';
import { nextPots } from './nextPots';
import { openVisit } from './openVisit';
import { countUse, noteWrists } from './visitUse';
import { addPot, changePot, loadPots, notePot, simulatedChannel, type PotsView } from './pots';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const BY = { atMs: NOW, personId: 'ines' };
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => {
  for (const channel of [1, 2, 3]) forgetProbe(channel);
  setNextWindows(new Map());
  open.close();
});

const view = (): PotsView => {
  const loaded = loadPots(open.db, NOW);
  if (!loaded.ok) throw new Error(loaded.error.message);
  return loaded.value;
};
const live = (id: string, nowMs = NOW): LivePot => {
  const pot = livePots(open.db, nowMs).find((p) => p.id === id);
  if (!pot) throw new Error(id);
  return pot;
};
/** A probe that told the same every two seconds for a minute. */
const tells = (channel: number, tempC: number): void => {
  for (let s = 60; s >= 0; s -= 2) heardHeat(channel, { atMs: NOW - s * 1000, tempC });
};

describe('the pots of the studio', () => {
  it('are put up switched off on the first free channel, as far as there are channels', () => {
    const made = addPot(open.db, { productId: 'soft', waxG: 400, sensor: 'none' });
    expect(made).toMatchObject({ ok: true, value: { channel: 4 } });
    expect(view().pots.find((p) => p.channel === 4)).toMatchObject({ productId: 'soft', setC: null, tempC: null });
    for (let k = 5; k <= MOST_CHANNELS; k++) addPot(open.db, { productId: 'soft', waxG: 400, sensor: 'none' });
    expect(view().pots).toHaveLength(MOST_CHANNELS);
    expect(addPot(open.db, { productId: 'soft', waxG: 400, sensor: 'none' }).ok).toBe(false);
  });
  it('hold a product of the shelf only', () => {
    expect(addPot(open.db, { productId: 'honey', waxG: 400, sensor: 'none' })).toMatchObject({
      ok: false,
      error: { code: 'refused' },
    });
  });
  it('are put away with what was noted of them kept, and their channel is free again', () => {
    notePot(open.db, 'pot-1', { kind: 'measured', tempC: 57 }, BY);
    const { version } = view().pots.find((p) => p.id === 'pot-1') ?? { version: 0 };
    const away = { version, waxG: 310, sensor: 'none', active: false } as const;
    expect(changePot(open.db, 'pot-1', { ...away, version: version + 1 })).toMatchObject({ error: { code: 'stale' } });
    expect(changePot(open.db, 'pot-1', away).ok).toBe(true);
    expect(view().pots.map((p) => p.id)).toEqual(['pot-2', 'pot-3']);
    expect(view().notes[0]).toMatchObject({ pot: 'Film hard wax, beads', kind: 'measured', tempC: 57, person: 'Ines' });
    expect(addPot(open.db, { productId: 'soft', waxG: 400, sensor: 'none' })).toMatchObject({ value: { channel: 1 } });
    expect(notePot(open.db, 'pot-1', { kind: 'measured', tempC: 57 }, BY)).toMatchObject({
      error: { code: 'not-found' },
    });
  });
  it('go by the hand where no probe tells, until the thermostat is set anew', () => {
    notePot(open.db, 'pot-1', { kind: 'measured', tempC: 56.5 }, BY);
    expect(live('pot-1')).toMatchObject({ tempC: 56.5, from: 'hand', setC: 57 });
    notePot(open.db, 'pot-1', { kind: 'set', tempC: 62 }, { ...BY, atMs: NOW + 1 });
    expect(live('pot-1', NOW + 2)).toMatchObject({ tempC: null, from: null, setC: 62 });
    notePot(open.db, 'pot-1', { kind: 'set', tempC: null }, { ...BY, atMs: NOW + 3 });
    expect(live('pot-1', NOW + 4).setC).toBeNull();
  });
  it('keep what was noted for good', () => {
    notePot(open.db, 'pot-1', { kind: 'measured', tempC: 57 }, BY);
    expect(() => open.db.run('delete from pot_notes')).toThrow();
    expect(() => open.db.run('update pot_notes set temp_c = 50')).toThrow();
    expect(() => insertPotNote(open.db, { potId: 'pot-1', kind: 'measured', tempC: null, ...BY })).toThrow();
    expect(notePot(open.db, 'pot-1', { kind: 'measured', tempC: null }, BY).ok).toBe(false);
  });
  it('have faults to try only where the sensor is the simulated one', () => {
    expect(simulatedChannel(open.db, 'pot-2')).toMatchObject({ value: { channel: 2 } });
    const pot = view().pots.find((p) => p.id === 'pot-2');
    changePot(open.db, 'pot-2', { version: pot?.version ?? 0, waxG: 400, sensor: 'none', active: true });
    expect(simulatedChannel(open.db, 'pot-2').ok).toBe(false);
  });
});

describe('what a probe tells', () => {
  it('is the heat of its pot, compared with the window of the visit that is next', () => {
    tells(1, 63);
    setNextWindows(new Map([['film-hard', { minC: 55, targetC: 57, maxC: 60, startsAtMs: NOW + 60_000 }]]));
    expect(live('pot-1')).toMatchObject({
      tempC: 63,
      from: 'probe',
      isSimulated: true,
      way: 'steady',
      isOverSet: true,
    });
    expect(live('pot-1').next).toEqual({ startsAtMs: NOW + 60_000, minC: 55, maxC: 60, at: 'over' });
    expect(live('pot-2')).toMatchObject({ tempC: null, next: null });
  });
  it('counts for nothing once it has fallen silent', () => {
    tells(1, 57);
    expect(live('pot-1', NOW + 60_000)).toMatchObject({ tempC: null, isSilent: true });
  });
  it('is written down once a minute', () => {
    tells(1, 57);
    keepHeats(open.db, NOW);
    expect(lastPotHeat(open.db, 'pot-1')).toMatchObject({ atMs: NOW, tempC: 57 });
    heardHeat(1, { atMs: NOW + 10_000, tempC: 58 });
    keepHeats(open.db, NOW + 10_000);
    expect(lastPotHeat(open.db, 'pot-1')?.atMs).toBe(NOW);
    heardHeat(1, { atMs: NOW + 61_000, tempC: 58 });
    keepHeats(open.db, NOW + 61_000);
    expect(lastPotHeat(open.db, 'pot-1')).toMatchObject({ atMs: NOW + 61_000, tempC: 58 });
  });
  it('is told to the pages when it shows, and now and then; no page is given it as something that it missed', () => {
    const told: number[] = [];
    const deaf = listen(({ event }) => {
      if (event.kind === 'pots') told.push(event.pots[0]?.tempC ?? 0);
    });
    const cursor = cursorOf(lastSeq());
    tells(1, 57);
    tellPots(open.db, NOW);
    tellPots(open.db, NOW + 1000);
    expect(told).toEqual([57]);
    heardHeat(1, { atMs: NOW + 2000, tempC: 57.9 });
    tellPots(open.db, NOW + 2000);
    expect(told).toEqual([57, 57.9]);
    heardHeat(1, { atMs: NOW + 30_000, tempC: 57.9 });
    tellPots(open.db, NOW + 30_000);
    expect(told).toHaveLength(3);
    deaf();
    expect(toldAfter(cursor)).toEqual([]);
  });
});

describe('nextPots', () => {
  it('is the window in the pot of the first visit that is open or ahead, by product', () => {
    const made = openVisit(open.db, { bookingId: 'demo-booking-ottilie' }, NOW);
    // nothing is planned for the pots' sake
    expect(nextPots(open.db, NOW).size).toBe(0);
    expect(made.ok && loadBench(open.db, made.value.visitId, NOW).ok).toBe(true);
    const film = nextPots(open.db, NOW).get('film-hard');
    expect(film).toBeDefined();
    // the pot is warmer than the stick at touch, and the window is a few degrees wide (trade: 50–60 °C for film)
    expect(film?.minC).toBeGreaterThan(48);
    expect(film?.maxC).toBeLessThan(68);
    expect(film?.maxC).toBeGreaterThan((film?.minC ?? 0) + 1);
    // 09:15 in the demo studio's London summer
    expect(film?.startsAtMs).toBe(Date.UTC(2027, 4, 8, 8, 15));
  });
  it('stays with the first visit where a later one wants the same pot otherwise', () => {
    const plans = (id: string): number => {
      const made = openVisit(open.db, { bookingId: `demo-booking-${id}` }, NOW);
      if (!made.ok) throw new Error(id);
      const bench = loadBench(open.db, made.value.visitId, NOW);
      if (!bench.ok || bench.value.plan === null) throw new Error(id);
      return [...potWindows(bench.value.plan).keys()].filter((p) => p === 'film-hard').length;
    };
    const wanting = ['corwin', 'marit', 'teodora', 'jory', 'anselm'].filter((id) => plans(id) > 0);
    expect(wanting.length).toBeGreaterThan(0);
    const later = nextPots(open.db, NOW).get('film-hard');
    expect(plans('ottilie')).toBe(1);
    expect(nextPots(open.db, NOW).get('film-hard')?.startsAtMs).toBe(Date.UTC(2027, 4, 8, 8, 15));
    expect(later?.startsAtMs).toBeGreaterThan(Date.UTC(2027, 4, 8, 8, 15));
  });
  it('looks at no visit of another hour once the day is over', () => {
    expect(nextPots(open.db, NOW + 15 * 3_600_000).size).toBe(0);
  });
});

describe('what is in a pot', () => {
  const film = () => {
    const pot = view().pots.find((p) => p.productId === 'film-hard');
    if (!pot) throw new Error('no film wax');
    return pot;
  };
  it('is as weighed, more by what is added, and never more than a pot holds', () => {
    const { id, waxG } = film();
    expect(notePot(open.db, id, { kind: 'added', grams: 100 }, BY).ok).toBe(true);
    expect(film().waxG).toBe(waxG + 100);
    expect(notePot(open.db, id, { kind: 'weighed', grams: 385 }, BY).ok).toBe(true);
    expect(film().waxG).toBe(385);
    expect(notePot(open.db, id, { kind: 'added', grams: 4900 }, BY).ok).toBe(false);
    expect(film().waxG).toBe(385);
  });
  it('is counted down by a visit, by the share of its strips that were laid, and once', () => {
    const { waxG, id } = film();
    const made = openVisit(open.db, { bookingId: 'demo-booking-ottilie' }, NOW);
    const loaded = made.ok ? loadBench(open.db, made.value.visitId, NOW) : made;
    if (!loaded.ok) throw new Error('no visit');
    const { plan, visit } = loaded.value;
    const needs = plan.materials.find((m) => m.item === 'film-hard')?.amount ?? 0;
    expect(needs).toBeGreaterThan(10);
    const strips = plan.zones.flatMap((z) => z.strips.map((s) => s.id));
    const laid = (n: number) =>
      strips.slice(0, n).map((strip, i) => ({ id: `e${i}`, atMs: NOW, kind: 'laid' as const, strip }));
    const use = { visitId: visit.id, plan, atMs: NOW, personId: 'ines' };
    countUse(open.db, { ...use, journal: [] });
    expect(film().waxG).toBe(waxG);
    countUse(open.db, { ...use, journal: laid(strips.length) });
    expect(film().waxG).toBe(waxG - Math.round(needs));
    const half = Math.floor(strips.length / 2);
    countUse(open.db, { ...use, journal: laid(half) });
    expect(film().waxG).toBe(waxG - Math.round(needs) - Math.round((needs * half) / strips.length));
    const [note] = view().notes;
    expect(note).toMatchObject({ kind: 'used', pot: expect.stringMatching(/^Film/) as string });
    // mass: what is in it and what was used is what was in it
    const used = view().notes.filter((n) => n.kind === 'used');
    expect(film().waxG + used.reduce((s, n) => s + (n.grams ?? 0), 0)).toBe(waxG);
    expect(id).toBe(film().id);
  });
  it('hears of wrist tests that were passed at the table', () => {
    const wrist = (id: string, product: string, tempC: number, atMs: number) =>
      ({ id, atMs, kind: 'wrist', product, pot: { tempC, from: 'hand' } }) as const;
    const journal = [
      wrist('a', 'film-hard', 58, NOW - 5000),
      wrist('b', 'soft', 44, NOW - 4000),
      wrist('c', 'film-hard', 57, NOW - 3000),
      { id: 'u', atMs: NOW - 2000, kind: 'undo', undoes: 'c' } as const,
    ];
    noteWrists(open.db, { visitId: 'v', journal, personId: 'ines' });
    const felt = view().notes.filter((n) => n.kind === 'wrist' && n.atMs >= NOW - 5000);
    // what was undone, and what stands in no pot, is not in it
    expect(felt.map((n) => [n.pot, n.felt, n.tempC])).toEqual([['Film hard wax, beads', 'right', 58]]);
  });
  it('as on the last day on which it felt right: where it stood then; not of today', () => {
    const { id, asOn } = film();
    expect(asOn).toMatchObject({ setC: 57, tempC: 56 });
    expect(notePot(open.db, id, { kind: 'set', tempC: 61 }, BY).ok).toBe(true);
    expect(notePot(open.db, id, { kind: 'wrist', felt: 'right' }, BY).ok).toBe(true);
    expect(film().asOn).toEqual(asOn);
    const tomorrow = loadPots(open.db, NOW + 86_400_000);
    const later = tomorrow.ok ? tomorrow.value.pots.find((p) => p.id === id)?.asOn : null;
    expect(later).toMatchObject({ on: '2027-05-08', setC: 61 });
  });
});
