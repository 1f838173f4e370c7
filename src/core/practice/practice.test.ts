import { describe, expect, it } from 'vitest';
import { ZONES, type ZoneId } from '../anatomy';
import { brokenShare, leftShare, lengthRange } from '../matching';
import type { Hair } from '../hair';
import { mannerOf, SHIPPED_PRODUCTS, waysOf, type Product, type Way } from '../products';
import { rotate, seededRandom, type Ring } from '../shared';
import { heatOfAct } from './actHeat';
import { growHairs, type GrownScene } from './growHairs';
import { plannersAct } from './plannersAct';
import { carelessHand, goodHand } from './policies';
import { rightDecision } from './decide';
import { freshGround, pullStrip, type StripAnswer } from './pullStrip';
import { scoreStrip } from './score';
import type { Act, Scene } from './types';
import { asker, whatDiffered } from './why';

const box = (x: number, y: number, w: number, h: number): Ring => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];
const hair = (more: Partial<Hair> = {}): Hair => ({
  ...{ lengthMm: 8, coarseness: 3, density: 5, curl: 1, history: 'regular', past: [] },
  ...more,
});
/** A shin whose hair all points down the sheet; the ground ends before the strip does, so that pulls start bare. */
function scene(more: Partial<Scene> = {}): Scene {
  return {
    ...{ seed: 7, zone: 'lower-leg-front' as ZoneId, side: 'left' as const, hair: hair(), sensitivity: 2 },
    ...{ skin: 'normal' as const, roomC: 22, ground: box(1, 1, 9, 24) },
    strokes: [1, 5, 9].flatMap((x) => [1, 9, 17, 25].map((y) => ({ at: [x, y] as const, towards: [0, 1] as const }))),
    ...more,
  };
}
const WHOLE = box(0, 0, 11, 26);
const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
function planned(grown: GrownScene, id: string, way: Way): Act {
  const act = plannersAct(grown, product(id), way, WHOLE);
  if (!act) throw new Error(`${id} has no working heat here`);
  return act;
}
const answer = (grown: GrownScene, act: Act): StripAnswer => pullStrip(grown, freshGround(grown), act).answer;
const share = (n: number, { fates }: StripAnswer): number => n / fates.length;
const film = (): { readonly grown: GrownScene; readonly act: Act } => {
  const grown = growHairs(scene());
  return { grown, act: planned(grown, 'cream-hard', 'with') };
};

describe('the simulator against the matching engine', () => {
  it('leaves and breaks as many hairs as the engine says, within two points, over every product, way and hair', () => {
    const worst = { left: 0, broken: 0, second: 0 };
    let cases = 0;
    for (const p of SHIPPED_PRODUCTS) {
      for (const way of waysOf(p)) {
        const manner = mannerOf(p, way);
        if (!manner) throw new Error(way);
        for (const coarseness of [1, 3, 5]) {
          for (const lengthMm of [4, 7, 12]) {
            for (const history of ['regular', 'shaved'] as const) {
              const here = scene({
                seed: 31 + cases,
                hair: hair({ coarseness, lengthMm, history, curl: 1 + (cases % 4) }),
              });
              const grown = growHairs(here);
              const act = plannersAct(grown, p, way, WHOLE);
              if (!act) continue;
              const { shortestMm } = lengthRange(manner, ZONES[here.zone], way);
              const asked = { product: p, way, coats: act.coats, hair: here.hair, shortestMm, roomC: 22 };
              const heat = heatOfAct(here, act);
              const first = pullStrip(grown, freshGround(grown), act);
              const left = share(first.answer.left, first.answer);
              worst.left = Math.max(worst.left, Math.abs(left - leftShare({ ...asked, meanAngleErrorDeg: 0 }, 1)));
              const breaks = brokenShare({
                ...{ product: p, way, hair: here.hair, skin: here.skin },
                aboveCoolK: act.touchC - heat.window.minC,
              });
              // of those that come
              const broken = first.answer.broken / Math.max(1, first.answer.broken + first.answer.out);
              if (first.answer.broken + first.answer.out > 200) {
                worst.broken = Math.max(worst.broken, Math.abs(broken - breaks));
              }
              const again = pullStrip(grown, first.ground, act).answer;
              const stays = again.left / grown.hairs.length;
              if (p.family !== 'soft') {
                const of = leftShare({ ...asked, meanAngleErrorDeg: 0 }, 2);
                worst.second = Math.max(worst.second, Math.abs(stays - of));
              }
              cases++;
            }
          }
        }
      }
    }
    expect(cases).toBeGreaterThanOrEqual(200);
    expect(worst.left).toBeLessThan(0.01);
    expect(worst.broken).toBeLessThan(0.01);
    expect(worst.second).toBeLessThan(0.02);
  });
  it('the same scene and acts give the same hairs and the same answer; another seed others', () => {
    const one = film();
    const two = film();
    expect(one.grown.hairs).toEqual(two.grown.hairs);
    expect(answer(one.grown, one.act)).toEqual(answer(two.grown, two.act));
    const other = growHairs(scene({ seed: 8 }));
    expect(other.hairs.map((h) => h.at)).not.toEqual(one.grown.hairs.map((h) => h.at));
  });
});

/** Counts over rising values of one thing of the hand. */
function over<T>(values: readonly T[], more: (act: Act, value: T) => Act, made = film()): readonly StripAnswer[] {
  return values.map((v) => answer(made.grown, more(made.act, v)));
}
const rises = (list: readonly number[]): boolean => list.every((x, i) => i === 0 || x >= (list[i - 1] ?? 0));
const strictly = (list: readonly number[]): boolean => rises(list) && (list.at(-1) ?? 0) > (list[0] ?? 0);

describe('what the hand does tells (common practice, no source)', () => {
  it('an upward pull breaks more; about 1 in 30 lying flat and 1 in 4 at 24 degrees', () => {
    const lifts = over([0, 4, 12, 24, 40], (act, liftDeg) => ({ ...act, pull: { ...act.pull, liftDeg } }));
    expect(strictly(lifts.map((a) => a.broken))).toBe(true);
    const [, flat, , up] = lifts;
    const broke = (a?: StripAnswer): number => (a ? a.broken / (a.broken + a.out) : NaN);
    expect(broke(flat)).toBeLessThan(1 / 20);
    expect(broke(up)).toBeGreaterThan(0.15);
    expect(broke(up)).toBeLessThan(0.35);
  });
  it('fine hair breaks less the slower it is drawn; coarse hair does not break for being pulled quickly', () => {
    const speeds = [20, 35, 60, 100, 160];
    const fine = growHairs(scene({ hair: hair({ coarseness: 1 }) }));
    const slower = (grown: GrownScene): readonly number[] =>
      over(speeds, (act, cmPerS) => ({ ...act, pull: { ...act.pull, cmPerS } }), {
        grown,
        act: planned(grown, 'cream-hard', 'with'),
      }).map((a) => a.broken / (a.broken + a.out));
    expect(strictly(slower(fine))).toBe(true);
    const coarse = slower(growHairs(scene({ hair: hair({ coarseness: 5 }) })));
    expect((coarse.at(-1) ?? 1) - (coarse[2] ?? 0)).toBeLessThan(0.01);
  });
  it('taut skin breaks less, leaves less and hurts less', () => {
    const taut = over([1, 0.8, 0.5, 0.25, 0], (act, t) => ({ ...act, taut: t }));
    expect(strictly(taut.map((a) => a.broken + a.left))).toBe(true);
    expect(strictly(taut.map((a) => a.skin.pain))).toBe(true);
    expect(taut.map((a) => a.skin.bruised)).toEqual([false, false, false, false, true]);
  });
  it('too early leaves strings and hair, too late cracks the slab', () => {
    const { grown, act } = film();
    const { setS } = heatOfAct(grown.scene, act);
    const waits = [0.3, 0.6, 0.9, 1].map((k) => k * setS.min);
    const early = over(waits, (a, waitS) => ({ ...a, waitS }));
    expect(strictly([...early].reverse().map((a) => a.left))).toBe(true);
    expect(strictly([...early].reverse().map((a) => a.strings))).toBe(true);
    const late = over([setS.max - 1, setS.max + 8, setS.max + 25], (a, waitS) => ({ ...a, waitS }));
    expect(late[0]?.cracked).toBe(0);
    expect(strictly(late.map((a) => a.cracked))).toBe(true);
    expect(strictly(late.map((a) => a.left))).toBe(true);
  });
  it('a second pass of soft wax lifts skin; a second of hard wax does not, a third does', () => {
    const grown = growHairs(scene({ hair: hair({ coarseness: 2 }) }));
    const twice = (id: string, times: number): number => {
      const act = planned(grown, id, 'with');
      let ground = freshGround(grown);
      let lifted = 0;
      for (let k = 0; k < times; k++) {
        const pulled = pullStrip(grown, ground, act);
        ({ ground } = pulled);
        lifted = pulled.answer.skin.lifted;
      }
      return lifted;
    };
    expect(['soft', 'cream-hard'].map((id) => twice(id, 1))).toEqual([0, 0]);
    expect(twice('soft', 2)).toBe(1);
    expect(twice('cream-hard', 2)).toBe(0);
    expect(twice('cream-hard', 3)).toBe(1);
  });
  it('hotter wax is felt hotter, as the heat engine has it, and skin just waxed feels the same wax hotter', () => {
    const { grown, act } = film();
    const felt = over([50, 56, 62, 70], (a, touchC) => ({ ...a, touchC }));
    expect(strictly(felt.map((a) => a.skin.feltPeakC))).toBe(true);
    const first = pullStrip(grown, freshGround(grown), act);
    const second = pullStrip(grown, first.ground, act).answer;
    expect(second.skin.feltPeakC).toBeGreaterThan(first.answer.skin.feltPeakC + 0.5);
    const scalding = over([95], (a, touchC) => ({ ...a, touchC }))[0];
    expect(scalding?.skin.heat).not.toBe('calm');
  });
  it('laid across the growth, on damp skin, or not rubbed on, it leaves more', () => {
    const lays = over([0, 45, 90, 180], (act, deg) => ({ ...act, lay: rotate(act.lay, deg) }));
    expect(strictly(lays.map((a) => a.left))).toBe(true);
    expect(strictly(over([true, false], (act, drySkin) => ({ ...act, drySkin })).map((a) => a.left))).toBe(true);
    const grown = growHairs(scene());
    const soft = { grown, act: planned(grown, 'soft', 'with') };
    expect(strictly(over([true, false], (act, rubbed) => ({ ...act, rubbed }), soft).map((a) => a.left))).toBe(true);
  });
  it('a pull that starts on hair breaks what stands there; with bare skin before it, it does not', () => {
    const inside = box(2, 6, 6, 14);
    const found = Array.from({ length: 8 }, (_, seed) => {
      const grown = growHairs(scene({ seed }));
      const act = plannersAct(grown, product('cream-hard'), 'with', inside);
      if (!act) throw new Error('a strip');
      // pulled up the sheet: it starts at the foot of the strip
      return answer(grown, act).fates.map((f) => ({ ...f, y: grown.hairs[f.hair]?.at[1] ?? 0 }));
    }).flat();
    const broke = (list: typeof found): number => list.filter((f) => f.fate === 'broken').length / list.length;
    const near = found.filter((f) => f.y > 19.2);
    expect(near.length).toBeGreaterThan(150);
    expect(broke(near)).toBeGreaterThan(2.5 * broke(found.filter((f) => f.y < 18)));
  });
});

describe('why', () => {
  it('a hair that broke under an upward pull says so, and that 1 in 30 breaks anyway', () => {
    const { grown, act } = film();
    const upward: Act = { ...act, pull: { ...act.pull, liftDeg: 30 } };
    const ground = freshGround(grown);
    const flat = new Map(answer(grown, act).fates.map((f) => [f.hair, f.fate]));
    const broken = answer(grown, upward).fates.filter((f) => f.fate === 'broken');
    const why = asker(grown, ground, upward);
    const asked = broken.map((f) => {
      const hairs = grown.hairs[f.hair];
      if (!hairs) throw new Error('a hair');
      return { would: flat.get(f.hair), why: why(hairs) };
    });
    const saved = asked.filter((a) => a.would === 'out');
    expect(saved.length).toBeGreaterThan(20);
    expect(saved.every((a) => a.why.causes.includes('lift'))).toBe(true);
    const unlucky = asked.filter((a) => a.would === 'broken');
    expect(unlucky.length).toBeGreaterThan(0);
    expect(unlucky.every((a) => a.why.causes.length === 0 && !a.why.isTogether)).toBe(true);
    expect(unlucky.every((a) => (a.why.stillInHundred ?? 0) > 0)).toBe(true);
  });
  it('names what cost most hairs first, and nothing of a strip as planned', () => {
    const { grown, act } = film();
    expect(whatDiffered(grown, freshGround(grown), act)).toEqual([]);
    const upward: Act = { ...act, pull: { ...act.pull, liftDeg: 30 }, taut: 0.6 };
    const told = whatDiffered(grown, freshGround(grown), upward);
    expect(told.map((d) => d.code)).toEqual(['lift', 'slack']);
    expect(told[0]?.hairs).toBeGreaterThan(told[1]?.hairs ?? 0);
  });
  it('a hair beside the strip was not under it', () => {
    const { grown, act } = film();
    const [far] = grown.hairs.filter((h) => h.at[1] > 20);
    if (!far) throw new Error('a hair');
    const short = { ...act, outline: box(0, 0, 11, 10) };
    expect(asker(grown, freshGround(grown), short)(far).fate).toBe('not-under');
  });
});

describe('what to do about what is left (common practice, no source)', () => {
  const calm = { feltPeakC: 42, overLimitK: 0, heat: 'calm', load: 0.3, pain: 3, redness: 0.3 } as const;
  const skin = { ...calm, lifted: 0, bruised: false, bleedingPoints: 0 };
  const right = (id: string, left: number, passes: number, more: object = {}): readonly string[] =>
    rightDecision({ zone: 'forearm' }, { product: product(id) }, { left, skin: { ...skin, ...more } }, passes).right;
  it('a few are tweezed, a patch is gone over where a pass is left, soft wax never twice, hurt skin ends it', () => {
    expect(right('cream-hard', 0, 1)).toEqual(['leave']);
    expect(right('cream-hard', 3, 1)).toEqual(['tweeze']);
    expect(right('cream-hard', 25, 1)).toEqual(['again']);
    expect(right('cream-hard', 25, 2)).toEqual(['tweeze', 'leave']);
    expect(right('cream-hard', 300, 2)).toEqual(['leave']);
    expect(right('soft', 25, 1)).not.toContain('again');
    expect(right('cream-hard', 25, 1, { lifted: 0.2 })).toEqual(['stop']);
    expect(right('cream-hard', 0, 1, { heat: 'burnt' })).toEqual(['stop']);
  });
});

describe('scores of hands that practise by themselves', () => {
  const zones: readonly ZoneId[] = ['lower-leg-front', 'forearm', 'underarm', 'upper-back', 'chin'];
  const ids = ['film-hard', 'cream-hard', 'soft', 'sugar-firm'];
  const scores = (hand: typeof goodHand): readonly number[] => {
    const random = seededRandom(5);
    return zones.flatMap((zone, z) =>
      ids.flatMap((id) => {
        const p = product(id);
        const [way] = waysOf(p);
        if (!way || !ZONES[zone].families.includes(p.family)) return [];
        const grown = growHairs({
          ...scene({ seed: 100 + z, zone, strokes: undefined, ground: undefined }),
          hair: hair({ density: 4, coarseness: 3 }),
        });
        const act = plannersAct(grown, p, way, grown.sheet.outline);
        if (!act) return [];
        const best = answer(grown, act);
        return [0, 1, 2].map(() => scoreStrip(answer(grown, hand(act, random)), best).points);
      }),
    );
  };
  const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
  it('a good hand comes to 90 and more, a careless one to 40 and less', () => {
    const good = scores(goodHand);
    const careless = scores(carelessHand);
    expect(good.length).toBeGreaterThan(40);
    expect(mean(good)).toBeGreaterThanOrEqual(90);
    expect(Math.min(...good)).toBeGreaterThan(Math.max(...careless));
    expect(mean(careless)).toBeLessThanOrEqual(40);
  });
});
