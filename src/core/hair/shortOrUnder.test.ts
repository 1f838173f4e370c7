import { describe, expect, it } from 'vitest';
import { shortOrUnder, type ShortOrUnder } from './shortOrUnder';

const what = (r: ShortOrUnder): string => (r.kind === 'ask' ? `ask ${r.question.id}` : r.what);

describe('short or under the skin (common practice, no source)', () => {
  it.each<[Parameters<typeof shortOrUnder>[0], string]>([
    [{}, 'ask stands'],
    [{ stands: true }, 'ask long-enough'],
    [{ stands: true, 'long-enough': true }, 'plain'],
    [{ stands: true, 'long-enough': false }, 'short'],
    [{ stands: false }, 'ask lifts'],
    [{ stands: false, lifts: true }, 'ask long-enough'],
    [{ stands: false, lifts: true, 'long-enough': true }, 'flat'],
    [{ stands: false, lifts: true, 'long-enough': false }, 'short'],
    [{ stands: false, lifts: false }, 'ask skin-over'],
    [{ stands: false, lifts: false, 'skin-over': true }, 'under-skin'],
    [{ stands: false, lifts: false, 'skin-over': false }, 'short'],
  ])('%j → %s', (answers, expected) => expect(what(shortOrUnder(answers))).toBe(expected));
  it('is never called under the skin before fingertip and tweezers have tried to lift it', () => {
    for (const more of [
      { 'skin-over': true },
      { 'skin-over': true, stands: true },
      { 'skin-over': true, stands: false },
      { 'skin-over': true, stands: false, lifts: true, 'long-enough': true },
    ]) {
      expect(what(shortOrUnder(more))).not.toBe('under-skin');
    }
  });
  it('sets a flag only for what changes the work, and never says to dig', () => {
    const under = shortOrUnder({ stands: false, lifts: false, 'skin-over': true });
    expect(under).toMatchObject({ kind: 'found', flag: 'under-skin' });
    expect(under.kind === 'found' ? under.say : '').toMatch(/no digging/);
    expect(shortOrUnder({ stands: true, 'long-enough': false })).toMatchObject({ flag: null });
  });
});
