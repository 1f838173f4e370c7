// Another round where a first pass left hair: only the ground of the strips that were marked, in small strips, less
// wax, on skin that is warmer and thinner than before. Which way to lay follows from what stayed (common practice, no
// source; sizes from memory). Whether there may be another round at all is reading/nextAction's to say; caution comes
// first there.

import { ZONES, type Sheet } from '../anatomy';
import { densityAt, growthField, type DensityPlace, type Exclusion, type Stroke } from '../field';
import { scheduleHands, type StripMark } from '../hands';
import { LATEST_PULL_CAP_S, LATER_PASS_MM, skinInState, solveSkinHeat } from '../heat';
import { mannerName, mannerOf, type Product, type Way } from '../products';
import type { LeftKind } from '../reading';
import { roundTo, type Ring, type Vec } from '../shared';
import { layOutAreas, largestStrip, middleOf, neverOn, type HandLevel, type TabKind, type TabOn } from '../strips';
import type { PlanZone } from './planTypes';
import { stripJobs } from './stripJobs';

export interface SecondRoundInput {
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
  readonly leftKind: LeftKind;
  /** The house takes crossed lays for short and flat hair. */
  readonly crossedAllowed: boolean;
}

export interface RoundStrip {
  readonly id: string;
  readonly order: number;
  readonly outline: Ring;
  readonly lay: Vec;
  readonly pull: Vec;
  readonly tab: Vec;
  readonly tabOn: TabOn;
  readonly tabKind: TabKind;
  readonly lengthMm: number;
  readonly widthMm: number;
}

export interface SecondRound {
  readonly way: Way;
  readonly strips: readonly RoundStrip[];
  readonly thicknessMm: number;
  /** At touch on waxed skin; null where the product is worked without a window of its own for it. */
  readonly touchC: number | null;
  readonly setS: { readonly min: number; readonly max: number };
  readonly endS: number;
}

/** Strips of another round are this much smaller, as shares of the usual width and length. */
const SMALLER: readonly [number, number] = [0.8, 0.6];
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

/**
 * The round for one zone; null where nothing was marked to be gone over, or the first pass had no choice or has no
 * later window. Soft wax never has one.
 */
export function secondRound(input: SecondRoundInput): SecondRound | null {
  const { zone, sheet, product, level, exclusions, roomC } = input;
  const facts = ZONES[zone.zone];
  // what was sore or broke is not gone over again
  const areas = zone.strips.filter((s) => input.marks.get(s.id) === 'some-left').map((s) => s.outline);
  if (zone.hands.onePass || !zone.choice || !zone.heat || product.family === 'soft' || areas.length === 0) return null;
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
      largestCm: [width * SMALLER[0], Math.max(width * SMALLER[0], length * SMALLER[1])],
      ...(input.densities.length > 0 ? { densityAt: (at: Vec) => densityAt(input.densities, input.density, at) } : {}),
    },
    `${zone.strips[0]?.id.replace(/\d+$/, '') ?? 'A'}r`,
  );
  if (laid.length === 0) return null;
  const thicknessMm = Math.min(LATER_PASS_MM, manner.thicknessMm.usual);
  const touchC = zone.heat.laterPass?.target ?? null;
  const name = mannerName(product.family, way);
  const heat =
    product.setting && touchC !== null
      ? solveSkinHeat({
          product,
          touchC,
          thicknessMm,
          skin: skinInState(facts.skin, 'after-pass'),
          roomC,
          endS: LATEST_PULL_CAP_S,
        })
      : null;
  const setS = heat
    ? { min: Math.ceil(heat.setAfterS ?? LATEST_PULL_CAP_S), max: Math.floor(heat.latestPullS) }
    : manner.waitS;
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
  return {
    way,
    thicknessMm,
    touchC,
    setS,
    endS: scheduleHands({ jobs, maxOnSkin: input.maxOnSkin, walkS: input.walkS }, 'quick').endS,
    strips: laid.map((s) => ({
      id: s.id,
      order: s.order,
      outline: s.outline,
      lay: s.lay,
      pull: s.pull,
      tab: s.tab,
      tabOn: s.tabOn,
      tabKind: s.tabKind,
      lengthMm: roundTo(10 * s.lengthCm, 1),
      widthMm: roundTo(10 * s.widthCm, 1),
    })),
  };
}
