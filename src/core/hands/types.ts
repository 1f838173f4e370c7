// The schedule of the hands: one pair of hands, several setting strips. Whole seconds from the first lay.
// A strip is on the skin from the start of its (first) lay to the end of its pull; its set time runs from the end of
// its last lay to the start of its pull. A pull is followed at once by its press.

export interface StripJob {
  readonly id: string;
  /** Side on which one stands for it; null = reached from either side. */
  readonly side: 'left' | 'right' | null;
  /** Loading and laying one coat. */
  readonly layS: number;
  readonly coats: 1 | 2;
  readonly setMinS: number;
  readonly setMaxS: number;
  readonly pullS: number;
  readonly pressS: number;
  /** Indices of jobs that must be pulled before this one is laid. */
  readonly needs: readonly number[];
  /** Indices of jobs never on the skin together with this one. */
  readonly touches: readonly number[];
}

export interface HandsInput {
  readonly jobs: readonly StripJob[];
  readonly maxOnSkin: number;
  /** Change of side, s. */
  readonly walkS: number;
}

export type OpKind = 'lay' | 'coat' | 'pull';

/** One act on one strip. `walkS` is the walk just before `startS`; a pull's end includes the press. */
export interface Op {
  readonly kind: OpKind;
  readonly job: number;
  readonly startS: number;
  readonly endS: number;
  readonly walkS: number;
}

/** Rest between two coats, s. */
export const COAT_REST_S = 8;
