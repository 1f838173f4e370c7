// What would suit better than today's answer, and what stands in its way: hair that has still to grow, a patch test
// that has still to be made, or a family that the studio does not work with. Says from when, and what is lost till
// then. Never proposes what safety excludes.

import { addDays, daysBetween, type CivilDate } from '../shared';
import { evaluate } from './evaluate';
import type { MatchInput } from './matchInput';
import { matchOptions, type Ranked, type ZoneMatch } from './matchZone';
import type { Option } from './types';

export interface WhatElse {
  /** The option as it would be then. */
  readonly option: Ranked;
  /** What it is compared with: today's choice on the hair of that day; null where nothing can be used. */
  readonly against: Ranked | null;
  readonly kind: 'later' | 'other-family';
  /** From when; null where no day changes it. */
  readonly fromOn: CivilDate | null;
  /** New to this skin: only after a patch test that stayed calm. */
  readonly afterPatchTest: boolean;
}

/** Cheaper by less than this, as a share, is not worth a sentence. */
const WORTH_SAYING = 0.05;
/** A patch test is read after 24–48 h: on the third day the product is known. */
const PATCH_DAYS = 2;
const IN_TIME: readonly string[] = ['hair.too-short', 'patch.new-product'];
const OTHER_FAMILY: readonly string[] = ['studio.family'];

const only = (o: Option, allowed: readonly string[]): boolean =>
  o.excludedBy.length > 0 && o.excludedBy.every((c) => allowed.includes(c));

function grown(input: MatchInput, days: number): MatchInput {
  const more = days * input.rateMmPerDay;
  const { hair } = input;
  const plus = (mm: number | undefined): number | undefined => (mm === undefined ? undefined : mm + more);
  return {
    ...input,
    hair: {
      ...hair,
      lengthMm: hair.lengthMm + more,
      shortestMm: plus(hair.shortestMm),
      longestMm: plus(hair.longestMm),
    },
  };
}

/** Days after the first possible one on which the growing hair is looked at again. */
const LOOK_AGAIN_DAYS = [0, 3, 7, 14] as const;

interface Candidate {
  readonly option: Ranked;
  readonly against: Ranked | null;
  readonly fromOn: CivilDate | null;
  readonly afterPatchTest: boolean;
}

/** The two side by side, where the first would be chosen and is worth a word; null else. */
function preferred(input: MatchInput, o: Option, against: Option | null): Pick<Candidate, 'option' | 'against'> | null {
  const { best, options, decided } = matchOptions(input, against ? [o, against] : [o]);
  if (!best || best.product !== o.product || best.way !== o.way) return null;
  const other = options.find((x) => x !== best && x.eligible) ?? null;
  const saves = other === null || decided.length > 0 || best.cost < other.cost * (1 - WORTH_SAYING);
  return saves || other.tier > best.tier ? { option: best, against: other } : null;
}

/**
 * The option from the first day on which it would be chosen before today's best on the hair of that day; undefined
 * where it never is.
 */
function later(input: MatchInput, o: Option, best: Option | null): Candidate | undefined {
  const byHair = o.excludedBy.includes('hair.too-short') ? o.readyOn : input.on;
  if (byHair === null) return undefined;
  const afterPatchTest = o.excludedBy.includes('patch.new-product');
  const byPatch = afterPatchTest ? addDays(input.on, PATCH_DAYS) : input.on;
  const firstOn = byHair > byPatch ? byHair : byPatch;
  const known = { ...input, knownProducts: [...(input.knownProducts ?? []), o.product.id] };
  for (const more of LOOK_AGAIN_DAYS) {
    const fromOn = addDays(firstOn, more);
    const then = grown(known, daysBetween(input.on, fromOn));
    const made = evaluate(then, o.product, o.way, o.manner);
    const against = best ? evaluate(then, best.product, best.way, best.manner) : null;
    const found = made.eligible ? preferred(then, made, against) : null;
    if (found) return { ...found, fromOn, afterPatchTest };
  }
  return undefined;
}

/** At most one of each kind: the best later on, and the best of a family that the studio leaves out. */
export function whatElse(input: MatchInput, all: readonly Option[], match: ZoneMatch): readonly WhatElse[] {
  const { best } = match;
  const take = (kind: WhatElse['kind'], candidates: readonly Candidate[]): readonly WhatElse[] => {
    const top = matchOptions(
      input,
      candidates.map((c) => c.option),
    ).best;
    const found = candidates.find((c) => c.option.product === top?.product && c.option.way === top.way);
    return found ? [{ kind, ...found }] : [];
  };
  const otherFamily = all
    .filter((o) => only(o, OTHER_FAMILY))
    .flatMap((o): Candidate[] => {
      const found = preferred(input, { ...o, eligible: true, excludedBy: [] }, best);
      return found ? [{ ...found, fromOn: null, afterPatchTest: false }] : [];
    });
  return [
    ...take(
      'later',
      all.filter((o) => only(o, IN_TIME)).flatMap((o) => later(input, o, best) ?? []),
    ),
    ...take('other-family', otherFamily),
  ];
}
