import { Temporal } from 'temporal-polyfill';

/** Instant of a wall date and time in the studio's zone; null where either is not given right. */
export function instantOf(date: string, time: string, timeZone: string): number | null {
  try {
    return Temporal.PlainDate.from(date).toZonedDateTime({ timeZone, plainTime: Temporal.PlainTime.from(time) })
      .epochMilliseconds;
  } catch {
    return null;
  }
}
