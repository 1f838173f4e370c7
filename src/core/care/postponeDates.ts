// When a visit that is put off could take place: the first days on which nothing postpones any more, the hair is long
// enough, the client's blocked dates are kept clear and the practitioner is free at the usual hour.

import { addDays, laterDate, type CivilDate } from '../shared';
import { isClear, type Blackout } from './returnDate';

export interface PostponeInput {
  readonly today: CivilDate;
  /** First date on which nothing postpones; null where none can be named (a doctor's word is awaited). */
  readonly earliestOn: CivilDate | null;
  /** First date on which the hair is long enough; null where it is already, or nothing is known. */
  readonly readyOn: CivilDate | null;
  readonly blackouts: readonly Blackout[];
  /** True where the practitioner is free at the usual hour. */
  readonly isFree: (on: CivilDate) => boolean;
}

const DAYS_LOOKED_AT = 90;

/** Up to `count` dates, the earliest first; empty where no date can be named. */
export function postponeDates(input: PostponeInput, count = 3): readonly CivilDate[] {
  if (input.earliestOn === null) return [];
  const first = laterDate(laterDate(input.earliestOn, addDays(input.today, 1)), input.readyOn ?? input.earliestOn);
  return Array.from({ length: DAYS_LOOKED_AT }, (_, i) => addDays(first, i))
    .filter((on) => isClear(on, input.blackouts) && input.isFree(on))
    .slice(0, count);
}
