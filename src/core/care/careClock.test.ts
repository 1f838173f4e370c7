import { describe, expect, it } from 'vitest';
import { careAfter, careBefore } from './careClock';
import { careCatalogue } from './careTexts';

const hoursOf = (moments: readonly { hours: number; text: string }[], text: string): number | undefined =>
  moments.find((m) => m.text === text)?.hours;

describe('care by the clock (common practice, no source)', () => {
  const after = careAfter(['underarm', 'upper-lip'], ['hard']);
  it('counts deodorant and sport to a day, heat and sun to two, the scrub to the third', () => {
    expect(['deodorant', 'sport', 'heat', 'scrub'].map((t) => hoursOf(after, t))).toEqual([24, 24, 48, 72]);
  });
  it('is in the order of time, and speaks of what was worked only', () => {
    expect(after.map((m) => m.hours)).toEqual(after.map((m) => m.hours).toSorted((a, b) => a - b));
    const leg = careAfter(['lower-leg-front'], ['hard']).map((m) => m.text);
    expect(leg).not.toContain('deodorant');
    expect(leg).not.toContain('makeUp');
    expect(leg).not.toContain('washesOff');
    expect(careAfter(['lower-leg-front'], ['sugar']).map((m) => m.text)).toContain('washesOff');
    expect(careAfter([], [])).toEqual([]);
  });
  it('before a visit goes backwards: acids a week, the scrub two days, coffee the evening before', () => {
    expect(careBefore().map((m) => [m.text, m.hours])).toEqual([
      ['acids', -168],
      ['scrubBefore', -48],
      ['stimulants', -12],
      ['nothingOn', 0],
    ]);
  });
  it('has words for every moment', () => {
    const all = [...careAfter(['underarm', 'chin'], ['sugar']), ...careBefore()];
    expect(all.filter((m) => careCatalogue('en').care[m.text].length < 5)).toEqual([]);
    expect(all.length).toBeGreaterThan(10);
  });
});
