// Care as clock times, in the reader's words.

import { CARE_TEXTS, type CareMoment } from '@/core/care';
import { dayMonth, timeOfDay, weekday } from '@/ui/words';

const HOUR_MS = 3_600_000;
const QUARTER_MS = 900_000;

export interface CareLine {
  readonly when: string;
  readonly what: string;
}

/** The day of an instant on the studio's wall clock. */
const dayAt = (atMs: number, timeZone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(atMs);

/** `Today, 14:00`, `Sunday 10:00`, `Tuesday`; a day that is more than six away with its date. */
export function momentWords(atMs: number, by: CareMoment['by'], nowMs: number, timeZone: string): string {
  const [day, today] = [dayAt(atMs, timeZone), dayAt(nowMs, timeZone)];
  const days = Math.round((Date.parse(day) - Date.parse(today)) / (24 * HOUR_MS));
  const far = Math.abs(days) > 6 ? dayMonth(day) : weekday(day);
  const name = days === 0 ? 'Today,' : far;
  return by === 'hour' ? `${name} ${timeOfDay(atMs, timeZone)}` : name.replace(',', '');
}

/** Moments counted from an instant, those of one time on one line. */
export function careLines(
  moments: readonly CareMoment[],
  fromMs: number,
  { nowMs, timeZone }: { readonly nowMs: number; readonly timeZone: string },
): readonly CareLine[] {
  // nobody keeps a minute: the next quarter of an hour
  const start = Math.ceil(fromMs / QUARTER_MS) * QUARTER_MS;
  const lines: { when: string; what: string }[] = [];
  for (const { hours, by, text } of moments) {
    const when = momentWords(start + hours * HOUR_MS, by, nowMs, timeZone);
    const last = lines.at(-1);
    if (last?.when === when) last.what += `; ${CARE_TEXTS[text]}`;
    else lines.push({ when, what: CARE_TEXTS[text] });
  }
  return lines;
}
