import { describe, expect, it } from 'vitest';
import { trialsIn, trialWords, type TrialSide } from './trials';

const side = (more: Partial<TrialSide> & { readonly zone?: 'underarm' | 'forearm' } = {}) => ({
  zone: 'underarm' as const,
  side: 'left' as const,
  product: 'film-hard',
  way: 'with',
  pain: null,
  skin: null,
  left: null,
  minutes: null,
  ...more,
});

describe('a trial side by side', () => {
  it('is a zone whose sides were worked with two products, or in two ways', () => {
    const found = trialsIn('2027-05-08', [side(), side({ side: 'right', product: 'sugar-firm' })]);
    expect(found.map((t) => [t.zone, ...t.sides.map((s) => s.product)])).toEqual([
      ['underarm', 'film-hard', 'sugar-firm'],
    ]);
    expect(trialsIn('2027-05-08', [side(), side({ side: 'right', way: 'crossed' })])).toHaveLength(1);
  });
  it('is none where both sides were alike, where one was not worked, or of two zones', () => {
    expect(trialsIn('2027-05-08', [side(), side({ side: 'right' })])).toEqual([]);
    expect(trialsIn('2027-05-08', [side()])).toEqual([]);
    expect(trialsIn('2027-05-08', [side({ side: 'right' })])).toEqual([]);
    expect(trialsIn('2027-05-08', [side(), side({ zone: 'forearm', side: 'right', product: 'soft' })])).toEqual([]);
  });
  it('says of each side what was said, and that nothing was where nothing was', () => {
    const [trial] = trialsIn('2027-05-08', [
      side({ pain: 5, skin: 'pink', minutes: 9 }),
      side({ side: 'right', product: 'sugar-firm' }),
    ]);
    if (!trial) throw new Error('a trial');
    expect(trialWords(trial, (id) => id.replace('-', ' '))).toBe(
      '8 May 2027, underarm: left film hard: pain 5, skin pink, 9 min; right sugar firm: nothing said.',
    );
  });
});
