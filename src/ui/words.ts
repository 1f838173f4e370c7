// Dates, degrees and money in words, for the reader's eye. Locale en-GB for now; units follow the studio later.

import { withHeat } from '@/formats/heat';
import { withSizes } from '@/formats/size';

export { degrees } from '@/formats/heat';
const LOCALE = 'en-GB';

const kept = new Map<string, Intl.DateTimeFormat>();
/** Making a formatter costs a hundred times what using it does. */
function formatOf(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = JSON.stringify(options);
  const format = kept.get(key) ?? new Intl.DateTimeFormat(LOCALE, options);
  kept.set(key, format);
  return format;
}

const civil = (date: string): Date => new Date(`${date}T12:00:00Z`);
export const dayMonth = (date: string): string =>
  formatOf({ day: 'numeric', month: 'long', timeZone: 'UTC' }).format(civil(date));
export const dayMonthYear = (date: string): string =>
  formatOf({ day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }).format(civil(date));
/** The day of an instant on the studio's wall clock. */
export const dayMonthYearAt = (atMs: number, timeZone: string): string =>
  formatOf({ day: 'numeric', month: 'short', year: 'numeric', timeZone }).format(atMs);
export const weekday = (date: string): string => formatOf({ weekday: 'long', timeZone: 'UTC' }).format(civil(date));
export const timeOfDay = (atMs: number, timeZone: string): string =>
  formatOf({ hour: '2-digit', minute: '2-digit', timeZone }).format(atMs);
/** `Sat 28 November, 10:18`. */
export const barTime = (atMs: number, timeZone: string): string => {
  const day = formatOf({ weekday: 'short', day: 'numeric', month: 'long', timeZone }).format(atMs).replace(',', '');
  return `${day}, ${timeOfDay(atMs, timeZone)}`;
};
export const dateAndTime = (atMs: number, timeZone: string): string =>
  formatOf({
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  }).format(atMs);
/** `Wed 2 Dec, 14:00`, for narrow places. */
export const shortDateTime = (atMs: number, timeZone: string): string =>
  `${formatOf({ weekday: 'short', day: 'numeric', month: 'short', timeZone }).format(atMs).replace(',', '')}, ${timeOfDay(atMs, timeZone)}`;
/** `12–28 July` or `28 June – 3 July`. */
export function span(from: string, to: string): string {
  return from.slice(0, 7) === to.slice(0, 7)
    ? `${Number(from.slice(8))}–${dayMonth(to)}`
    : `${dayMonth(from)} – ${dayMonth(to)}`;
}
/** Dates and degrees inside a sentence of the core, in the reader's form. */
export const withDates = (text: string): string =>
  withSizes(withHeat(text)).replace(/\b\d{4}-\d{2}-\d{2}\b/g, (d) => dayMonth(d));
const shortDay = (date: string): string =>
  formatOf({ day: 'numeric', month: 'short', timeZone: 'UTC' }).format(civil(date));
/** `17 Dec – 13 Jan`, for narrow places. */
export const shortSpan = (from: string, to: string): string =>
  from.slice(0, 7) === to.slice(0, 7)
    ? `${Number(from.slice(8))}–${shortDay(to)}`
    : `${shortDay(from)} – ${shortDay(to)}`;
export const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
export const sideWord = (name: string, side: string): string => (side === 'middle' ? name : `${name}, ${side}`);
