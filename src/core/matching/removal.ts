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
  readonly roomC: number;
  /** Learned from this studio's strips: added to the log odds of what one pull leaves; absent = as shipped. */
  readonly holdShift?: number | undefined;
}

/** Loss of hold for every step of coarseness above 3. */
const COARSE_LOSS: Readonly<Record<string, number>> = {
  'film-1': 0.12,
  'film-2': 0.01,
  cream: 0.005,
  soft: 0.08,
  sugar: 0.1,
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

/** Soft wax takes fine hair better than its grip alone says, for every step of coarseness below 3. */
const SOFT_FINE = 0.015;
/** Paste softer or firmer than the room wants, on the scale soft 0, firm 1, hard 2; loss of hold a step. */
const FIRMNESS: Readonly<Partial<Record<Product['body'], number>>> = {
  'soft-paste': 0,
  'firm-paste': 1,
  'hard-paste': 2,
};
const OFF_FIRMNESS = 0.04;
/** Soft paste below about 18 °C, hard above 25. */
const wantedFirmness = (roomC: number): number => clamp((roomC - 15.5) / 7, 0, 2);

/** Share of well-held hair that comes out at one pull, 0–1. */
function holdAtPull({ product, way, coats, hair, meanAngleErrorDeg, roomC }: RemovalInput): number {
  const base = 0.8 + 0.2 * product.grip;
  const coarse = coarseLoss(product, coats) * Math.max(0, hair.coarseness - 3);
  const crossing = 0.1 * (meanAngleErrorDeg / 45);
  const curl = way === 'crossed' ? 0 : 0.006 * (hair.curl - 1);
  const flat = hair.flags?.includes('flat') && way !== 'crossed' && product.family !== 'sugar' ? FLAT_LOSS : 0;
  const fine = product.family === 'soft' ? SOFT_FINE * Math.max(0, 3 - hair.coarseness) : 0;
  const firmness = way === 'moulded' ? FIRMNESS[product.body] : undefined;
  const paste = firmness === undefined ? 0 : OFF_FIRMNESS * Math.abs(firmness - wantedFirmness(roomC));
  return clamp(base - coarse - crossing - curl - flat + fine - paste, 0.1, 0.995);
}

/**
 * What a pull of soft wax left is mostly cleared with a clean cloth, which finishes the same pass: this share of it
 * stays.
 */
export const CLOTH_LEAVES = 0.3;
/** A later pass takes this share of what a first would: the softest of these numbers. */
export const LATER_HOLD = 0.8;

/** What is held at a pull, with what the studio's own strips say of it. */
function learned(held: number, shift = 0): number {
  if (shift === 0) return held;
  return held / (held + (1 - held) * Math.exp(shift));
}

/**
 * Share of hairs of one length that come loose from the skin at a first pull, 0–1: logistic in the length over the
 * shortest workable one.
 */
export function heldAtPull(input: RemovalInput): (lengthMm: number) => number {
  const p = holdAtPull(input);
  const width = 0.09 * input.shortestMm + 0.1;
  return (mm) => learned(p / (1 + Math.exp(-(mm - 0.75 * input.shortestMm) / width)), input.holdShift);
}

/** Share of today's hair left after `passes` passes, 0–1. */
export function leftShare(input: RemovalInput, passes: number): number {
  const heldOf = heldAtPull(input);
  const lengths = lengthStrata(input.hair);
  const left = lengths.map((mm) => {
    const held = heldOf(mm);
    return (1 - held) * (1 - LATER_HOLD * held) ** (passes - 1);
  });
  const whole = left.reduce((a, b) => a + b, 0) / left.length;
  return input.product.family === 'soft' ? CLOTH_LEAVES * whole : whole;
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

/** The second stroke of a crossed lay presses and draws back. */
const CROSSED_LOAD = 1.3;

/** Load on the skin, 0–1: adhesion × ground of all passes × zone × sensitivity. */
export function skinLoad(
  { adhesion, ground, way }: { readonly adhesion: number; readonly ground: number; readonly way: Way },
  zone: Zone,
  sensitivity: number,
): number {
  const times = ground - 1 + (way === 'crossed' ? CROSSED_LOAD : 1);
  return 1 - Math.exp(-0.65 * adhesion * times * zone.pullWeight * (0.5 + 0.25 * (sensitivity - 1)));
}
