// Expected removal, breakage and load on the skin. Shapes and numbers from memory: plausible, monotonic, to be
// corrected by what is read from the strips. Shorter hair is never removed more; a more sensitive skin never bears
// more.

import type { Zone } from '../anatomy';
import type { Hair } from '../hair';
import { lengthStrata } from '../hair';
import type { Product, Way } from '../products';
import { clamp } from '../shared';

export interface RemovalInput {
  readonly product: Product;
  readonly way: Way;
  readonly coats: number;
  readonly hair: Hair;
  /** Shortest hair that this product and way hold here, mm. */
  readonly shortestMm: number;
  readonly meanAngleErrorDeg: number;
}

/** Loss of hold for every step of coarseness above 3. */
const COARSE_LOSS: Readonly<Record<string, number>> = {
  'film-1': 0.05,
  'film-2': 0.005,
  cream: 0,
  soft: 0.05,
  sugar: 0.05,
};

/** Share broken of usual hair, by family, and what the way of the lay adds. */
const BROKEN_BASE = { soft: 0.035, sugar: 0.015, hard: 0.022 } as const;
const BROKEN_BY_LAY: Readonly<Partial<Record<Way, number>>> = {
  against: 0.02,
  counter: 0.02,
  across: 0.015,
  strip: 0.01,
};

function coarseLoss(product: Product, coats: number): number {
  const body = product.family === 'hard' ? 'cream' : product.family;
  const key = product.body === 'film' ? `film-${coats}` : body;
  return COARSE_LOSS[key] ?? 0;
}

/** Loss of hold on hair that lies flat, where the lay does not wrap it from both sides. */
const FLAT_LOSS = 0.06;

/** Share of well-held hair that comes out at one pull, 0–1. */
function holdAtPull({ product, way, coats, hair, meanAngleErrorDeg }: RemovalInput): number {
  const base = 0.8 + 0.2 * product.grip;
  const coarse = coarseLoss(product, coats) * Math.max(0, hair.coarseness - 3);
  const crossing = 0.1 * (meanAngleErrorDeg / 45);
  const curl = way === 'crossed' ? 0 : 0.006 * (hair.curl - 1);
  const flat = hair.flags?.includes('flat') && way !== 'crossed' && product.family !== 'sugar' ? FLAT_LOSS : 0;
  return clamp(base - coarse - crossing - curl - flat, 0.1, 0.995);
}

/**
 * What a pull of soft wax left is mostly cleared with a clean cloth, which finishes the same pass: this share of it
 * stays (from memory).
 */
const CLOTH_LEAVES = 0.4;

/** Share of today's hair gone after `passes` passes, 0–1: logistic in length over the shortest workable length. */
export function removedShare(input: RemovalInput, passes: number): number {
  const p = holdAtPull(input);
  const width = 0.09 * input.shortestMm + 0.1;
  const lengths = lengthStrata(input.hair);
  const gone = lengths.map((mm) => 1 - (1 - p / (1 + Math.exp(-(mm - 0.75 * input.shortestMm) / width))) ** passes);
  const whole = gone.reduce((a, b) => a + b, 0) / gone.length;
  return input.product.family === 'soft' ? 1 - CLOTH_LEAVES * (1 - whole) : whole;
}

export interface BreakageInput {
  readonly product: Product;
  readonly way: Way;
  readonly hair: Hair;
  readonly skin: 'dry' | 'normal' | 'oily';
  /** Target temperature less the window's lower end, K; cool wax breaks hair. */
  readonly aboveCoolK: number;
}

/**
 * Share of hair broken instead of drawn. Pulling with the growth (moulded sugar) breaks least; fine and dry hair most.
 */
export function brokenShare({ product, way, hair, skin, aboveCoolK }: BreakageInput): number {
  const base = BROKEN_BASE[product.family];
  const lay = BROKEN_BY_LAY[way] ?? 0;
  const fine = 0.008 * Math.max(0, 3 - hair.coarseness);
  const dry = skin === 'dry' ? 0.012 : 0;
  const cool = aboveCoolK < 1 && product.family !== 'sugar' ? 0.01 : 0;
  const mixed = hair.history === 'shaved' ? 0.015 : 0;
  return base + lay + fine + dry + cool + mixed + 0.004 * (hair.curl - 1);
}

/** A later pass covers only what is left: half a pass of load. */
const LATER_PASS_LOAD = 0.5;

/** Load on the skin, 0–1: adhesion × passes × zone × sensitivity. */
export function skinLoad(adhesion: number, passes: number, zone: Zone, sensitivity: number): number {
  const times = 1 + LATER_PASS_LOAD * (passes - 1);
  return 1 - Math.exp(-0.65 * adhesion * times * zone.pullWeight * (0.5 + 0.25 * (sensitivity - 1)));
}
