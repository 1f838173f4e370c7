// From a zone's choice to its part of the plan: heat, strips, reasons; and from its hair to regrowth and return windows.

import { subdivisionAt, type Family } from '../anatomy';
import { meanCrossing, nodeCentre, nodeDirection, type GrowthField } from '../field';
import { readyWindow, regrowthCurve, regrowthModel, smoothUntilDay, type LearnedGrowth } from '../hair';
import { boundWords, LATER_PASS_MM, learnFelt, potForTouch, speaksOfLimit, windowOpeners, workingWindow, type Opener } from '../heat';
import { massUsedG } from '../materials';
import { choiceReasons, exclusionSentence, heatNeedOf, heatOfOption, lengthRange, noChoiceReasons, sugarWayFor, type MatchInput, type Option, type Schools, type WhatElse } from '../matching';
import { mannerName, mannerOf, type Product, type Way } from '../products';
import type { ZoneJudgement } from '../screening';
import { isStopped } from '../screening';
import { handworkOf, isSpread, largestStrip, patchesOf, stripFaults, zoneShapes, type HandLevel } from '../strips';
import { addDays, roundTo, samplePoints, type Ring, type Vec } from '../shared';
import { hairNotes } from './hairNotes';
import type { PlanMemory } from './planMemory';
import type { PlanHeat, PlanOption, PlanRegrowth, PlanStrip, PlanZone } from './planTypes';
import { betterReasons, heatReasons } from './choiceNotes';
import type { ClientCase, StudioFacts } from './visitCase';
import type { ZoneWork } from './zoneWork';

const at4 = ([x, y]: Vec): Vec => [roundTo(x, 4), roundTo(y, 4)];
const at6 = ([x, y]: Vec): Vec => [roundTo(x, 6), roundTo(y, 6)];
const ring4 = (ring: Ring): Ring => ring.map(at4);

/** Heat of the chosen option: window, pot, felt peak, set and latest pull, and the window of a later pass. */
export function planHeat(choice: Option, match: MatchInput, client: ClientCase): PlanHeat {
  const { product, manner, way } = choice;
  const name = mannerName(product.family, way);
  const { window: w, setS, heat, need } = heatOfOption(match, product, manner, way);
  const later = choice.passes < 2 ? null : workingWindow({ ...heatNeedOf(match, product, manner, way, 'after-pass'), thicknessMm: Math.min(LATER_PASS_MM, manner.thicknessMm.usual) });
  const said = (client.heatFelt ?? []).filter(speaksOfLimit);
  const felt = learnFelt(said);
  return {
    workingC: { min: roundTo(w.minC, 1), target: roundTo(w.targetC, 1), max: roundTo(w.maxC, 1) },
    potC: roundTo(potForTouch(w.targetC, name, { product, roomC: match.roomC }), 1), thicknessMm: w.thicknessMm,
    feltPeakC: roundTo(heat.feltPeakC, 2), burnOmega: Number(heat.burnOmega.toPrecision(3)), setS: { min: setS.min, max: setS.max }, wristTest: true,
    bands: { flowC: [roundTo(w.flowC.min, 1), roundTo(w.flowC.max, 1)], feelMaxC: roundTo(w.feelMaxC, 1), labelC: [w.labelC.min, w.labelC.max] },
    limitC: roundTo(w.limitC, 2), bounds: boundWords(w), learned: said.length === 0 ? null : { shiftK: felt.shiftK, visits: new Set(said.map((h) => h.on)).size },
    asked: need.thicknessMm === undefined && need.touchC === undefined ? null : { thicknessMm: need.thicknessMm ?? null, touchC: need.touchC ?? null },
    laterPass: later && !later.empty ? { min: roundTo(later.minC, 1), target: roundTo(later.targetC, 1), max: roundTo(later.maxC, 1) } : null,
  };
}

/** What would open the window of an option that has none; solved only for what is shown. */
function openersOf(o: Option, match: MatchInput, memory: PlanMemory): readonly Opener[] {
  // advice only where nothing else stands in the way
  if (o.excludedBy.length !== 1 || o.excludedBy[0] !== 'heat.no-window') return [];
  const need = heatNeedOf(match, o.product, o.manner, o.way);
  return memory.openers(JSON.stringify(need), () => windowOpeners(need, o.window));
}

const planOption = (o: Option, openers: readonly Opener[]): PlanOption => ({
  product: o.product.id, family: o.family, way: o.way, eligible: o.eligible, excludedBy: o.excludedBy, why: o.excludedBy.map((c) => exclusionSentence(c, o, openers)),
  score: o.score === null ? null : roundTo(o.score, 4), passes: o.passes, coats: o.coats, strips: o.strips, tableMinutes: roundTo(o.tableMinutes, 1),
  massG: roundTo(o.massG, 1), costMinor: o.costMinor, removedShare: roundTo(o.removedShare, 4), brokenShare: roundTo(o.brokenShare, 4), toTweeze: o.toTweeze,
  skinLoad: roundTo(o.skinLoad, 3), workableShare: roundTo(o.workableShare, 3), shortestMm: roundTo(o.shortestMm, 2), longestMm: o.longestMm,
  targetC: o.window.empty ? null : roundTo(o.window.targetC, 1), feltMarginK: o.window.empty ? null : roundTo(o.feltMarginK, 2), readyOn: o.readyOn, trimFirst: o.trimFirst,
});

/** Points over a strip, close enough to tell what crosses under it. */
const strewn = (outline: Ring): readonly Vec[] => samplePoints([outline], 0.4);

function crossingUnder(field: GrowthField, outline: Ring): PlanStrip['crossing'] {
  const c = field.crossing && meanCrossing(field, strewn(outline));
  return c ? { growth: at6(c.towards), share: roundTo(c.share, 3) } : null;
}

const middleOf = (outline: Ring): Vec => [outline.reduce((s, p) => s + p[0], 0) / outline.length, outline.reduce((s, p) => s + p[1], 0) / outline.length];

/** What the hands do where a patch is spread at once, by strip; empty where each strip is laid on its own. */
function spreadWords(work: ZoneWork, choice: Option): ReadonlyMap<string, { readonly words: string; readonly opener: string | null }> {
  if (!isSpread(work.zone, choice.family, choice.way)) return new Map();
  return new Map(patchesOf(work.layout(choice.product, choice.way).strips).filter((ids) => ids.length > 1).flatMap((ids) => ids.map((id, k): [string, { words: string; opener: string | null }] =>
    [id, k === 0 ? { words: `Spread over this and the next ${ids.length - 1} at once, thin; then cloth by cloth from the free end.`, opener: null } : { words: 'Already spread: cloth on, rub along the growth, pull.', opener: ids[0] ?? null }])));
}

function planStrips(choice: Option, heat: PlanHeat, work: ZoneWork, orderOf: ReadonlyMap<string, number>): readonly PlanStrip[] {
  const manner = mannerName(choice.family, choice.way);
  const spread = spreadWords(work, choice);
  return work.layout(choice.product, choice.way).strips
    .map((s): PlanStrip => {
      const hand = handworkOf({ zone: work.zone.id, family: choice.family, lengthCm: s.lengthCm, coarseness: work.hair.coarseness });
      return {
      id: s.id, order: orderOf.get(s.id) ?? s.order, outline: ring4(s.outline), growth: at6(s.growth),
      place: subdivisionAt(work.zone.id, work.input.side, work.sheet, middleOf(s.outline)), crossing: crossingUnder(work.field, s.outline), density: s.density === null ? null : roundTo(s.density, 2), lay: at6(s.lay), pull: at6(s.pull), turnDeg: s.turnDeg ?? 0, tab: at4(s.tab),
      tabOn: s.tabOn, tabKind: s.tabKind, pass: 1, lengthMm: roundTo(s.lengthCm * 10, 1), widthMm: roundTo(s.widthCm * 10, 1), thicknessMm: heat.thicknessMm,
      massG: roundTo(massUsedG({ product: choice.product, manner, areaCm2: s.areaCm2, thicknessMm: heat.thicknessMm, coats: choice.coats }), 2),
      touches: s.touches, needsBefore: s.needsBefore, pulls: hand.pulls, pace: hand.pace, handwork: spread.get(s.id)?.words ?? hand.note, spreadWith: spread.get(s.id)?.opener ?? null, setS: heat.setS,
      };
    })
    .sort((a, b) => a.order - b.order);
}

/** Field nodes on a grid of at most 5 mm, finer on small zones, as [x, y, dx, dy]. */
function coarseField(field: GrowthField): readonly (readonly [number, number, number, number])[] {
  const stride = Math.max(1, Math.floor(Math.min(0.5, (Math.min(field.columns, field.rows) * field.spacingCm) / 8) / field.spacingCm));
  const out: (readonly [number, number, number, number])[] = [];
  for (let j = 0; j < field.rows; j += stride) {
    for (let i = 0; i < field.columns; i += stride) {
      const node = j * field.columns + i;
      const [x, y] = at4(nodeCentre(field, node));
      const [dx, dy] = at6(nodeDirection(field, node));
      out.push([x, y, dx, dy]);
    }
  }
  return out;
}

/** What was changed by hand in a zone's strips, and the rules that it breaks. */
function handFacts(work: ZoneWork, choice: Option | null, level: HandLevel): Pick<PlanZone, 'byHand' | 'stripFaults' | 'fade'> {
  const layout = choice && work.layout(choice.product, choice.way);
  const byHand = layout?.byHand ?? false;
  return {
    byHand, stripFaults: layout && byHand ? stripFaults(layout, work.field, { largestCm: largestStrip(work.zone, choice.family, level), fade: zoneShapes({ zone: work.zone.id, side: work.input.side, family: choice.family, sheet: work.sheet, fade: work.input.fade ?? false }).fade }) : [],
    fade: choice?.family === 'hard' && work.input.fade === true,
  };
}

export interface ZonePlanInput {
  readonly work: ZoneWork;
  readonly judgement: ZoneJudgement;
  readonly options: readonly Option[];
  readonly choice: Option | null;
  readonly match: MatchInput;
  readonly client: ClientCase;
  readonly memory: PlanMemory;
  readonly else: readonly WhatElse[];
  readonly orderOf: ReadonlyMap<string, number>;
  readonly level: HandLevel;
  readonly withField: boolean;
}

/** Said where the best of this zone alone was not taken. */
function togetherReason(choice: Option, options: readonly Option[], forced: boolean): readonly string[] {
  const [best] = options;
  if (!best || best === choice) return [];
  return forced ? [`Chosen by hand; ${best.product.name.toLowerCase()} was the proposal.`] : [`${best.product.name} would score a little higher here alone; one pot for more zones and fewer changes weigh more.`];
}

export function planZone({ work, judgement, options, choice, match, client, memory, else: others, orderOf, level, withField }: ZonePlanInput): PlanZone {
  const heat = choice ? planHeat(choice, match, client) : null;
  const cover = choice ? work.layout(choice.product, choice.way).cover : null;
  const reasons = choice
    ? [...choiceReasons(choice, options, match.schools, work.sheet.basis === 'reference-adult'), ...togetherReason(choice, options, work.input.product !== undefined), ...(heat ? heatReasons(heat, match) : []), ...betterReasons(others, choice)]
    : isStopped(judgement.outcome)
      ? ['Stopped by the screening; the options show what it would be.']
      : [...noChoiceReasons(options, work.hairAreaCm2), ...betterReasons(others.filter((o) => o.kind === 'other-family'), null)];
  return {
    zone: work.zone.id, side: work.input.side, outcome: judgement.outcome, areaCm2: roundTo(work.areaCm2, 2), hairAreaCm2: roundTo(work.hairAreaCm2, 2),
    sheetCm: [roundTo(work.sheet.widthCm, 2), roundTo(work.sheet.heightCm, 2)], basis: work.sheet.basis, crossingShare: roundTo(work.crossing.share, 3), outline: ring4(work.sheet.outline), excluded: work.exclusions,
    choice: choice ? { product: choice.product.id, family: choice.family, way: choice.way, coats: choice.coats, passes: choice.passes } : null,
    heat, options: options.map((o) => planOption(o, openersOf(o, match, memory))), better: (isStopped(judgement.outcome) ? [] : others).map((o) => ({ product: o.option.product.id, way: o.option.way, kind: o.kind, fromOn: o.fromOn })), reasons: [...reasons, ...hairNotes(work.hair, work.crossing.share)], strips: choice && heat ? planStrips(choice, heat, work, orderOf) : [],
    ...handFacts(work, choice, level),
    ...(withField ? { field: coarseField(work.field) } : {}),
    cover: { coveredShare: roundTo(cover?.coveredShare ?? 0, 4), overlapShare: roundTo(cover?.overlapShare ?? 0, 4), meanAngleErrorDeg: roundTo(cover?.meanAngleErrorDeg ?? 0, 2) },
  };
}

/** The way in which a family would be worked on this zone by the house rules. */
const usualWay = (family: Family, match: MatchInput, schools: Schools): Way =>
  family === 'sugar' ? (sugarWayFor(match.zone, schools) === 'hand' ? 'moulded' : 'strip') : family === 'hard' ? schools.hardLay : 'with';

/** Regrowth after this visit: smooth days and, for every studio family, the window of its shortest-hair product. */
export function planRegrowth(work: ZoneWork, match: MatchInput, studio: StudioFacts, learned: LearnedGrowth, on: string): PlanRegrowth {
  const model = regrowthModel(work.zone.growth, work.hair.history, learned.person);
  const ready = studio.schools.families.flatMap((family) => {
    const ranges = studio.products
      .filter((p: Product) => p.family === family && work.zone.families.includes(family))
      .flatMap((p) => {
        const way = usualWay(family, match, studio.schools);
        const manner = mannerOf(p, way);
        return manner ? [lengthRange(manner, work.zone, way)] : [];
      })
      .sort((a, b) => a.shortestMm - b.shortestMm);
    const [range] = ranges;
    const window = range ? readyWindow(regrowthCurve(model, range)) : null;
    return window ? [{ family, fromOn: addDays(on, window.fromDay), toOn: addDays(on, window.toDay) }] : [];
  });
  return { zone: work.zone.id, side: work.input.side, smoothDays: smoothUntilDay(model), ready, learnedFrom: learned.visits, rateFactor: roundTo(learned.person.rateFactor, 3) };
}
