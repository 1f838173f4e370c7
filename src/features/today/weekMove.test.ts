import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { WeekBooking } from '@/server/services/week';
import { IDLE, moved, placeOf, type Column, type Move, type MoveEvent } from './weekMove';

const columns: readonly Column[] = ['2027-05-10', '2027-05-11'].flatMap((on) =>
  ['ines', 'bao'].map((personId) => ({ on, personId })),
);
const booking: WeekBooking = {
  id: 'b',
  clientId: 'c',
  clientName: 'Cato',
  what: 'legs',
  personId: 'ines',
  startsAtMs: 0,
  on: '2027-05-10',
  startMin: 600,
  minutes: 45,
  state: 'booked',
  table: null,
  version: 1,
};
const run = (events: readonly MoveEvent[], from: Move = IDLE): Move =>
  events.reduce((m: Move, e) => moved(columns, m, e), from);
const taken = { kind: 'taken', booking, by: 'keys' } as const;

describe('moving a booking', () => {
  it('carries it by keys over columns and quarters, held within the week and the day', () => {
    const at = (columnsOn: number, minutes: number) => run([taken, { kind: 'stepped', columns: columnsOn, minutes }]);
    expect(at(1, 15)).toMatchObject({ kind: 'held', at: { on: '2027-05-10', personId: 'bao', startMin: 615 } });
    expect(at(9, 0)).toMatchObject({ at: { on: '2027-05-11', personId: 'bao' } });
    expect(at(-9, -5000)).toMatchObject({ at: { on: '2027-05-10', personId: 'ines', startMin: 0 } });
  });
  it('sends nothing where it was put back, and all where it was not', () => {
    expect(run([taken, { kind: 'dropped' }])).toEqual(IDLE);
    const there = { ...placeOf(booking), startMin: 660 };
    expect(run([taken, { kind: 'carried', to: there }, { kind: 'dropped' }])).toMatchObject({
      kind: 'sending',
      at: there,
    });
  });
  it('where it clashes offers what is free, and takes that by one key; or goes on, or lets go', () => {
    const clash: MoveEvent = { kind: 'clashed', free: 730, why: '10:30 meets Joren’s visit.' };
    const refused = run([taken, { kind: 'stepped', columns: 0, minutes: 30 }, { kind: 'dropped' }, clash]);
    expect(refused).toMatchObject({ kind: 'refused', free: 730 });
    expect(run([{ kind: 'accepted' }], refused)).toMatchObject({ kind: 'sending', at: { startMin: 730 } });
    expect(run([{ kind: 'stepped', columns: 1, minutes: 0 }], refused)).toMatchObject({ kind: 'held' });
    expect(run([{ kind: 'letGo' }], refused)).toEqual(IDLE);
    const full = run([
      taken,
      { kind: 'stepped', columns: 0, minutes: 30 },
      { kind: 'dropped' },
      { ...clash, free: null },
    ]);
    expect(run([{ kind: 'accepted' }], full)).toBe(full);
  });
  it('never takes up what has begun, is over or was missed', () => {
    const states = ['open', 'done', 'missed'] as const;
    expect(states.map((state) => run([{ ...taken, booking: { ...booking, state } }]))).toEqual([IDLE, IDLE, IDLE]);
  });
  it('is never carried out of the week, whatever comes (property)', () => {
    const event: fc.Arbitrary<MoveEvent> = fc.oneof(
      fc.constant<MoveEvent>(taken),
      fc.record({
        kind: fc.constant('stepped' as const),
        columns: fc.integer({ min: -5, max: 5 }),
        minutes: fc.integer({ min: -900, max: 900 }),
      }),
      fc.constantFrom<MoveEvent>(
        { kind: 'dropped' },
        { kind: 'accepted' },
        { kind: 'letGo' },
        { kind: 'clashed', free: 700, why: '' },
      ),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (events) => {
        const move = run(events);
        if (move.kind === 'idle') return;
        expect(columns.some((c) => c.on === move.at.on && c.personId === move.at.personId)).toBe(true);
        expect(move.at.startMin).toBeGreaterThanOrEqual(0);
        expect(move.at.startMin).toBeLessThan(1440);
      }),
      { seed: 3 },
    );
  });
});
