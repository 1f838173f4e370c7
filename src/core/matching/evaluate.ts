// One product worked in one way on a zone, with its figures for all passes that will really be done.

import { productCostMinor, tableMinutes } from '../materials';
import { daysUntilWorkable, workableShare } from '../hair';
import { mannerOf, waysOf, type Manner, type Product, type Way } from '../products';
import { addDays } from '../shared';
import { costOf, costParts, type CostFigures } from './cost';
import { exclusionCodes, lengthRange, needsTrim } from './eligibility';
import type { MatchInput } from './matchInput';
import { heatOfOption, laterWindow } from './optionHeat';
import { plannedPasses, SHIPPED_LEFTOVERS, type PassFigures } from './passes';
import { brokenShare, leftShare, skinLoad } from './removal';
import type { Option } from './types';

/** Film in one coat stretches on hair from this coarseness on. */
const COARSE_FROM = 4;
/** The face bears two passes of any product (from memory). */
const MOST_ON_FACE = 2;
/** The second stroke of a crossed lay takes its time; what a later pass goes over is laid plainly. */
const CROSSED_TIME = 1.15;

/** Most passes by product, school and screening, before the skin's heat is looked at. */
export function passLimit({ zone, schools, judgement }: MatchInput, product: Product): number {
  if (judgement.onePass) return 1;
  const usual = product.family === 'hard' ? Math.min(schools.maxHardPasses, product.passes.max) : product.passes.usual;
  return Math.min(product.passes.max, zone.face ? Math.min(MOST_ON_FACE, usual) : usual);
}

/** One option before any comparison: the same whatever else is on the shelf. */
export function evaluate(input: MatchInput, product: Product, way: Way, manner: Manner): Option {
  const { zone, hair, schools, judgement, sensitivity } = input;
  const coats: 1 | 2 = product.body === 'film' && hair.coarseness >= COARSE_FROM ? 2 : 1;
  const { window, setS, heat, rest } = heatOfOption(input, product, manner, way, coats);
  const facts = input.stripFacts(product, way, { coats, setS, rest, thicknessMm: window.thicknessMm });
  const range = lengthRange(manner, zone, way);
  const hold = {
    product,
    way,
    coats,
    hair,
    shortestMm: range.shortestMm,
    meanAngleErrorDeg: facts.meanAngleErrorDeg,
    roomC: input.roomC,
    holdShift: input.hold?.[product.body],
  };
  const lineHairs = Math.round(input.lineHairs ?? 0);
  const hairs = Math.max(0, input.hairAreaCm2 * input.hairsPerCm2 - lineHairs);
  const firstS = facts.scheduleS * (way === 'crossed' ? CROSSED_TIME : 1);
  const laterS = (p: PassFigures): number => facts.scheduleS * (p.ground - 1) + p.startS;
  const broken = brokenShare({ product, way, hair, skin: input.skin, aboveCoolK: window.targetC - window.minC });
  const leftovers = input.leftovers ?? SHIPPED_LEFTOVERS;
  const mostTweezed = zone.face ? leftovers.faceMax : leftovers.bodyMax;
  // what stands along a line no strip takes, however many passes
  const tweezedOf = (p: PassFigures): number => Math.min(p.tweezed + lineHairs, Math.max(p.tweezed, mostTweezed));
  const figuresOf = (p: PassFigures): CostFigures => ({
    allMinutes: tableMinutes(firstS + laterS(p), tweezedOf(p)),
    skinLoad: skinLoad({ adhesion: manner.adhesion, ground: p.ground, way }, zone, sensitivity),
    brokenShare: broken,
    staysShare: p.staysShare,
    tweezed: tweezedOf(p),
    costMinor: productCostMinor(facts.massG * p.ground, product.priceMinorPerKg),
  });
  const wanted = passLimit(input, product);
  const question = {
    leftAfter: (passes: number) => leftShare(hold, passes),
    hairs,
    strips: facts.strips,
    // hair in layers shows its next layer only when the first is off
    least: hair.flags?.includes('layers') ? 2 : 1,
    mostTweezed,
    rest: leftovers.rest,
  };
  const planned = (limit: number): PassFigures =>
    plannedPasses({ ...question, limit }, (p) => costOf(costParts(figuresOf(p), input)));
  const free = planned(wanted);
  // looked at only where a further pass is wanted at all
  const passes = free.passes > 1 && laterWindow(input, product, manner, way).empty ? planned(1) : free;
  const figures = figuresOf(passes);
  const pasteWantedC = 36 + 0.3 * (input.roomC - 22) + (sensitivity <= 3 ? 1 : 0);
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
  const parts = costParts(figures, input);
  return {
    product,
    family: product.family,
    way,
    manner,
    eligible: excludedBy.length === 0,
    excludedBy,
    passes: passes.passes,
    coats,
    holdShift: input.hold?.[product.body] ?? 0,
    removedShare: hairs > 0 ? 1 - passes.leftHairs / hairs : 1 - leftShare(hold, passes.passes),
    brokenShare: broken,
    leftHairs: passes.leftHairs + lineHairs,
    tweezed: figures.tweezed,
    staysShare: passes.staysShare,
    skinLoad: figures.skinLoad,
    workableShare: workableShare(hair, range),
    ...range,
    readyOn: days === null || days === 0 ? null : addDays(input.on, days),
    trimFirst: needsTrim(hair, range),
    window,
    feltMarginK: window.limitC - heat.feltPeakC,
    setS,
    rest,
    strips: facts.strips,
    tableMinutes: tableMinutes(firstS, figures.tweezed),
    ground: passes.ground,
    laterS: laterS(passes),
    allMinutes: figures.allMinutes,
    massG: facts.massG * passes.ground,
    costMinor: figures.costMinor,
    parts,
    cost: costOf(parts),
  };
}

/** Every product × way with its figures, in catalogue order. */
export function evaluateAll(input: MatchInput): readonly Option[] {
  return input.products.flatMap((product) =>
    waysOf(product).flatMap((way) => {
      const manner = mannerOf(product, way);
      return manner ? [evaluate(input, product, way, manner)] : [];
    }),
  );
}
