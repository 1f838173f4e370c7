// What a column of a foreign table holds: which dates it writes, in which unit its lengths and times are. Guessed from
// the heading and all cells; where two readings fit, nobody guesses: a person says which.

import { isCivilDate } from '../core/shared';

export const DATE_STYLES = ['ymd', 'dmy', 'mdy', 'named'] as const;
export type DateStyle = (typeof DATE_STYLES)[number];
export const LENGTH_UNITS = ['mm', 'cm', 'in'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];
export const TIME_UNITS = ['min', 'h'] as const;
export type TimeUnit = (typeof TIME_UNITS)[number];

const MONTHS: readonly string[] = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const two = (n: string | number): string => String(n).padStart(2, '0');
const yearOf = (y: string): string => (y.length === 2 ? `20${y}` : y);

const civil = (y: string, m: string | number, d: string): string | null => {
  const date = `${yearOf(y)}-${two(m)}-${two(d)}`;
  return isCivilDate(date) ? date : null;
};

/** A date as a style writes it, a time of day behind it passed over; null where it is none. */
export function dateIn(text: string, style: DateStyle): string | null {
  const [day = ''] = text.trim().split(/[T ](?=\d{1,2}:\d{2})/, 1);
  const parts = day.trim().split(/[-./\s]+/);
  const [a = '', b = '', c = ''] = parts;
  if (parts.length !== 3) return null;
  if (style === 'named') return namedDate(day);
  if (!parts.every((p) => /^\d{1,4}$/.test(p))) return null;
  if (style === 'ymd') return a.length === 4 ? civil(a, b, c) : null;
  if (c.length !== 4 && c.length !== 2) return null;
  return style === 'dmy' ? civil(c, b, a) : civil(c, a, b);
}

/** `31 May 2026`, `May 31, 2026`. */
function namedDate(day: string): string | null {
  const words = day
    .toLowerCase()
    .replaceAll(',', ' ')
    .trim()
    .split(/[\s-]+/);
  const month = words.findIndex((w) => MONTHS.includes(w.slice(0, 3)));
  const numbers = words.filter((_, i) => i !== month);
  const [d = '', y = ''] = numbers;
  if (month < 0 || numbers.length !== 2 || !/^\d{1,2}$/.test(d) || !/^\d{4}$/.test(y)) return null;
  return civil(y, MONTHS.indexOf((words[month] ?? '').slice(0, 3)) + 1, d);
}

/**
 * Styles that read every date of a column as one that is not ahead; where none does, those that read the most.
 * More than one = the column does not tell them apart.
 */
export function datesOf(cells: readonly string[], today: string): readonly DateStyle[] {
  const filled = cells.filter((c) => c.trim() !== '');
  if (filled.length === 0) return [];
  const read = (style: DateStyle): number =>
    filled.filter((c) => {
      const date = dateIn(c, style);
      return date !== null && date <= today;
    }).length;
  const counts = DATE_STYLES.map((style) => ({ style, n: read(style) }));
  const best = Math.max(...counts.map((c) => c.n));
  return best === 0 ? [] : counts.filter((c) => c.n === best).map((c) => c.style);
}

/** A number with a point or a comma before its last digits; thousands may be parted by the other one, or by a space. */
export function numberIn(text: string): number | null {
  const bare = text.replace(/[^\d.,-]/g, '');
  const cut = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  const behind = cut < 0 ? '' : bare.slice(cut + 1);
  // three digits behind the only sign, as in 1,200: thousands
  const isThousands = behind.length === 3 && bare.replace(/[^.,]/g, '').length === 1;
  const whole = (cut < 0 || isThousands ? bare : bare.slice(0, cut)).replace(/[.,]/g, '');
  const value = Number(cut < 0 || isThousands ? whole : `${whole}.${behind}`);
  return whole === '' || !Number.isFinite(value) ? null : value;
}

/** Minutes of `75`, `75 min`, `1:15`, `1h 15`, `1.25 h`; null where it is none. */
export function minutesIn(text: string, unit: TimeUnit): number | null {
  const t = text.trim().toLowerCase();
  const clock = /^(\d{1,2}):(\d{2})$/.exec(t) ?? /^(\d{1,2})\s?h[a-z]*\s?(\d{1,2})(?:\s?m[a-z]*)?$/.exec(t);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const value = numberIn(t);
  if (value === null) return null;
  const isHours = /\d\s?h/.test(t) || (unit === 'h' && !/\d\s?m/.test(t));
  return Math.round(value * (isHours ? 60 : 1));
}

const MM: Readonly<Record<LengthUnit, number>> = { mm: 1, cm: 10, in: 25.4 };
const UNIT_SIGNS: readonly (readonly [RegExp, LengthUnit])[] = [
  [/mm/, 'mm'],
  [/cm/, 'cm'],
  [/in|["”]/, 'in'],
];
/** Millimetres of `6`, `6 mm`, `0.6 cm`, `1/4"`; the unit is that of the column where the cell names none. */
export function millimetresIn(text: string, unit: LengthUnit): number | null {
  const t = text.trim().toLowerCase();
  const own = UNIT_SIGNS.find(([sign]) => sign.test(t))?.[1] ?? unit;
  const part = /^(\d{1,2})\/(\d{1,2})/.exec(t);
  const value = part ? Number(part[1]) / Number(part[2]) : numberIn(t);
  return value === null || !Number.isFinite(value) ? null : Math.round(value * MM[own] * 10) / 10;
}

const middleOf = (cells: readonly string[]): number => {
  const numbers = cells.flatMap((c) => numberIn(c) ?? []).sort((a, b) => a - b);
  return numbers[Math.floor(numbers.length / 2)] ?? 0;
};

/** By the heading, else by what a length of hair can be: fractions are no millimetres. */
export function lengthUnitOf(heading: string, cells: readonly string[]): LengthUnit {
  const named = LENGTH_UNITS.find((u) => new RegExp(`\\b${u}\\b`, 'i').test(heading));
  if (named) return named;
  const middle = middleOf(cells);
  return middle > 0 && middle < 2 ? 'cm' : 'mm';
}

/** By the heading, else by what a visit can take: nobody takes four minutes on the whole. */
export function timeUnitOf(heading: string, cells: readonly string[]): TimeUnit {
  if (/\bmin/i.test(heading)) return 'min';
  if (/\bh(?:ou)?rs?\b|\(h\)/i.test(heading)) return 'h';
  const middle = middleOf(cells.filter((c) => !/[:a-z]/i.test(c)));
  return middle > 0 && middle < 4 ? 'h' : 'min';
}
