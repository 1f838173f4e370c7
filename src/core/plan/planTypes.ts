// The plan as it leaves the core, in the field names of docs/formats.md.

import type { Family, Side, ZoneId } from '../anatomy';
import type { CareItem } from '../care';
import type { Exclusion } from '../field';
import type { DoubtedLength } from '../hair';
import type { CoatRest } from '../hands';
import type { MaterialLine, VisitParts } from '../materials';
import type { Because, BoundedCode, CostParts } from '../matching';
import type { Way } from '../products';
import type { Outcome, Reason } from '../screening';
import type { CivilDate, Ring, Vec } from '../shared';
import type { StripFault, TabKind, TabOn } from '../strips';
import type { ScheduleEvent, ScheduleRound } from './visitSchedule';

export interface PlanOption {
  readonly product: string;
  readonly family: Family;
  readonly way: Way;
  readonly eligible: boolean;
  readonly excludedBy: readonly string[];
  /** The exclusions in words. */
  readonly why: readonly string[];
  /** Minutes of cost with the sign turned: the higher the better; null where it is excluded. */
  readonly score: number | null;
  /** What it costs the client, min, and its parts. */
  readonly cost: number;
  readonly parts: CostParts;
  /** Preferences of the house that speak for it. */
  readonly preferred: readonly BoundedCode[];
  readonly passes: number;
  readonly coats: number;
  readonly strips: number;
  /** First pass and tweezing; all passes and tweezing. */
  readonly tableMinutes: number;
  readonly allMinutes: number;
  /** Of all passes, as the load. */
  readonly massG: number;
  readonly costMinor: number;
  /** Learned shift of its hold that it is counted with, log odds of hair left; 0 = as shipped. */
  readonly holdShift: number;
  readonly removedShare: number;
  readonly brokenShare: number;
  /** Hairs that the strips leave; how many of them are tweezed (`toTweeze` is the same, from before). */
  readonly leftHairs: number;
  readonly tweezed: number;
  readonly toTweeze: number;
  readonly skinLoad: number;
  readonly workableShare: number;
  readonly shortestMm: number;
  readonly longestMm: number;
  readonly targetC: number | null;
  /** Felt limit less the felt peak at the target, K; null without a window. */
  readonly feltMarginK: number | null;
  readonly readyOn: CivilDate | null;
  readonly trimFirst: boolean;
}

export interface PlanStrip {
  readonly id: string;
  /** Place in the order of laying of the whole visit. */
  readonly order: number;
  /** Place in the order of laying of its zone; alike on both sides of a zone that are laid alike. */
  readonly number: number;
  readonly outline: Ring;
  readonly growth: Vec;
  /** Place within the zone in words; null where the zone has no names for its parts. */
  readonly place: string | null;
  /** Hair under the strip that crosses the rest; null where too little does. */
  readonly crossing: { readonly growth: Vec; readonly share: number } | null;
  /** Mean density under the strip, 1–5; null where the chart has one for the whole zone. */
  readonly density: number | null;
  readonly lay: Vec;
  readonly pull: Vec;
  /** Lay and pull turned by hand from how the way takes the growth, degrees. */
  readonly turnDeg: number;
  readonly tab: Vec;
  readonly tabOn: TabOn;
  readonly tabKind: TabKind;
  /** Of a fan round the middle of a whorl: combed there, then laid small as the hair lies. */
  readonly byEye: boolean;
  /** Of a border that is thinned out: gripped by the stick bedded in it. */
  readonly dab: boolean;
  /** Which pass over this skin; a plan holds the first, later ones are laid out at the table. */
  readonly pass: number;
  /** Of a later pass: strips whose ground it goes over. */
  readonly over?: readonly string[];
  /** Of a later pass: its own way, and °C at touch on waxed skin. */
  readonly way?: Way;
  readonly touchC?: number | null;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly massG: number;
  readonly touches: readonly string[];
  readonly needsBefore: readonly string[];
  /** Strip with which it is spread over a patch at once; null where it is laid on its own or opens the patch. */
  readonly spreadWith: string | null;
  /** Pulls it is taken off in, and how the hand does it where it is not one usual pull. */
  readonly pulls: number;
  readonly pace: 'quick' | 'steady';
  readonly handwork: string | null;
  readonly setS: { readonly min: number; readonly max: number };
}

export interface PlanHands {
  /** How long the palm stays on after each pull, s. */
  readonly pressS: number;
  readonly smallStrips: boolean;
  readonly onePass: boolean;
}

export interface PlanHeat {
  readonly workingC: { readonly min: number; readonly target: number; readonly max: number };
  readonly potC: number;
  readonly thicknessMm: number;
  readonly feltPeakC: number;
  readonly burnOmega: number;
  readonly setS: { readonly min: number; readonly max: number };
  readonly wristTest: true;
  /** The three bands of the window, °C. */
  readonly bands: {
    readonly flowC: readonly [number, number];
    readonly feelMaxC: number;
    readonly labelC: readonly [number, number];
  };
  /** Felt limit of this client on this skin, °C, with what was learned. */
  readonly limitC: number;
  /** What bounds the window below and above, in words. */
  readonly bounds: { readonly low: string; readonly high: string };
  /** What past visits moved the limit by, K, and how many said so; null where none did. */
  readonly learned: { readonly shiftK: number; readonly visits: number } | null;
  /** Asked for by hand, as far as the window allowed it. */
  readonly asked: { readonly thicknessMm: number | null; readonly touchC: number | null } | null;
  /** Of each coat, in order of laying; one where the slab is laid at once. */
  readonly coats: readonly { readonly thicknessMm: number }[];
  /** Longest rest between two coats, s; null of one coat. */
  readonly restMaxS: number | null;
  /** The set window by how long the first coat has rested; null of one coat. */
  readonly rest: CoatRest | null;
  /** Window of a later pass on waxed skin; null where there is none. */
  readonly laterPass: { readonly min: number; readonly target: number; readonly max: number } | null;
}

export interface PlanZone {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly outcome: Outcome;
  readonly areaCm2: number;
  readonly hairAreaCm2: number;
  /** Visible hairs that go, and of them those within a millimetre of what stays, which are tweezed. */
  readonly hairs: number;
  readonly line: { readonly lengthCm: number; readonly hairs: number };
  readonly sheetCm: readonly [number, number];
  /** How the sheet's size was found. */
  readonly basis: 'measured' | 'body-surface' | 'reference-adult';
  /** Share of the hair that crosses the rest, 0–0.5. */
  readonly crossingShare: number;
  readonly outline: Ring;
  readonly excluded: readonly Exclusion[];
  /** What was agreed for it, one of the zone's outcomes. */
  readonly agreed: string;
  /** Hair that stays: no strip and no tab lies on it. */
  readonly keep: readonly { readonly outline: Ring }[];
  readonly choice: {
    readonly product: string;
    readonly family: Family;
    readonly way: Way;
    readonly coats: number;
    readonly passes: number;
    /** Why it stands first, weightiest first; never a figure against it. */
    readonly because: readonly Because[];
  } | null;
  readonly heat: PlanHeat | null;
  readonly options: readonly PlanOption[];
  /** What would suit better: later, or with a family that the studio leaves out. */
  readonly better: readonly {
    readonly product: string;
    readonly way: Way;
    readonly kind: 'later' | 'other-family';
    readonly fromOn: CivilDate | null;
  }[];
  readonly reasons: readonly string[];
  readonly strips: readonly PlanStrip[];
  /** Laid out by hand, with the rules that this breaks. */
  readonly byHand: boolean;
  readonly stripFaults: readonly StripFault[];
  /** What the screening asks of the hands here, with the usual where it asks nothing. */
  readonly hands: PlanHands;
  /** The border is thinned out in dabs; the hair between them stays. */
  readonly fade: boolean;
  readonly field?: readonly (readonly [number, number, number, number])[];
  readonly cover: { readonly coveredShare: number; readonly overlapShare: number; readonly meanAngleErrorDeg: number };
}

export interface PlanRegrowth {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly smoothDays: number;
  readonly ready: readonly { readonly family: Family; readonly fromOn: CivilDate; readonly toOn: CivilDate }[];
  /** Measured intervals of this client behind it; 0 = the zone's usual course. */
  readonly learnedFrom: number;
  /** Lengths of earlier visits, or today's, that do not fit the others. */
  readonly doubts: readonly DoubtedLength[];
  readonly rateFactor: number;
  /** Added to the lag before hair starts again, days; absent in plans of before it was kept. */
  readonly lagShiftDays?: number;
  /** 5 % and 95 % points of the rate factor; absent in plans of before it was kept. */
  readonly rateBand?: readonly [number, number];
}

/** A round of the work with its words. */
export interface PlanRound extends ScheduleRound {
  /** Where the practitioner stands. */
  readonly stands: string;
  /** The order in words, a sentence a part. */
  readonly says: readonly string[];
}

export interface Plan {
  readonly version: 1;
  readonly on: CivilDate;
  readonly screening: {
    readonly outcome: Outcome;
    readonly earliestOn: CivilDate | null;
    readonly reasons: readonly Reason[];
    readonly ruleSet: string;
  };
  readonly zones: readonly PlanZone[];
  readonly schedule: {
    readonly endS: number;
    readonly lowerBoundS: number;
    readonly bound: 'proven' | 'formula';
    readonly maxOnSkin: number;
    readonly walkS: number;
    readonly poseS: number;
    /** The earliest end known for any order, the same rounds. */
    readonly quickestS: number;
    readonly rounds: readonly PlanRound[];
    readonly events: readonly ScheduleEvent[];
  };
  readonly materials: readonly MaterialLine[];
  readonly time: {
    readonly tableMinutes: number;
    /** All passes and tweezing; of it laying and pulling. */
    readonly allMinutes: number;
    readonly layPullMinutes: number;
    readonly bookingMinutes: number;
    readonly parts: VisitParts;
  };
  readonly cost: { readonly materialsMinor: number; readonly currency: string };
  readonly care: readonly CareItem[];
  readonly regrowth: readonly PlanRegrowth[];
  readonly returnOn: { readonly on: CivilDate; readonly why: string } | null;
  /** Why there is no date; null where there is one. */
  readonly returnNote: string | null;
}
