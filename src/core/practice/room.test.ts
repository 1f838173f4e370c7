import { describe, expect, it } from 'vitest';
import { isInside } from '../shared';
import { SHIPPED_PRODUCTS } from '../products';
import { handStrip } from './handStrip';
import { growHairs } from './growHairs';
import { LEVELS, minutesFor, PIECES, practicePiece, type Level } from './levels';
import { plannersAct } from './plannersAct';
import { plannersMinutes } from './plannersMinutes';
import { freshGround, pullStrip, type StripAnswer } from './pullStrip';
import { scoreStrip } from './score';
import { whatDiffered } from './why';
import { practise, type Question } from './practise';
import { signsAt, wristAt } from './signs';
import { windowOf } from './actHeat';

describe('a strip by hand', () => {
  it('runs from where the stick touches to where it is lifted, its tab at the end', () => {
    const strip = handStrip([2, 2], [2, 9], 3);
    expect(strip?.lay).toEqual([0, 1]);
    expect(strip?.tab).toEqual([2, 9]);
    const ring = strip?.outline ?? [];
    expect([Math.min(...ring.map((p) => p[1])), Math.max(...ring.map((p) => p[1]))]).toEqual([2, 9]);
    expect(isInside([ring], [2, 5])).toBe(true);
    // the foot is round
    expect(isInside([ring], [0.55, 2.05])).toBe(false);
    expect(isInside([ring], [0.55, 8.9])).toBe(true);
  });
  it('is none where the stick hardly moved', () => {
    expect(handStrip([2, 2], [2.3, 2.4], 3)).toBeNull();
  });
});

describe('signs of a slab that sets (common practice, no source)', () => {
  const heat = { setS: { min: 30, max: 100 } };
  it('come one after the other: no thread, hardly a dent, dull and hard; then it is brittle', () => {
    const at = (s: number): string =>
      [...Object.values(signsAt(heat, s).says).map((x) => (x ? 'y' : 'n')), signsAt(heat, s).state].join(' ');
    expect([5, 22, 28, 31, 101].map(at)).toEqual([
      'n n n soft',
      'y n n setting',
      'y y n setting',
      'y y y ready',
      'y y y brittle',
    ]);
  });
  it('the wrist and the flow tell a pot that is too warm from one that is too cool', () => {
    const { scene } = practicePiece('first-steps', 'plain', 3);
    const film = SHIPPED_PRODUCTS.find((p) => p.id === 'film-hard');
    if (!film) throw new Error('film');
    const window = windowOf(scene, film, 'with');
    const says = (touchC: number, overLimitK: number): string =>
      Object.values(wristAt(touchC, { window, overLimitK })).join(' ');
    expect(says(window.targetC, 0)).toBe('right syrup');
    expect(says(window.flowC.max + 1, 0.5)).toBe('too-warm runs');
    expect(says(window.flowC.max + 9, 4)).toBe('burns runs');
    expect(says(window.flowC.min - 2, 0)).toBe('too-cool stiff');
  });
});

describe('the practice room', () => {
  it('has a skin for every level and piece, another for every seed; a pot that lies is warmer than it says', () => {
    for (const level of LEVELS) {
      for (const piece of PIECES) {
        const one = practicePiece(level, piece, 5);
        expect(practicePiece(level, piece, 5)).toEqual(one);
        expect(practicePiece(level, piece, 6).scene).not.toEqual(one.scene);
        const { hairs } = practise({ scene: one.scene, acts: [], slab: null, asks: null });
        expect(hairs.length).toBeGreaterThan(60);
      }
    }
    expect(practicePiece('leg', 'hot-pot', 1).potOffK).toBeGreaterThan(3);
    const plain = practicePiece('leg', 'plain', 9).scene.hair.lengthMm;
    expect(practicePiece('leg', 'short', 9).scene.hair.lengthMm).toBeLessThan(0.6 * plain);
  });
  it('a slab sets on the skin as its signs and its pull both have it: as thick as is planned there', () => {
    const { scene } = practicePiece('underarm', 'plain', 3);
    const cream = SHIPPED_PRODUCTS.find((p) => p.id === 'cream-hard');
    if (!cream) throw new Error('cream');
    const slab = { product: cream, way: 'with' as const, coats: 1 as const, touchC: 56 };
    const made = practise({ scene, acts: [], slab, asks: null }).slab;
    // the label names a thinner slab for tender skin
    expect(made?.plannedMm).toBeLessThan(cream.manners.tab?.thicknessMm.usual ?? 0);
    expect(made?.plannedMm).toBe(made?.heat.window.thicknessMm);
  });
  it('growth that turns runs across the rest on one half', () => {
    const { scene } = practicePiece('first-steps', 'turned', 2);
    const { hairs, sheetCm } = practise({ scene, acts: [], slab: null, asks: null });
    const mean = (from: number, to: number): number => {
      const own = hairs.filter((h) => h.at[0] > from * sheetCm[0] && h.at[0] < to * sheetCm[0]);
      return own.reduce((s, h) => s + Math.abs(h.way[0]), 0) / own.length;
    };
    expect(mean(0, 0.35)).toBeGreaterThan(0.7);
  });
  it('plays its strips again from the acts alone, and answers for a hair that is asked about', () => {
    const { scene } = practicePiece('first-steps', 'plain', 4);
    const film = SHIPPED_PRODUCTS.find((p) => p.id === 'cream-hard');
    const strip = handStrip([4, 3], [5, 10], 3);
    if (!film || !strip) throw new Error('a strip');
    const slab = { product: film, way: 'with' as const, coats: 1 as const, touchC: 56 };
    const pull = { way: [-strip.lay[0], -strip.lay[1]] as const, liftDeg: 35, cmPerS: 60 };
    const act = {
      ...{ ...slab, thicknessMm: 2, outline: strip.outline, lay: strip.lay, waitS: 45, pull },
      ...{ taut: 0.9, pressed: true, rubbed: true, drySkin: true },
    };
    const question: Question = { scene, acts: [act], slab, asks: null };
    const once = practise(question);
    expect(practise(structuredClone(question))).toEqual(once);
    const looked = once.looked;
    const broken = looked?.answer.fates.find((f) => f.fate === 'broken');
    expect(looked?.differed[0]?.code).toBe('lift');
    expect(once.state.filter((s) => s === 'stub').length).toBe(looked?.answer.broken);
    expect(practise({ ...question, asks: broken?.hair ?? null }).looked?.why?.fate).toBe('broken');
    // what is gone is not under the next strip
    const again = practise({ ...question, acts: [act, act] }).looked;
    expect(again?.answer.fates.length).toBe(looked?.answer.left);
    const { sum } = practise({ ...question, acts: [act, act] });
    expect(sum).toMatchObject({ strips: 2, out: (looked?.answer.out ?? 0) + (again?.answer.out ?? 0) });
    expect(sum.points).toBe(Math.round(((looked?.score?.points ?? NaN) + (again?.score?.points ?? NaN)) / 2));
    expect(once.sum.load).toBeLessThan(sum.load);
  });
  it('two layers cross: what lies across the rest stays more, and the planner lays along the most', () => {
    const { scene } = practicePiece('first-steps', 'crossing', 2);
    const grown = growHairs(scene);
    const across = grown.hairs.filter((h) => h.crosses);
    expect(across.length / grown.hairs.length).toBeCloseTo(0.35, 1);
    const cream = SHIPPED_PRODUCTS.find((p) => p.id === 'cream-hard');
    const act = cream && plannersAct(grown, cream, 'with', grown.ground);
    if (!act) throw new Error('a strip');
    const { fates } = pullStrip(grown, freshGround(grown), act).answer;
    const stays = (crosses: boolean): number => {
      const own = fates.filter((f) => grown.hairs[f.hair]?.crosses === crosses);
      return own.filter((f) => f.fate !== 'out').length / own.length;
    };
    expect(stays(true)).toBeGreaterThan(2 * stays(false));
  });
  it('who starts at a pull that nobody counted in breaks more and hurts more; counted in she does not', () => {
    const { scene } = practicePiece('first-steps', 'starts', 2);
    const grown = growHairs(scene);
    const cream = SHIPPED_PRODUCTS.find((p) => p.id === 'cream-hard');
    const act = cream && plannersAct(grown, cream, 'with', grown.ground);
    if (!act) throw new Error('a strip');
    const of = (told: boolean, starts: boolean): StripAnswer => {
      const here = { ...grown, scene: { ...scene, starts } };
      return pullStrip(here, freshGround(here), { ...act, told }).answer;
    };
    expect(of(false, true).broken).toBeGreaterThan(1.5 * of(true, true).broken);
    expect(of(false, true).skin.pain).toBeGreaterThan(of(true, true).skin.pain);
    expect(of(true, true)).toEqual(of(true, false));
    expect(of(false, false)).toEqual(of(true, false));
    expect(whatDiffered(grown, freshGround(grown), { ...act, told: false })[0]?.code).toBe('untold');
  });
  it('of a brow stays what was agreed: wax over the line takes it, and the score is capped', () => {
    const { scene } = practicePiece('brow', 'plain', 4);
    const grown = growHairs(scene);
    const cream = SHIPPED_PRODUCTS.find((p) => p.id === 'cream-hard');
    const act = cream && plannersAct(grown, cream, 'with', grown.ground);
    if (!act) throw new Error('a strip');
    const over = pullStrip(grown, freshGround(grown), act).answer;
    const stays = grown.hairs.filter((h) => h.stays);
    expect(stays.length).toBeGreaterThan(40);
    expect(over.taken).toBeGreaterThan(0.8 * stays.length);
    // what is to stay is no hair to be brought out
    expect(over.out + over.broken + over.left).toBe(grown.hairs.length - stays.length);
    expect(scoreStrip(over, over)).toMatchObject({ cappedBy: 'kept', points: 40 });
    const below = Math.max(...(scene.keep ?? []).flat().map((p) => p[1])) + 0.05;
    const edge = {
      ...act,
      outline: [
        [1, below],
        [7, below],
        [7, 5],
        [1, 5],
      ] as const,
    };
    const beside = pullStrip(grown, freshGround(grown), edge).answer;
    expect(beside.fates.length).toBeGreaterThan(10);
    expect(beside.taken).toBe(0);
  });
  it('says how long the planner has for all of it, more than a late start leaves', () => {
    const cream = SHIPPED_PRODUCTS.find((p) => p.id === 'cream-hard');
    if (!cream) throw new Error('cream');
    const of = (level: Level): number => plannersMinutes(practicePiece(level, 'plain', 3).scene, cream) ?? NaN;
    const took = LEVELS.map(of);
    const late = LEVELS.map((level) => minutesFor(level, 'late-start') ?? NaN);
    expect(took.map((m, k) => m > (late[k] ?? Infinity))).toEqual(LEVELS.map(() => true));
    expect(minutesFor('leg', 'plain')).toBeNull();
  });
});
