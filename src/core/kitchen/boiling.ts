// Where syrup boils: by its share of sugar, and by the pressure of the air. The share follows the usual confectionery
// table; the pressure shifts it by the water's own boiling point.

/** Critical point of water, K and Pa (Wagner & Pruss 1993). */
const CRITICAL_K = 647.096;
const CRITICAL_PA = 22.064e6;
const TERMS = [
  [-7.85951783, 1],
  [1.84408259, 1.5],
  [-11.7866497, 3],
  [22.6807411, 3.5],
  [-15.9618719, 4],
  [1.80122502, 7.5],
] as const;

/** Pressure of saturated steam, Pa (IAPWS, Wagner & Pruss 1993). @param tempC 0–374 °C */
export function steamPa(tempC: number): number {
  const kelvin = tempC + 273.15;
  const tau = 1 - kelvin / CRITICAL_K;
  return CRITICAL_PA * Math.exp((CRITICAL_K / kelvin) * TERMS.reduce((sum, [a, n]) => sum + a * tau ** n, 0));
}

/** Pressure of the air at a height, Pa (ISO 2533 standard atmosphere). */
export const airPa = (heightM: number): number => 101_325 * (1 - 2.25577e-5 * heightM) ** 5.25588;

function bisect(low: number, high: number, isBelow: (x: number) => boolean): number {
  let [a, b] = [low, high];
  for (let k = 0; k < 60; k++) {
    const mid = (a + b) / 2;
    if (isBelow(mid)) a = mid;
    else b = mid;
  }
  return (a + b) / 2;
}

/** Where water boils at a height above the sea, °C. */
export const waterBoilsC = (heightM: number): number => {
  const pa = airPa(heightM);
  return bisect(50, 110, (c) => steamPa(c) < pa);
};

/**
 * Sugar by weight in syrup that boils at a temperature, at the sea: [°C, share]. Usual confectionery table; figures
 * from memory, between 80 and 99 per cent those of its stages.
 */
const TABLE = [
  [100, 0],
  [100.3, 0.2],
  [101.1, 0.4],
  [101.9, 0.5],
  [103.1, 0.6],
  [105.3, 0.7],
  [107.4, 0.75],
  [110.4, 0.8],
  [114.5, 0.85],
  [118.2, 0.87],
  [122.6, 0.9],
  [127, 0.92],
  [138, 0.95],
  [154, 0.99],
] as const;

function between(x: number, from: 0 | 1, to: 0 | 1): number {
  const above = TABLE.findIndex((row) => row[from] >= x);
  if (above === 0) return TABLE[0][to];
  const [low, high] = [TABLE[above - 1], TABLE[above]];
  const last = TABLE[TABLE.length - 1];
  if (!low || !high) return last?.[to] ?? NaN;
  return low[to] + ((high[to] - low[to]) * (x - low[from])) / (high[from] - low[from]);
}

/** Share of dissolved sugar, 0–0.99, of syrup that boils at a temperature where water boils at `waterC`. */
export const sugarShareAt = (boilsC: number, waterC = 100): number => between(boilsC - (waterC - 100), 0, 1);

/** Where syrup of a share boils, °C, where water boils at `waterC`. */
export const syrupBoilsC = (share: number, waterC = 100): number => between(share, 1, 0) + (waterC - 100);

export interface Stage {
  readonly id: 'thread' | 'soft-ball' | 'firm-ball' | 'hard-ball';
  readonly name: string;
  /** At the sea, °C. */
  readonly fromC: number;
  readonly toC: number;
}

/** Sugar stages at the sea (standard confectionery tables). */
export const STAGES: readonly Stage[] = [
  { id: 'thread', name: 'thread', fromC: 106, toC: 112 },
  { id: 'soft-ball', name: 'soft ball', fromC: 112, toC: 116 },
  { id: 'firm-ball', name: 'firm ball', fromC: 118, toC: 121 },
  { id: 'hard-ball', name: 'hard ball', fromC: 121, toC: 130 },
];
