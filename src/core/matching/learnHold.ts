// How much each product body really leaves in this studio, learned from read strips: a shift of the log odds of hair
// left at one pull, shrunk from the body to the whole studio and from there to what is shipped. Shipped values are
// from memory; a prior of so many strips and the weights below are too.

import { PRODUCT_BODIES, type ProductBody } from '../products';
import { clamp, roundTo } from '../shared';

/** One zone that was worked by plan and read afterwards. */
export interface ReadZone {
  readonly body: ProductBody;
  readonly strips: number;
  /** Passes that the plan counted. */
  readonly passes: number;
  /** Share of the hair that the plan said would be left, 0–1, and the shift that it was planned with. */
  readonly expectedLeft: number;
  readonly plannedShift: number;
  /** Share that was read as left, 0–1. */
  readonly readLeft: number;
}

export interface HoldShift {
  /** Added to the log odds of hair left at a pull; positive = more is left than shipped. */
  readonly shift: number;
  /** Strips that it rests on. */
  readonly strips: number;
}

/** By body; a body that was never read has what the others say of the studio. */
export type LearnedHold = Readonly<Record<ProductBody, HoldShift>>;

/** What a plan is made with: the shift of each body; a body that is absent is as shipped. */
export type Hold = { readonly [B in ProductBody]?: number | undefined };

/** Steps of a shift that change a plan: smaller ones would make every plan anew for nothing. */
const STEP = 0.05;

/** The shifts that are worth planning with. */
export const holdOf = (learned: LearnedHold): Hold =>
  Object.fromEntries(
    PRODUCT_BODIES.map((body) => [body, Math.round(learned[body].shift / STEP) * STEP] as const)
      .filter(([, shift]) => shift !== 0)
      .map(([body, shift]) => [body, roundTo(shift, 2)]),
  );

/** So many strips weigh as much as what is shipped, and as what the other bodies say. */
const PRIOR_STRIPS = 40;
/** One reading of a zone is one look: more strips than this do not make it surer. */
const MOST_STRIPS = 8;
/** An eye does not tell less than this from nothing, nor more than this from all. */
const LEAST_LEFT = 0.01;
const MOST_LEFT = 0.6;
/** A single reading says no more than this, and no shift goes further. */
const MOST_SAID = 2;
export const MOST_SHIFT = 1.2;
/** A later pass says this much more again of what one pull leaves. */
const LATER_PASS = 0.8;

const logit = (share: number): number => {
  const p = clamp(share, LEAST_LEFT, MOST_LEFT);
  return Math.log(p / (1 - p));
};

/** What one reading says of its body's shift. */
function said({ expectedLeft, plannedShift, readLeft, passes }: ReadZone): number {
  const off = (logit(readLeft) - logit(expectedLeft)) / (1 + LATER_PASS * (passes - 1));
  return clamp(plannedShift + off, -MOST_SAID, MOST_SAID);
}

const weightOf = (r: ReadZone): number => Math.min(MOST_STRIPS, r.strips);

/** Weighted sum and weights of what is said, drawn towards `prior` by the strips that it weighs. */
function drawn(list: readonly ReadZone[], prior: number): number {
  const weight = list.reduce((s, r) => s + weightOf(r), 0);
  const sum = list.reduce((s, r) => s + weightOf(r) * said(r), 0);
  return (sum + PRIOR_STRIPS * prior) / (weight + PRIOR_STRIPS);
}

/** The shifts of all bodies from what was read; all nought where nothing was. */
export function learnHold(read: readonly ReadZone[]): LearnedHold {
  const studio = drawn(read, 0);
  return Object.fromEntries(
    PRODUCT_BODIES.map((body): readonly [ProductBody, HoldShift] => {
      const own = read.filter((r) => r.body === body);
      return [
        body,
        {
          shift: clamp(drawn(own, studio), -MOST_SHIFT, MOST_SHIFT),
          strips: own.reduce((s, r) => s + r.strips, 0),
        },
      ];
    }),
  ) as unknown as LearnedHold;
}
