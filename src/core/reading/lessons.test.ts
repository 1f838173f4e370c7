import { describe, expect, it } from 'vitest';
import { standingLessons, type ReadBefore } from './lessons';

const read = (on: string, more: Partial<ReadBefore['reading']> = {}, side: 'left' | 'right' = 'left'): ReadBefore => ({
  zone: 'underarm',
  side,
  on,
  reading: { note: '', left: 'none', leftKind: 'none', skin: 'pink', said: ['left', 'skin'], ...more },
});

describe('a standing lesson', () => {
  it('is what was remarked on three days of the same zone, whatever its capitals and stops', () => {
    const found = standingLessons([
      read('2027-01-02', { note: 'Press longer.' }),
      read('2027-02-02', { note: 'press  longer; calm after a minute' }),
      read('2027-03-02', { note: 'All fine. PRESS LONGER!' }),
    ]);
    expect(found).toEqual([{ zone: 'underarm', side: 'left', words: 'PRESS LONGER.', times: 3, lastOn: '2027-03-02' }]);
  });
  it('is none of two days, of three remarks on one day, or of two sides', () => {
    const note = 'press longer';
    expect(standingLessons([read('2027-01-02', { note }), read('2027-02-02', { note })])).toEqual([]);
    expect(standingLessons([1, 2, 3].map(() => read('2027-01-02', { note })))).toEqual([]);
    expect(
      standingLessons([
        read('2027-01-02', { note }),
        read('2027-02-02', { note }),
        read('2027-03-02', { note }, 'right'),
      ]),
    ).toEqual([]);
  });
  it('is also what was found three times and said, not what was preset', () => {
    const missed = { left: 'patch', leftKind: 'other-way', likes: [{ strip: 'A1', like: 'blunt' as const }] };
    const days = ['2027-01-02', '2027-02-02', '2027-03-02', '2027-04-02'];
    const found = standingLessons(days.map((on) => read(on, missed)));
    expect(found.map((l) => [l.words, l.times])).toEqual([
      ['Hair grows another way than charted.', 4],
      ['Hair breaks: slower, low, taut.', 4],
    ]);
    const unsaid = days.map((on) => read(on, { ...missed, likes: [], skin: 'red', said: [] }));
    expect(standingLessons(unsaid)).toEqual([]);
  });
});
