// What is asked of the match: one zone, one client, today, with the studio's products and rules.

import type { Zone } from '../anatomy';
import type { Hair } from '../hair';
import type { CoatHeat, SkinHeat, WorkingWindow } from '../heat';
import type { Product, Way } from '../products';
import type { ZoneJudgement } from '../screening';
import type { CivilDate, Recall } from '../shared';
import type { Counts, Matters } from './cost';
import type { Hold } from './learnHold';
import type { Leftovers } from './passes';
import type { Preferences, Worked } from './preferences';
import type { Laid, Schools, StripFacts } from './types';

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
  /** Hairs of them along what stays: tweezed, whatever the product. */
  readonly lineHairs?: number | undefined;
  /** mm/day of this client here. */
  readonly rateMmPerDay: number;
  readonly knownProducts?: readonly string[] | undefined;
  readonly reactedTo?: readonly string[] | undefined;
  /** Share of the zone's hair that crosses the rest, 0–0.5; absent = none. */
  readonly crossingShare?: number | undefined;
  readonly force?: { readonly product?: string | undefined; readonly way?: Way | undefined };
  /** What moves this client's felt limit, K: learned from past visits; negative = cooler. */
  readonly feltShiftK?: number | undefined;
  /** Touch of the pot that several zones of the visit are worked from, °C, by product. */
  readonly potTouchC?: { readonly product: string; readonly touchC: number } | undefined;
  /** Slab and touch asked for by hand for one product. */
  readonly heat?: HeatWish | undefined;
  /** What this studio's strips say of the hold of each body, log odds of hair left; absent = as shipped. */
  readonly hold?: Hold | undefined;
  readonly counts?: Counts | undefined;
  readonly matters?: Matters | undefined;
  readonly preferences?: Preferences | undefined;
  readonly leftovers?: Leftovers | undefined;
  readonly worked?: Worked | undefined;
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
