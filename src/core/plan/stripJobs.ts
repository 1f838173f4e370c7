// From strips to jobs for the hands: seconds to load, lay, pull and press (common practice, no source; trainee slower).

import type { Family, Side, ZoneId } from '../anatomy';
import type { CoatRest, StripJob } from '../hands';
import type { MannerName } from '../products';
import { handworkOf, patchesOf, type HandLevel, type Strip } from '../strips';

export const USUAL_PRESS_S = 3;
/** How long the palm stays on, s: the usual, or longer where the screening asks for it. */
export const pressFor = (askedS: number): number => Math.max(USUAL_PRESS_S, askedS);
/**
 * Seconds to load and lay the smallest and the largest strip. Paste by hand takes 10–14 s for each 5 × 8 cm and time:
 * three moulding strokes, a flick, the lump gathered anew (from memory). With its flick and press a first pass comes to
 * about 25 s for that ground, the two times that it is usually taken; the third is a later pass.
 */
const LAY_S: Readonly<Record<MannerName, readonly [number, number]>> = { tab: [8, 15], cloth: [8, 12], hand: [13, 24] };
/** Area that takes the longest lay, cm². */
const LARGE_CM2: Readonly<Record<MannerName, number>> = { tab: 60, cloth: 140, hand: 80 };
/** Cloth laid on and rubbed three times along the growth; on the face it is only pressed. */
const CLOTH_RUB_S = 3;
/** How long a hand takes over its lays, a practised one 1. */
export const HAND_PACE: Readonly<Record<HandLevel, number>> = { trainee: 1.3, practised: 1, expert: 0.9 };

export interface JobInput {
  readonly strips: readonly Strip[];
  readonly side: Side;
  readonly manner: MannerName;
  readonly coats: 1 | 2;
  readonly setS: { readonly min: number; readonly max: number };
  /** Of two coats. */
  readonly rest: CoatRest | null;
  readonly level: HandLevel;
  readonly face: boolean;
  readonly zone: ZoneId;
  readonly family: Family;
  readonly coarseness: number;
  /** Spread over a patch at once, then taken up cloth by cloth. */
  readonly spread: boolean;
  /** How long the palm stays on after each pull, s. */
  readonly pressS: number;
}

export function layS(areaCm2: number, manner: MannerName, level: HandLevel, face: boolean): number {
  const [least, most] = LAY_S[manner];
  const bare = least + (most - least) * Math.min(1, areaCm2 / LARGE_CM2[manner]);
  const rub = manner === 'cloth' && !face ? CLOTH_RUB_S : 0;
  return Math.round((bare + rub) * HAND_PACE[level]);
}

/** Every further tug of the same strip, with the hand set anew, s (from memory). */
const TUG_S = 2;

export function pullS(lengthCm: number, pulls = 1): number {
  const further = TUG_S * (pulls - 1);
  if (lengthCm > 14) return 5 + further;
  return (lengthCm > 7 ? 4 : 3) + further;
}

/** Laying the cloth on what is spread already, s; spreading: the dip and the strokes, s and s/cm² (from memory). */
const CLOTH_ON_S = 4;
const DIP_S = 5;
const SPREAD_S_PER_CM2 = 0.03;

/** Seconds to lay each strip where a patch is spread at once: the first one carries the spreading. */
function spreadLayS(strips: readonly Strip[], level: HandLevel, face: boolean): ReadonlyMap<string, number> {
  const area = new Map(strips.map((s) => [s.id, s.areaCm2]));
  const cloth = CLOTH_ON_S + (face ? 0 : CLOTH_RUB_S);
  return new Map(
    patchesOf(strips).flatMap((ids) =>
      ids.map((id, k): [string, number] => {
        const spreading = k > 0 ? 0 : DIP_S + SPREAD_S_PER_CM2 * ids.reduce((s, i) => s + (area.get(i) ?? 0), 0);
        return [id, Math.round((cloth + spreading) * HAND_PACE[level])];
      }),
    ),
  );
}

/** Jobs of one zone, `needs` and `touches` as indices shifted by `offset`. */
export function stripJobs(input: JobInput, offset = 0): readonly StripJob[] {
  const index = new Map(input.strips.map((s, i) => [s.id, i + offset]));
  const indices = (ids: readonly string[]): readonly number[] => ids.flatMap((id) => index.get(id) ?? []);
  const spread = input.spread ? spreadLayS(input.strips, input.level, input.face) : null;
  // nothing of a patch is taken up before it is spread
  const opener = new Map(
    input.spread
      ? patchesOf(input.strips).flatMap(([first, ...others]) => others.map((id) => [id, first ?? id] as const))
      : [],
  );
  return input.strips.map((s) => ({
    id: s.id,
    side: input.side === 'middle' ? null : input.side,
    layS: spread?.get(s.id) ?? layS(s.areaCm2, input.manner, input.level, input.face),
    coats: input.coats,
    setMinS: input.setS.min,
    setMaxS: input.setS.max,
    ...(input.rest ? { rest: input.rest } : {}),
    pullS: pullS(s.lengthCm, handworkOf({ ...input, lengthCm: s.lengthCm, dab: s.dab }).pulls),
    pressS: input.pressS,
    needs: indices([...new Set([...s.needsBefore, ...(opener.has(s.id) ? [opener.get(s.id) ?? ''] : [])])]),
    touches: indices(s.touches),
  }));
}
