// The care card: care as clock times counted from the end of a visit, in words for the client; on paper, in a message.

import { CARE_TEXTS, type CareMoment } from '../core/care';

const HOUR_MS = 3_600_000;
const QUARTER_MS = 900_000;
const LOCALE = 'en-GB';

export interface CareLine {
  readonly when: string;
  readonly what: string;
}

/** The day of an instant on the studio's wall clock. */
const dayAt = (atMs: number, timeZone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(atMs);
const words = (atMs: number, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(LOCALE, options).format(atMs);

/** `Today, 14:00`, `Sunday 10:00`, `Tuesday`; a day that is more than six away with its date. */
export function momentWords(atMs: number, by: CareMoment['by'], nowMs: number, timeZone: string): string {
  const [day, today] = [dayAt(atMs, timeZone), dayAt(nowMs, timeZone)];
  const days = Math.round((Date.parse(day) - Date.parse(today)) / (24 * HOUR_MS));
  const far = words(atMs, {
    timeZone,
    ...(Math.abs(days) > 6 ? { day: 'numeric', month: 'long' } : { weekday: 'long' }),
  });
  const name = days === 0 ? 'Today,' : far;
  const time = words(atMs, { hour: '2-digit', minute: '2-digit', timeZone });
  return by === 'hour' ? `${name} ${time}` : name.replace(',', '');
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

export interface CareCard {
  /** `both underarms`. */
  readonly zones: string;
  /** `finished Saturday 8 May at 10:00`, or from when it counts while the visit goes on. */
  readonly counted: string;
  readonly after: readonly CareLine[];
  readonly before: readonly CareLine[];
  /** Typical length of the hair by weeks after the visit, mm. */
  readonly weeksMm: readonly number[];
  /** From when it is ready again; null = not within ten weeks. */
  readonly readyFrom: string | null;
  /** The next visit, in words; null while none is booked. */
  readonly next: { readonly when: string; readonly who: string; readonly minutes: number } | null;
}

/** The card as the text of a message; no name and nothing of health stands in it. */
export function careMessage(card: CareCard): string {
  const list = (lines: readonly CareLine[]): string => lines.map((l) => `${l.when}: ${l.what}`).join('\n');
  return [
    `After your wax (${card.zones}, ${card.counted})`,
    list(card.after),
    `${CARE_TEXTS.noShaving}${card.readyFrom === null ? '' : ` The hair is ready from about ${card.readyFrom}.`}`,
    CARE_TEXTS.ring,
    ...(card.next ? [`Next visit: ${card.next.when}, with ${card.next.who}, ${card.next.minutes} minutes.`] : []),
    ...(card.before.length > 0 ? [`Before it:\n${list(card.before)}`] : []),
  ].join('\n\n');
}

/** A reminder of a booked visit with what is to be done before it. */
export const reminderMessage = (when: string, before: readonly CareLine[]): string =>
  [
    `Your visit: ${when}.`,
    'Before it:',
    before.map((l) => `${l.when}: ${l.what}`).join('\n'),
    'If you take a new medicine, or your skin is sunburnt or sore, tell us before you come. Never stop a medicine for it.',
  ].join('\n\n');
