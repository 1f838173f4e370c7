// Heat in the unit that the studio reads. Inside all of it is °C; only what is read and typed is not.

export type HeatUnit = 'C' | 'F';

const holder = globalThis as typeof globalThis & { strickleHeatUnit?: HeatUnit };

/** For the server, whose pages and papers are made in one process: told at its start and with every page. */
export const tellHeatUnit = (unit: HeatUnit | undefined): void => {
  holder.strickleHeatUnit = unit ?? 'C';
};

/** In a browser the page itself says it, so that it reads as the server wrote it. */
export function heatUnit(): HeatUnit {
  if (typeof document !== 'undefined') return document.documentElement.dataset['heat'] === 'F' ? 'F' : 'C';
  return holder.strickleHeatUnit ?? 'C';
}

/** A temperature as it is read. Example: 100 °C is 212 °F. */
export const readHeat = (tempC: number): number => (heatUnit() === 'F' ? tempC * 1.8 + 32 : tempC);
/** What was typed, °C. */
export const heatTyped = (value: number): number => (heatUnit() === 'F' ? (value - 32) / 1.8 : value);
/** A difference as it is read. */
export const readKelvin = (k: number): number => (heatUnit() === 'F' ? k * 1.8 : k);
export const heatSign = (): '°C' | '°F' => (heatUnit() === 'F' ? '°F' : '°C');

const rounded = (value: number, digits: number): string => String(Number(value.toFixed(digits)));
/** `56`, where its sign stands elsewhere. */
export const heatNumber = (tempC: number, digits = 0): string => rounded(readHeat(tempC), digits);
/** `56°` */
export const deg = (tempC: number, digits = 0): string => `${heatNumber(tempC, digits)}°`;
/** `56 °C` */
export const degrees = (tempC: number, digits = 0): string => `${heatNumber(tempC, digits)} ${heatSign()}`;
/** A difference: `3°`. */
export const degApart = (k: number, digits = 0): string => `${rounded(readKelvin(k), digits)}°`;
/** `53–59°` */
export const degSpan = (fromC: number, toC: number): string => `${heatNumber(fromC)}–${deg(toC)}`;

/** The whole degrees that lie inside of a span, where the sign stands elsewhere: `54–57`. */
export const heatInside = (minC: number, maxC: number): string =>
  `${Math.ceil(readHeat(minC))}–${Math.floor(readHeat(maxC))}`;

/** Degrees in a sentence of the core, as the studio reads them: `54.5 °C`, `50 to 60 °C`, `50–60 °C`, `3° cooler`. */
export function withHeat(text: string): string {
  if (heatUnit() === 'C') return text;
  const say = (n: string): string => {
    const digits = n.includes('.') ? 1 : 0;
    return rounded(readHeat(Number(n)), digits);
  };
  return text
    .replace(
      /(\d+(?:\.\d+)?)( to |–)(\d+(?:\.\d+)?) °C/g,
      (_, a: string, to: string, b: string) => `${say(a)}${to}${say(b)} °F`,
    )
    .replace(/(\d+(?:\.\d+)?) °C/g, (_, n: string) => `${say(n)} °F`)
    .replace(/(\d+(?:\.\d+)?)° (cooler|warmer)/g, (_, n: string, way: string) => `${degApart(Number(n), 1)} ${way}`);
}
