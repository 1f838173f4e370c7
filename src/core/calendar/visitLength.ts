// How long to book: the plan's own minutes times what this client's visits, and this practitioner's, have taken beside
// their plans. Smoothed exponentially over the client's visits, begun at the practitioner's usual pace; booked is what
// is enough four times in five, and the turnover. Weights from memory.

import { clamp, normalQuantile } from '../shared';

/** A visit that was done: minutes from the first act at the table to the last, and those of its plan. */
export interface TimedVisit {
  readonly tableMin: number;
  readonly plannedMin: number;
}

export interface VisitLengthInput {
  /** Of the visit to be booked, by its plan and without turnover; a newcomer's talk is in it. */
  readonly plannedMin: number;
  readonly turnoverMin: number;
  /** Of the same client for the same zones, oldest first. */
  readonly own: readonly TimedVisit[];
  /** Of other clients with the same practitioner, in any order. */
  readonly practitioner: readonly TimedVisit[];
}

export interface VisitLength {
  /** To book, turnover and all, up to the next five. */
  readonly minutes: number;
  /** By its plan, and what it most likely takes at the table. */
  readonly plannedMin: number;
  readonly likelyMin: number;
  /** Visits that it rests on. */
  readonly ownVisits: number;
  readonly practitionerVisits: number;
  /** Shortest and longest of the client's own; null without any. */
  readonly ownRange: readonly [number, number] | null;
}

const SMOOTHING = 0.4;
/** The practitioner's pace counts as much as so many visits as planned. */
const PRIOR_VISITS = 6;
/** Spread round the pace before anything is known, as a share. */
const PRIOR_SPREAD = 0.15;
const LEAST_SPREAD = 0.05;
/** A clock that ran on, or an act noted by itself, is no duration. */
const BELIEVED = [0.35, 2.5] as const;
const ENOUGH = 0.8;
/** From the mean absolute deviation to the standard one, of a normal distribution: √(π/2). */
const SD_OF_MAD = Math.sqrt(Math.PI / 2);
const STEP_MIN = 5;
const LEAST_MIN = 15;

const isBelieved = ({ tableMin, plannedMin }: TimedVisit): boolean => {
  const ratio = tableMin / plannedMin;
  return plannedMin > 0 && ratio >= BELIEVED[0] && ratio <= BELIEVED[1];
};

/** Throws nothing; with no visits at all it is the plan with room for its spread. */
export function visitLength({ plannedMin, turnoverMin, own, practitioner }: VisitLengthInput): VisitLength {
  const others = practitioner.filter(isBelieved);
  const logs = others.reduce((s, v) => s + Math.log(v.tableMin / v.plannedMin), 0);
  let pace = Math.exp(logs / (others.length + PRIOR_VISITS));
  let spread = PRIOR_SPREAD;
  const mine = own.filter(isBelieved);
  for (const visit of mine) {
    const ratio = visit.tableMin / visit.plannedMin;
    spread += SMOOTHING * (Math.abs(ratio - pace) - spread);
    pace += SMOOTHING * (ratio - pace);
  }
  const sd = SD_OF_MAD * clamp(spread, LEAST_SPREAD, 1);
  const enough = plannedMin * (pace + normalQuantile(ENOUGH) * sd);
  const times = mine.map((v) => v.tableMin);
  return {
    minutes: Math.max(LEAST_MIN, Math.ceil((enough + turnoverMin) / STEP_MIN - 1e-9) * STEP_MIN),
    plannedMin,
    likelyMin: plannedMin * pace,
    ownVisits: mine.length,
    practitionerVisits: others.length,
    ownRange: times.length === 0 ? null : [Math.min(...times), Math.max(...times)],
  };
}
