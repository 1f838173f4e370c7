import { describe, expect, it } from 'vitest';
import type { Family } from '@/core/anatomy';
import type { Way } from '@/core/products';
import { clothAsk, layWords, type Laying, type LayWords } from './layWords';

// What is said at each lay: common practice, no source.
const towards: Laying['towards'] = ([, y]) => (y > 0 ? 'to the foot' : 'to the knee');
const laying = (
  family: Family,
  way: Way,
  more: { coats?: 1 | 2; coat?: 1 | 2; spreadWith?: string; face?: boolean } = {},
): Laying => ({
  zone: {
    zone: more.face ? 'upper-lip' : 'lower-leg-front',
    choice: { product: 'p', family, way, coats: more.coats ?? 1, passes: 1, because: [] },
  },
  strip: {
    number: 3,
    pass: 1,
    lay: [0, way === 'crossed' ? -1 : 1],
    thicknessMm: 2,
    spreadWith: more.spreadWith ?? null,
  },
  coat: more.coat ?? 1,
  towards,
});
const whole = (w: LayWords): string => `${w.strong} ${w.more}`;

describe('the words of a lay', () => {
  it('tells sugar under cloth as two acts: spread, then the cloth smoothed down', () => {
    expect(layWords({ ...laying('sugar', 'strip'), part: 'spread' })).toMatchObject({
      word: 'SPREAD',
      button: 'Spread',
    });
    const cloth = layWords({ ...laying('sugar', 'strip'), part: 'cloth' });
    expect(cloth.word).toBe('CLOTH');
    // the trade smooths it down hard along the growth (common practice, no source)
    expect(cloth.more).toContain('Smoothed down hard');
  });
  it('say both strokes of the crossed lay, each with its direction, and warn of the pressure', () => {
    const w = layWords(laying('hard', 'crossed'));
    expect(w.strong).toBe('Pressed against the growth, to the knee; the same wax back, to the foot.');
    expect(w).toMatchObject({ word: 'LAY', say: 'Some pressure now.' });
  });
  it('give each of two coats its own thickness', () => {
    const [first, second] = ([1, 2] as const).map((coat) => layWords(laying('hard', 'with', { coats: 2, coat })));
    expect(first).toMatchObject({ word: 'LAY', more: 'First coat, about 1 mm; it rests, then the second.' });
    expect(second).toMatchObject({ word: 'COAT', more: 'Over the first. About 1 mm, thick tab. Tap the stick off.' });
    expect(whole(layWords(laying('hard', 'with')))).toBe(
      'With the growth, to the foot. About 2 mm, thick tab. Tap the stick off.',
    );
  });
  it('ask for a tab and a tapped stick where wax is its own strip, for a free end where a cloth is', () => {
    expect(layWords(laying('hard', 'against'))).toMatchObject({
      strong: 'Against the growth, to the foot.',
      button: 'Laid',
    });
    for (const under of [
      laying('soft', 'with'),
      laying('sugar', 'strip'),
      laying('soft', 'with', { spreadWith: 'A1' }),
    ]) {
      const w = layWords(under);
      expect(w.more).toMatch(/[Cc]loth on.*a free end/);
      expect(`${whole(w)} ${w.button}`).not.toMatch(/tab|stick/i);
    }
    expect(layWords(laying('soft', 'with', { spreadWith: 'A1' })).word).toBe('CLOTH');
  });
  it('rub on the body and press on the face; sugar under cloth is smoothed down hard', () => {
    expect(layWords(laying('soft', 'with')).more).toContain('rubbed three times');
    expect(layWords(laying('soft', 'with', { face: true })).more).toContain('pressed only');
    expect(layWords(laying('sugar', 'strip', { face: true })).more).toContain('smoothed down hard');
    expect(clothAsk(laying('sugar', 'strip').zone.choice, true)).toContain('smoothed down hard');
    expect(clothAsk(laying('soft', 'with').zone.choice, true)).toContain('Pressed only');
    expect(clothAsk(laying('soft', 'with').zone.choice, false)).toContain('three times');
  });
  it('mould paste by hand against the growth, without cloth or tab', () => {
    const w = layWords(laying('sugar', 'moulded'));
    expect(w).toMatchObject({ word: 'MOULD', button: 'Moulded' });
    expect(w.strong).toBe('Against the growth, to the foot.');
    expect(whole(w)).not.toMatch(/cloth|tab/);
    expect(clothAsk(laying('sugar', 'moulded').zone.choice, false)).toContain('Flick');
  });
});
