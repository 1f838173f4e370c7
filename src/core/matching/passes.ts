// Passes of one option: what each leaves, the ground that a later one covers, and how many are worth it. A later pass
// goes only where hair is left and costs its share of the first; what few hairs stay are tweezed, never hundreds.
// Shapes and numbers from memory.

/** Each strip's ground of a later pass holds about this many left hairs. */
const HAIRS_PER_PIECE = 6;
/** Wiping, looking and powdering before a later pass, s. */
const LATER_START_S = 15;
/** Another pass is worth it while more of the hair than this would stay beyond what is tweezed. */
const STAYS_WORTH_A_PASS = 0.005;

export interface Leftovers {
  /** Most hairs that are tweezed, on the face and elsewhere. */
  readonly faceMax: number;
  readonly bodyMax: number;
  /** What is left beyond them: strips once more where a pass is left, or next time. */
  readonly rest: 'clean-up' | 'stay';
}
export const SHIPPED_LEFTOVERS: Leftovers = { faceMax: 40, bodyMax: 30, rest: 'clean-up' };

export interface PassInput {
  /** Share of the hair left after so many passes, 0–1. */
  readonly leftAfter: (passes: number) => number;
  readonly hairs: number;
  readonly strips: number;
  /** Most passes, and the least that the hair needs. */
  readonly limit: number;
  readonly least: number;
  readonly mostTweezed: number;
  readonly rest: Leftovers['rest'];
}

export interface PassFigures {
  readonly passes: number;
  /** Hairs that the strips leave; the first of them are tweezed, the others stay for next time. */
  readonly leftHairs: number;
  readonly tweezed: number;
  readonly staysShare: number;
  /** Ground of all passes as a multiple of the first's. */
  readonly ground: number;
  /** Time for starting the later passes, s. */
  readonly startS: number;
}

/** The figures of exactly so many passes. */
export function passFigures(input: PassInput, passes: number): PassFigures {
  const { leftAfter, hairs, strips, mostTweezed } = input;
  let ground = 1;
  for (let n = 2; n <= passes; n++) {
    ground += 1 - Math.exp(-(hairs * leftAfter(n - 1)) / (HAIRS_PER_PIECE * Math.max(1, strips)));
  }
  const left = hairs * leftAfter(passes);
  const tweezed = Math.min(left, mostTweezed);
  return {
    passes,
    leftHairs: Math.round(left),
    tweezed: Math.round(tweezed),
    staysShare: hairs > 0 ? (left - tweezed) / hairs : 0,
    ground,
    startS: LATER_START_S * (passes - 1),
  };
}

/**
 * The passes that will really be done: another one while too much would stay, or while it makes the whole cheaper.
 * @param cost of the figures of one count of passes, min
 */
export function plannedPasses(input: PassInput, cost: (figures: PassFigures) => number): PassFigures {
  let now = passFigures(input, Math.min(input.least, input.limit));
  while (now.passes < input.limit) {
    const next = passFigures(input, now.passes + 1);
    const tooMuch = input.rest === 'clean-up' && now.staysShare > STAYS_WORTH_A_PASS;
    if (!tooMuch && cost(next) >= cost(now)) break;
    now = next;
  }
  return now;
}
