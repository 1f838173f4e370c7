// One question of the practice room and its answer: the scene, the strips so far, the one in hand. Made in a worker:
// a strip's heat is solved for it.

import { recaller, type Ring } from '../shared';
import { heatOfAct, windowOf, type ActHeat } from './actHeat';
import { rightDecision } from './decide';
import { growHairs, type GrownScene } from './growHairs';
import { plannersAct } from './plannersAct';
import { plannersMinutes } from './plannersMinutes';
import { freshGround, pullStrip, type Ground, type StripAnswer } from './pullStrip';
import { scoreStrip, type Score } from './score';
import type { Act, Scene, SkinHair } from './types';
import { asker, whatDiffered, type Differed, type Why } from './why';

export interface Question {
  readonly scene: Scene;
  /** Strips pulled on this ground, oldest first; the last is looked at. */
  readonly acts: readonly Act[];
  /** What is in hand: its window, and how it would set; as thick as is planned on this skin, or a share of it. */
  readonly slab: (Pick<Act, 'product' | 'way' | 'touchC' | 'coats'> & { readonly thick?: number }) | null;
  /** A hair of the last strip that is asked about. */
  readonly asks: number | null;
  /** The planner’s own time is wanted too: a whole plan. */
  readonly minutes?: boolean;
}

export interface Looked {
  readonly answer: StripAnswer;
  readonly planner: { readonly act: Act; readonly answer: StripAnswer } | null;
  readonly differed: readonly Differed[];
  readonly score: Score | null;
  readonly why: Why | null;
  /** What a practised hand would do about what is left. */
  readonly decide: ReturnType<typeof rightDecision>;
}

export interface Practised {
  readonly hairs: readonly SkinHair[];
  readonly sheetCm: readonly [number, number];
  readonly outline: GrownScene['ground'];
  readonly state: Ground['state'];
  readonly slab: { readonly heat: ActHeat; readonly overLimitK: number; readonly plannedMm: number } | null;
  readonly looked: Looked | null;
  readonly sum: SoFar;
  /** What is to stay. */
  readonly keep: readonly Ring[];
}

/** All strips of a skin together. */
export interface SoFar {
  readonly strips: number;
  readonly out: number;
  readonly broken: number;
  /** Mean score of the strips, 0–100; null before the first. */
  readonly points: number | null;
  /** Mean load of the ground that was waxed, 0–1, and the worst that was felt, 0–10. */
  readonly load: number;
  readonly pain: number;
  /** Share of the hair that is to go and is gone. */
  readonly cleared: number;
  /** The planner's time for the whole zone with this product, minutes; null before a strip or where it has none. */
  readonly plannerMin: number | null;
}

const scenes = recaller<GrownScene>(4);
const grounds = recaller<{ readonly before: Ground; readonly after: Ground; readonly answer: StripAnswer }>(40);
const minutes = recaller<{ readonly min: number | null }>(12);
const looks = recaller<Omit<Looked, 'why'> & { readonly ask: (hair: SkinHair) => Why }>(40);

interface Standing {
  readonly grown: GrownScene;
  readonly key: string;
}

/** The ground before and after the last of some strips; each strip is pulled once. */
function groundAfter({ grown, key }: Standing, acts: readonly Act[]): Ground {
  const last = acts.at(-1);
  if (!last) return freshGround(grown);
  return grounds(key + JSON.stringify(acts), () => {
    const before = groundAfter({ grown, key }, acts.slice(0, -1));
    const { ground: after, answer } = pullStrip(grown, before, last);
    return { before, after, answer };
  }).after;
}

function lookAt(standing: Standing, acts: readonly Act[], asks: number | null): Looked | null {
  const act = acts.at(-1);
  if (!act) return null;
  const { grown, key } = standing;
  const found = looks(key + JSON.stringify(acts), () => {
    const before = groundAfter(standing, acts.slice(0, -1));
    const { answer } = pullStrip(grown, before, act);
    const best = plannersAct(grown, act.product, act.way, act.outline);
    const planner = best && { act: best, answer: pullStrip(grown, before, best).answer };
    const differed = whatDiffered(grown, before, act);
    const score = planner && scoreStrip(answer, planner.answer);
    const { passes } = groundAfter(standing, acts);
    const here = Math.max(0, ...answer.fates.map((f) => passes[f.hair] ?? 0));
    const decide = rightDecision(grown.scene, act, answer, here);
    return { answer, planner, differed, score, decide, ask: asker(grown, before, act) };
  });
  const { ask, ...looked } = found;
  const hair = asks === null ? undefined : grown.hairs[asks];
  return { ...looked, why: hair ? ask(hair) : null };
}

function soFar(standing: Standing, acts: readonly Act[], wantsMinutes: boolean): SoFar {
  const looked = acts.flatMap((_, k) => lookAt(standing, acts.slice(0, k + 1), null) ?? []);
  const sum = (of: (l: Looked) => number): number => looked.reduce((s, l) => s + of(l), 0);
  const scored = looked.flatMap((l) => l.score?.points ?? []);
  const { load, passes, state } = groundAfter(standing, acts);
  const { scene, hairs } = standing.grown;
  const going = hairs.filter((h) => !h.stays);
  const last = wantsMinutes ? acts.at(-1)?.product : undefined;
  const waxed = load.filter((_, i) => (passes[i] ?? 0) > 0);
  return {
    strips: looked.length,
    out: sum((l) => l.answer.out),
    broken: sum((l) => l.answer.broken),
    points: scored.length > 0 ? Math.round(scored.reduce((a, b) => a + b, 0) / scored.length) : null,
    load: waxed.reduce((a, b) => a + b, 0) / Math.max(1, waxed.length),
    pain: Math.max(0, ...looked.map((l) => l.answer.skin.pain)),
    cleared: going.filter((h) => state[h.id] === 'gone').length / Math.max(1, going.length),
    plannerMin: last
      ? minutes(standing.key + JSON.stringify(last), () => ({ min: plannersMinutes(scene, last) })).min
      : null,
  };
}

export function practise({ scene, acts, slab, asks, minutes: wantsMinutes = false }: Question): Practised {
  const key = JSON.stringify(scene);
  const grown = scenes(key, () => growHairs(scene));
  const plannedMm = slab ? windowOf(scene, slab.product, slab.way).thicknessMm : 0;
  const heat = slab && heatOfAct(scene, { ...slab, thicknessMm: plannedMm * (slab.thick ?? 1) });
  return {
    hairs: grown.hairs,
    sheetCm: [grown.sheet.widthCm, grown.sheet.heightCm],
    outline: grown.ground,
    state: groundAfter({ grown, key }, acts).state,
    slab: heat && {
      heat,
      overLimitK: Math.max(0, heat.feltPeakC - heat.window.limitC),
      plannedMm,
    },
    looked: lookAt({ grown, key }, acts, asks),
    sum: soFar({ grown, key }, acts, wantsMinutes),
    keep: scene.keep ?? [],
  };
}
