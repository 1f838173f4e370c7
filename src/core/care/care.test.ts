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
  it('takes the first or the last day of a window too, and none where all are blocked', () => {
    const block = (from: string, to: string) => ({ from, to, why: '' });
    const firstOnly = returnDate([a], [block('2027-06-14', '2027-07-30')]);
    expect(firstOnly).toEqual({
      on: '2027-06-12',
      why: 'Enough hair to hold on left underarm, a few days into the window. Kept clear of a blocked date.',
    });
    expect(returnDate([a], [block('2027-01-01', '2027-06-28')])?.on).toBe('2027-06-29');
    expect(returnDate([a], [block('2027-01-01', '2027-12-31')])).toBeNull();
  });
  it('says nothing of dates that were not in the way, and takes the earlier of two days that are as good', () => {
    const june = [{ from: '2027-06-29', to: '2027-06-29', why: 'regatta' }];
    expect(returnDate([a, b], june)).toEqual({
      on: '2027-06-15',
      why: 'Enough hair to hold on every zone, a few days into the window.',
    });
    // the 15th alone is taken: the 13th is kept clear before it, so the 12th and the 18th are as far away
    const middle = [{ from: '2027-06-14', to: '2027-06-17', why: 'guests' }];
    expect(returnDate([a], middle)?.on).toBe('2027-06-12');
  });
});

describe('careList', () => {
  it('asks for 7 days without acids before and for 12–24 h without deodorant after an underarm (common practice, no source)', () => {
    const list = careList(['underarm', 'upper-lip'], ['hard']);
    expect(list.find((c) => c.when === 'before' && c.text.includes('acids'))).toMatchObject({ fromH: 168 });
    expect(list.find((c) => c.text.includes('deodorant'))).toMatchObject({ zone: 'underarm', toH: 24 });
    expect(careList(['upper-lip'], ['hard']).some((c) => c.text.includes('deodorant'))).toBe(false);
    expect(careList([], [])).toEqual([]);
    // days before and after as the trade counts them (common practice, no source)
    const span = (words: string) => list.flatMap((c) => (c.text.includes(words) ? [c.fromH / 24, c.toH / 24] : []));
    expect(span('Exfoliate gently 1–2 days')).toEqual([2, 1]);
    expect(span('Moisturise daily; nothing')).toEqual([7, 1]);
    expect(span('bring hair about')).toEqual([28, 0]);
    expect(span('From day 2–3')).toEqual([2, 28]);
    expect(span('back to the start')).toEqual([0, 28]);
  });
  it('names the face for make-up, and what washes off for sugar only', () => {
    const of = (zone: 'upper-lip' | 'underarm', family: 'hard' | 'sugar') =>
      careList([zone], [family])
        .map((c) => c.text)
        .join(' ');
    expect(of('upper-lip', 'hard')).toContain('make-up');
    expect(of('underarm', 'hard')).not.toContain('make-up');
    expect(of('underarm', 'hard')).not.toContain('sticky');
    expect(careList(['underarm'], ['sugar']).at(-1)).toMatchObject({ when: 'after', toH: 4, zone: null });
  });
});
