import { describe, expect, it } from 'vitest';
import type { TableEvent } from '../../core/hands';
import type { Reading } from '../db/schema';
import { readWords, tableWords } from './recordWords';

const preset: Reading = {
  v: 1,
  removedPct: 96,
  brokenPct: 2,
  left: 'none',
  leftKind: 'none',
  bleeding: 'none',
  skin: 'pink',
  tweezed: 0,
  heatFelt: 'right',
  note: '',
  said: [],
};

describe('the record of a reading', () => {
  it('says nothing that nobody said', () => {
    expect(readWords(preset)).toBe('not read.');
    expect(readWords({ ...preset, note: 'calm after a minute' })).toBe('not read. calm after a minute');
  });
  it('says what was said, and only that', () => {
    expect(readWords({ ...preset, left: 'few', said: ['left'] })).toBe('a few left.');
    expect(readWords({ ...preset, removedSaid: true, skin: 'red', said: ['skin'] })).toBe('96 % removed, skin red.');
  });
  it('of before it was kept what was said is told whole', () => {
    expect(readWords({ ...preset, said: undefined, removedSaid: true })).toBe(
      '96 % removed, 2 % broken, nothing left, 0 tweezed, skin pink, no bleeding, felt right.',
    );
    // a share that only followed from marks was never said
    expect(readWords({ ...preset, said: undefined })).not.toContain('removed');
  });
});

describe('the record of what was read by picture', () => {
  const pictured: Reading = {
    ...preset,
    likes: [
      { strip: 'A1', like: 'roots' },
      { strip: 'A2', like: 'roots' },
      { strip: 'A3', like: 'blunt' },
    ],
    hairs: [
      { at: [1, 1], way: [1, 0], kind: 'other-way' },
      { at: [1, 2], way: null, kind: null },
    ],
  };
  it('counts strips and hairs, and gives no share that nobody said', () => {
    const said = { ...pictured, left: 'few', removedPct: 99, removedSaid: true, said: ['left', 'broken'] } as const;
    expect(readWords(said)).toBe('2 hairs left, 1 growing another way, strips: 2 full of roots, 1 with blunt ends.');
  });
  it('tells what was left, combed and felt only where it was said', () => {
    const felt = { ...preset, leave: true, pain: 4, tried: ['cold-pack'], tweezedMin: 3, combed: [] } as const;
    expect(readWords(felt)).toBe('the rest left for next time, tweezed for 3 min, pain 4 of 10, tried a cold pack.');
  });
});

describe('the record of the table', () => {
  const event = (kind: TableEvent['kind'], more: Partial<TableEvent> = {}): TableEvent => ({
    id: Math.random().toString(),
    atMs: 0,
    kind,
    ...more,
  });
  it('tells what was left out, what came off early, what was stopped and seen', () => {
    expect(
      tableWords([
        event('step', { step: 'alerts' }),
        event('step', { step: 'cleanse@0', skipped: true }),
        event('pulled', { strip: 'A1', earlyS: 12 }),
        event('pulled', { strip: 'A2', earlyS: 3 }),
        event('stop'),
        event('aid', { step: 'blister' }),
        event('aid', { step: 'blister' }),
        event('aid', { step: 'water-off' }),
      ]),
    ).toEqual([
      'Left out at the table: cleansing.',
      'Pulled before the window: 2, up to 12 s early.',
      'The work was stopped. Noted: blister.',
    ]);
  });
  it('tells how warm the pot was at the wrist test, by whom, and loads that were taken over the window', () => {
    const pot = (tempC: number, from: 'simulated' | 'hand') => ({ pot: { tempC, from } });
    expect(
      tableWords([
        event('wrist', { product: 'film-hard', atMs: 8.25 * 3_600_000, ...pot(56.4, 'simulated') }),
        event('laid', { strip: 'A1' }),
        event('laid', { strip: 'A2', ...pot(62, 'hand') }),
        event('laid', { strip: 'A3', ...pot(63.6, 'hand') }),
      ]),
    ).toEqual([
      'Wrist tests: film hard 08:15 (pot 56 °C by the simulated sensor).',
      'Laid from a pot over its window: 2 (pot 64 °C measured by hand).',
    ]);
  });
  it('tells nothing of what was taken back, nor where all went as planned', () => {
    const skipped = event('step', { step: 'hands', skipped: true });
    expect(tableWords([skipped, event('undo', { undoes: skipped.id })])).toEqual([]);
    expect(tableWords([event('wrist', { product: 'film-hard' }), event('pulled', { strip: 'A1' })])).toEqual([]);
  });
});
