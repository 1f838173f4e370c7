// Lengths and weights in the units that the studio reads. Inside all of it is mm, cm, g and kg; only what is read and
// typed is not. Inches are fractions as on a rule, so that a hair of 6.5 mm is "1/4 in"; ounces are decimal as on a
// scale.

export type LengthUnit = 'mm' | 'in';
export type WeightUnit = 'g' | 'oz';
/** What a figure is kept in. */
export type Size = 'mm' | 'cm' | 'g' | 'kg';

interface Units {
  readonly length: LengthUnit;
  readonly weight: WeightUnit;
}
const METRIC: Units = { length: 'mm', weight: 'g' };
const holder = globalThis as typeof globalThis & { strickleSizeUnits?: Units };

/** For the server, whose pages and papers are made in one process: told at its start and with every page. */
export const tellSizeUnits = (units: Units): void => {
  holder.strickleSizeUnits = units;
};

/** In a browser the page itself says it, so that it reads as the server wrote it. */
function units(): Units {
  if (typeof document === 'undefined') return holder.strickleSizeUnits ?? METRIC;
  const { long, weight } = document.documentElement.dataset;
  return { length: long === 'in' ? 'in' : 'mm', weight: weight === 'oz' ? 'oz' : 'g' };
}

/** Exact by definition (international agreement of 1959): inch and avoirdupois pound. */
const MM_PER_INCH = 25.4;
const G_PER_OUNCE = 28.349523125;
const G_PER_POUND = 453.59237;

const isInch = (of: Size): boolean => (of === 'mm' || of === 'cm') && units().length === 'in';
const isOunce = (of: Size): boolean => (of === 'g' || of === 'kg') && units().weight === 'oz';

/** What one of a unit is in what it is kept in. */
function oneOf(of: Size): number {
  if (isInch(of)) return of === 'mm' ? MM_PER_INCH : MM_PER_INCH / 10;
  if (isOunce(of)) return of === 'g' ? G_PER_OUNCE : G_PER_POUND / 1000;
  return 1;
}
export function sizeSign(of: Size): string {
  if (isInch(of)) return 'in';
  if (isOunce(of)) return of === 'g' ? 'oz' : 'lb';
  return of;
}
/** The figure as it is read and typed, decimal. Example: 25.4 mm is 1 in. */
export const readSize = (value: number, of: Size): number => value / oneOf(of);
/** What was typed, in what it is kept in. */
export const sizeTyped = (value: number, of: Size): number => value * oneOf(of);

/** Parts of an inch that a rule shows at this length: the thinner, the finer. */
function partsAt(inches: number): number {
  if (inches < 1 / 8) return 64;
  if (inches < 0.5) return 32;
  if (inches < 2) return 16;
  return inches < 12 ? 8 : 2;
}

/** Example: 0.25 → `1/4`, 4.37 → `4 3/8`; what is thinner than any part is `under 1/64`. */
function inchWords(inches: number): string {
  const parts = partsAt(inches);
  let [n, d] = [Math.round(inches * parts), parts];
  if (n === 0) return inches > 0 ? 'under 1/64' : '0';
  while (n % 2 === 0 && d > 1) [n, d] = [n / 2, d / 2];
  const whole = Math.floor(n / d);
  if (d === 1) return String(whole);
  return whole === 0 ? `${n}/${d}` : `${whole} ${n - whole * d}/${d}`;
}

const decimal = (value: number, digits: number): string => String(Number(value.toFixed(digits)));
const OUNCE_DIGITS = 1;
/** Under this many ounces a second digit counts. */
const FEW_OUNCES = 1;

/** `6`, where its unit stands elsewhere. @param digits where it is metric; absent = as it is */
export function sizeNumber(value: number, of: Size, digits?: number): string {
  const read = readSize(value, of);
  if (isInch(of)) return inchWords(read);
  if (isOunce(of)) return decimal(read, of === 'g' && read < FEW_OUNCES ? OUNCE_DIGITS + 1 : OUNCE_DIGITS);
  return digits === undefined ? String(value) : decimal(value, digits);
}
/** `6 mm` */
export const sized = (value: number, of: Size, digits?: number): string =>
  `${sizeNumber(value, of, digits)} ${sizeSign(of)}`;
/** `5–9 mm`, `60 × 20 mm` */
export const sizedPair = (a: number, between: string, b: number, of: Size, digits?: number): string =>
  `${sizeNumber(a, of, digits)}${between}${sized(b, of, digits)}`;
/** `120 cm²` */
export function squareCm(cm2: number, digits = 0): string {
  if (!isInch('cm')) return `${decimal(cm2, digits)} cm²`;
  return `${decimal(cm2 / (MM_PER_INCH / 10) ** 2, digits + 1)} in²`;
}

/** How many stand on a square of the studio's lengths: hairs per cm², or per in². */
export function perSquare(perCm2: number): string {
  const each = perCm2 * sizeTyped(1, 'cm') ** 2;
  return decimal(each, each < 30 ? 1 : 0);
}

const NUMBER = String.raw`\d+(?:,\d{3})*(?:\.\d+)?`;
const SQUARE = new RegExp(String.raw`(${NUMBER}) cm²`, 'g');
const PAIR = new RegExp(String.raw`(${NUMBER})( to |–| × | by )(${NUMBER}) (mm|cm|kg|g)\b`, 'g');
const ONE = new RegExp(String.raw`(${NUMBER}) (mm|cm|kg|g)\b(?!²)`, 'g');

/** Lengths and weights in a sentence of the core, as the studio reads them: `6 mm`, `5 to 9 mm`, `about 40 g`. */
export function withSizes(text: string): string {
  const { length, weight } = units();
  if (length === 'mm' && weight === 'g') return text;
  const value = (n: string): number => Number(n.replaceAll(',', ''));
  const isRead = (of: string): of is Size => oneOf(of as Size) !== 1; // one of the four, by the pattern
  return text
    .replace(SQUARE, (all, n: string) => (length === 'in' ? squareCm(value(n)) : all))
    .replace(PAIR, (all, a: string, between: string, b: string, of: string) =>
      isRead(of) ? sizedPair(value(a), between, value(b), of) : all,
    )
    .replace(ONE, (all, n: string, of: string) => (isRead(of) ? sized(value(n), of) : all));
}
