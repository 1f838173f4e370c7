import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import { SHIPPED_PRODUCTS } from '../products';
import { usualRange } from './usualRange';

const house = { hardLay: 'with', sugarWay: undefined } as const;
const shortest = (
  family: 'hard' | 'soft' | 'sugar',
  zone: keyof typeof ZONES,
  schools: Parameters<typeof usualRange>[3] = house,
) => usualRange(family, ZONES[zone], SHIPPED_PRODUCTS, schools)?.shortestMm;

describe('from which length a family holds hair (shipped products; from memory)', () => {
  it('is the shortest of its products', () => {
    expect([shortest('hard', 'underarm'), shortest('soft', 'underarm'), shortest('sugar', 'underarm')]).toEqual([
      4, 6, 1.6,
    ]);
  });
  it('goes by the house’s way: sugar under cloth on lip and brow, by hand where the school says so', () => {
    // 3 mm under cloth, 1.6 mm by hand, fine facial hair held three quarters as short
    expect(shortest('sugar', 'upper-lip')).toBeCloseTo(2.25, 9);
    expect(shortest('sugar', 'brow')).toBeCloseTo(2.25, 9);
    expect(shortest('sugar', 'upper-lip', { ...house, sugarWay: 'hand' })).toBeCloseTo(1.2, 9);
    expect(shortest('sugar', 'underarm', { ...house, sugarWay: 'strip' })).toBeCloseTo(3, 9);
  });
  it('is none where the family is never used, or no product is stocked', () => {
    expect(usualRange('soft', ZONES.ear, SHIPPED_PRODUCTS, house)).toBeNull();
    expect(usualRange('hard', ZONES.underarm, [], house)).toBeNull();
  });
});
