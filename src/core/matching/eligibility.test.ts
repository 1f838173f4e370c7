import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import type { Hair } from '../hair';
import type { WorkingWindow } from '../heat';
import { mannerOf, SHIPPED_PRODUCTS, type Product, type Way } from '../products';
import type { ZoneJudgement } from '../screening';
import { exclusionCodes, standsAcross, type EligibilityInput } from './eligibility';
import type { MatchInput } from './matchInput';
import { heatNeedOf } from './optionHeat';
import type { Schools } from './types';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const hair: Hair = { lengthMm: 8, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const free: ZoneJudgement = {
  ...{ outcome: 'go', familiesOut: [], allergensOut: [], lowerHeatK: 0 },
  ...{ onePass: false, pressS: 0, smallStrips: false, nothingNew: false },
};
const schools: Schools = {
  ...{ hardLay: 'with', shortHair: 'crossed', maxHardPasses: 2, prep: 'powder' },
  families: ['hard', 'soft', 'sugar'],
};
const window = { empty: false, minC: 34, maxC: 40 } as unknown as WorkingWindow;

const codes = (id: string, way: Way, more: Partial<EligibilityInput> = {}): readonly string[] => {
  const of = product(id);
  const manner = mannerOf(of, way);
  if (!manner) throw new Error(`${id} ${way}`);
  const where = { zone: ZONES.underarm, hair, schools, judgement: free, window, setS: { min: 10, max: 60 } };
  return exclusionCodes({
    ...{ product: of, manner, way, ...where, pasteWantedC: 36, forced: false, crossingShare: 0, ...more },
  });
};
const judged = (more: Partial<ZoneJudgement>): Partial<EligibilityInput> => ({ judgement: { ...free, ...more } });

describe('what rules an option out', () => {
  it('is nothing for usual hair in a usual room', () => {
    expect([codes('film-hard', 'with'), codes('soft', 'with'), codes('sugar-firm', 'moulded')]).toEqual([[], [], []]);
  });
  it('is the screening: families, what it contains', () => {
    expect(codes('soft', 'with', judged({ familiesOut: ['soft'] }))).toEqual(['screening.family-out']);
    expect(codes('film-hard', 'with', judged({ familiesOut: ['soft'] }))).toEqual([]);
    // soft wax is made with rosin; paste of sugar, water and lemon holds none (facts of the trade)
    expect(codes('soft', 'with', judged({ allergensOut: ['rosin'] }))).toEqual(['allergy.rosin']);
    expect(codes('sugar-firm', 'moulded', judged({ allergensOut: ['rosin'] }))).toEqual([]);
  });
  it('is what this skin reacted to, and what is new to it where nothing new is allowed', () => {
    expect(codes('soft', 'with', { reactedTo: ['soft'] })).toEqual(['patch.reacted']);
    expect(codes('film-hard', 'with', { reactedTo: ['soft'] })).toEqual([]);
    const nothingNew = judged({ nothingNew: true });
    expect(codes('soft', 'with', { ...nothingNew, knownProducts: ['film-hard'] })).toEqual(['patch.new-product']);
    expect(codes('film-hard', 'with', { ...nothingNew, knownProducts: ['film-hard'] })).toEqual([]);
    expect(codes('soft', 'with', { knownProducts: [] })).toEqual([]);
    // of skin that was waxed before and nothing is known nothing is said; to skin never waxed everything is new
    expect(codes('soft', 'with', nothingNew)).toEqual([]);
    const first = { hair: { ...hair, history: 'first' as const } };
    expect(codes('soft', 'with', { ...nothingNew, ...first })).toEqual(['patch.new-product']);
    expect(codes('soft', 'with', first)).toEqual([]);
  });
  it('is the house: families, the lay of hard wax, no crossed lay, sugar by hand or under cloth; a choice by hand overrides the way alone', () => {
    const house = (more: object): Partial<EligibilityInput> => ({ schools: { ...schools, ...more } });
    expect(codes('soft', 'with', house({ families: ['hard'] }))).toEqual(['studio.family']);
    expect(codes('film-hard', 'against')).toEqual(['school.hard-lay']);
    expect(codes('film-hard', 'against', house({ hardLay: 'against' }))).toEqual([]);
    expect(codes('film-hard', 'crossed', house({ shortHair: 'none' }))).toEqual(['school.short-hair']);
    expect(codes('sugar-firm', 'strip')).toEqual(['school.sugar-way']);
    expect(codes('sugar-firm', 'moulded', house({ sugarWay: 'strip' }))).toEqual(['school.sugar-way']);
    expect(codes('film-hard', 'counter')).toEqual(['way.later-pass']);
    expect(codes('film-hard', 'against', { forced: true })).toEqual([]);
    expect(codes('soft', 'with', { forced: true, ...house({ families: ['hard'] }) })).toEqual(['studio.family']);
  });
  it('is the crossed lay where the plain one holds; not for flat, layered, tightly curled or crossing hair', () => {
    expect(codes('film-hard', 'crossed')).toEqual(['way.not-needed']);
    const flags = (f: 'flat' | 'layers'): Partial<EligibilityInput> => ({ hair: { ...hair, flags: [f] } });
    expect([codes('film-hard', 'crossed', flags('flat')), codes('film-hard', 'crossed', flags('layers'))]).toEqual([
      [],
      [],
    ]);
    expect(codes('film-hard', 'crossed', { crossingShare: 0.15 })).toEqual([]);
    expect(codes('film-hard', 'crossed', { crossingShare: 0.149 })).toEqual(['way.not-needed']);
    expect([standsAcross({ ...hair, curl: 4 }, 0), standsAcross({ ...hair, curl: 3 }, 0)]).toEqual([true, false]);
    expect(standsAcross(hair, 0)).toBe(false);
    // long hair is not short of the plain lay
    expect(codes('film-hard', 'crossed', { hair: { ...hair, lengthMm: 40 } })).toContain('way.not-needed');
  });
  it('is hair that is too short, and not hair that only wants trimming', () => {
    expect(codes('soft', 'with', { hair: { ...hair, lengthMm: 1 } })).toEqual(['hair.too-short']);
    expect(codes('soft', 'with', { hair: { ...hair, lengthMm: 60 } })).toEqual([]);
  });
  it('is no working heat, else wax that would turn brittle before it has set', () => {
    const empty = { window: { ...window, empty: true } };
    const never = { setS: { min: 60, max: 60 } };
    expect(codes('film-hard', 'with', empty)).toEqual(['heat.no-window']);
    expect(codes('film-hard', 'with', never)).toEqual(['heat.never-ready']);
    expect(codes('film-hard', 'with', { ...empty, ...never })).toEqual(['heat.no-window']);
    expect(codes('film-hard', 'with', { setS: { min: 59, max: 60 } })).toEqual([]);
  });
  it('is paste by hand more than three degrees off what the room wants, on either side', () => {
    const wants = (pasteWantedC: number) => codes('sugar-firm', 'moulded', { pasteWantedC });
    expect([wants(43), wants(43.1), wants(31), wants(30.9)]).toEqual([
      [],
      ['room.paste-too-slack'],
      [],
      ['room.paste-too-stiff'],
    ]);
    expect(codes('sugar-firm', 'moulded', { pasteWantedC: 50, window: { ...window, empty: true } })).toEqual([
      'heat.no-window',
    ]);
    expect(codes('soft', 'with', { pasteWantedC: 90 })).toEqual([]);
  });
});

describe('the heat question of an option', () => {
  const film = product('film-hard');
  const manner = mannerOf(film, 'with');
  if (!manner) throw new Error('film is laid with the growth');
  const need = (more: Partial<MatchInput>, state?: 'after-pass') =>
    heatNeedOf(
      { zone: ZONES.underarm, sensitivity: 3, roomC: 22, judgement: free, ...more } as MatchInput,
      ...([film, manner, 'with'] as const),
      state,
    );
  it('lowers the limit by the screening and by what was felt too warm; what was learned never raises what the screening lowers', () => {
    expect(need({}).lowerLimitK).toBe(0);
    expect(need({ feltShiftK: 1.5 }).lowerLimitK).toBe(-1.5);
    expect(need({ feltShiftK: -1.5 }).lowerLimitK).toBe(1.5);
    const lowered = { judgement: { ...free, lowerHeatK: 2 } };
    expect(need({ ...lowered, feltShiftK: 1.5 }).lowerLimitK).toBe(2);
    expect(need({ ...lowered, feltShiftK: -1.5 }).lowerLimitK).toBe(3.5);
  });
  it('takes the touch asked for before that of a shared pot, each for its own product and on fresh skin only', () => {
    const heat = { product: 'film-hard', touchC: 55 };
    const potTouchC = { product: 'film-hard', touchC: 57 };
    expect(need({}).touchC).toBeUndefined();
    expect(need({ potTouchC }).touchC).toBe(57);
    expect(need({ potTouchC, heat }).touchC).toBe(55);
    expect(need({ heat: { ...heat, product: 'soft' } }).touchC).toBeUndefined();
    expect(need({ potTouchC: { ...potTouchC, product: 'soft' } }).touchC).toBeUndefined();
    expect(need({ heat, potTouchC }, 'after-pass').touchC).toBeUndefined();
    expect(need({ heat: { product: 'film-hard' }, potTouchC }).touchC).toBe(57);
  });
  it('takes a thickness that the label allows, and no other', () => {
    const { min, max } = manner.thicknessMm;
    const asked = (thicknessMm: number) => need({ heat: { product: 'film-hard', thicknessMm } }).thicknessMm;
    expect([asked(min), asked(max), asked(max + 5)]).toEqual([min, max, undefined]);
    expect(need({}).thicknessMm).toBeUndefined();
  });
});
