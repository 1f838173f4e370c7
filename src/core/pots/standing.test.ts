import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  HAND_HOLDS_MS,
  inWindow,
  isOverSet,
  loadWarning,
  potStanding,
  SILENT_AFTER_MS,
  wayOf,
  windowInPot,
  type PotSample,
} from './standing';

const NOW = 1_795_980_000_000;
/** Every two seconds for some minutes, at so many K a minute, ending now. */
const told = (endC: number, kMin: number, minutes = 3, endMs = NOW): PotSample[] =>
  Array.from({ length: minutes * 30 + 1 }, (_, i) => {
    const agoMs = (minutes * 30 - i) * 2000;
    return { atMs: endMs - agoMs, tempC: endC - (kMin * agoMs) / 60_000 };
  });
const WINDOW = { minC: 55, targetC: 57, maxC: 60 };

describe('which way a pot goes', () => {
  it('is told by its slope, through the noise of a probe', () => {
    expect(wayOf(told(57, 1), NOW)).toBe('rising');
    expect(wayOf(told(57, -0.5), NOW)).toBe('falling');
    const noisy = told(57, 0).map((s, i) => ({ ...s, tempC: s.tempC + (i % 2 === 0 ? 0.1 : -0.1) }));
    expect(wayOf(noisy, NOW)).toBe('steady');
  });
  it('is not told from a few seconds, nor from what was told long ago', () => {
    expect(wayOf(told(57, 5, 3).slice(-5), NOW)).toBeNull();
    expect(wayOf(told(57, 5, 3, NOW - 10 * 60_000), NOW)).toBeNull();
  });
});

describe('potStanding', () => {
  it('goes by the probe while it tells, and by the hand when it has fallen silent', () => {
    const hand = { atMs: NOW - 60_000, tempC: 57.5 };
    expect(potStanding({ probe: told(57, 0), hand }, NOW)).toMatchObject({ tempC: 57, from: 'probe', isSilent: false });
    const silent = potStanding({ probe: told(57, 0, 3, NOW - SILENT_AFTER_MS - 1), hand }, NOW);
    expect(silent).toMatchObject({ tempC: 57.5, from: 'hand', isSilent: true, way: null });
  });
  it('knows nothing where nothing was measured, or too long ago', () => {
    const nothing = { tempC: null, from: null, isSilent: false };
    expect(potStanding({ probe: [], hand: null }, NOW)).toMatchObject(nothing);
    const old = { atMs: NOW - HAND_HOLDS_MS - 1, tempC: 57 };
    expect(potStanding({ probe: [], hand: old }, NOW)).toMatchObject(nothing);
    expect(potStanding({ probe: [], hand: { ...old, atMs: old.atMs + 1 } }, NOW).tempC).toBe(57);
  });
  it('takes the warmer where probe and hand disagree, as a probe that drifts down would hide what burns', () => {
    // the probe told 52 when the hand measured 57; now it tells 53
    const probe = told(53, 1, 2).map((s) => ({ ...s, tempC: s.atMs < NOW - 30_000 ? 52 : 53 }));
    const drifted = potStanding({ probe, hand: { atMs: NOW - 60_000, tempC: 57 } }, NOW);
    expect(drifted).toMatchObject({ apartK: -5, tempC: 58, from: 'probe' });
    // a probe that tells too much is not corrected down
    const warm = potStanding({ probe: told(62, 0), hand: { atMs: NOW - 60_000, tempC: 57 } }, NOW);
    expect(warm).toMatchObject({ apartK: 5, tempC: 62 });
    // two degrees are within what a kitchen thermometer is good for
    expect(potStanding({ probe: told(57, 0), hand: { atMs: NOW - 60_000, tempC: 55 } }, NOW).apartK).toBeNull();
  });
  it('remembers how far a probe is off for as long as the hand holds, also when the thermostat is set meanwhile', () => {
    // a quarter of an hour ago the probe told 52 when the hand measured 57; it was set warmer since
    const agoMs = 15 * 60_000;
    const probe = [{ atMs: NOW - agoMs, tempC: 52 }, ...told(56, 0)];
    const drifted = potStanding({ probe, hand: { atMs: NOW - agoMs, tempC: 57 }, setAtMs: NOW - 60_000 }, NOW);
    expect(drifted).toMatchObject({ tempC: 61, apartK: -5 });
    // the measure itself says nothing any more where no probe tells
    const alone = potStanding({ probe: [], hand: { atMs: NOW - agoMs, tempC: 57 }, setAtMs: NOW - 60_000 }, NOW);
    expect(alone.tempC).toBeNull();
  });
  it('never goes by less than the probe or a fresh hand told at the same time (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 90, noNaN: true }),
        fc.double({ min: 20, max: 90, noNaN: true }),
        (p, h) => {
          const { tempC } = potStanding({ probe: told(p, 0), hand: { atMs: NOW - 10_000, tempC: h } }, NOW);
          expect(tempC).not.toBeNull();
          // the span that a thermometer is good for is no disagreement
          expect(tempC ?? 0).toBeGreaterThanOrEqual(Math.max(p, h - 2.5) - 1e-9);
        },
      ),
      { seed: 29 },
    );
  });
});

describe('the window in the pot', () => {
  it('is the window of the stick, warmer by what the stick loses on its way', () => {
    expect(windowInPot({ min: 52, target: 54, max: 57 }, 56.5)).toEqual({ minC: 54.5, targetC: 56.5, maxC: 59.5 });
  });
  it('has its ends in it, in the whole degrees that the screens say: no pot of 60° is over 60°', () => {
    expect([54.4, 54.5, 60.4, 60.6].map((c) => inWindow(c, WINDOW))).toEqual(['under', 'in', 'in', 'over']);
    expect(inWindow(60.2, { minC: 54.6, maxC: 59.6 })).toBe('in');
  });
});

describe('loadWarning', () => {
  const at = (tempC: number | null, more = {}) => ({ tempC, isSilent: false, apartK: null, ...more });
  it('is none of a pot in its window', () => expect(loadWarning(at(57), WINDOW)).toBeNull());
  it('names the heat and the end that it is beyond', () => {
    expect(loadWarning(at(63), WINDOW)).toEqual({ kind: 'over', tempC: 63, limitC: 60 });
    expect(loadWarning(at(50), WINDOW)).toEqual({ kind: 'under', tempC: 50, limitC: 55 });
  });
  it('too warm comes before a disagreement; a silent probe is named where nothing else is known', () => {
    expect(loadWarning(at(63, { apartK: 4 }), WINDOW)?.kind).toBe('over');
    expect(loadWarning(at(57, { apartK: 4 }), WINDOW)?.kind).toBe('apart');
    expect(loadWarning(at(null, { isSilent: true }), WINDOW)?.kind).toBe('silent');
    expect(loadWarning(at(57, { isSilent: true }), WINDOW)).toBeNull();
    expect(loadWarning(at(null), WINDOW)).toBeNull();
  });
});

describe('isOverSet', () => {
  const standing = (tempC: number, kMin: number) => potStanding({ probe: told(tempC, kMin), hand: null }, NOW);
  const isOver = (of: ReturnType<typeof standing>, setC: number | null, setAgoMs = 3_600_000) =>
    isOverSet(of, { setC, setAtMs: NOW - setAgoMs }, NOW);
  it('is a pot warmer than set by more than a thermostat plays, unless it comes down', () => {
    expect(isOver(standing(62, 0.5), 57)).toBe(true);
    expect(isOver(standing(59, 0.5), 57)).toBe(false);
    expect(isOver(standing(62, -0.5), 57)).toBe(false);
    expect(isOver(standing(62, 0.5), null)).toBe(false);
  });
  it('is none that was set lower just now: it has to come down first', () => {
    expect(isOver(standing(62, 0), 57, 60_000)).toBe(false);
    expect(isOver(standing(62, 0), 57, 6 * 60_000)).toBe(true);
  });
});
