import { describe, expect, it } from 'vitest';
import { careList } from './careList';
import { returnDate } from './returnDate';

describe('returnDate', () => {
  const a = { label: 'left underarm', fromOn: '2027-06-12', toOn: '2027-06-29' };
  const b = { label: 'upper lip', fromOn: '2027-06-06', toOn: '2027-06-20' };
  it('takes a day a little into the common window', () =>
    expect(returnDate([a, b], [])).toMatchObject({ on: '2027-06-15' }));
  it('keeps two days clear before an event and names it', () => {
    const moved = returnDate([a, b], [{ from: '2027-06-16', to: '2027-06-20', why: 'regatta' }]);
    expect(moved?.on).toBe('2027-06-14');
    expect(moved?.why).toContain('regatta');
  });
  it('takes the day with most zones ready where none suits all, and names the rest', () => {
    const late = { label: 'lower leg', fromOn: '2027-07-05', toOn: '2027-07-20' };
    const best = returnDate([a, b, late], []);
    expect(best && best.on <= '2027-06-20').toBe(true);
    expect(best?.why).toContain('lower leg');
    expect(returnDate([], [])).toBeNull();
  });
});

describe('careList', () => {
  it('asks for 7 days without acids before and for 12–24 h without deodorant after an underarm (common practice, no source)', () => {
    const list = careList(['underarm', 'upper-lip'], ['hard']);
    expect(list.find((c) => c.when === 'before' && c.text.includes('acids'))).toMatchObject({ fromH: 168 });
    expect(list.find((c) => c.text.includes('deodorant'))).toMatchObject({ zone: 'underarm', toH: 24 });
    expect(careList(['upper-lip'], ['hard']).some((c) => c.text.includes('deodorant'))).toBe(false);
    expect(careList([], [])).toEqual([]);
  });
});
