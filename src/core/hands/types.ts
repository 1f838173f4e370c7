// The schedule of the hands: one pair of hands, several setting strips. Whole seconds from the first lay.
// A strip is on the skin from the start of its (first) lay to the end of its pull; its set time runs from the end of
// its last lay to the start of its pull. A pull is followed at once by its press.

import { windowAfter, REST_S, type SetAfterRest } from '../heat';

/** How long a first coat may rest, and the set window by how long it did. */
export interface CoatRest {
  readonly mostS: number;
  /** By rising rest; never empty. */
  readonly afterRest: readonly SetAfterRest[];
}

export interface StripJob {
  readonly id: string;
  /** Side on which one stands for it; null = reached from either side. */
  readonly side: 'left' | 'right' | null;
  /** Pose the client holds for it, by any name; null or absent = as the client lies. */
  readonly pose?: string | null;
  /** Loading and laying one coat. */
  readonly layS: number;
  readonly coats: 1 | 2;
  /** Set window after the last lay; of two coats the one that holds for every allowed rest. */
  readonly setMinS: number;
  readonly setMaxS: number;
  /** Of two coats; absent = the usual bounds, and one window whatever the rest. */
  readonly rest?: CoatRest | undefined;
  /** Spread first, then covered with its cloth: two acts of one lay. Absent = laid in one. */
  readonly spreads?: true;
  readonly pullS: number;
  readonly pressS: number;
  /** Indices of jobs that must be pulled before this one is laid. */
  readonly needs: readonly number[];
  /** Indices of jobs that are laid before this one, as the trade works the zone; absent = none. */
  readonly after?: readonly number[];
  /** Indices of jobs never on the skin together with this one. */
  readonly touches: readonly number[];
}

export interface HandsInput {
  readonly jobs: readonly StripJob[];
  readonly maxOnSkin: number;
  /** Change of side, s. */
  readonly walkS: number;
  /** Taking another pose, s; absent = 0. */
  readonly poseS?: number;
}

export type OpKind = 'lay' | 'coat' | 'pull';

/**
 * One act on one strip. `walkS` is the walk before `startS`, `poseS` the pose taken after the walk; a pull's end
 * includes the press.
 */
export interface Op {
  readonly kind: OpKind;
  readonly job: number;
  readonly startS: number;
  readonly endS: number;
  readonly walkS: number;
  readonly poseS: number;
}

/** Shortest rest between two coats, s. */
export const COAT_REST_S = REST_S.min;

/** Longest rest of a job's first coat, s. */
export const mostRestS = (job: StripJob): number => job.rest?.mostS ?? REST_S.max;

/** The set window after a last lay; `restS` is how long the first of two coats had rested. */
export const setAfter = (job: StripJob, restS: number): { readonly min: number; readonly max: number } =>
  job.coats === 2 && job.rest ? windowAfter(job.rest.afterRest, restS) : { min: job.setMinS, max: job.setMaxS };

/** Least set time that any rest leaves, s. */
export const leastSetS = (job: StripJob): number =>
  job.coats === 2 && job.rest ? Math.min(...job.rest.afterRest.map((a) => a.setS.min)) : job.setMinS;

/** Least of rest and set together, s: each window's set time with the shortest rest that it is read for. */
export function leastRestAndSetS(job: StripJob): number {
  if (job.coats === 1) return job.setMinS;
  if (!job.rest) return COAT_REST_S + job.setMinS;
  return Math.min(...job.rest.afterRest.map((a) => Math.max(COAT_REST_S, a.restS) + a.setS.min));
}
