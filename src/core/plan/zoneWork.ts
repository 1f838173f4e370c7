// One zone on its way to a plan: sheet, field, hair area, and its layouts, made once per size and way.

import { hairsPerCm2, sheetFor, standingShare, ZONES, type Sheet, type Zone, zoneKey } from '../anatomy';
import {
  crossingAt,
  densityAt,
  exclusionOf,
  growthField,
  nodeCentre,
  nodeDirection,
  type Exclusion,
  type GrowthField,
} from '../field';
import type { Hair } from '../hair';
import { laidAs, mannerName, type Product, type Way } from '../products';
import {
  angleBetweenDeg,
  fail,
  isInside,
  ok,
  regionArea,
  samplePoints,
  type Region,
  type Result,
  type Ring,
  type Vec,
} from '../shared';
import {
  canFade,
  fadeOf,
  goingFrom,
  hairRegion,
  named,
  thinnedOut,
  type Fade,
  type HandLevel,
  type HandStrip,
  type Layout,
} from '../strips';
import { besideLine, keepOf, TWEEZED_CM2_PER_CM, usualOutcome } from '../outcomes';
import type { PlanMemory } from './planMemory';
import { ANY_PREFIX, layoutOf } from './zoneLayout';
import type { ClientCase, ZoneCase } from './visitCase';

export interface ZoneWork {
  readonly input: ZoneCase;
  readonly key: string;
  readonly zone: Zone;
  readonly sheet: Sheet;
  readonly hair: Hair;
  readonly field: GrowthField;
  readonly exclusions: readonly Exclusion[];
  /** Hair that stays. */
  readonly keep: readonly Ring[];
  /** How the border thins out; undefined where it ends. */
  readonly fade: Fade | undefined;
  /** Hair that goes so close to what stays that it is tweezed. */
  readonly line: { readonly lengthCm: number; readonly hairs: number };
  readonly hairAreaCm2: number;
  readonly areaCm2: number;
  /** Visible hairs per cm², the mean over the hair. */
  readonly hairsPerCm2: number;
  /**
   * Share of the hair that crosses the rest, 0–0.5, and the mean angle by which it adds to the strips' error, degrees.
   */
  readonly crossing: { readonly share: number; readonly addsDeg: number };
  readonly idPrefix: string;
  /** The layout for a product and way, by hand where it was; made on demand and kept. */
  readonly layout: (product: Product, way: Way) => Layout;
  /**
   * The planner's own layout: products are compared by it, so that a strip moved by hand never changes what is in the
   * pot.
   */
  readonly ownLayout: (product: Product, way: Way) => Layout;
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
/** `A`, `B` … `Z`, `AA` … : one prefix a zone, so that strips of all zones share one id space. */
const prefixOf = (index: number): string =>
  index < LETTERS.length
    ? (LETTERS[index] ?? 'A')
    : prefixOf(Math.floor(index / LETTERS.length) - 1) + (LETTERS[index % LETTERS.length] ?? 'A');

export const hairOf = (input: ZoneCase): Hair => ({
  lengthMm: input.hair.lengthMm,
  shortestMm: input.hair.shortestMm,
  longestMm: input.hair.longestMm,
  flags: input.hair.flags ?? [],
  coarseness: input.hair.coarseness,
  density: input.hair.density,
  curl: input.hair.curl ?? 1,
  history: input.hair.history ?? 'regular',
  lastWaxOn: input.hair.lastWaxOn,
  past: input.hair.past ?? [],
});

/** A strip pulls at most square to a hair: beyond that it goes with it again. */
const MOST_OFF_DEG = 90;

function crossingOf(field: GrowthField, outline: Ring): ZoneWork['crossing'] {
  if (!field.crossing) return { share: 0, addsDeg: 0 };
  let [nodes, share, off] = [0, 0, 0];
  for (let n = 0; n < field.columns * field.rows; n++) {
    const at = nodeCentre(field, n);
    if (!isInside([outline], at)) continue;
    nodes++;
    const second = crossingAt(field, at);
    if (!second) continue;
    share += second.share;
    off += second.share * Math.min(MOST_OFF_DEG, angleBetweenDeg(second.towards, nodeDirection(field, n)));
  }
  return nodes === 0 ? { share: 0, addsDeg: 0 } : { share: share / nodes, addsDeg: off / nodes };
}

/** Strips by hand, where the product is of the family and manner they were laid out for. */
function handStripsFor({ handStrips }: ZoneCase, product: Product, way: Way): readonly HandStrip[] | undefined {
  if (!handStrips || handStrips.family !== product.family) return undefined;
  return mannerName(product.family, way) === mannerName(handStrips.family, handStrips.way)
    ? handStrips.strips
    : undefined;
}

/** Points closer than this tell nothing more about where hair is thin, as a share of the square root of the area. */
const DENSITY_STEP = 1 / 24;

/** Visible hairs per cm² at a place of the sheet. */
const hairsAt =
  ({ side, hair, densities = [] }: ZoneCase, zone: Zone, sheet: Sheet) =>
  (at: Vec): number =>
    standingShare(zone, side, sheet, at) * hairsPerCm2(zone.hairsPerCm2, densityAt(densities, hair.density, at));

function meanHairsPerCm2(
  { hair, densities = [] }: ZoneCase,
  zone: Zone,
  ground: Region,
  at: (p: Vec) => number,
): number {
  const isEven = densities.length === 0 && zone.thinned === undefined;
  const points = isEven ? [] : samplePoints(ground, Math.max(0.1, DENSITY_STEP * Math.sqrt(regionArea(ground))));
  if (points.length === 0) return hairsPerCm2(zone.hairsPerCm2, hair.density);
  return points.reduce((s, p) => s + at(p), 0) / points.length;
}

/** The border between what stays and what goes, and the hair beside it. */
function lineOf(keep: Region, going: Region, at: (p: Vec) => number): ZoneWork['line'] {
  const beside = keep.length === 0 ? [] : besideLine(keep, going);
  return {
    lengthCm: beside.reduce((s, p) => s + p.lengthCm, 0),
    hairs: beside.reduce((s, p) => s + p.lengthCm * TWEEZED_CM2_PER_CM * at(p.at), 0),
  };
}

/** True where the zone's border is thinned out instead of ending: as asked, else as was agreed. */
const fades = ({ zone, fade, outcome }: ZoneCase): boolean =>
  canFade(zone) && (fade ?? (outcome ?? usualOutcome(zone)) === 'fade');

export function prepareZone(
  input: ZoneCase,
  index: number,
  client: ClientCase,
  level: HandLevel,
  memory: PlanMemory,
  smallStrips = false,
): Result<ZoneWork> {
  const zone = ZONES[input.zone];
  const sheet = sheetFor(zone, input.side, client, input.sheetCm);
  if (!sheet.ok) return fail(sheet.error);
  const field = growthField(zone, input.side, sheet.value, input.strokes ?? []);
  const exclusions = (input.marks ?? []).map(exclusionOf);
  const keep = input.keep?.map((k) => k.outline) ?? keepOf(zone.id, input.side, input.outcome, sheet.value);
  const fade = fades(input) ? fadeOf(zone.id, input.side, sheet.value) : undefined;
  const { hair: standing } = hairRegion(sheet.value.outline, exclusions);
  const going = goingFrom(standing, keep);
  const hair = thinnedOut(going, fade);
  const at = hairsAt(input, zone, sheet.value);
  const idPrefix = prefixOf(index);
  const layouts = new Map<string, Layout>();
  const laying = { input, zone, client, level, smallStrips, memory, keep, fades: fade !== undefined };
  const layoutWith = (product: Product, way: Way, byHand: readonly HandStrip[] | undefined): Layout => {
    const as = laidAs(way);
    const key = `${product.family}/${mannerName(product.family, way)}/${as}/${byHand ? 'hand' : 'own'}`;
    const known = layouts.get(key);
    if (known) return known;
    const made = layoutOf(laying, { key, family: product.family, way: as, byHand });
    const own = named(made, ANY_PREFIX, idPrefix);
    layouts.set(key, own);
    return own;
  };
  return ok({
    input,
    key: zoneKey(input),
    zone,
    sheet: sheet.value,
    hair: hairOf(input),
    field,
    exclusions,
    keep,
    fade,
    line: lineOf(keep, going, at),
    hairAreaCm2: regionArea(hair),
    areaCm2: regionArea([sheet.value.outline]),
    hairsPerCm2: meanHairsPerCm2(input, zone, hair, at),
    crossing: crossingOf(field, sheet.value.outline),
    idPrefix,
    layout: (product, way) => layoutWith(product, way, handStripsFor(input, product, way)),
    ownLayout: (product, way) => layoutWith(product, way, undefined),
  });
}
