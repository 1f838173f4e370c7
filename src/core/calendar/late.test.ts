import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { lateAnswer } from './late';

const zones = [
  { key: 'legs', minutes: 25 },
  { key: 'underarms', minutes: 12 },
  { key: 'lip', minutes: 6 },
];

describe('a client who comes late', () => {
  it('is done whole where it fits to the minute', () => {
    expect(lateAnswer({ startMin: 620, zones, fixedMin: 17, freeBy: 680 })).toEqual({
      endMin: 680,
      overMin: 0,
      drop: [],
    });
  });
  it('drops the least that is enough, worked by hand', () => {
    // one minute over: the lip's six are the least
    expect(lateAnswer({ startMin: 620, zones, fixedMin: 17, freeBy: 679 })).toMatchObject({
      overMin: 1,
      drop: ['lip'],
    });
    // 25 minutes of room: the legs alone keep more than underarms and lip (18)
    expect(lateAnswer({ startMin: 620, zones, fixedMin: 17, freeBy: 662 }).drop).toEqual(['underarms', 'lip']);
    // nothing fits
    expect(lateAnswer({ startMin: 620, zones, fixedMin: 17, freeBy: 630 }).drop).toEqual(['legs', 'underarms', 'lip']);
  });
  it('never keeps what does not fit, and never drops what would have fitted besides (property)', () => {
    const random = seededRandom(3);
    let dropped = 0;
    for (let k = 0; k < 300; k++) {
      const some = Array.from({ length: random.whole(1, 7) }, (_, i) => ({
        key: `z${i}`,
        minutes: random.whole(3, 40),
      }));
      const input = { startMin: 600, zones: some, fixedMin: 15, freeBy: 600 + random.whole(10, 150) };
      const { drop } = lateAnswer(input);
      const kept = some.filter((z) => !drop.includes(z.key));
      const end = 615 + kept.reduce((s, z) => s + z.minutes, 0);
      dropped += drop.length;
      if (kept.length > 0) expect(end).toBeLessThanOrEqual(input.freeBy);
      const fitting = some.filter((z) => drop.includes(z.key) && end + z.minutes <= input.freeBy);
      expect(fitting).toEqual([]);
    }
    expect(dropped).toBeGreaterThan(200);
  });
});
