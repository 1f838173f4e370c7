// What would suit better than today's answer, and what stands in its way: hair that has still to grow, a patch test
// that has still to be made, or a family that the studio does not work with. Says from when, and what is lost till
// then. Never proposes what safety excludes.

import { addDays, daysBetween, type CivilDate } from '../shared';
import { evaluate, rawScore, tierOf, yardstickOf, type MatchInput, type Raw, type Yardstick } from './matchZone';
import type { Option } from './types';

export interface WhatElse {
  /** The option as it would be then, with its score on the scale of today's. */
  readonly option: Option;
  readonly kind: 'later' | 'other-family';
  /** From when; null where no day changes it. */
  readonly fromOn: CivilDate | null;
  /** New to this skin: only after a patch test that stayed calm. */
  readonly afterPatchTest: boolean;
}

/** Better by less than this is not worth a sentence. */
const WORTH_SAYING = 0.02;
/** A patch test is read after 24–48 h: on the third day the product is known. */
const PATCH_DAYS = 2;
const IN_TIME: readonly string[] = ['hair.too-short', 'patch.new-product'];
const OTHER_FAMILY: readonly string[] = ['studio.family'];

const only = (o: Raw, allowed: readonly string[]): boolean =>
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
  readonly raw: Raw;
  readonly fromOn: CivilDate | null;
  readonly afterPatchTest: boolean;
  /** Today's best on the same hair, for a fair comparison. */
  readonly against: Raw | null;
}

/**
 * The option from the first day on which it would beat today's best on the hair of that day; undefined where it never
 * does.
 */
function later(input: MatchInput, o: Raw, best: Raw | undefined): Candidate | undefined {
  const byHair = o.excludedBy.includes('hair.too-short') ? o.readyOn : input.on;
  if (byHair === null) return undefined;
  const afterPatchTest = o.excludedBy.includes('patch.new-product');
  const byPatch = afterPatchTest ? addDays(input.on, PATCH_DAYS) : input.on;
  const firstOn = byHair > byPatch ? byHair : byPatch;
  const known = { ...input, knownProducts: [...(input.knownProducts ?? []), o.product.id] };
  for (const more of LOOK_AGAIN_DAYS) {
    const fromOn = addDays(firstOn, more);
    const then = grown(known, daysBetween(input.on, fromOn));
    const raw = evaluate(then, o.product, o.way, o.manner);
    const against = best ? evaluate(then, best.product, best.way, best.manner) : null;
    if (raw.eligible && beats(input, raw, against)) return { raw, fromOn, afterPatchTest, against };
  }
  return undefined;
}

const worth = (input: MatchInput, o: Raw, than: Yardstick): number =>
  rawScore(input, o, than) - 10 * tierOf(o, input.sensitivity);

function beats(input: MatchInput, raw: Raw, against: Raw | null): boolean {
  if (!against) return true;
  const than = yardstickOf([raw, against]);
  return worth(input, raw, than) > worth(input, against, than) + WORTH_SAYING;
}

/** At most one of each kind: the best later on, and the best of a family that the studio leaves out. */
export function whatElse(input: MatchInput, raw: readonly Raw[], options: readonly Option[]): readonly WhatElse[] {
  const [first] = options.filter((o) => o.eligible);
  const best = first && raw.find((o) => o.product === first.product && o.way === first.way);
  const take = (kind: WhatElse['kind'], candidates: readonly Candidate[]): readonly WhatElse[] => {
    const than = yardstickOf(candidates.map((c) => c.raw));
    const [top] = [...candidates].sort((a, b) => worth(input, b.raw, than) - worth(input, a.raw, than));
    return top
      ? [
          {
            kind,
            fromOn: top.fromOn,
            afterPatchTest: top.afterPatchTest,
            option: {
              ...top.raw,
              tier: tierOf(top.raw, input.sensitivity),
              score: rawScore(input, top.raw, yardstickOf([top.raw, ...(top.against ? [top.against] : [])])),
            },
          },
        ]
      : [];
  };
  const otherFamily = raw
    .filter((o) => only(o, OTHER_FAMILY))
    .map((o): Candidate => ({
      raw: { ...o, eligible: true },
      fromOn: null,
      afterPatchTest: false,
      against: best ?? null,
    }))
    .filter((c) => beats(input, c.raw, c.against));
  return [
    ...take(
      'later',
      raw.filter((o) => only(o, IN_TIME)).flatMap((o) => later(input, o, best) ?? []),
    ),
    ...take('other-family', otherFamily),
  ];
}
