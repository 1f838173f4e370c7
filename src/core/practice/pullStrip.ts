// What comes of one strip: every hair under it, and the skin. With the hand of the plan the means are those of the
// matching engine; its heat is the heat engine's.

import { ZONES } from '../anatomy';
import { brokenShare, CLOTH_LEAVES, heldAtPull, LATER_HOLD, lengthRange, skinLoad } from '../matching';
import { layAndPull } from '../products';
import { angleBetweenDeg, clamp, dot, rotate, type Vec } from '../shared';
import { heatOfAct, mannerFor, type ActHeat } from './actHeat';
import { hairsUnder } from './covered';
import { crackedShare, faultsOfStrip, laidAcross, startsOnHair, type Effect } from './faults';
import type { GrownScene } from './growHairs';
import { skinAfter, type SkinAnswer } from './skinAfter';
import type { Act, Fate, FaultCode, HairFate, SkinHair } from './types';

/** The practised skin between two strips, by the place of each hair. */
export interface Ground {
  readonly state: readonly ('standing' | 'gone' | 'stub')[];
  /** Strips that have lain here, and how many of them were soft wax. */
  readonly passes: readonly number[];
  readonly softPasses: readonly number[];
  /** Load borne so far, 0–1. */
  readonly load: readonly number[];
}

export function freshGround({ hairs }: Pick<GrownScene, 'hairs'>): Ground {
  const zeros = hairs.map(() => 0);
  return { state: hairs.map(() => 'standing'), passes: zeros, softPasses: zeros, load: zeros };
}

export interface StripAnswer {
  readonly fates: readonly HairFate[];
  readonly out: number;
  readonly broken: number;
  readonly left: number;
  /** That were to stay, and came or broke. */
  readonly taken: number;
  readonly skin: SkinAnswer;
  readonly heat: ActHeat;
  /** Share of the strip that stayed on the skin in pieces. */
  readonly cracked: number;
  /** Threads of wax between strip and skin: 0 none – 1 all of it smeared. */
  readonly strings: number;
}

/** Luck of a hair at a later pull, 0–1: nothing to do with that of the first. */
function laterLuck(seed: number, hair: number, pass: number, what: number): number {
  let t = Math.imul(seed ^ Math.imul(hair + 1, 0x9e3779b1), 0x85ebca6b) ^ Math.imul(pass * 8 + what + 1, 0xc2b2ae35);
  t = Math.imul(t ^ (t >>> 15), 0x2c1b3c6d);
  t = Math.imul(t ^ (t >>> 12), 0x297a2d39);
  return ((t ^ (t >>> 15)) >>> 0) / 4294967296;
}

/** Moved on the log odds. */
const moved = (share: number, by: number): number => {
  if (by === 0) return share;
  const odds = (share / Math.max(1e-9, 1 - share)) * Math.exp(by);
  return odds / (1 + odds);
};

/** Chances of one hair before its luck decides. */
export interface Chances {
  readonly left: number;
  /** Of those that do not stay. */
  readonly broken: number;
  /** It lies under a piece that cracked off. */
  readonly isCracked: boolean;
}

/** How far the pull is turned beside the line that the way asks for after this lay. */
export function turnedDeg({ way, lay, pull }: Pick<Act, 'way' | 'lay' | 'pull'>): number {
  const asked = layAndPull(way, [0, 1]);
  const between = Math.atan2(asked.pull[1], asked.pull[0]) - Math.atan2(asked.lay[1], asked.lay[0]);
  return angleBetweenDeg(pull.way, rotate(lay, (between * 180) / Math.PI));
}

/** A strip looked at hair by hair. */
export interface Look {
  readonly covered: readonly SkinHair[];
  readonly heat: ActHeat;
  readonly chances: (hair: SkinHair) => Chances;
}

const NONE: Effect = { left: 0, broken: 0 };
const total = (effects: readonly Effect[]): Effect => ({
  left: effects.reduce((s, e) => s + e.left, 0),
  broken: effects.reduce((s, e) => s + e.broken, 0),
});

/** @param without a fault that is taken as put right */
export function lookUnder(grown: GrownScene, ground: Ground, act: Act, without?: FaultCode): Look {
  const { scene } = grown;
  const zone = ZONES[scene.zone];
  const { product, way, coats, outline } = act;
  const under = hairsUnder(grown, outline);
  const covered = under.filter((h) => ground.state[h.id] === 'standing');
  const waxed = under.filter((h) => (ground.passes[h.id] ?? 0) > 0).length * 2 > under.length;
  const heat = heatOfAct(scene, act, waxed ? 'after-pass' : 'fresh');
  const faults = faultsOfStrip(scene, act, heat, turnedDeg(act));
  const shared = total(Object.entries(faults).flatMap(([code, effect]) => (code === without ? [] : [effect])));
  const along = (at: Vec): number => dot(at, act.pull.way);
  const edge = outline.map(along);
  const [start, end] = [Math.min(...edge), Math.max(...edge)];
  const bare = Math.min(...under.map((h) => along(h.at) - start));
  const cracked = without === 'late' ? 0 : crackedShare(act, heat);
  const { shortestMm } = lengthRange(mannerFor(product, way), zone, way);
  const hold = { product, way, coats, hair: scene.hair, shortestMm, roomC: scene.roomC };
  const breaks = brokenShare({
    ...{ product, way, hair: scene.hair, skin: scene.skin },
    aboveCoolK: without === 'cool' ? Infinity : act.touchC - heat.window.minC,
  });
  const heldBy = new Map<number, (mm: number) => number>();
  /** Crossing growth in steps of a degree, so that the law is made once for each. */
  const offOf = (hair: SkinHair): number =>
    without === 'lay' ? 0 : Math.round(angleBetweenDeg(act.lay, layAndPull(way, hair.way).lay));
  const heldOf = (hair: SkinHair, off: number): number => {
    const law = heldBy.get(off) ?? heldAtPull({ ...hold, meanAngleErrorDeg: off });
    heldBy.set(off, law);
    return law(hair.lengthMm) * ((ground.passes[hair.id] ?? 0) > 0 ? LATER_HOLD : 1);
  };
  const chances = (hair: SkinHair): Chances => {
    const fromStart = along(hair.at) - start;
    const isCracked = cracked > 0 && fromStart > (1 - cracked) * (end - start);
    const off = offOf(hair);
    const own = total([without === 'on-hair' ? NONE : startsOnHair(fromStart, bare), laidAcross(off)]);
    return {
      left: moved(1 - heldOf(hair, off), shared.left + own.left),
      broken: moved(breaks, shared.broken + own.broken),
      isCracked,
    };
  };
  return { covered, heat, chances };
}

/** Where a hair that breaks snaps: slack or upward pulls bend it over the edge of its own root's mouth. */
const snapAtMm = (hair: SkinHair, luck: number): number => hair.depthMm * (0.55 + 0.6 * luck);

/** What becomes of one hair by its luck. */
export function fateOf(grown: GrownScene, ground: Ground, act: Act, hair: SkinHair, c: Chances): Fate {
  const pass = ground.passes[hair.id] ?? 0;
  const hasCloth = act.product.family === 'soft';
  const luck = (of: number, what: number): number => {
    if (pass === 0) return of;
    // where no cloth comes after it, its luck is there for the second pull
    return pass === 1 && what === 0 && !hasCloth ? hair.cloth : laterLuck(grown.scene.seed, hair.id, pass, what);
  };
  if (c.isCracked) return 'left';
  // hold is luck against staying: the least lucky stay
  if (luck(hair.hold, 0) < c.left) {
    // a clean cloth takes most of what soft wax left
    if (!hasCloth || luck(hair.cloth, 2) < CLOTH_LEAVES) return 'left';
  }
  return luck(hair.snap, 1) < c.broken ? 'broken' : 'out';
}

const BLEEDS_BASE = 0.01;
const BLEEDS_PER_STEP = 0.03;
const FIRST_TIMES = 2;

/** The strip pulled: what came of it, and the ground after it. */
export function pullStrip(
  grown: GrownScene,
  ground: Ground,
  act: Act,
): { readonly answer: StripAnswer; readonly ground: Ground } {
  const { scene } = grown;
  const zone = ZONES[scene.zone];
  const look = lookUnder(grown, ground, act);
  const { heat } = look;
  const rough = scene.hair.history === 'regular' ? 1 : FIRST_TIMES;
  const bleeds = (BLEEDS_BASE + BLEEDS_PER_STEP * Math.max(0, scene.hair.coarseness - 2)) * rough;
  const fates = look.covered.map((hair): HairFate => {
    const fate = fateOf(grown, ground, act, hair, look.chances(hair));
    const luck = laterLuck(scene.seed, hair.id, 90, 3);
    return {
      hair: hair.id,
      fate,
      brokeAtMm: fate === 'broken' ? snapAtMm(hair, laterLuck(scene.seed, hair.id, 91, 4)) : null,
      bled: fate === 'out' && luck < bleeds,
    };
  });
  const stays = (f: HairFate): boolean => grown.hairs[f.hair]?.stays === true;
  const going = fates.filter((f) => !stays(f));
  const count = (fate: Fate): number => going.filter((f) => f.fate === fate).length;
  const under = hairsUnder(grown, act.outline).map((h) => h.id);
  const { adhesion } = mannerFor(act.product, act.way);
  const load = skinLoad({ adhesion, ground: 1, way: act.way }, zone, scene.sensitivity);
  const skin = skinAfter({
    scene,
    act,
    heat,
    load,
    bled: fates.filter((f) => f.bled).length,
    hairs: fates.filter((f) => f.fate !== 'left').length,
    before: under.map((id) => ({ passes: ground.passes[id] ?? 0, soft: ground.softPasses[id] ?? 0 })),
  });
  const state = ground.state.slice();
  for (const { hair, fate } of fates) if (fate !== 'left') state[hair] = fate === 'out' ? 'gone' : 'stub';
  const raised = (list: readonly number[], by: (old: number) => number): readonly number[] => {
    const next = list.slice();
    for (const id of under) next[id] = by(next[id] ?? 0);
    return next;
  };
  const short = act.product.setting ? clamp(1 - act.waitS / Math.max(1, heat.setS.min), 0, 1) : 0;
  return {
    answer: {
      fates,
      ...{ out: count('out'), broken: count('broken'), left: count('left') },
      taken: fates.filter((f) => stays(f) && f.fate !== 'left').length,
      skin,
      heat,
      cracked: crackedShare(act, heat),
      strings: short,
    },
    ground: {
      state,
      passes: raised(ground.passes, (n) => n + 1),
      softPasses: act.product.family === 'soft' ? raised(ground.softPasses, (n) => n + 1) : ground.softPasses,
      load: raised(ground.load, (l) => 1 - (1 - l) * (1 - load)),
    },
  };
}
