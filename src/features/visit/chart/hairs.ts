// Hairs as real strokes on a canvas: roots planted once by a seeded jitter, each drawn along the field in its length,
// thickness and curl. Sheet centimetres in, pixels out.

import { isInside, logNormalStrata, seededRandom, type Ring, type Vec } from '@/core/shared';
import { hairsPerCm2, type Zone } from '@/core/anatomy';
import { crossingAt, densityAt, growthAt, type DensityPlace, type Exclusion, type GrowthField } from '@/core/field';
import { lengthSpreadCv, type Hair } from '@/core/hair';

export interface Root {
  readonly at: Vec;
  /** Stratum of its length, 0 ≤ length < 1. */
  readonly length: number;
  readonly turnDeg: number;
  readonly bend: number;
  /** Among hairs that cross it is one of these where it is below their share, 0 ≤ pick < 1. */
  readonly pick: number;
}

/** Which way the hair of a root stands: with the rest, or among those that cross. */
export function wayOf(root: Root, field: GrowthField): Vec {
  const second = field.crossing ? crossingAt(field, root.at) : null;
  return second && root.pick < second.share ? second.towards : growthAt(field, root.at);
}

/** Most hairs drawn; a denser zone is thinned evenly so that combing stays smooth. */
const MOST = 2600;
const SEED = 71;

/** The ground that hair stands on. */
export interface HairGround {
  readonly outline: Ring;
  readonly excluded: readonly Exclusion[];
  readonly areaCm2: number;
  /** Share of the zone's hair that stands at a place; absent = all of it everywhere. */
  readonly share?: ((at: Vec) => number) | undefined;
}

/** Places at which a hair may stand, and which share of them does where hair is that dense. */
interface Planting {
  readonly roots: readonly (Root & { readonly stays: number })[];
  /** Of the number at which a root stands: none below the one, all above the other, hairs per cm². */
  readonly noneAt: number;
  readonly allAt: number;
}

/** Evenly jittered places, so many per cm². */
function plantEven({ outline, excluded, share }: HairGround, perCm2: number, seed: number): Planting['roots'] {
  const random = seededRandom(seed);
  const step = 1 / Math.sqrt(Math.max(0.05, perCm2));
  const xs = outline.map((p) => p[0]);
  const ys = outline.map((p) => p[1]);
  const roots: (Root & { stays: number })[] = [];
  for (let y = Math.min(...ys); y < Math.max(...ys); y += step) {
    for (let x = Math.min(...xs); x < Math.max(...xs); x += step) {
      const at: Vec = [x + random.between(0.05, 0.95) * step, y + random.between(0.05, 0.95) * step];
      const root = {
        at,
        length: random.next(),
        turnDeg: 7 * random.normal(),
        bend: random.between(-1, 1),
        pick: random.next(),
        stays: random.next(),
      };
      if (
        isInside([outline], at) &&
        (!share || random.next() < share(at)) &&
        !excluded.some((e) => Math.hypot(at[0] - e.at[0], at[1] - e.at[1]) < e.clearanceMm / 10)
      ) {
        roots.push(root);
      }
    }
  }
  return roots;
}

/**
 * Hair on its ground, planted once; gives the roots that stand where some places are thinner or thicker. There some of
 * the usual roots are left out, or others stand between them: painting a place moves no hair beside it and costs no
 * planting anew. `usual` is the zone's density, 1–5; `most` caps the hairs drawn, a denser zone is thinned evenly.
 */
export function plantHair(
  ground: HairGround,
  zone: Pick<Zone, 'hairsPerCm2'>,
  usual: number,
  most = MOST,
): (places: readonly DensityPlace[]) => readonly Root[] {
  const here = hairsPerCm2(zone.hairsPerCm2, usual);
  const cap = most / Math.max(1, ground.areaCm2);
  const drawn = Math.min(1, cap / here);
  const even: Planting = { roots: plantEven(ground, here * drawn, SEED), noneAt: 0, allAt: here };
  let more: Planting | null = null;
  const standing = ({ roots, noneAt, allAt }: Planting, places: readonly DensityPlace[]): readonly Root[] =>
    roots.filter(
      ({ at, stays }) =>
        stays < (hairsPerCm2(zone.hairsPerCm2, densityAt(places, usual, at)) - noneAt) / (allAt - noneAt),
    );
  return (places) => {
    if (places.length === 0) return even.roots;
    if (!places.some((p) => p.density > usual)) return standing(even, places);
    const densest = hairsPerCm2(zone.hairsPerCm2, 5);
    more ??= {
      roots: plantEven(ground, Math.min((densest - here) * drawn, cap), SEED + 1),
      noneAt: here,
      allAt: densest,
    };
    return [...standing(even, places), ...standing(more, places)];
  };
}

const LENGTHS = 12;
/** Under this length nobody sees a slight bow, and a line is drawn in half the time. */
const BOW_FROM_PX = 14;
/** A hair is thicker from its root up to here, shares of its length and of its width. */
const ROOT_SHARE = 0.45;
const TIP_WIDTH = 0.62;
/** Now and then two stand together: share of roots, and how far apart, cm. */
const TWINS = 0.07;
const TWIN_CM = 0.035;

type HairKind = Pick<Hair, 'lengthMm' | 'shortestMm' | 'longestMm' | 'coarseness' | 'curl' | 'history'>;

/** Where one hair begins, which way it goes and how long it is, cm. */
interface Shaft {
  readonly at: Vec;
  readonly way: Vec;
  readonly length: number;
  readonly bend: number;
}

function shaftsOf(roots: readonly Root[], field: GrowthField, hair: HairKind): readonly Shaft[] {
  const lengths = logNormalStrata(hair.lengthMm, lengthSpreadCv(hair), LENGTHS);
  return roots.flatMap((root) => {
    const [gx, gy] = wayOf(root, field);
    const turned = (deg: number): Vec => {
      const r = (deg * Math.PI) / 180;
      return [gx * Math.cos(r) - gy * Math.sin(r), gx * Math.sin(r) + gy * Math.cos(r)];
    };
    const length = (lengths[Math.floor(root.length * LENGTHS)] ?? hair.lengthMm) / 10;
    const one: Shaft = { at: root.at, way: turned(root.turnDeg), length, bend: root.bend };
    if (root.pick < 1 - TWINS) return [one];
    const at: Vec = [root.at[0] - gy * TWIN_CM, root.at[1] + gx * TWIN_CM];
    return [one, { at, way: turned(root.turnDeg + 9 * root.bend), length: 0.8 * length, bend: -root.bend }];
  });
}

type Pen = Pick<CanvasRenderingContext2D, 'moveTo' | 'lineTo' | 'quadraticCurveTo'>;

/** Traces a shaft up to a share of its length. */
function trace(ctx: Pen, s: Shaft, curl: number, px: number, share: number, bowed = false): void {
  const [x, y] = s.at;
  const [dx, dy] = s.way;
  ctx.moveTo(x * px, y * px);
  if (!bowed && curl < 3 && s.length * px < BOW_FROM_PX) {
    ctx.lineTo((x + dx * s.length * share) * px, (y + dy * s.length * share) * px);
    return;
  }
  // a straight hair in one slight bow, a curly one in waves that grow with the curl
  const bows = curl < 3 ? 1 : Math.round(curl);
  const bend =
    (curl < 3 ? s.bend : Math.sign(s.bend)) *
    (s.length / bows) *
    (curl < 3 ? 0.05 + 0.09 * (curl - 1) : 0.2 * (curl - 1.4));
  const whole = share === 1 ? bows : Math.max(1, Math.round(bows * share));
  // the first part of a single bow: the same curve cut at its share
  const cut = share === 1 || bows > 1 ? 1 : share;
  for (let k = 0; k < whole; k++) {
    const [mid, end] = [(s.length * (k + 0.5 * cut)) / bows, (s.length * (k + cut)) / bows];
    const side = (k % 2 === 0 ? bend : -bend) * cut;
    const off = 2 * cut * (1 - cut) * (k % 2 === 0 ? bend : -bend);
    ctx.quadraticCurveTo(
      (x + dx * mid - dy * side) * px,
      (y + dy * mid + dx * side) * px,
      (x + dx * end - dy * off) * px,
      (y + dy * end + dx * off) * px,
    );
  }
}

/**
 * Draws every root's hair, tapered: the whole in the width of its tip, then the part by the root over it. `pxPerCm`
 * scales, the context is already moved to the sheet's origin.
 */
export function drawHairs(
  ctx: CanvasRenderingContext2D,
  roots: readonly Root[],
  field: GrowthField,
  hair: HairKind,
  pxPerCm: number,
  colour: string,
): void {
  const shafts = shaftsOf(roots, field, hair);
  const width = Math.max(0.9, (0.4 + 0.19 * hair.coarseness) * Math.min(2.2, pxPerCm / 22));
  ctx.strokeStyle = colour;
  for (const [share, wide] of [
    [1, TIP_WIDTH * width],
    [ROOT_SHARE, width],
  ] as const) {
    ctx.lineWidth = wide;
    ctx.beginPath();
    for (const s of shafts) trace(ctx, s, hair.curl, pxPerCm, share);
    ctx.stroke();
  }
}

/** The same as SVG paths in sheet centimetres: the whole of each hair, and the part by its root. */
export function hairPaths(
  roots: readonly Root[],
  field: GrowthField,
  hair: HairKind,
): { readonly whole: string; readonly root: string } {
  const shafts = shaftsOf(roots, field, hair);
  const drawn = (share: number): string => {
    const path: string[] = [];
    const put =
      (letter: string) =>
      (...at: readonly number[]): void => {
        path.push(letter, at.map((x) => x.toFixed(2)).join(' '));
      };
    const pen: Pen = { moveTo: put('M'), lineTo: put('L'), quadraticCurveTo: put('Q') };
    // bows are always drawn: a path has no pixels
    for (const s of shafts) trace(pen, s, hair.curl, 1, share, true);
    return path.join('');
  };
  return { whole: drawn(1), root: drawn(ROOT_SHARE) };
}

/** The same in one stroke each, for as long as the hand combs: a frame must be done in time. */
export function drawHairsQuickly(
  ctx: CanvasRenderingContext2D,
  roots: readonly Root[],
  field: GrowthField,
  hair: HairKind,
  pxPerCm: number,
  colour: string,
): void {
  const lengths = logNormalStrata(hair.lengthMm, lengthSpreadCv(hair), LENGTHS);
  ctx.strokeStyle = colour;
  ctx.lineWidth = Math.max(0.7, (0.35 + 0.16 * hair.coarseness) * Math.min(2.2, pxPerCm / 22));
  ctx.beginPath();
  for (const root of roots) {
    const [gx, gy] = wayOf(root, field);
    const r = (root.turnDeg * Math.PI) / 180;
    const [dx, dy] = [gx * Math.cos(r) - gy * Math.sin(r), gx * Math.sin(r) + gy * Math.cos(r)];
    const length = (lengths[Math.floor(root.length * LENGTHS)] ?? hair.lengthMm) / 10;
    const [x, y] = root.at;
    ctx.moveTo(x * pxPerCm, y * pxPerCm);
    if (hair.curl < 3 && length * pxPerCm < BOW_FROM_PX) {
      ctx.lineTo((x + dx * length) * pxPerCm, (y + dy * length) * pxPerCm);
      continue;
    }
    // a straight hair in one slight bow, a curly one in waves that grow with the curl
    const bows = hair.curl < 3 ? 1 : Math.round(hair.curl);
    const bend =
      (hair.curl < 3 ? root.bend : Math.sign(root.bend)) *
      (length / bows) *
      (hair.curl < 3 ? 0.05 + 0.09 * (hair.curl - 1) : 0.2 * (hair.curl - 1.4));
    for (let k = 0; k < bows; k++) {
      const [mid, end] = [(length * (k + 0.5)) / bows, (length * (k + 1)) / bows];
      const side = k % 2 === 0 ? bend : -bend;
      ctx.quadraticCurveTo(
        (x + dx * mid - dy * side) * pxPerCm,
        (y + dy * mid + dx * side) * pxPerCm,
        (x + dx * end) * pxPerCm,
        (y + dy * end) * pxPerCm,
      );
    }
  }
  ctx.stroke();
}
