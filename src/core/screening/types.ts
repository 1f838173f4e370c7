// Screening: facts found at the consultation, and rules that judge them. Rules are data; the judge is judge.ts.

import type { Family, ZoneId } from '../anatomy';
import type { MarkKind } from '../field';
import type { Allergen } from '../products';
import type { CivilDate } from '../shared';

export const FACTS = [
  'acid-exfoliant',
  'physical-exfoliant',
  'retinoid-topical',
  'retinoid-oral',
  'steroid',
  'blood-thinner',
  'alcohol',
  'caffeine',
  'sunburn',
  'broken-skin',
  'rash',
  'infection',
  'recent-resurfacing',
  'diabetes',
  'circulation',
  'immune',
  'pregnancy',
  'before-period',
  'keloid',
  'allergy-rosin',
  'allergy-honey',
  'allergy-fragrance',
  'allergy-zinc-oxide',
  'allergy-glove',
  'earlier-reaction',
  'shaved',
  'numbing-cream',
  'numb-skin',
  'photosensitiser',
  'cold-sore',
  'lymph',
  'vein-thrombosis',
  'chemo-radio',
  'injectable',
  'permanent-makeup',
  'surgery',
  'faint',
  'minor',
] as const;
export type Fact = (typeof FACTS)[number];

export const OUTCOMES = ['go', 'adapt', 'postpone', 'decline'] as const;
export type Outcome = (typeof OUTCOMES)[number];
export type Grounds = 'practice' | 'memory' | 'published';

export interface FoundFact {
  readonly fact: Fact;
  readonly lastOn?: CivilDate | undefined;
  /** `underarm` or `underarm/left`; absent = the whole body. */
  readonly zones?: readonly string[] | undefined;
  /** The treating doctor has agreed: when, and who. */
  readonly clearance?: Clearance | undefined;
}

export interface Clearance {
  readonly on: CivilDate;
  readonly by: string;
}

/**
 * Where a fact is judged beyond the zones that it names: `all` of the rule's zones, whichever was named; `limb`, the
 * whole arm, or the leg with its groin, of that side; `beside`, the neighbours on the face.
 */
export type Reach = 'all' | 'limb' | 'beside';

/** What the hands do otherwise while a rule holds. */
export interface Handling {
  /** No second pass. */
  readonly onePass?: boolean;
  /** The palm stays on for at least so long after each pull, s. */
  readonly pressS?: number;
  /** Strips smaller than this zone's usual largest. */
  readonly smallStrips?: boolean;
}

export interface Rule extends Handling {
  readonly code: string;
  readonly fact: Fact;
  readonly outcome: Outcome;
  /** `visit`: judged for all zones at once; `zone`: where the fact applies; `family`: takes a family out. */
  readonly scope: 'visit' | 'zone' | 'family';
  readonly family?: Family;
  readonly allergen?: Allergen;
  /** Only on these zones. */
  readonly onlyZones?: readonly ZoneId[];
  /** Holds for this many days (or months) after the fact; absent = as long as the fact stands. */
  readonly waitDays?: number;
  readonly waitMonths?: number;
  readonly reach?: Reach;
  /** Postpones until a doctor's clearance stands with the fact; with it the zone adapts. */
  readonly untilCleared?: boolean;
  /**
   * After the wait nothing is a silent go: the skin is looked at again, for so many days or as long as the fact stands.
   */
  readonly again?: { readonly days?: number; readonly text: string; readonly clientText: string };
  /** Lowers the heat limit, K. */
  readonly lowerHeatK?: number;
  /** Never loosened by a studio. */
  readonly hard?: boolean;
  readonly grounds: Grounds;
  /** To the practitioner. */
  readonly text: string;
  /** To the client, in plain words. */
  readonly clientText: string;
}

/** What is worked around rather than judged: a mark on the skin and its clearance. */
export interface SpotRule {
  readonly code: string;
  readonly mark: MarkKind;
  readonly outcome: 'adapt';
  readonly scope: 'spot';
  readonly clearanceMm: number;
  readonly grounds: Grounds;
  readonly text: string;
  readonly clientText: string;
}

/** The practitioner goes on in spite of a rule that stops, for a written reason; hard rules never give way. */
export interface Override {
  readonly code: string;
  /** `underarm/left`; absent = wherever the rule stops. */
  readonly zone?: string | undefined;
  readonly reason: string;
}

/** A studio's own version of a rule. */
export interface RuleChange {
  readonly code: string;
  readonly outcome?: Outcome | undefined;
  readonly waitDays?: number | undefined;
  /** Needed where the rule becomes milder. */
  readonly reason: string;
}

export interface Reason {
  readonly code: string;
  /** Fact behind it; null for the person, consent and combinations. */
  readonly fact: Fact | null;
  readonly outcome: Outcome;
  /** `underarm/left`, or null for the whole visit. */
  readonly zone: string | null;
  readonly family: Family | null;
  readonly text: string;
  readonly clientText: string;
  readonly grounds: Grounds;
  /** First date on which this no longer postpones; null where it has none. */
  readonly until: CivilDate | null;
  /** Why the practitioner went on although the rule would stop; then the outcome is `adapt`. */
  readonly overridden?: string;
}

/** A mark that is worked around: it does not change the zone's outcome, the strips keep clear of it. */
export interface SpotReason {
  readonly code: string;
  readonly zone: string;
  readonly mark: MarkKind;
  readonly clearanceMm: number;
  readonly text: string;
}
