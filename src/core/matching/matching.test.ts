import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import type { Hair } from '../hair';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import type { ZoneJudgement } from '../screening';
import { recaller } from '../shared';
import { costOf, costParts, SHIPPED_COUNTS } from './cost';
import { lengthRange, needsTrim, sugarWayFor } from './eligibility';
import type { MatchInput } from './matchInput';
import { matchZone } from './matchZone';
import { laterWindow } from './optionHeat';
import { SHIPPED_PREFERENCES } from './preferences';
import { brokenShare, leftShare, skinLoad as loadOf, type RemovalInput } from './removal';
import { choiceReasons, exclusionSentence, noChoiceReasons } from './sentences';
import type { Option, Schools } from './types';

const hair: Hair = { lengthMm: 8, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const schools: Schools = {
  hardLay: 'with',
  shortHair: 'crossed',
  maxHardPasses: 2,
  prep: 'powder',
  families: ['hard', 'soft', 'sugar'],
};
const free: ZoneJudgement = {
  outcome: 'go',
  familiesOut: [],
  allergensOut: [],
  lowerHeatK: 0,
  onePass: false,
  pressS: 0,
  smallStrips: false,
  nothingNew: false,
};
const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const usual: MatchInput = {
  on: '2027-05-14',
  zone: ZONES.underarm,
  hair,
  sensitivity: 3,
  skin: 'normal',
  ingrownProne: false,
  roomC: 22,
  schools,
  judgement: free,
  products: SHIPPED_PRODUCTS,
  hairAreaCm2: 90,
  hairsPerCm2: ZONES.underarm.hairsPerCm2,
  rateMmPerDay: 0.3,
  windows: recaller(500),
  heats: recaller(500),
  coats: recaller(500),
  stripFacts: () => ({ strips: 6, scheduleS: 120, massG: 20, meanAngleErrorDeg: 3 }),
};
const match = (more: Partial<MatchInput> = {}): readonly Option[] => matchZone({ ...usual, ...more }).options;
const removedShare = (input: RemovalInput, passes: number): number => 1 - leftShare(input, passes);
const skinLoad = (adhesion: number, ground: number, zone: Parameters<typeof loadOf>[1], sensitivity: number): number =>
  loadOf({ adhesion, ground, way: 'with' }, zone, sensitivity);
const option = (options: readonly Option[], id: string, way: string): Option => {
  const found = options.find((o) => o.product.id === id && o.way === way);
  if (!found) throw new Error(`${id}/${way}`);
  return found;
};
const codes = (more: Partial<MatchInput>, id: string, way: string): readonly string[] =>
  option(match(more), id, way).excludedBy;

describe('a further pass', () => {
  const much: Hair = { ...hair, lengthMm: 6, coarseness: 5 };
  const passesOf = (id: string, way: string, more: Partial<MatchInput> = {}): number =>
    option(match({ hair: much, ...more }), id, way).passes;
  it('is planned only where waxed skin leaves a working window (the cream’s is empty from sensitivity 4 on an underarm)', () => {
    expect(([3, 4, 5] as const).map((sensitivity) => passesOf('cream-hard', 'with', { sensitivity }))).toEqual([
      2, 1, 1,
    ]);
    expect(passesOf('film-hard', 'with', { sensitivity: 5 })).toBe(2);
  });
  it('is never a third on the face, of any product, nor a second where the screening allows one; the crossed lay counts as one', () => {
    const short: Hair = { ...much, lengthMm: 2.6, flags: ['flat'] };
    expect(passesOf('sugar-firm', 'moulded', { hair: short })).toBe(3);
    expect(passesOf('sugar-firm', 'moulded', { hair: short, zone: ZONES.chin })).toBe(2);
    expect(passesOf('sugar-firm', 'moulded', { judgement: { ...free, onePass: true } })).toBe(1);
    expect(passesOf('film-hard', 'crossed', { hair: { ...much, lengthMm: 4, flags: ['flat'] } })).toBe(2);
    expect(passesOf('soft', 'with')).toBe(1);
  });
  it('wherever an option has one, it has its heat', () => {
    const without = (Object.values(ZONES) as readonly (typeof ZONES.underarm)[]).flatMap((zone) =>
      [1, 3, 4, 5].flatMap((sensitivity) => {
        const input: MatchInput = { ...usual, zone, hair: much, sensitivity };
        return matchZone(input)
          .options.filter((o) => o.passes > 1 && laterWindow(input, o.product, o.manner, o.way).empty)
          .map((o) => `${zone.id} ${sensitivity} ${o.product.id} ${o.way}`);
      }),
    );
    expect(without).toEqual([]);
  });
});

describe('what rules an option out', () => {
  it('screening, allergy, zone, studio and school, each with its code', () => {
    expect(codes({ judgement: { ...free, familiesOut: ['soft'] } }, 'soft', 'with')).toEqual(['screening.family-out']);
    expect(codes({ judgement: { ...free, allergensOut: ['rosin'] } }, 'cream-hard', 'with')).toEqual(['allergy.rosin']);
    expect(codes({ judgement: { ...free, allergensOut: ['fragrance', 'honey'] } }, 'soft', 'with')).toEqual([
      'allergy.honey',
    ]);
    expect(codes({ zone: ZONES.ear }, 'soft', 'with')).toContain('zone.family-never');
    expect(codes({ schools: { ...schools, families: ['hard'] } }, 'soft', 'with')).toEqual(['studio.family']);
    expect(codes({}, 'film-hard', 'against')).toEqual(['school.hard-lay']);
    expect(codes({ schools: { ...schools, hardLay: 'against' } }, 'film-hard', 'against')).toEqual([]);
    expect(codes({}, 'film-hard', 'counter')).toEqual(['way.later-pass']);
    expect(codes({}, 'film-hard', 'crossed')).toEqual(['way.not-needed']);
    expect(
      codes({ schools: { ...schools, shortHair: 'none' }, hair: { ...hair, lengthMm: 4 } }, 'film-hard', 'crossed'),
    ).toContain('school.short-hair');
    expect(codes({}, 'sugar-firm', 'strip')).toContain('school.sugar-way');
  });
  it('lets the crossed lay in where the hair crosses, lies flat or stands in layers (common practice, no source)', () => {
    expect(codes({ crossingShare: 0.05 }, 'film-hard', 'crossed')).toEqual(['way.not-needed']);
    expect(codes({ crossingShare: 0.2 }, 'film-hard', 'crossed')).toEqual([]);
    for (const flag of ['flat', 'layers'] as const) {
      expect(codes({ hair: { ...hair, flags: [flag] } }, 'film-hard', 'crossed')).toEqual([]);
    }
    expect(codes({ hair: { ...hair, flags: ['under-skin'] } }, 'film-hard', 'crossed')).toEqual(['way.not-needed']);
  });
  it('plans another pass for hair in layers where one is allowed, and never a second of soft wax', () => {
    const easy = {
      hair: { ...hair, lengthMm: 9, coarseness: 1 },
      schools: { ...schools, families: ['hard', 'soft'] as const },
    };
    const layers = { hair: { ...easy.hair, flags: ['layers'] as const } };
    expect(option(match(easy), 'cream-hard', 'with').passes).toBe(1);
    expect(option(match(layers), 'cream-hard', 'with').passes).toBe(2);
    expect(option(match(layers), 'soft', 'with').passes).toBe(1);
    expect(option(match({ ...layers, judgement: { ...free, onePass: true } }), 'cream-hard', 'with').passes).toBe(1);
  });
  it('holds flat hair less, but not where the lay wraps it', () => {
    const share = (way: 'with' | 'crossed', flat: boolean): number =>
      removedShare(
        {
          product: product('film-hard'),
          way,
          coats: 1,
          hair: { ...hair, flags: flat ? ['flat'] : [] },
          shortestMm: 4,
          meanAngleErrorDeg: 3,
          roomC: 22,
        },
        1,
      );
    expect(share('with', true)).toBeLessThan(share('with', false));
    expect(share('crossed', true)).toBe(share('crossed', false));
  });
  it('hair too short for soft is not too short for sugar; the crossed lay holds shorter hair (common practice, no source)', () => {
    const short = { hair: { ...hair, lengthMm: 4 } };
    expect(codes(short, 'soft', 'with')).toEqual(['hair.too-short']);
    expect(codes(short, 'sugar-firm', 'moulded')).toEqual([]);
    expect(codes(short, 'film-hard', 'with')).toEqual(['hair.too-short']);
    expect(codes(short, 'film-hard', 'crossed')).toEqual([]);
    expect(option(match(short), 'soft', 'with').readyOn).toMatch(/^2027-05-/);
  });
  it('too long hair is trimmed, not refused', () => {
    expect(option(match({ hair: { ...hair, lengthMm: 18 } }), 'film-hard', 'with')).toMatchObject({
      eligible: true,
      trimFirst: true,
    });
    expect(needsTrim({ ...hair, lengthMm: 8 }, { shortestMm: 4, longestMm: 13 })).toBe(false);
  });
  it('a room too warm or too cool for a paste', () => {
    expect(codes({ roomC: 38 }, 'sugar-soft', 'moulded')).toContain('room.paste-too-slack');
    expect(codes({ roomC: 12 }, 'sugar-hard', 'moulded')).toContain('room.paste-too-stiff');
    expect(codes({}, 'sugar-firm', 'moulded')).toEqual([]);
  });
  it('no working heat where the label ends before it flows', () => {
    expect(codes({ schools: { ...schools, sugarWay: 'strip' } }, 'sugar-firm', 'strip')).toEqual(['heat.no-window']);
  });
  it('a way asked for by hand overrules the house, never the card', () => {
    expect(codes({ force: { product: 'film-hard', way: 'against' } }, 'film-hard', 'against')).toEqual([]);
    expect(
      codes(
        { force: { product: 'cream-hard', way: 'against' }, judgement: { ...free, allergensOut: ['rosin'] } },
        'cream-hard',
        'against',
      ),
    ).toEqual(['allergy.rosin']);
  });
  it('has a sentence for every code, with a number where one decided', () => {
    const film = option(match({ hair: { ...hair, lengthMm: 3 } }), 'film-hard', 'with');
    for (const code of [
      'zone.family-never',
      'screening.family-out',
      'allergy.rosin',
      'allergy.honey',
      'allergy.fragrance',
      'studio.family',
      'school.hard-lay',
      'school.short-hair',
      'school.sugar-way',
      'way.later-pass',
      'way.not-needed',
      'hair.too-short',
      'heat.no-window',
      'heat.never-ready',
      'room.paste-too-slack',
      'room.paste-too-stiff',
    ]) {
      const words = exclusionSentence(code, film);
      expect(words).not.toBe(code);
      expect(words.endsWith('.')).toBe(true);
    }
    expect(exclusionSentence('hair.too-short', film)).toMatch(/from 4 mm; \d+ % is long enough, 70 % is needed/);
  });
});

describe('how options are ranked', () => {
  it('the choice first, then what can be used by its cost, then the rest', () => {
    const options = match();
    const { options: ranked } = matchZone(usual);
    const rest = ranked.filter((o) => o.eligible).slice(1);
    const costs = rest.map((o) => 1000 * o.tier + o.cost);
    expect(costs.length).toBeGreaterThan(2);
    expect([...costs].sort((a, b) => a - b)).toEqual(costs);
    expect(options.slice(costs.length + 1).every((o) => !o.eligible)).toBe(true);
  });
  it('soft wax on very reactive skin comes after everything else', () => {
    const open = match({ sensitivity: 5, hair: { ...hair, coarseness: 1 } }).filter((o) => o.eligible);
    expect(open.at(-1)?.family).toBe('soft');
    expect(open.length).toBeGreaterThan(2);
  });
  it('passes: soft one, hard at most the house rule, one where the screening says so', () => {
    expect(option(match(), 'soft', 'with').passes).toBe(1);
    for (const o of match({ hair: { ...hair, coarseness: 5 } })) {
      if (o.family === 'hard') expect(o.passes).toBeLessThanOrEqual(2);
    }
    expect(match({ judgement: { ...free, onePass: true } }).every((o) => o.passes === 1)).toBe(true);
  });
  it('film wax on coarse hair goes on in two coats (common practice, no source)', () => {
    expect(option(match({ hair: { ...hair, coarseness: 4 } }), 'film-hard', 'with').coats).toBe(2);
    expect(option(match(), 'film-hard', 'with').coats).toBe(1);
    expect(option(match({ hair: { ...hair, coarseness: 5 } }), 'cream-hard', 'with').coats).toBe(1);
  });
  it('counts everything in minutes: the parts add up, more breakage costs four times on skin that grows hairs in', () => {
    const figures = { allMinutes: 5, skinLoad: 0.4, brokenShare: 0.06, staysShare: 0.02, tweezed: 20, costMinor: 150 };
    const parts = costParts(figures, { sensitivity: 3, ingrownProne: false });
    // engines.md §7.4: 8 min a whole load, .4 a percent broken, 4 a percent left, .05 a hair, .3 a unit of money
    const shown = Object.entries(parts).map(([name, value]) => [name, Math.round(1000 * value) / 1000]);
    expect(Object.fromEntries(shown)).toEqual({
      minutes: 5,
      load: 3.2,
      broken: 2.4,
      left: 8,
      tweezed: 1,
      material: 0.45,
    });
    expect(costOf(parts)).toBeCloseTo(20.05, 9);
    expect(costParts(figures, { sensitivity: 5, ingrownProne: true })).toMatchObject({
      load: 2 * parts.load,
      broken: 4 * parts.broken,
    });
    const most = { sensitivity: 3, ingrownProne: false };
    expect(costParts(figures, { ...most, matters: 'quickest' })).toMatchObject({ minutes: 15, load: parts.load });
    expect(costParts(figures, { ...most, counts: { ...SHIPPED_COUNTS, left: 0 } })).toMatchObject({
      left: 0,
      tweezed: parts.tweezed,
    });
  });
});

describe('removal and load', () => {
  const removal = (more: Partial<RemovalInput>): RemovalInput => ({
    product: product('film-hard'),
    way: 'with',
    coats: 1,
    hair,
    shortestMm: 4,
    meanAngleErrorDeg: 0,
    roomC: 22,
    ...more,
  });
  it('never remove more of shorter hair, nor less in another pass', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 15, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.constantFrom(...SHIPPED_PRODUCTS),
        (lengthMm, more, p) => {
          const at = (mm: number, passes = 1): number =>
            removedShare(removal({ product: p, hair: { ...hair, lengthMm: mm } }), passes);
          expect(at(lengthMm + more)).toBeGreaterThanOrEqual(at(lengthMm) - 1e-9);
          expect(at(lengthMm, 2)).toBeGreaterThanOrEqual(at(lengthMm));
          expect(at(lengthMm, 3)).toBeLessThanOrEqual(1);
        },
      ),
      { seed: 12, numRuns: 150 },
    );
  });
  it('lose film wax in one coat on coarse hair, and win it back with two', () => {
    const coarse = { ...hair, coarseness: 5 };
    expect(removedShare(removal({ hair: coarse, coats: 1 }), 1)).toBeLessThan(
      removedShare(removal({ hair: coarse, coats: 2 }), 1) - 0.05,
    );
  });
  it('break least when pulled with the growth, most against it (common practice, no source)', () => {
    const broken = (id: string, way: 'with' | 'against' | 'moulded'): number =>
      brokenShare({ product: product(id), way, hair, skin: 'normal', aboveCoolK: 3 });
    expect(broken('sugar-firm', 'moulded')).toBeLessThan(broken('film-hard', 'with'));
    expect(broken('film-hard', 'with')).toBeLessThan(broken('film-hard', 'against'));
    expect(brokenShare({ product: product('soft'), way: 'with', hair, skin: 'dry', aboveCoolK: 3 })).toBeGreaterThan(
      broken('soft', 'with'),
    );
  });
  it('weigh soft wax heaviest, and more on tender skin and in each further pass', () => {
    expect(skinLoad(0.9, 1, ZONES.underarm, 3)).toBeGreaterThan(skinLoad(0.25, 2, ZONES.underarm, 3));
    expect(skinLoad(0.25, 2, ZONES.underarm, 3)).toBeGreaterThan(skinLoad(0.25, 1, ZONES.underarm, 3));
    expect(skinLoad(0.25, 1, ZONES.underarm, 5)).toBeGreaterThan(skinLoad(0.25, 1, ZONES.underarm, 1));
    expect(skinLoad(0.25, 1, ZONES['bikini-edge'], 3)).toBeGreaterThan(skinLoad(0.25, 1, ZONES['lower-leg-front'], 3));
  });
});

describe('in words', () => {
  it('names the choice, the share in its lengths beside what comes off, and the house rule', () => {
    const options = match();
    const [best] = options;
    if (!best) throw new Error('an option');
    const words = choiceReasons(best, schools, true).join(' ');
    expect(words).toMatch(/\d+ % of the hair is between/);
    expect(words).toMatch(/about \d+ % of all comes off/);
    expect(words).toContain('average size');
  });
  it('says from when something holds where nothing does today', () => {
    expect(noChoiceReasons(match({ hair: { ...hair, lengthMm: 0.8 } }), 90)[0]).toMatch(/from 2027-05-\d\d/);
    expect(noChoiceReasons([], 90)).toEqual(['No product is stocked for this zone.']);
    expect(noChoiceReasons(match(), 0.1)[0]).toContain('marks');
  });
  it('sugar goes under cloth on lip and brow by default, by hand elsewhere (common practice, no source)', () => {
    expect(sugarWayFor(ZONES['upper-lip'], schools)).toBe('strip');
    expect(sugarWayFor(ZONES.brow, schools)).toBe('strip');
    expect(sugarWayFor(ZONES.underarm, schools)).toBe('hand');
    expect(sugarWayFor(ZONES['upper-lip'], { ...schools, sugarWay: 'hand' })).toBe('hand');
  });
  it('finer hair is held shorter on the lip', () => {
    const manner = product('film-hard').manners.tab;
    if (!manner) throw new Error('film wax has a tab');
    expect(lengthRange(manner, ZONES['upper-lip'], 'with').shortestMm).toBe(3);
    expect(lengthRange(manner, ZONES.underarm, 'with').shortestMm).toBe(4);
    expect(lengthRange(manner, ZONES.underarm, 'crossed').shortestMm).toBe(3);
  });
});

describe('a favourite of the house', () => {
  const shelf = { preferences: { ...SHIPPED_PREFERENCES, favourites: { underarm: 'film-hard' } } };
  it('is taken on its zone where it costs little more, and named; elsewhere nothing changes', () => {
    const plain = matchZone(usual);
    const found = matchZone({ ...usual, ...shelf });
    expect(plain.best?.product.id).not.toBe('film-hard');
    expect(found.best?.product.id).toBe('film-hard');
    expect(found.decided.map((d) => d.code)).toContain('house.favourite');
    const legs = { zone: ZONES['lower-leg-front'], hairAreaCm2: 500 };
    expect(matchZone({ ...usual, ...legs, ...shelf }).best?.product.id).toBe(
      matchZone({ ...usual, ...legs }).best?.product.id,
    );
  });
  it('yields to what the screening leaves out, and one that left the shelf is not missed', () => {
    const out = matchZone({ ...usual, ...shelf, judgement: { ...free, familiesOut: ['hard'] } });
    expect(out.best?.product.id).not.toBe('film-hard');
    expect(out.best).not.toBeNull();
    const gone = matchZone({ ...usual, ...shelf, products: SHIPPED_PRODUCTS.filter((p) => p.id !== 'film-hard') });
    expect(gone.best?.product.id).toBe(matchZone(usual).best?.product.id);
  });
});
