// The care card: care as clock times counted from the end of a visit, in words for the client; on paper, in a message.

import { withSizes } from './size';
import { careCatalogue, type CareCatalogue, type CareMoment, type HomeCareId } from '../core/care';

const HOUR_MS = 3_600_000;
const QUARTER_MS = 900_000;

export interface CareLine {
  readonly when: string;
  readonly what: string;
}

/** The day of an instant on the studio's wall clock. */
const dayAt = (atMs: number, timeZone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(atMs);

/** Against what moments are named, and in which language (absent = English). */
interface Told {
  readonly nowMs: number;
  readonly timeZone: string;
  readonly language?: string | undefined;
}

/** `Today, 14:00`, `Sunday 10:00`, `Tuesday`; a day that is more than six away with its date. */
export function momentWords(atMs: number, by: CareMoment['by'], { nowMs, timeZone, language }: Told): string {
  const { locale, card } = careCatalogue(language);
  const words = (options: Intl.DateTimeFormatOptions): string =>
    new Intl.DateTimeFormat(locale, { ...options, timeZone }).format(atMs);
  const [day, today] = [dayAt(atMs, timeZone), dayAt(nowMs, timeZone)];
  const days = Math.round((Date.parse(day) - Date.parse(today)) / (24 * HOUR_MS));
  const far = words(Math.abs(days) > 6 ? { day: 'numeric', month: 'long' } : { weekday: 'long' });
  const name = days === 0 ? card.today : far;
  if (by === 'day') return name;
  return `${name}${days === 0 ? ',' : ''} ${words({ hour: '2-digit', minute: '2-digit' })}`;
}

/** `Saturday 12 June`, in the language of the card. */
export const cardDay = (date: string, language?: string): string =>
  new Intl.DateTimeFormat(careCatalogue(language).locale, {
    ...{ weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' },
  }).format(new Date(`${date}T12:00:00Z`));
/** `Saturday 12 June at 10:00`, on the studio's wall clock. */
export function cardTime(atMs: number, timeZone: string, language?: string): string {
  const { locale, card } = careCatalogue(language);
  const time = new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit', timeZone }).format(atMs);
  return card.at(cardDay(dayAt(atMs, timeZone), language), time);
}

/** Moments counted from an instant, those of one time on one line. */
export function careLines(moments: readonly CareMoment[], fromMs: number, told: Told): readonly CareLine[] {
  const { care } = careCatalogue(told.language);
  // nobody keeps a minute: the next quarter of an hour
  const start = Math.ceil(fromMs / QUARTER_MS) * QUARTER_MS;
  const lines: { when: string; what: string }[] = [];
  for (const { hours, by, text } of moments) {
    const when = momentWords(start + hours * HOUR_MS, by, told);
    const last = lines.at(-1);
    if (last?.when === when) last.what += `; ${withSizes(care[text])}`;
    else lines.push({ when, what: withSizes(care[text]) });
  }
  return lines;
}

export interface CareCard {
  /** Tag of the language; absent = English. */
  readonly language?: string | undefined;
  /** `both underarms`. */
  readonly zones: string;
  /** `finished Saturday 8 May at 10:00`, or from when it counts while the visit goes on. */
  readonly counted: string;
  readonly after: readonly CareLine[];
  readonly before: readonly CareLine[];
  /** What was advised for home. */
  readonly home: readonly HomeCareId[];
  /** The studio's own words; empty = none. */
  readonly own: string;
  /** Typical length of the hair by weeks after the visit, mm. */
  readonly weeksMm: readonly number[];
  /** From when it is ready again; null = not within ten weeks. */
  readonly readyFrom: string | null;
  /** The next visit, in words; null while none is booked. */
  readonly next: { readonly when: string; readonly who: string; readonly minutes: number } | null;
}

/** What was advised for home, in the client's words. */
export const homeLines = ({ home }: CareCatalogue, advised: readonly HomeCareId[]): readonly string[] =>
  advised.map((id) => home[id]);

/** The card as the text of a message; no name and nothing of health stands in it. */
export function careMessage(of: CareCard): string {
  const words = careCatalogue(of.language);
  const { card, care } = words;
  const list = (lines: readonly CareLine[]): string => lines.map((l) => `${l.when}: ${l.what}`).join('\n');
  return [
    `${card.title} (${of.zones}, ${of.counted})`,
    list(of.after),
    [care.noShaving, of.readyFrom === null ? '' : card.readyFrom(of.readyFrom)].filter(Boolean).join(' '),
    care.ring,
    ...(of.own === '' ? [] : [of.own]),
    ...(of.home.length > 0 ? [`${card.atHome}:\n${homeLines(words, of.home).join('\n')}`] : []),
    ...(of.next ? [card.nextVisit(of.next.when, of.next.who, of.next.minutes)] : []),
    ...(of.before.length > 0 ? [`${card.beforeIt}:\n${list(of.before)}`] : []),
  ].join('\n\n');
}

/** A reminder of a booked visit with what is to be done before it. */
export function reminderMessage(when: string, before: readonly CareLine[], language?: string): string {
  const { post, card } = careCatalogue(language);
  const lines = before.map((l) => `${l.when}: ${l.what}`).join('\n');
  return [post.yourVisit(when), `${card.beforeIt}:`, lines, post.tellUs].join('\n\n');
}
