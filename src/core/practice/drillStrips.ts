// Questions about a strip: one with a single fault, or one that leaves as much as is asked about. Pulled by the
// simulator; some tenths of a second each.

import { ZONES } from '../anatomy';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import type { Random } from '../shared';
import { windowOf } from './actHeat';
import { DECISIONS, type Decision } from './decide';
import type { Drill } from './drillTypes';
import { growHairs } from './growHairs';
import { handStrip } from './handStrip';
import { practicePiece } from './levels';
import { meanWay, plannersAct } from './plannersAct';
import { practise, type Looked } from './practise';
import type { Act, Scene } from './types';

type StripDrill = Extract<Drill, { readonly kind: 'strip' }>;
type AfterDrill = Extract<Drill, { readonly kind: 'after' }>;

/** Faults that a strip and its skin show so that they can be told apart. */
export const SEEN_FAULTS = ['lift', 'slack', 'early', 'late', 'lay', 'cool'] as const;
export type SeenFault = (typeof SEEN_FAULTS)[number];

const SEEDS = 2147483647;
export const AFTERS = ['few', 'patch', 'soft-once', 'passes'] as const;
export type After = (typeof AFTERS)[number];

export const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};

/** One thing of the hand spoilt. */
function spoilt(act: Act, fault: SeenFault, setS: Looked['answer']['heat']['setS'], minC: number): Act {
  const { pull } = act;
  switch (fault) {
    case 'lift':
      return { ...act, pull: { ...pull, liftDeg: 38 } };
    case 'slack':
      return { ...act, taut: 0 };
    case 'early':
      return { ...act, waitS: 0.35 * setS.min };
    case 'late':
      return { ...act, waitS: setS.max + 18 };
    case 'lay':
      return { ...act, lay: [-act.lay[1], act.lay[0]], pull: { ...pull, way: [act.lay[1], -act.lay[0]] } };
    case 'cool':
      return { ...act, touchC: minC - 4 };
  }
}

/** A strip laid with the growth in the middle of a forearm, as the planner would pull it. */
function goodStrip(seed: number, id: string): { readonly scene: Scene; readonly act: Act; readonly minC: number } {
  const { scene } = practicePiece('first-steps', 'plain', seed);
  const grown = growHairs(scene);
  const p = product(id);
  const [w, h] = [grown.sheet.widthCm, grown.sheet.heightCm];
  const middle = { outline: grown.ground };
  const way = meanWay(grown, middle.outline);
  const width = ZONES[scene.zone].stripCm[p.family][0];
  const strip = handStrip([w / 2 - way[0] * 4, h / 2 - way[1] * 4], [w / 2 + way[0] * 4, h / 2 + way[1] * 4], width);
  const act = strip && plannersAct(grown, p, p.family === 'sugar' ? 'moulded' : 'with', strip.outline);
  if (!act) throw new Error(`${id} has no working heat on a forearm`);
  return { scene, act, minC: windowOf(scene, p, act.way).minC };
}

const lookedAt = (scene: Scene, acts: readonly Act[]): Looked => {
  const { looked } = practise({ scene, acts, slab: null, asks: null });
  if (!looked) throw new Error('a strip');
  return looked;
};

function shuffled<T>(list: readonly T[], random: Random): readonly T[] {
  return list
    .map((item) => ({ item, at: random.next() }))
    .sort((a, b) => a.at - b.at)
    .map(({ item }) => item);
}

export function strip(fault: SeenFault, seed: number, random: Random): StripDrill {
  const { scene, act, minC } = goodStrip(seed, random.pick(['cream-hard', 'film-hard']));
  const { setS } = lookedAt(scene, [act]).answer.heat;
  const acts = [spoilt(act, fault, setS, minC)];
  const others = shuffled(
    SEEN_FAULTS.filter((f) => f !== fault),
    random,
  ).slice(0, 3);
  return {
    kind: 'strip',
    scene,
    acts,
    looked: lookedAt(scene, acts),
    choices: shuffled([fault, ...others], random),
    right: fault,
  };
}

/** What is right after a strip of each kind; of several each is. */
export const RIGHT_AFTER: Readonly<Record<After, readonly Decision[]>> = {
  few: ['tweeze'],
  patch: ['again'],
  'soft-once': ['tweeze', 'leave'],
  passes: ['tweeze', 'leave'],
};
/** Skins looked through for a strip that shows what is asked. */
const MOST_TRIED = 24;

export function after(reason: After, seed: number): AfterDrill {
  for (let k = 0; k < MOST_TRIED; k++) {
    const { scene, act } = goodStrip((seed + 7919 * k) % SEEDS, reason === 'soft-once' ? 'soft' : 'cream-hard');
    // more and more goes wrong, until as much is left as is asked about
    const slack: Act = { ...act, taut: 0.8 - 0.03 * k };
    const damp: Act = { ...slack, drySkin: k % 2 === 0 };
    const made: Readonly<Record<After, readonly Act[]>> = {
      few: [slack],
      patch: [damp],
      'soft-once': [{ ...damp, rubbed: k % 3 === 0 }],
      passes: [{ ...damp, drySkin: false }, damp],
    };
    const looked = lookedAt(scene, made[reason]);
    const { right, reason: said } = looked.decide;
    if (said !== reason || right.join() !== RIGHT_AFTER[reason].join()) continue;
    return { kind: 'after', scene, acts: made[reason], looked, choices: DECISIONS, right, reason: said };
  }
  throw new Error(`no strip shows ${reason} from seed ${seed}`);
}
