import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boilPlan, learnedStoveW, secondsLeft, stoveFrom, USUAL_STOVE_W } from './boil';
import { sugarShareAt, waterBoilsC } from './boiling';
import {
  endC,
  firmnessFor,
  headroom,
  LEMON_SOLIDS,
  recipeFor,
  solidsG,
  startG,
  sugarForJarG,
  waterAtStartG,
  waterLeftG,
  yieldG,
} from './recipe';
import { remedies, waterToLoosenG } from './remedies';
import { coolsInMin, nextLot, nextStep } from './steps';

const recipe = recipeFor(1000);
const sugars = fc.integer({ min: 200, max: 3000 });
const ends = fc.double({ min: 114, max: 124, noNaN: true });
const input = { recipe, endC: 119, waterC: 100, roomC: 22, stoveW: USUAL_STOVE_W };

describe('the recipe', () => {
  it('keeps its mass: what is not in the jar is steam, and the sugar is as much as was put in', () => {
    fc.assert(
      fc.property(sugars, ends, (sugarG, c) => {
        const r = recipeFor(sugarG);
        const left = waterLeftG(r, c);
        const steam = waterAtStartG(r) - left;
        expect(steam).toBeGreaterThan(0);
        expect(yieldG(r, c) + steam).toBeCloseTo(startG(r), 6);
        expect(yieldG(r, c) - left).toBeCloseTo(sugarG + LEMON_SOLIDS * r.lemonG, 6);
        // and its share is that of the table
        expect(solidsG(r) / yieldG(r, c)).toBeCloseTo(sugarShareAt(c), 9);
      }),
      { seed: 17, numRuns: 200 },
    );
  });
  it('has water enough to dissolve its sugar when it boils', () => {
    // solubility of sucrose at 100 °C: 487 g in 100 g of water (published)
    expect(recipe.sugarG / waterAtStartG(recipe)).toBeLessThan(4.87);
  });
  it('is as large as the jar wants', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 3000 }), (jarG) => {
        const r = recipeFor(sugarForJarG(jarG, 119));
        const jar = yieldG(r, 119) * 0.97;
        expect(jar).toBeGreaterThanOrEqual(jarG - 1);
        expect(jar).toBeLessThan(jarG + 20);
      }),
      { seed: 3, numRuns: 60 },
    );
  });
  it('is firmer for warm rooms and hands, softer for cold ones (common practice, no source)', () => {
    expect([firmnessFor(22, 'usual'), firmnessFor(27, 'usual'), firmnessFor(17, 'usual')]).toEqual([
      'firm',
      'hard',
      'soft',
    ]);
    expect(firmnessFor(17, 'warm')).toBe('firm');
    expect(endC('soft')).toBeLessThan(endC('firm'));
    expect(endC('firm')).toBeLessThan(endC('hard'));
    // firm ball 118–121 °C at the sea (standard confectionery tables), lower by as much as water boils lower
    expect(endC('firm')).toBeGreaterThanOrEqual(118);
    expect(endC('firm')).toBeLessThanOrEqual(121);
    expect(endC('firm', waterBoilsC(1500))).toBeCloseTo(endC('firm') - 5, 0);
  });
  it('foams to three times its height: the pot must have room, and says how much sugar it bears', () => {
    const kettle = { widthCm: 20, heightCm: 12 };
    expect(headroom(recipe, kettle).isEnough).toBe(true);
    const { mostSugarG } = headroom(recipe, kettle);
    expect(headroom(recipeFor(mostSugarG), kettle).isEnough).toBe(true);
    expect(headroom(recipeFor(mostSugarG + 60), kettle).isEnough).toBe(false);
    expect(headroom(recipe, { widthCm: 14, heightCm: 8 }).isEnough).toBe(false);
  });
});

describe('boiling down', () => {
  it('only warms up, only loses water, and ends at the heat that was wanted with the water of the balance', () => {
    const { curve, boilsAtS, endsAtS } = boilPlan(input);
    const temps = curve.map((p) => p.tempC);
    expect(temps).toEqual([...temps].sort((a, b) => a - b));
    const water = curve.map((p) => p.waterG);
    expect(water).toEqual([...water].sort((a, b) => b - a));
    expect(curve.at(-1)?.tempC).toBeGreaterThanOrEqual(119);
    expect(curve.at(-1)?.tempC).toBeLessThan(120);
    expect(curve.at(-1)?.waterG).toBeCloseTo(waterLeftG(recipe, curve.at(-1)?.tempC ?? 0), 0);
    expect(boilsAtS).toBeLessThan(endsAtS ?? 0);
    // common practice (no source): a kilogram is done in something like a quarter to three quarters of an hour
    expect((endsAtS ?? 0) / 60).toBeGreaterThan(12);
    expect((endsAtS ?? 0) / 60).toBeLessThan(45);
  });
  it('balances its heat: what the stove gave is what warmed it and what the steam took', () => {
    const { endsAtS } = boilPlan(input);
    const given = USUAL_STOVE_W * (endsAtS ?? 0);
    const steam = (waterAtStartG(recipe) - waterLeftG(recipe, 119)) * 2230;
    // latent heat from the steam tables; sensible heat between that of all the water kept and of none
    const least = steam + (119 - 22) * (solidsG(recipe) * 1.5 + waterLeftG(recipe, 119) * 4.19);
    const most = steam + (119 - 22) * (solidsG(recipe) * 1.5 + waterAtStartG(recipe) * 4.19);
    expect(given).toBeGreaterThan(least * 0.99);
    expect(given).toBeLessThan(most * 1.01);
  });
  it('never gets there without heat, and says so', () => {
    expect(boilPlan({ ...input, stoveW: 5 }).endsAtS).toBeNull();
  });
  it('tells from a heat that was read how long is left, as the plan does', () => {
    const { curve, endsAtS } = boilPlan(input);
    const half = curve[Math.floor(curve.length * 0.7)];
    if (!half || endsAtS === null) throw new Error('no curve');
    expect(Math.abs((secondsLeft(input, half.tempC) ?? 0) - (endsAtS - half.atS))).toBeLessThan(25);
    expect(secondsLeft(input, 119.5)).toBe(0);
  });
  it('learns the stove from what was read in it', () => {
    fc.assert(
      fc.property(fc.double({ min: 350, max: 1400, noNaN: true }), sugars, (stoveW, sugarG) => {
        const own = { ...input, recipe: recipeFor(sugarG), stoveW };
        const reads = boilPlan(own).curve.filter((p) => p.atS >= 180 && p.tempC > 60);
        fc.pre(reads.length > 0);
        const found = stoveFrom(own, reads) ?? 0;
        expect(Math.abs(found / stoveW - 1)).toBeLessThan(0.08);
      }),
      { seed: 5, numRuns: 60 },
    );
    expect(stoveFrom(input, [{ atS: 60, tempC: 50 }])).toBeNull();
    // forgotten for five hours: no stove
    expect(stoveFrom(input, [{ atS: 5 * 3600, tempC: 119 }])).toBeNull();
    expect(learnedStoveW([])).toBe(USUAL_STOVE_W);
    expect(learnedStoveW([900, 900, 900, 900])).toBeGreaterThan(780);
    expect(learnedStoveW([900, 400])).toBeGreaterThan(learnedStoveW([400, 900]));
  });
});

describe('what went wrong', () => {
  it('too hard takes as much water as the balance says, and is then as if taken off sooner', () => {
    const grams = waterToLoosenG(recipe, 122, 119, 100);
    expect(solidsG(recipe) / (yieldG(recipe, 122) + grams)).toBeCloseTo(sugarShareAt(119), 9);
    expect(waterToLoosenG(recipe, 118, 119, 100)).toBe(0);
  });
  it('is named with its remedy, the likeliest first; burnt sugar is thrown away, never thinned with water', () => {
    const list = remedies({ ...input, firmness: 'firm', readC: 118 });
    expect(list.map((r) => r.trouble)).toEqual(['too-soft', 'too-hard', 'crystals', 'burnt']);
    expect(list.find((r) => r.trouble === 'burnt')?.says).toMatch(/throw it away/);
    expect(list.find((r) => r.trouble === 'burnt')?.says).not.toMatch(/water/);
    const [over] = remedies({ ...input, firmness: 'firm', readC: 122 });
    expect(over?.trouble).toBe('too-hard');
    expect(over?.says).toMatch(/^Off the heat: stir in \d+ g of hot water/);
  });
});

describe('steps and lots', () => {
  it('go on to the jar; a lot is the next number', () => {
    expect(nextStep('weigh')).toBe('boil');
    expect(nextStep('jar')).toBeNull();
    expect(nextLot(['S-9', 'S-29', 'W-31', 'S-x'])).toBe('S-30');
    expect(nextLot([])).toBe('S-1');
  });
  it('wait for the bath until hands can take it (common practice, no source: some quarters of an hour at most)', () => {
    expect(coolsInMin(119)).toBeGreaterThan(15);
    expect(coolsInMin(119)).toBeLessThan(50);
    expect(coolsInMin(40)).toBe(0);
  });
});
