// What rules an option out, as codes; the sentences are in sentences.ts. Exclusions come before any score.

import type { Zone } from '../anatomy';
import { ENOUGH_SHARE, tooLongShare, workableShare, type Hair, type LengthRange } from '../hair';
import type { WorkingWindow } from '../heat';
import { isLaterOnly, type Manner, type Product, type Way } from '../products';
import type { ZoneJudgement } from '../screening';
import type { Schools } from './types';

/** A crossed lay wraps short and flat hair from both sides: it holds hair this much shorter (from memory). */
export const CROSSED_FACTOR = 0.75;
/** Paste worked by hand further than this from its wanted temperature is too slack or too stiff, K (from memory). */
const PASTE_REACH_K = 3;
const STRIP_SUGAR_ZONES: readonly string[] = ['upper-lip', 'brow', 'between-brows'];

/** Lengths that product and way hold on a zone, mm. */
export function lengthRange(
  manner: Manner,
  zone: Zone,
  way: Way,
): { readonly shortestMm: number; readonly longestMm: number } {
  return {
    shortestMm: manner.shortestMm * zone.shortestFactor * (way === 'crossed' ? CROSSED_FACTOR : 1),
    longestMm: manner.longestMm,
  };
}

export const sugarWayFor = (zone: Zone, schools: Pick<Schools, 'sugarWay'>): 'hand' | 'strip' =>
  schools.sugarWay ?? (STRIP_SUGAR_ZONES.includes(zone.id) ? 'strip' : 'hand');

/** True where the hair is only too long: trimming it first makes the option possible. */
export function needsTrim(hair: Hair, range: { readonly shortestMm: number; readonly longestMm: number }): boolean {
  return workableShare(hair, range) < ENOUGH_SHARE && tooLongShare(hair, range.longestMm) > 1 - ENOUGH_SHARE;
}

const isTooShort = (hair: Hair, range: { readonly shortestMm: number; readonly longestMm: number }): boolean =>
  workableShare(hair, range) < ENOUGH_SHARE && !needsTrim(hair, range);

export interface EligibilityInput {
  readonly product: Product;
  readonly manner: Manner;
  readonly way: Way;
  readonly zone: Zone;
  readonly hair: Hair;
  readonly schools: Schools;
  readonly judgement: ZoneJudgement;
  readonly window: WorkingWindow;
  readonly setS: { readonly min: number; readonly max: number };
  readonly pasteWantedC: number;
  /** The practitioner chose product or way: house rules about the way give way, safety rules never. */
  readonly forced: boolean;
  /** Products this skin has met before or whose patch test stayed calm; absent = not known. */
  readonly knownProducts?: readonly string[] | undefined;
  readonly reactedTo?: readonly string[] | undefined;
  /** Share of the zone's hair that crosses the rest, 0–0.5. */
  readonly crossingShare: number;
}

/** From this share of crossing hair on, the zone is worth a crossed lay (from memory). */
const MUCH_CROSSING = 0.15;

/**
 * Up to this share long enough for the plain lay the crossed one stays possible: no cliff where the plain one begins.
 */
const PLAIN_HOLDS_SHARE = 0.95;

const shortOfPlain = (hair: Hair, range: LengthRange): boolean =>
  workableShare(hair, range) < PLAIN_HOLDS_SHARE && tooLongShare(hair, range.longestMm) < 1 - PLAIN_HOLDS_SHARE;

/** Hair that no length makes right for the plain lay. */
export const standsAcross = (hair: Hair, crossingShare: number): boolean =>
  hair.curl >= 4 || crossingShare >= MUCH_CROSSING || (hair.flags ?? []).some((f) => f === 'flat' || f === 'layers');

/**
 * Hair that the plain lay does not hold: short, flat, in layers, crossing, or in tight curls that lie across each
 * other.
 */
const needsCrossing = ({ manner, zone, hair, crossingShare }: EligibilityInput): boolean =>
  standsAcross(hair, crossingShare) || shortOfPlain(hair, lengthRange(manner, zone, 'with'));

function schoolCode(input: EligibilityInput): string | null {
  const { product, way, zone, schools } = input;
  if (isLaterOnly(way)) return 'way.later-pass';
  if (product.family === 'sugar' && (way === 'moulded' ? 'hand' : 'strip') !== sugarWayFor(zone, schools)) {
    return 'school.sugar-way';
  }
  if (product.family !== 'hard') return null;
  if (way === 'crossed') {
    if (schools.shortHair !== 'crossed') return 'school.short-hair';
    return needsCrossing(input) ? null : 'way.not-needed';
  }
  return way === schools.hardLay ? null : 'school.hard-lay';
}

/** Products that this skin has met; to skin that was never waxed everything is new. */
const knownHere = ({ knownProducts, hair }: EligibilityInput): readonly string[] | undefined =>
  knownProducts ?? (hair.history === 'first' ? [] : undefined);

/** Codes of everything that excludes the option; empty = eligible. */
export function exclusionCodes(input: EligibilityInput): readonly string[] {
  const { product, manner, way, zone, hair, schools, judgement, window, setS } = input;
  const codes: string[] = [];
  if (!zone.families.includes(product.family)) codes.push('zone.family-never');
  if (judgement.familiesOut.includes(product.family)) codes.push('screening.family-out');
  for (const allergen of product.allergens) {
    if (judgement.allergensOut.includes(allergen)) codes.push(`allergy.${allergen}`);
  }
  if (input.reactedTo?.includes(product.id)) codes.push('patch.reacted');
  if (judgement.nothingNew && knownHere(input)?.includes(product.id) === false) codes.push('patch.new-product');
  if (!schools.families.includes(product.family)) codes.push('studio.family');
  const school = schoolCode(input);
  if (school && !input.forced) codes.push(school);
  if (isTooShort(hair, lengthRange(manner, zone, way))) codes.push('hair.too-short');
  if (window.empty) codes.push('heat.no-window');
  else if (setS.max <= setS.min) codes.push('heat.never-ready');
  if (way === 'moulded' && !window.empty) {
    if (input.pasteWantedC > window.maxC + PASTE_REACH_K) codes.push('room.paste-too-slack');
    if (input.pasteWantedC < window.minC - PASTE_REACH_K) codes.push('room.paste-too-stiff');
  }
  return codes;
}
