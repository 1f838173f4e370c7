// Days that come again and again and that a client would rather avoid, as of a cycle: a wish, never a rule.

import { daysBetween, type CivilDate } from '../shared';

export interface AvoidedDays {
  /** First day of it, any time it was seen. */
  readonly firstOn: CivilDate;
  /** Days from one first day to the next. */
  readonly everyDays: number;
  /** How many days from the first on. */
  readonly days: number;
}

export function isAvoided(on: CivilDate, { firstOn, everyDays, days }: AvoidedDays): boolean {
  const into = daysBetween(firstOn, on) % everyDays;
  return (into + everyDays) % everyDays < days;
}
