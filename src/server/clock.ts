import 'server-only';
import { Temporal } from 'temporal-polyfill';

/** Milliseconds now; the one place of the server that looks at the clock. */
export const nowMs = (): number => Date.now();

/** Civil date of an instant on the studio's wall clock. */
export const civilDateAt = (atMs: number, timeZone: string): string =>
  Temporal.Instant.fromEpochMilliseconds(atMs).toZonedDateTimeISO(timeZone).toPlainDate().toString();

/** Instant of a civil date and wall time in the studio's zone. */
export const instantAt = (date: string, hour: number, minute: number, timeZone: string): number =>
  Temporal.PlainDate.from(date).toZonedDateTime({ timeZone, plainTime: Temporal.PlainTime.from({ hour, minute }) })
    .epochMilliseconds;

/** Hour and minute of an instant on the studio's wall clock. */
export function wallTimeAt(atMs: number, timeZone: string): { readonly hour: number; readonly minute: number } {
  const { hour, minute } = Temporal.Instant.fromEpochMilliseconds(atMs).toZonedDateTimeISO(timeZone);
  return { hour, minute };
}

const LOCALE = 'en-GB';
/** `Friday 4 December`, for words that leave the screen. */
export const dateInWords = (date: string): string =>
  new Intl.DateTimeFormat(LOCALE, { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${date}T12:00:00Z`),
  );
/** `10:15` on the studio's wall clock. */
export const timeInWords = (atMs: number, timeZone: string): string =>
  new Intl.DateTimeFormat(LOCALE, { hour: '2-digit', minute: '2-digit', timeZone }).format(atMs);
/** `Friday 4 December at 10:15` on the studio's wall clock. */
export const dateAndTimeInWords = (atMs: number, timeZone: string): string =>
  `${dateInWords(civilDateAt(atMs, timeZone))} at ${timeInWords(atMs, timeZone)}`;
