import { describe, expect, it } from 'vitest';
import type { Family } from '@/core/anatomy';
import type { Way } from '@/core/products';
import { clothAsk, layWords, type Laying, type LayWords } from './layWords';

// What is said at each lay: common practice, no source.
const towards: Laying['towards'] = ([, y]) => (y > 0 ? 'towards the foot' : 'towards the knee');
const laying = (
  family: Family,
  way: Way,
  more: { coats?: 1 | 2; coat?: 1 | 2; spreadWith?: string; face?: boolean } = {},
): Laying => ({
  zone: {
    zone: more.face ? 'upper-lip' : 'lower-leg-front',
    choice: { product: 'p', family, way, coats: more.coats ?? 1, passes: 1, because: [] },
  },
  strip: { number: 3, lay: [0, way === 'crossed' ? -1 : 1], thicknessMm: 2, spreadWith: more.spreadWith ?? null },
  coat: more.coat ?? 1,
  towards,
});
const whole = (w: LayWords): string => `${w.before}${w.way}${w.after}`;

describe('the words of a lay', () => {
  it('say both strokes of the crossed lay, each with its direction, and warn of the pressure', () => {
    const w = layWords(laying('hard', 'crossed'));
    expect(whole(w)).toBe(
      'Two strokes of the same wax. First against the growth with firm pressure, towards the knee; then drawn back with it, towards the foot, about 2 mm. Rim thicker than the middle.',
    );
    expect(w).toMatchObject({ ask: 'Some pressure now: tell the client.', say: '“some pressure now”' });
  });
  it('give each of two coats its own thickness', () => {
    const [first, second] = ([1, 2] as const).map((coat) =>
      whole(layWords(laying('hard', 'with', { coats: 2, coat }))),
    );
    expect(first).toBe('First coat: with the growth, towards the foot, about 1 mm. Rim thicker than the middle.');
    expect(second).toMatch(/^Second coat, over the first: with the growth, .* about 1 mm\./);
    expect(whole(layWords(laying('hard', 'with')))).toBe(
      'With the growth, towards the foot, about 2 mm. Rim thicker than the middle.',
    );
  });
  it('ask for a tab and a tapped stick where wax is its own strip, for a free end where a cloth is', () => {
    expect(layWords(laying('hard', 'against'))).toMatchObject({ before: 'Against the growth, ', button: 'Laid' });
    expect(layWords(laying('hard', 'with')).ask).toContain('tab');
    for (const under of [
      laying('soft', 'with'),
      laying('sugar', 'strip'),
      laying('soft', 'with', { spreadWith: 'A1' }),
    ]) {
      const w = layWords(under);
      expect(w.ask).toBe('A free end of the cloth to hold?');
      expect(`${whole(w)} ${w.ask} ${w.button}`).not.toMatch(/tab|stick/i);
      expect(whole(w)).toContain('cloth on');
    }
  });
  it('rub on the body and press on the face; sugar under cloth is smoothed down hard', () => {
    expect(whole(layWords(laying('soft', 'with')))).toContain('rubbed three times along the growth');
    expect(whole(layWords(laying('soft', 'with', { face: true })))).toContain('pressed only');
    expect(whole(layWords(laying('sugar', 'strip', { face: true })))).toContain('smoothed down hard along the growth');
    expect(clothAsk(laying('sugar', 'strip').zone.choice, true)).toContain('smoothed down hard');
    expect(clothAsk(laying('soft', 'with').zone.choice, true)).toContain('Press only');
    expect(clothAsk(laying('soft', 'with').zone.choice, false)).toContain('three times');
  });
  it('mould paste by hand against the growth, without cloth or tab', () => {
    const w = layWords(laying('sugar', 'moulded'));
    expect(w).toMatchObject({ title: 'Mould strip 3', button: 'Moulded', ask: 'Two or three strokes, pressed in.' });
    expect(whole(w)).not.toMatch(/cloth|tab/);
    expect(clothAsk(laying('sugar', 'moulded').zone.choice, false)).toContain('Flick');
  });
});
