// Every stocked product in every way it can be worked, side by side for one zone and client today: what excludes it, what it
// would remove, break, leave and cost, and a score. Best first; excluded options follow in catalogue order.

import { hairsPerCm2, type Zone } from '../anatomy';
import { daysUntilWorkable, workableShare, type Hair } from '../hair';
import { LATEST_PULL_CAP_S, solveSkinHeat, workingWindow, type SkinHeat, type WorkingWindow } from '../heat';
import { tableMinutes } from '../materials';
import { mannerName, mannerOf, waysOf, type Manner, type Product, type Way } from '../products';
import type { ZoneJudgement } from '../screening';
import { addDays, type CivilDate, type Recall } from '../shared';
import { brokenShare, removedShare, skinLoad } from './removal';
import { exclusionCodes, lengthRange, needsTrim } from './eligibility';
import { scoreOf } from './score';
import type { Option, Schools, StripFacts } from './types';

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
  /** mm/day of this client here. */
  readonly rateMmPerDay: number;
  readonly knownProducts?: readonly string[] | undefined;
  readonly reactedTo?: readonly string[] | undefined;
  /** Share of the zone's hair that crosses the rest, 0–0.5; absent = none. */
  readonly crossingShare?: number | undefined;
  readonly force?: { readonly product?: string | undefined; readonly way?: Way | undefined };
  /** Strips, schedule and use of an option; computed outside so that layouts are shared. */
  readonly stripFacts: (product: Product, way: Way, coats: 1 | 2, setS: { readonly min: number; readonly max: number }, thicknessMm: number) => StripFacts;
  /** Windows by key, so that zones with the same skin share the heat solves. */
  readonly windows?: Recall<WorkingWindow> | undefined;
  readonly heats?: Recall<SkinHeat> | undefined;
}

/** From this share on one more pass is not worth its load. */
const CLEAN_SHARE = 0.975;
const COARSE_FROM = 4;
/** What a pull of soft wax left is cleared with a clean cloth: that finishes the same pass and halves the tweezing. */
const CLOTH_CLEARS = 0.4;
/** A later pass takes about half the time of the first. */
const LATER_PASS_TIME = 0.5;

/** The working window of an option, and the seconds between which its strip may be pulled. */
export function heatOfOption(input: MatchInput, product: Product, manner: Manner, way: Way): { readonly window: WorkingWindow; readonly setS: { readonly min: number; readonly max: number }; readonly heat: SkinHeat } {
  const name = mannerName(product.family, way);
  const { zone, sensitivity, roomC, judgement } = input;
  const key = JSON.stringify([product, name, zone.skin, sensitivity, roomC, judgement.lowerHeatK]);
  const recall = <T,>(memory: Recall<T> | undefined, make: () => T): T => (memory ? memory(key, make) : make());
  const window = recall(input.windows, () =>
    workingWindow({ product, manner, mannerName: name, skin: zone.skin, sensitivity, roomC, lowerLimitK: judgement.lowerHeatK }));
  const heat = recall(input.heats, () =>
    solveSkinHeat({ product, touchC: window.targetC, thicknessMm: window.thicknessMm, skin: zone.skin, roomC, endS: product.setting ? LATEST_PULL_CAP_S : 60 }));
  const setS = product.setting
    ? { min: heat.setAfterS === null ? LATEST_PULL_CAP_S : Math.ceil(heat.setAfterS), max: Math.floor(heat.latestPullS) }
    : manner.waitS;
  return { window, setS, heat };
}

/** Hair in layers shows its next layer only when the first is off: at least another pass, where one is allowed. */
function passesNeeded(product: Product, limit: number, layers: boolean, removed: (passes: number) => number): number {
  let passes = layers ? Math.min(2, limit) : 1;
  while (passes < limit && removed(passes) < CLEAN_SHARE) passes++;
  return Math.min(passes, product.passes.max);
}

type Raw = Omit<Option, 'score' | 'tier'> & { readonly pasteOffK: number; readonly allMinutes: number };

function evaluate(input: MatchInput, product: Product, way: Way, manner: Manner): Raw {
  const { zone, hair, schools, judgement } = input;
  const { window, setS } = heatOfOption(input, product, manner, way);
  const coats: 1 | 2 = product.body === 'film' && hair.coarseness >= COARSE_FROM ? 2 : 1;
  const facts = input.stripFacts(product, way, coats, setS, window.thicknessMm);
  const range = lengthRange(manner, zone, way);
  const trimFirst = needsTrim(hair, range);
  const removal = { product, way, coats, hair, shortestMm: range.shortestMm, meanAngleErrorDeg: facts.meanAngleErrorDeg };
  const passLimit = judgement.onePass || way === 'crossed' ? 1 : product.family === 'hard' ? Math.min(schools.maxHardPasses, product.passes.max) : product.passes.usual;
  const passes = passesNeeded(product, passLimit, hair.flags?.includes('layers') ?? false, (n) => removedShare(removal, n));
  const removed = removedShare(removal, passes);
  const hairs = input.hairAreaCm2 * hairsPerCm2(zone.hairsPerCm2, hair.density);
  const toTweeze = Math.round(hairs * (1 - removed) * (product.family === 'soft' ? CLOTH_CLEARS : 1));
  const pasteWantedC = 36 + 0.3 * (input.roomC - 22) + (input.sensitivity <= 3 ? 1 : 0);
  const pasteOffK = way === 'moulded' ? Math.max(0, pasteWantedC - window.maxC, window.minC - pasteWantedC) : 0;
  const forced = input.force?.way === way && (input.force.product === undefined || input.force.product === product.id);
  const excludedBy = exclusionCodes({ product, manner, way, zone, hair, schools, judgement, window, setS, pasteWantedC, forced, knownProducts: input.knownProducts, reactedTo: input.reactedTo, crossingShare: input.crossingShare ?? 0 });
  const days = daysUntilWorkable(hair, range, input.rateMmPerDay);
  return {
    product, family: product.family, way, manner, eligible: excludedBy.length === 0, excludedBy, passes, coats, removedShare: removed,
    brokenShare: brokenShare({ product, way, hair, skin: input.skin, aboveCoolK: window.targetC - window.minC }), toTweeze,
    skinLoad: skinLoad(manner.adhesion, passes, zone, input.sensitivity), workableShare: workableShare(hair, range), ...range,
    readyOn: days === null || days === 0 ? null : addDays(input.on, days), trimFirst, window, setS,
    strips: facts.strips, tableMinutes: tableMinutes(facts.scheduleS, toTweeze), massG: facts.massG, costMinor: facts.costMinor, pasteOffK,
    allMinutes: tableMinutes(facts.scheduleS * (1 + LATER_PASS_TIME * (passes - 1)), toTweeze),
  };
}

/** All options of the zone, best first. */
export function matchZone(input: MatchInput): readonly Option[] {
  const raw = input.products.flatMap((product) =>
    waysOf(product).flatMap((way) => {
      const manner = mannerOf(product, way);
      return manner ? [evaluate(input, product, way, manner)] : [];
    }),
  );
  const open = raw.filter((o) => o.eligible);
  const quickest = Math.min(...open.map((o) => o.allMinutes));
  const cheapest = Math.min(...open.map((o) => Math.max(1, o.costMinor)));
  const scored = raw.map(({ pasteOffK, allMinutes, ...o }): Option => ({
    ...o,
    tier: o.family === 'soft' && input.sensitivity >= 5 ? 1 : 0,
    score: o.eligible
      ? scoreOf({
          product: o.product, hair: input.hair, sensitivity: input.sensitivity, ingrownProne: input.ingrownProne, removedShare: o.removedShare, brokenShare: o.brokenShare,
          skinLoad: o.skinLoad, slowness: allMinutes / quickest, dearness: o.costMinor / cheapest, pasteOffK,
        })
      : null,
  }));
  const rank = (o: Option): number => (o.score === null ? Infinity : 10 * o.tier - o.score);
  return scored.map((o, i) => ({ o, i })).sort((a, b) => (rank(a.o) === rank(b.o) ? a.i - b.i : rank(a.o) - rank(b.o))).map(({ o }) => o);
}
