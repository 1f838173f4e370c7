import { describe, expect, it } from 'vitest';
import { CARE_LANGUAGES, careCatalogue } from './careTexts';
import { HOME_CARE_IDS, homeCareFor, homeCareWords } from './homeCare';

// common practice, no source
describe('home care', () => {
  const usual = { zones: ['lower-leg-front'] as const, ingrownProne: false, skin: 'normal' as const, notKept: [] };

  it('names what this client needs first, with the reason', () => {
    const [first, second] = homeCareFor({ ...usual, ingrownProne: true });
    expect([first?.id, second?.id]).toEqual(['scrub', 'hands-off']);
    expect(first?.why).toBe('prone to ingrown hair');
    expect(homeCareFor({ ...usual, skin: 'dry' })[0]).toMatchObject({ id: 'moisturise', why: 'dry skin' });
    expect(homeCareFor({ ...usual, zones: ['bikini-edge'] })[0]).toMatchObject({ id: 'loose' });
  });

  it('puts what was not kept before all else', () => {
    const [first] = homeCareFor({ ...usual, ingrownProne: true, notKept: ['no-shaving'] });
    expect(first).toMatchObject({ id: 'no-shaving', why: 'not kept since last time' });
  });

  it('says nothing of clothes where only the face was worked, and everything else once', () => {
    const ids = homeCareFor({ ...usual, zones: ['upper-lip'] }).map((i) => i.id);
    expect(ids).not.toContain('loose');
    expect(new Set(ids).size).toBe(HOME_CARE_IDS.length - 1);
  });

  it('says in one line what was advised, and of what was not answered no more than that', () => {
    const line = homeCareWords([
      { item: 'scrub', kept: 'not' },
      { item: 'moisturise', kept: null },
      { item: 'sun', kept: 'kept' },
    ]);
    expect(line).toBe('scrub, not kept; moisturise; no sun, kept');
    expect(homeCareWords([])).toBe('');
  });

  it('has words for the client in every language that ships', () => {
    expect(CARE_LANGUAGES.map((l) => l.tag)).toContain('en');
    const missing = CARE_LANGUAGES.flatMap(({ tag }) =>
      HOME_CARE_IDS.filter((id) => careCatalogue(tag).home[id].length < 5),
    );
    expect(missing).toEqual([]);
    // a language that is not there yet falls back
    expect(careCatalogue('xx').name).toBe('English');
  });
});
