// Every stocked product in every way it can be worked, side by side for one zone and client today: what excludes it,
// what it would remove, break, leave and cost, and a score. Best first; excluded options follow in catalogue order.

import type { Zone } from '../anatomy';
import { daysUntilWorkable, workableShare, type Hair } from '../hair';
import {
  LATER_PASS_MM,
  LATEST_PULL_CAP_S,
  solveCoats,
  solveSkinHeat,
  workingWindow,
  type CoatHeat,
  type HeatNeed,
  type SkinHeat,
  type SkinState,
  type WorkingWindow,
} from '../heat';
import { tableMinutes } from '../materials';
import { allowsThickness, mannerName, mannerOf, waysOf, type Manner, type Product, type Way } from '../products';
import type { CoatRest } from '../hands';
import type { ZoneJudgement } from '../screening';
import { addDays, type CivilDate, type Recall } from '../shared';
import { brokenShare, removedShare, skinLoad } from './removal';
import { exclusionCodes, lengthRange, needsTrim } from './eligibility';
import { scoreOf, SHIPPED_WEIGHTS, type Weights } from './score';
import type { Laid, Option, Schools, StripFacts } from './types';

export interface MatchInput {
  readonly on: CivilDate;
  readonly zone: Zone;
  readonly hair: Hair;
  readonly sensitivity: number;
  readonly skin: 'dry' | 'normal' | 'oily';
  readonly ingrownProne: boolean;
  readonly roomC: number;
  readonly schools: Schools;
  readonly judgement: ZoneJudgement;
  readonly products: readonly Product[];
  readonly hairAreaCm2: number;
  /** Visible hairs per cm², the mean over the hair. */
  readonly hairsPerCm2: number;
  /** mm/day of this client here. */
  readonly rateMmPerDay: number;
  readonly knownProducts?: readonly string[] | undefined;
  readonly reactedTo?: readonly string[] | undefined;
  /** Share of the zone's hair that crosses the rest, 0–0.5; absent = none. */
  readonly crossingShare?: number | undefined;
  readonly force?: { readonly product?: string | undefined; readonly way?: Way | undefined };
  /** What moves this client's felt limit, K: learned from past visits; negative = cooler. */
  readonly feltShiftK?: number | undefined;
  /** Slab and touch asked for by hand for one product. */
  readonly heat?: HeatWish | undefined;
  readonly weights?: Weights | undefined;
  /** Strips, schedule and use of an option; computed outside so that layouts are shared. */
  readonly stripFacts: (product: Product, way: Way, laid: Laid) => StripFacts;
  /** Windows by key, so that zones with the same skin share the heat solves. */
  readonly windows?: Recall<WorkingWindow> | undefined;
  readonly heats?: Recall<SkinHeat> | undefined;
  readonly coats?: Recall<CoatHeat> | undefined;
}

/** A slab or a touch that the practitioner asks for; the window keeps the last word. */
export interface HeatWish {
  readonly product: string;
  readonly thicknessMm?: number | undefined;
  readonly touchC?: number | undefined;
}

/** From this share on one more pass is not worth its load. */
const CLEAN_SHARE = 0.975;
const COARSE_FROM = 4;
/** A later pass takes about half the time of the first. */
const LATER_PASS_TIME = 0.5;

/** Where the screening lowers the limit, what was learned never raises it again. */
const lowerLimitK = ({ judgement, feltShiftK = 0 }: MatchInput): number =>
  judgement.lowerHeatK - (judgement.lowerHeatK > 0 ? Math.min(0, feltShiftK) : feltShiftK);

/** The heat question of an option: what is laid, how, on which skin, for whom. */
export function heatNeedOf(
  input: MatchInput,
  product: Product,
  manner: Manner,
  way: Way,
  state: SkinState = 'fresh',
): HeatNeed {
  const wish = input.heat?.product === product.id && state === 'fresh' ? input.heat : undefined;
  const inRange = wish?.thicknessMm !== undefined && allowsThickness({ tab: manner }, wish.thicknessMm);
  return {
    product,
    manner,
    mannerName: mannerName(product.family, way),
    skin: input.zone.skin,
    sensitivity: input.sensitivity,
    roomC: input.roomC,
    lowerLimitK: lowerLimitK(input),
    state,
    ...(inRange ? { thicknessMm: wish.thicknessMm } : {}),
    ...(wish?.touchC === undefined ? {} : { touchC: wish.touchC }),
  };
}

/** The working window of an option, and the seconds between which its strip may be pulled. */
export function heatOfOption(
  input: MatchInput,
  product: Product,
  manner: Manner,
  way: Way,
  coats: 1 | 2,
): {
  readonly window: WorkingWindow;
  readonly setS: { readonly min: number; readonly max: number };
  readonly heat: SkinHeat;
  readonly need: HeatNeed;
  readonly rest: CoatRest | null;
} {
  const need = heatNeedOf(input, product, manner, way);
  const { skin, roomC } = need;
  const key = JSON.stringify(need);
  const recall = <T>(memory: Recall<T> | undefined, make: () => T): T => (memory ? memory(key, make) : make());
  const window = recall(input.windows, () => workingWindow(need));
  const heat = recall(input.heats, () =>
    solveSkinHeat({
      product,
      touchC: window.targetC,
      thicknessMm: window.thicknessMm,
      skin,
      roomC,
      endS: product.setting ? LATEST_PULL_CAP_S : 60,
    }),
  );
  if (coats === 2) {
    const slab = { product, touchC: window.targetC, thicknessMm: window.thicknessMm, skin, roomC };
    const both = recall(input.coats, () => solveCoats(slab));
    // felt heat stays that of the whole slab laid at once: never less than that of its coats one by one
    return { window, setS: both.setS, heat, need, rest: { mostS: both.restMaxS, afterRest: both.afterRest } };
  }
  const setS = product.setting
    ? {
        min: heat.setAfterS === null ? LATEST_PULL_CAP_S : Math.ceil(heat.setAfterS),
        max: Math.floor(heat.latestPullS),
      }
    : manner.waitS;
  return { window, setS, heat, need, rest: null };
}

/** The window of a pass on skin that was waxed already: warmer and thinner, under a thinner slab. */
export function laterWindow(input: MatchInput, product: Product, manner: Manner, way: Way): WorkingWindow {
  const need: HeatNeed = {
    ...heatNeedOf(input, product, manner, way, 'after-pass'),
    thicknessMm: Math.min(LATER_PASS_MM, manner.thicknessMm.usual),
  };
  return input.windows ? input.windows(JSON.stringify(need), () => workingWindow(need)) : workingWindow(need);
}

/** The face bears two passes of any product (from memory). */
const MOST_ON_FACE = 2;

/** Most passes by product, school and screening, before the skin's heat is looked at. */
function passLimit({ zone, schools, judgement }: MatchInput, product: Product, way: Way): number {
  if (judgement.onePass || way === 'crossed') return 1;
  const usual = product.family === 'hard' ? Math.min(schools.maxHardPasses, product.passes.max) : product.passes.usual;
  return zone.face ? Math.min(MOST_ON_FACE, usual) : usual;
}

/** Hair in layers shows its next layer only when the first is off: at least another pass, where one is allowed. */
function passesNeeded(product: Product, limit: number, layers: boolean, removed: (passes: number) => number): number {
  let passes = layers ? Math.min(2, limit) : 1;
  while (passes < limit && removed(passes) < CLEAN_SHARE) passes++;
  return Math.min(passes, product.passes.max);
}

export type Raw = Omit<Option, 'score' | 'tier'> & { readonly pasteOffK: number; readonly allMinutes: number };

/** One option with its figures, before any comparison. */
export function evaluate(input: MatchInput, product: Product, way: Way, manner: Manner): Raw {
  const { zone, hair, schools, judgement } = input;
  const coats: 1 | 2 = product.body === 'film' && hair.coarseness >= COARSE_FROM ? 2 : 1;
  const { window, setS, heat, rest } = heatOfOption(input, product, manner, way, coats);
  const facts = input.stripFacts(product, way, { coats, setS, rest, thicknessMm: window.thicknessMm });
  const range = lengthRange(manner, zone, way);
  const trimFirst = needsTrim(hair, range);
  const removal = {
    product,
    way,
    coats,
    hair,
    shortestMm: range.shortestMm,
    meanAngleErrorDeg: facts.meanAngleErrorDeg,
  };
  const wanted = passesNeeded(product, passLimit(input, product, way), hair.flags?.includes('layers') ?? false, (n) =>
    removedShare(removal, n),
  );
  // looked at only where a further pass is wanted at all
  const passes = wanted > 1 && laterWindow(input, product, manner, way).empty ? 1 : wanted;
  const removed = removedShare(removal, passes);
  const hairs = input.hairAreaCm2 * input.hairsPerCm2;
  const toTweeze = Math.round(hairs * (1 - removed));
  const pasteWantedC = 36 + 0.3 * (input.roomC - 22) + (input.sensitivity <= 3 ? 1 : 0);
  const pasteOffK = way === 'moulded' ? Math.max(0, pasteWantedC - window.maxC, window.minC - pasteWantedC) : 0;
  const forced = input.force?.way === way && (input.force.product === undefined || input.force.product === product.id);
  const excludedBy = exclusionCodes({
    product,
    manner,
    way,
    zone,
    hair,
    schools,
    judgement,
    window,
    setS,
    pasteWantedC,
    forced,
    knownProducts: input.knownProducts,
    reactedTo: input.reactedTo,
    crossingShare: input.crossingShare ?? 0,
  });
  const days = daysUntilWorkable(hair, range, input.rateMmPerDay);
  return {
    product,
    family: product.family,
    way,
    manner,
    eligible: excludedBy.length === 0,
    excludedBy,
    passes,
    coats,
    removedShare: removed,
    brokenShare: brokenShare({ product, way, hair, skin: input.skin, aboveCoolK: window.targetC - window.minC }),
    toTweeze,
    skinLoad: skinLoad(manner.adhesion, passes, zone, input.sensitivity),
    workableShare: workableShare(hair, range),
    ...range,
    readyOn: days === null || days === 0 ? null : addDays(input.on, days),
    trimFirst,
    window,
    feltMarginK: window.limitC - heat.feltPeakC,
    setS,
    rest,
    strips: facts.strips,
    tableMinutes: tableMinutes(facts.scheduleS, toTweeze),
    massG: facts.massG,
    costMinor: facts.costMinor,
    pasteOffK,
    allMinutes: tableMinutes(facts.scheduleS * (1 + LATER_PASS_TIME * (passes - 1)), toTweeze),
  };
}

/** What the quickest and the cheapest of a comparison need: the measure for all others. */
export interface Yardstick {
  readonly minutes: number;
  readonly costMinor: number;
}

export const yardstickOf = (raw: readonly Pick<Raw, 'allMinutes' | 'costMinor'>[]): Yardstick => ({
  minutes: Math.min(...raw.map((o) => o.allMinutes)),
  costMinor: Math.min(...raw.map((o) => Math.max(1, o.costMinor))),
});

/** The weighted sum of an option against the quickest and cheapest it is compared with. */
export const rawScore = (
  input: Pick<MatchInput, 'hair' | 'sensitivity' | 'ingrownProne' | 'weights'>,
  o: Raw,
  than: Yardstick,
): number =>
  scoreOf(
    {
      product: o.product,
      hair: input.hair,
      sensitivity: input.sensitivity,
      ingrownProne: input.ingrownProne,
      removedShare: o.removedShare,
      brokenShare: o.brokenShare,
      skinLoad: o.skinLoad,
      slowness: o.allMinutes / than.minutes,
      dearness: o.costMinor / than.costMinor,
      pasteOffK: o.pasteOffK,
    },
    input.weights ?? SHIPPED_WEIGHTS,
  );

/** Soft wax on very reactive skin is never first, whatever the weights. */
export const tierOf = (o: Pick<Raw, 'family'>, sensitivity: number): number =>
  o.family === 'soft' && sensitivity >= 5 ? 1 : 0;

/** Every product × way with its figures, in catalogue order. */
export function evaluateAll(input: MatchInput): readonly Raw[] {
  return input.products.flatMap((product) =>
    waysOf(product).flatMap((way) => {
      const manner = mannerOf(product, way);
      return manner ? [evaluate(input, product, way, manner)] : [];
    }),
  );
}

/** All options of the zone, best first. */
export function matchZone(input: MatchInput, raw: readonly Raw[] = evaluateAll(input)): readonly Option[] {
  const than = yardstickOf(raw.filter((o) => o.eligible));
  const scored = raw.map((o): Option => ({
    ...o,
    tier: tierOf(o, input.sensitivity),
    score: o.eligible ? rawScore(input, o, than) : null,
  }));
  const rank = (o: Option): number => (o.score === null ? Infinity : 10 * o.tier - o.score);
  return scored
    .map((o, i) => ({ o, i }))
    .sort((a, b) => (rank(a.o) === rank(b.o) ? a.i - b.i : rank(a.o) - rank(b.o)))
    .map(({ o }) => o);
}
