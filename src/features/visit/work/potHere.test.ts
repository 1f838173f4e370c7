import { describe, expect, it } from 'vitest';
import type { Act } from '@/core/hands';
import type { LivePot } from '@/server/pots/livePot';
import { potHere, potSaid } from './potHere';
import type { FoundStrip } from './useTable';

const pot = (more: Partial<LivePot>): LivePot => ({
  id: 'p',
  productId: 'film-hard',
  name: 'Film hard wax',
  tempC: 57,
  from: 'probe',
  isSimulated: true,
  atMs: 0,
  way: 'steady',
  isSilent: false,
  apartK: null,
  setC: 57,
  isOverSet: false,
  next: null,
  ...more,
});
const strip = (more: object = {}) =>
  // only what is read of a strip and its zone: the stick loses 3 K on its way
  ({
    strip: { pass: 1, spreadWith: null, touchC: null, ...more },
    zone: {
      choice: { product: 'film-hard' },
      heat: { workingC: { min: 52, target: 54, max: 57 }, potC: 57 },
    },
  }) as unknown as FoundStrip;
const found = new Map([
  ['a', strip()],
  ['later', strip({ pass: 2, touchC: 50 })],
  ['patch', strip({ spreadWith: 'a' })],
]);
const lay = (id: string, part: 'spread' | 'cloth' | null = null): Act => ({
  kind: 'lay',
  strip: id,
  coat: 1,
  part,
  walk: false,
  pose: false,
  notBeforeMs: null,
  notAfterMs: null,
});
const here = (pots: readonly LivePot[], act: Act, isOld = false) => potHere({ pots, isOld }, act, found);

describe('the pot of the act in hand', () => {
  it('is warned of beyond the zone’s window in the pot, 55–60 °C', () => {
    expect([54, 57, 60, 61].map((tempC) => here([pot({ tempC })], lay('a'))?.warning?.kind ?? null)).toEqual([
      'under',
      null,
      null,
      'over',
    ]);
  });
  it('is wanted cooler for skin that was waxed', () => {
    expect(here([pot({})], lay('later'))?.warning).toMatchObject({ kind: 'over', limitC: 56 });
  });
  it('of several with one product is the warmest', () => {
    expect(here([pot({ tempC: 56 }), pot({ tempC: 64 })], lay('a'))?.tempC).toBe(64);
    expect(here([pot({ productId: 'soft', tempC: 64 })], lay('a'))).toBeNull();
  });
  it('that is silent is said, and writes no heat', () => {
    const silent = here([pot({ tempC: null, from: null, isSilent: true })], lay('a'));
    expect(silent?.warning).toEqual({ kind: 'silent' });
    expect(potSaid(silent)).toEqual({});
  });
  it('is none where nothing was heard for a while, nothing is known, or no wax is taken', () => {
    const hot = [pot({ tempC: 66 })];
    expect(here(hot, lay('a'), true)).toBeNull();
    expect(here([pot({ tempC: null, from: null })], lay('a'))).toBeNull();
    expect(here(hot, lay('a', 'cloth'))).toBeNull();
    expect(here(hot, lay('patch'))).toBeNull();
    expect(here(hot, { kind: 'held' })).toBeNull();
    expect(here(hot, lay('a', 'spread'))?.warning?.kind).toBe('over');
  });
  it('writes who said it', () => {
    expect(potSaid(here([pot({})], lay('a')))).toEqual({ pot: { tempC: 57, from: 'simulated' } });
    expect(potSaid(here([pot({ from: 'hand' })], lay('a')))).toEqual({ pot: { tempC: 57, from: 'hand' } });
  });
});
