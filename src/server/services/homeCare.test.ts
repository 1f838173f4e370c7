import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { loadBench } from './bench';
import { careCard } from './careCard';
import { loadClientCard } from './clients';
import { closeVisit } from './closeVisit';
import { sayHomeCare, type HomeCareAct } from './homeCare';
import { openVisit } from './openVisit';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY_MS = 86_400_000;
let open: OpenDatabase;
let first: string;
const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};
const say = (visitId: string, act: HomeCareAct) => sayHomeCare(open.db, visitId, act);
const close = (visitId: string, atMs: number): void => {
  const { version } = value(loadBench(open.db, visitId, atMs)).visit;
  value(closeVisit(open.db, visitId, { version, next: null }, atMs));
};
const walkIn = (atMs: number): string =>
  value(
    openVisit(
      open.db,
      {
        clientId: 'ottilie',
        personId: 'ines',
        zones: [
          { zone: 'underarm', side: 'left' },
          { zone: 'underarm', side: 'right' },
        ],
      },
      atMs,
    ),
  ).visitId;
beforeEach(() => {
  open = demoStudio(NOW);
  first = value(openVisit(open.db, { bookingId: 'demo-booking-ottilie' }, NOW)).visitId;
});
afterEach(() => open.close());

describe('home care', () => {
  it('goes onto the card that is given, and is asked about at the next visit', () => {
    expect(value(say(first, { advised: ['scrub', 'moisturise'] })).advised).toEqual(['moisturise', 'scrub']);
    value(say(first, { advised: ['scrub', 'hands-off'] }));
    expect(value(careCard(open.db, first, NOW)).home).toEqual(['hands-off', 'scrub']);
    close(first, NOW);
    const second = walkIn(NOW + 30 * DAY_MS);
    const { since } = value(loadBench(open.db, second, NOW + 30 * DAY_MS)).homeCare;
    expect(since).toEqual({
      visitId: first,
      on: '2027-05-08',
      items: [
        { item: 'hands-off', kept: null },
        { item: 'scrub', kept: null },
      ],
    });
    value(say(second, { answer: { item: 'scrub', kept: 'not' } }));
    const card = value(loadClientCard(open.db, 'ottilie', NOW));
    expect(card.visits.find((v) => v.id === first)?.home).toBe('hands off; scrub, not kept');
    // taken back, nothing was said
    value(say(second, { answer: { item: 'scrub', kept: null } }));
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).visits.find((v) => v.id === first)?.home).toBe(
      'hands off; scrub',
    );
  });
  it('asks once: what was answered at one visit is neither asked nor changed at a later one', () => {
    value(say(first, { advised: ['scrub', 'sun'] }));
    close(first, NOW);
    const second = walkIn(NOW + 30 * DAY_MS);
    value(say(second, { answer: { item: 'scrub', kept: 'kept' } }));
    close(second, NOW + 30 * DAY_MS);
    const third = walkIn(NOW + 60 * DAY_MS);
    const { since } = value(loadBench(open.db, third, NOW + 60 * DAY_MS)).homeCare;
    expect(since?.items).toEqual([{ item: 'sun', kept: null }]);
    expect(say(third, { answer: { item: 'scrub', kept: 'not' } }).ok).toBe(false);
  });
  it('refuses what was not advised, and what comes after the visit was closed', () => {
    expect(say(first, { answer: { item: 'scrub', kept: 'kept' } }).ok).toBe(false);
    close(first, NOW);
    expect(say(first, { advised: ['scrub'] }).ok).toBe(false);
    expect(say('nobody', { advised: [] }).ok).toBe(false);
  });
});
