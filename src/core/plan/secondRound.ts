// Another round where a pass left hair: only the ground of the strips that were marked, or of what was tapped on the
// skin, in small strips, less wax, on skin that is warmer and thinner than before. Which way to lay follows from what
// stayed (common practice, no source; sizes from memory). Whether there may be another round at all is
// reading/nextAction's to say; caution comes first there.

import { ZONES, type Sheet } from '../anatomy';
import { densityAt, growthField, type DensityPlace, type Exclusion, type Stroke } from '../field';
import { MOST_PASSES, scheduleHands, type AddedRound, type AddedStrip, type StripMark } from '../hands';
import { LATEST_PULL_CAP_S, LATER_PASS_MM, skinInState, solveSkinHeat } from '../heat';
import { massUsedG } from '../materials';
import { mannerName, mannerOf, type Product, type Way } from '../products';
import type { LeftKind } from '../reading';
import { intersectRegions, regionArea, roundTo, subtractRegions, uniteRings, type Ring, type Vec } from '../shared';
import { handworkOf, layOutAreas, largestStrip, middleOf, neverOn, type HandLevel, type Strip } from '../strips';
import type { PlanStrip, PlanZone } from './planTypes';
import { at4, at6, ring4 } from './rounded';
import { stripJobs } from './stripJobs';

export interface SecondRoundInput {
  /** As it was worked: with the strips of rounds that were added. */
  readonly zone: PlanZone;
  readonly sheet: Sheet;
  readonly strokes: readonly Stroke[];
  readonly exclusions: readonly Exclusion[];
  readonly densities: readonly DensityPlace[];
  /** Of the zone where no place says otherwise, 1–5. */
  readonly density: number;
  readonly coarseness: number;
  readonly product: Product;
  readonly level: HandLevel;
  readonly roomC: number;
  readonly maxOnSkin: number;
  readonly walkS: number;
  /** Marks given at the table, by strip. */
  readonly marks: ReadonlyMap<string, StripMark>;
  /** Where hair was tapped as left, cm on the sheet; absent or empty = the ground of the strips that were marked. */
  readonly patches?: readonly Ring[];
  readonly leftKind: LeftKind;
  /** The house takes crossed lays for short and flat hair. */
  readonly crossedAllowed: boolean;
}

/** Strips of another round are this much shorter than usual, and as wide: one marked strip is no row of dabs. */
const SHORTER = 0.6;
const CROSSING_ZONES: readonly string[] = ['chin', 'jaw-throat', 'cheek-sideburn'];

/**
 * What stayed says how to lay: short and flat hair is wrapped from both sides, hair that stands another way is met
 * there.
 */
function wayOf({ zone, product, leftKind, crossedAllowed }: SecondRoundInput): Way {
  const first = zone.choice?.way ?? 'with';
  if (product.family !== 'hard') return first;
  if ((leftKind === 'short' || leftKind === 'flat') && crossedAllowed) return 'crossed';
  if (leftKind === 'other-way') return CROSSING_ZONES.includes(zone.zone) ? 'across' : 'counter';
  return first;
}

/** Strips of the zone that a further pass may still go over: off, neither sore nor broke, under the limit. */
const mayGoAgain = ({ zone, marks }: SecondRoundInput): readonly PlanStrip[] =>
  zone.strips.filter((s) => {
    const mark = marks.get(s.id);
    return s.pass < MOST_PASSES && mark !== 'sore' && mark !== 'broke';
  });

/** Ground of less than this is no strip, cm². */
const LEAST_CM2 = 0.3;
const LEAST_OVERLAP_CM2 = 0.05;

/** What is gone over: what was tapped, on ground that may be waxed again, or the strips marked `some-left`. */
function areasOf(input: SecondRoundInput): readonly Ring[] {
  const may = mayGoAgain(input);
  const isOver = new Set(input.zone.strips.flatMap((s) => s.over ?? []));
  const marked = may.filter((s) => input.marks.get(s.id) === 'some-left' && !isOver.has(s.id)).map((s) => s.outline);
  if (!input.patches || input.patches.length === 0) return marked;
  const never = input.zone.strips.filter((s) => !may.includes(s)).map((s) => s.outline);
  const ground = uniteRings(may.map((s) => s.outline));
  const bare = never.length > 0 ? subtractRegions(ground, uniteRings(never)) : ground;
  return intersectRegions(uniteRings([...input.patches]), bare).filter((r) => regionArea([r]) >= LEAST_CM2);
}

/** Which pass it is at a strip, and over which strips. */
function passAt(strip: Strip, zone: PlanZone): Pick<AddedStrip, 'pass' | 'over'> {
  const over = zone.strips.filter(
    (s) => regionArea(intersectRegions([s.outline], [strip.outline])) > LEAST_OVERLAP_CM2,
  );
  return { over: over.map((s) => s.id), pass: 1 + Math.max(1, ...over.map((s) => s.pass)) };
}

/** Ids of a round: the zone's own letters, then one letter a round. */
function prefixOf({ strips }: PlanZone): string {
  const base = strips[0]?.id.replace(/\d+$/, '') ?? 'A';
  const rounds = new Set(strips.filter((s) => s.pass > 1).map((s) => s.id.replace(/\d+$/, '')));
  return `${base}${String.fromCharCode('r'.charCodeAt(0) + rounds.size)}`;
}

/**
 * The round for one zone; null where nothing is left to be gone over, the pass limit is reached, the first pass had no
 * choice or there is no later window. Soft wax never has one.
 * @param reason why a third pass; empty where none is meant
 */
export function secondRound(input: SecondRoundInput, reason = ''): AddedRound | null {
  const { zone, sheet, product, level, exclusions } = input;
  const facts = ZONES[zone.zone];
  if (zone.hands.onePass || !zone.choice || !zone.heat || product.family === 'soft') return null;
  const areas = areasOf(input);
  if (areas.length === 0) return null;
  const way = wayOf(input);
  const manner = mannerOf(product, way);
  if (!manner || (product.family === 'hard' && !zone.heat.laterPass)) return null;
  const [width, length] = largestStrip(facts, product.family, level, zone.hands.smallStrips);
  const field = growthField(facts, zone.side, sheet, input.strokes);
  const laid = layOutAreas(
    areas,
    sheet.outline,
    field,
    exclusions,
    {
      way,
      middleCm: middleOf(zone.zone, sheet),
      never: neverOn(zone.zone, zone.side, sheet),
      largestCm: [width, Math.max(width, length * SHORTER)],
      ...(input.densities.length > 0 ? { densityAt: (at: Vec) => densityAt(input.densities, input.density, at) } : {}),
    },
    prefixOf(zone),
  );
  const passes = new Map(laid.map((s) => [s.id, passAt(s, zone)]));
  const most = Math.max(0, ...[...passes.values()].map((p) => p.pass));
  if (laid.length === 0 || most > MOST_PASSES) return null;
  const thicknessMm = Math.min(LATER_PASS_MM, manner.thicknessMm.usual);
  const touchC = zone.heat.laterPass?.target ?? null;
  const name = mannerName(product.family, way);
  const setS = setOf(input, { touchC, thicknessMm, waitS: manner.waitS });
  const jobs = stripJobs({
    strips: laid,
    side: zone.side,
    manner: name,
    coats: 1,
    setS,
    rest: null,
    level,
    face: facts.face,
    zone: facts.id,
    family: product.family,
    coarseness: input.coarseness,
    spread: false,
    pressS: zone.hands.pressS,
  });
  const { ops, endS } = scheduleHands({ jobs, maxOnSkin: input.maxOnSkin, walkS: input.walkS }, 'quick');
  const sequence = ops.flatMap((op) => jobs[op.job]?.id ?? []);
  const order = [...new Set(sequence)];
  const last = Math.max(0, ...zone.strips.map((s) => s.number));
  const strips = laid.map((s, k): AddedStrip => {
    const hand = handworkOf({
      zone: zone.zone,
      family: product.family,
      lengthCm: s.lengthCm,
      coarseness: input.coarseness,
      dab: s.dab,
    });
    return {
      id: s.id,
      number: last + 1 + order.indexOf(s.id),
      ...(passes.get(s.id) ?? { pass: MOST_PASSES, over: [] }),
      outline: ring4(s.outline),
      growth: at6(s.growth),
      lay: at6(s.lay),
      pull: at6(s.pull),
      tab: at4(s.tab),
      tabOn: s.tabOn,
      tabKind: s.tabKind,
      lengthMm: roundTo(10 * s.lengthCm, 1),
      widthMm: roundTo(10 * s.widthCm, 1),
      massG: roundTo(massUsedG({ product, manner: name, areaCm2: s.areaCm2, thicknessMm, coats: 1 }), 2),
      touches: s.touches,
      needsBefore: s.needsBefore,
      layS: jobs[k]?.layS ?? 10,
      pulls: hand.pulls,
      pace: hand.pace,
      handwork: hand.note,
    };
  });
  strips.sort((a, b) => a.number - b.number);
  const { side } = zone;
  return { zone: zone.zone, side, way, thicknessMm, touchC, setS, endS: Math.round(endS), strips, sequence, reason };
}

/** When it may be pulled on waxed skin, s after the lay. */
function setOf(
  { zone, product, roomC }: SecondRoundInput,
  laid: {
    readonly touchC: number | null;
    readonly thicknessMm: number;
    readonly waitS: { readonly min: number; readonly max: number };
  },
): { readonly min: number; readonly max: number } {
  if (!product.setting || laid.touchC === null) return laid.waitS;
  const heat = solveSkinHeat({
    product,
    touchC: laid.touchC,
    thicknessMm: laid.thicknessMm,
    skin: skinInState(ZONES[zone.zone].skin, 'after-pass'),
    roomC,
    endS: LATEST_PULL_CAP_S,
  });
  return { min: Math.ceil(heat.setAfterS ?? LATEST_PULL_CAP_S), max: Math.floor(heat.latestPullS) };
}
