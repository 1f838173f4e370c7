// The visit case: everything the planning chain needs, one value in. Shape and defaults; the JSON schema is in
// src/formats.

import { FAMILIES, type Family, type Position, type Side, type ZoneId } from '../anatomy';
import type { Blackout } from '../care';
import type { DensityPlace, Mark, Stroke } from '../field';
import type { HairFlag, HairHistory, PastLength } from '../hair';
import type { FeltVisit } from '../heat';
import {
  COST_PARTS,
  SHIPPED_COUNTS,
  SHIPPED_LEFTOVERS,
  SHIPPED_PREFERENCES,
  fromFormerWeights,
  type CostPart,
  type Counts,
  type FormerWeights,
  type HeatWish,
  type Hold,
  type Leftovers,
  type Matters,
  type Preferences,
  type Schools,
  type Worked,
} from '../matching';
import { SHIPPED_PRODUCT_IDS, SHIPPED_PRODUCTS, type Product, type Way } from '../products';
import type { CivilDate, Ring } from '../shared';
import type { FoundFact, Override, RuleChange } from '../screening';
import type { HandLevel, HandStrip } from '../strips';

export interface ClientCase {
  readonly statureCm?: number | undefined;
  readonly massKg?: number | undefined;
  readonly ageYears?: number | undefined;
  readonly sensitivity?: number | undefined;
  readonly skin?: 'dry' | 'normal' | 'oily' | undefined;
  readonly ingrownProne?: boolean | undefined;
  readonly consent: boolean;
  readonly guardianConsent?: boolean | undefined;
  readonly screening?: readonly FoundFact[] | undefined;
  /** Reasons for going on where a rule would stop; hard rules stay. */
  readonly overrides?: readonly Override[] | undefined;
  /** Products used on this client before, or patch-tested and calm. */
  readonly knownProducts?: readonly string[] | undefined;
  /** Products this client has reacted to. */
  readonly reactedTo?: readonly string[] | undefined;
  /** How warm wax felt at past visits, with the margin that was planned then. */
  readonly heatFelt?:
    | readonly (FeltVisit & {
        readonly on: CivilDate;
        readonly zone?: string | undefined;
        readonly product?: string | undefined;
        readonly touchC?: number | undefined;
      })[]
    | undefined;
  readonly blackout?:
    readonly { readonly from: CivilDate; readonly to: CivilDate; readonly why?: string | undefined }[] | undefined;
}

export interface StudioCase {
  readonly roomC?: number | undefined;
  readonly humidityPct?: number | undefined;
  readonly level?: HandLevel | undefined;
  readonly maxOnSkin?: number | undefined;
  readonly walkS?: number | undefined;
  /** Turning the client over, and a change of pose within a position, s. */
  readonly turnS?: number | undefined;
  readonly poseS?: number | undefined;
  /** Orders of laying that can be remembered, or the quickest. */
  readonly order?: 'followable' | 'quickest' | undefined;
  readonly schools?: { readonly [K in keyof Schools]?: Schools[K] | undefined } | undefined;
  readonly products?: readonly string[] | undefined;
  /** How many times each part of the cost counts, 0–5; what is absent counts once. */
  readonly counts?: { readonly [K in CostPart]?: number | undefined } | undefined;
  /** As cases of before said it; what `counts` and `preferences` say goes first. */
  readonly weights?: FormerWeights | undefined;
  /** What the house would rather use; what is absent is as shipped. */
  readonly preferences?: { readonly [K in keyof Preferences]?: Preferences[K] | undefined } | undefined;
  /** What the studio's read strips say of each body's hold, log odds of hair left at a pull; absent = as shipped. */
  readonly hold?: Hold | undefined;
  /** How many hairs are tweezed at most, and what becomes of more. */
  readonly leftovers?: { readonly [K in keyof Leftovers]?: Leftovers[K] | undefined } | undefined;
  /** The studio's own changes of the screening rules, in the order in which they were made. */
  readonly rules?: readonly RuleChange[] | undefined;
}

export interface HairCase {
  readonly lengthMm: number;
  readonly shortestMm?: number | undefined;
  readonly longestMm?: number | undefined;
  readonly flags?: readonly HairFlag[] | undefined;
  readonly coarseness: number;
  readonly density: number;
  readonly curl?: number | undefined;
  readonly history?: HairHistory | undefined;
  readonly lastWaxOn?: CivilDate | undefined;
  readonly past?: readonly PastLength[] | undefined;
}

export interface ZoneCase {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly hair: HairCase;
  readonly strokes?: readonly Stroke[] | undefined;
  readonly marks?: readonly Mark[] | undefined;
  /** Where hair is thinner or thicker than `hair.density`; later places lie over earlier ones. */
  readonly densities?: readonly DensityPlace[] | undefined;
  readonly sheetCm?: readonly [number, number] | undefined;
  readonly product?: string | undefined;
  readonly way?: Way | undefined;
  /** Used here last time, with a good reading and nothing felt wrong. */
  readonly worked?: Worked | undefined;
  /** Slab and touch asked for by hand for one product. */
  readonly heat?: HeatWish | undefined;
  /** The zone's border is thinned out in dabs, or ends (false); absent = as was agreed. */
  readonly fade?: boolean | undefined;
  /** What was agreed for it, one of the zone's outcomes; absent = the usual one. */
  readonly outcome?: string | undefined;
  /** Hair that stays; replaces what the outcome would draw. */
  readonly keep?: readonly { readonly outline: Ring }[] | undefined;
  /** How the client is to lie for it; one of the zone's positions. */
  readonly position?: Position | undefined;
  /** Strips laid out by hand, for products of one family worked in one manner. */
  readonly handStrips?: HandStrips | undefined;
}

export interface HandStrips {
  readonly family: Family;
  /** Worked by hand or under cloth; sugar has both. */
  readonly way: Way;
  readonly strips: readonly HandStrip[];
}

export interface VisitCase {
  readonly version: 1;
  readonly on: CivilDate;
  /** What matters most today; absent: nothing more than usual. */
  readonly matters?: Matters | undefined;
  readonly client: ClientCase;
  readonly studio?: StudioCase | undefined;
  readonly zones: readonly ZoneCase[];
  /** Zone keys to be worked before the others, within what position and pot allow. */
  readonly order?: readonly string[] | undefined;
}

export interface StudioFacts {
  readonly roomC: number;
  readonly level: HandLevel;
  readonly maxOnSkin: number;
  readonly walkS: number;
  readonly turnS: number;
  readonly poseS: number;
  readonly order: 'followable' | 'quickest';
  readonly schools: Schools;
  readonly products: readonly Product[];
  readonly counts: Counts;
  readonly preferences: Preferences;
  readonly leftovers: Leftovers;
  readonly hold: Hold;
}

const MAX_ON_SKIN: Readonly<Record<HandLevel, number>> = { trainee: 2, practised: 3, expert: 4 };

/** What is given, and the default of the rest. */
const withDefaults = <T extends object>(
  defaults: T,
  given: { readonly [K in keyof T]?: T[K] | undefined } = {},
): T => ({ ...defaults, ...Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined)) });

/** The studio of a case with every default filled in. `catalogue` replaces the shipped products. */
export function studioFacts(studio: StudioCase = {}, catalogue: readonly Product[] = SHIPPED_PRODUCTS): StudioFacts {
  const level = studio.level ?? 'practised';
  const wanted = studio.products ?? (catalogue === SHIPPED_PRODUCTS ? SHIPPED_PRODUCT_IDS : catalogue.map((p) => p.id));
  const former = fromFormerWeights(studio.weights ?? {});
  const families: readonly Family[] = studio.schools?.families ?? FAMILIES;
  return {
    roomC: studio.roomC ?? 22,
    level,
    maxOnSkin: studio.maxOnSkin ?? MAX_ON_SKIN[level],
    walkS: studio.walkS ?? 6,
    turnS: studio.turnS ?? 30,
    poseS: studio.poseS ?? 8,
    order: studio.order ?? 'followable',
    schools: {
      hardLay: studio.schools?.hardLay ?? 'with',
      shortHair: studio.schools?.shortHair ?? 'crossed',
      maxHardPasses: studio.schools?.maxHardPasses ?? 2,
      sugarWay: studio.schools?.sugarWay,
      prep: studio.schools?.prep ?? 'powder',
      families,
    },
    products: catalogue.filter((p) => wanted.includes(p.id)),
    counts: Object.fromEntries(
      COST_PARTS.map((p) => [p, studio.counts?.[p] ?? former.counts[p] ?? SHIPPED_COUNTS[p]]),
    ) as Counts,
    preferences: withDefaults({ ...SHIPPED_PREFERENCES, ...former.preferences }, studio.preferences),
    leftovers: withDefaults(SHIPPED_LEFTOVERS, studio.leftovers),
    hold: studio.hold ?? {},
  };
}

export const blackoutsOf = (client: ClientCase): readonly Blackout[] =>
  (client.blackout ?? []).map((b) => ({ from: b.from, to: b.to, why: b.why ?? '' }));
