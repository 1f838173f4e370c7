import { describe, expect, it } from 'vitest';
import { isInside } from '../shared';
import { bodyRound } from './bodyRound';
import { ZONE_IDS } from './types';
import { sidesOf, ZONES } from './zones';

const all = ZONE_IDS.flatMap((zone) => sidesOf(ZONES[zone]).map((side) => ({ zone, side })));
const drawn = all.flatMap(({ zone, side }) => {
  const round = bodyRound(zone, side);
  return round ? [{ zone, side, round }] : [];
});

describe('the body round a zone', () => {
  it('is there for all but a few, and the middle of the sheet lies on it', () => {
    expect(drawn.length).toBeGreaterThan(all.length * 0.8);
    expect(bodyRound('brow', 'left')).toBeNull();
    const off = drawn.filter(({ round }) => !round.silhouette.some((ring) => isInside([ring], [0.5, 0.5])));
    // an ear stands out beside the head, the skin under the arm between arm and trunk
    expect(off.map((z) => z.zone).filter((z) => z !== 'ear' && z !== 'underarm')).toEqual([]);
  });
  it('goes on above and below: the shin has the knee over it and the foot under it', () => {
    const round = bodyRound('lower-leg-front', 'left');
    const spans = (round?.beside ?? []).map((ring) => ring.map((p) => p[1]));
    expect(spans.some((ys) => Math.max(...ys) < 0.15 && Math.max(...ys) > -0.2)).toBe(true);
    expect(spans.some((ys) => Math.min(...ys) > 0.85 && Math.min(...ys) < 1.2)).toBe(true);
  });
  it('is the mirror image on the other side, seen from the front and from behind', () => {
    for (const zone of ['lower-leg-front', 'thigh-back'] as const) {
      const [left, right] = [bodyRound(zone, 'left'), bodyRound(zone, 'right')];
      const wide = (r: typeof left): number => Math.max(...(r?.silhouette ?? []).flat().map((p) => p[0]));
      const narrow = (r: typeof left): number => Math.min(...(r?.silhouette ?? []).flat().map((p) => p[0]));
      expect(wide(left)).toBeCloseTo(1 - narrow(right), 6);
    }
  });
});
