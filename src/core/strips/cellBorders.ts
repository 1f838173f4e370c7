// From labelled nodes to polygons. Each cell's ring is traced along the node borders; every stretch between two
// junctions is simplified once, in a canonical direction, so that two neighbours share the very same border (error ≤
// 0.75 spacing, or what the caller asks for where it knows the border better than the nodes do).

import simplify from 'simplify-js';
import type { Region, Ring, Vec } from '../shared';

/** Nodes as of a growth field; `origin` is the corner of the first. */
export interface NodeGrid {
  readonly columns: number;
  readonly rows: number;
  readonly spacingCm: number;
  readonly origin?: Vec;
}

type Corner = number; // index on the (columns + 1) × (rows + 1) lattice of node corners

/** What is known of a border beyond the nodes. Both must answer the same whichever side asks. */
export interface KnownBorder {
  /** Moves a point of the border between two labels to where the border runs. */
  readonly move: (at: Vec, one: number, other: number) => Vec;
  /** Moves a corner where more than two labels meet. */
  readonly meet: (at: Vec, around: readonly number[]) => Vec;
  readonly toleranceCm: number;
}

interface Lattice {
  readonly columns: number;
  readonly rows: number;
  readonly labelAt: (i: number, j: number) => number;
  readonly corner: (i: number, j: number) => Corner;
  readonly place: (corner: Corner) => Vec;
}

const OUTSIDE = -2;

function latticeOf(grid: NodeGrid, labels: Int32Array): Lattice {
  const { columns, rows, spacingCm: h, origin: [x0, y0] = [0, 0] } = grid;
  return {
    columns,
    rows,
    labelAt: (i, j) => (i < 0 || j < 0 || i >= columns || j >= rows ? OUTSIDE : (labels[j * columns + i] ?? OUTSIDE)),
    corner: (i, j) => j * (columns + 1) + i,
    place: (corner) => [x0 + (corner % (columns + 1)) * h, y0 + Math.floor(corner / (columns + 1)) * h],
  };
}

type Borders = Map<Corner, Corner[]>;

/** Directed unit borders of every cell, the cell on the right hand (clockwise on the sheet). */
function directedBorders(lattice: Lattice): ReadonlyMap<number, Borders> {
  const all = new Map<number, Borders>();
  const { corner, labelAt } = lattice;
  const put = (label: number, a: Corner, b: Corner): void => {
    const from = all.get(label) ?? new Map<Corner, Corner[]>();
    all.set(label, from);
    const ends = from.get(a);
    if (ends) ends.push(b);
    else from.set(a, [b]);
  };
  for (let j = 0; j < lattice.rows; j++) {
    for (let i = 0; i < lattice.columns; i++) {
      const label = labelAt(i, j);
      if (labelAt(i, j - 1) !== label) put(label, corner(i, j), corner(i + 1, j));
      if (labelAt(i + 1, j) !== label) put(label, corner(i + 1, j), corner(i + 1, j + 1));
      if (labelAt(i, j + 1) !== label) put(label, corner(i + 1, j + 1), corner(i, j + 1));
      if (labelAt(i - 1, j) !== label) put(label, corner(i, j + 1), corner(i, j));
    }
  }
  return all;
}

/** Rings of corners of one cell; at a corner met twice the sharpest right turn keeps rings simple. */
function traceRings(lattice: Lattice, from: Borders): readonly (readonly Corner[])[] {
  const width = lattice.columns + 1;
  const headings = [1, width, -1, -width];
  const heading = (a: Corner, b: Corner): number => headings.indexOf(b - a);
  const rightmost = (choices: readonly Corner[], here: Corner, came: number): Corner | undefined => {
    const turn = (next: Corner): number => (heading(here, next) - came + 5) % 4; // right turn 2, straight 1, left 0
    return [...choices].sort((a, b) => turn(b) - turn(a))[0];
  };
  const rings: Corner[][] = [];
  for (const [start, ends] of from) {
    while (ends.length > 0) {
      const ring: Corner[] = [start];
      let here = ends.shift() as Corner; // length > 0
      let came = heading(start, here);
      while (here !== start) {
        ring.push(here);
        const choices = from.get(here) ?? [];
        const next = choices.length > 1 ? rightmost(choices, here, came) : choices[0];
        if (next === undefined) break;
        choices.splice(choices.indexOf(next), 1);
        came = heading(here, next);
        here = next;
      }
      rings.push(ring);
    }
  }
  return rings;
}

/** Corners where three or more different labels meet, with the labels round them. */
function junctions(lattice: Lattice): ReadonlyMap<Corner, readonly number[]> {
  const found = new Map<Corner, readonly number[]>();
  for (let j = 0; j <= lattice.rows; j++) {
    for (let i = 0; i <= lattice.columns; i++) {
      const one = lattice.labelAt(i, j);
      if (
        one === lattice.labelAt(i - 1, j - 1) &&
        one === lattice.labelAt(i, j - 1) &&
        one === lattice.labelAt(i - 1, j)
      ) {
        continue;
      }
      const around = [
        lattice.labelAt(i - 1, j - 1),
        lattice.labelAt(i, j - 1),
        lattice.labelAt(i, j),
        lattice.labelAt(i - 1, j),
      ];
      const changes = around.filter((label, k) => label !== around[(k + 1) % 4]).length;
      if (changes > 2) found.set(lattice.corner(i, j), around);
    }
  }
  return found;
}

function simplifyChain(points: readonly Vec[], tolerance: number): readonly Vec[] {
  return simplify(
    points.map(([x, y]) => ({ x, y })),
    tolerance,
    true,
  ).map((p): Vec => [p.x, p.y]);
}

/** Corners on either side that a border's point is the mean of. */
const STEPS_WIDE = 4;

/** Stairs of nodes as the line that they mean: each point the mean of its neighbours, the ends where they are. */
function withoutSteps(chain: readonly Vec[]): readonly Vec[] {
  return chain.map((at, k) => {
    const wide = Math.min(STEPS_WIDE, k, chain.length - 1 - k);
    if (wide === 0) return at;
    const near = chain.slice(k - wide, k + wide + 1);
    return [near.reduce((s, p) => s + p[0], 0) / near.length, near.reduce((s, p) => s + p[1], 0) / near.length];
  });
}

interface Simplifying {
  readonly lattice: Lattice;
  readonly stops: ReadonlyMap<Corner, readonly number[]>;
  readonly toleranceCm: number;
  readonly known: KnownBorder | undefined;
}

/** Label on the other side of a ring's step, which has its own cell on the right hand. */
function beyond({ columns, labelAt }: Lattice, from: Corner, to: Corner): number {
  const width = columns + 1;
  const [i, j] = [from % width, Math.floor(from / width)];
  if (to - from === 1) return labelAt(i, j - 1);
  if (to - from === width) return labelAt(i, j);
  return to - from === -1 ? labelAt(i - 1, j) : labelAt(i - 1, j - 1);
}

function simplifyRing(
  ring: readonly Corner[],
  label: number,
  { lattice, stops, toleranceCm, known }: Simplifying,
): Ring {
  let cuts = ring.flatMap((corner, k) => (stops.has(corner) ? [k] : []));
  if (cuts.length < 2) {
    const low = ring.indexOf(Math.min(...ring));
    const high = ring.indexOf(Math.max(...ring));
    cuts = [...new Set([...cuts, low, high])].sort((a, b) => a - b);
  }
  const placed = (corner: Corner, other: number): Vec => {
    const at = lattice.place(corner);
    const around = stops.get(corner);
    if (!known) return at;
    return around ? known.meet(at, around) : known.move(at, label, other);
  };
  return cuts.flatMap((start, c) => {
    const end = cuts[(c + 1) % cuts.length] ?? start;
    const length = end > start ? end - start : end + ring.length - start;
    // index kept in range
    const chain = Array.from({ length: length + 1 }, (_, k) => ring[(start + k) % ring.length] as Corner);
    const other = beyond(lattice, chain[0] ?? 0, chain[1] ?? 0);
    const reversed = (chain[0] ?? 0) > (chain[chain.length - 1] ?? 0);
    const canonical = reversed ? [...chain].reverse() : chain;
    // where the border is known every second corner is enough: between two the known border hardly bends
    const corners = known ? canonical.filter((_, k) => k % 2 === 0 || k === length) : canonical;
    const places = corners.map((corner) => placed(corner, other));
    const simple = simplifyChain(known || other === OUTSIDE ? places : withoutSteps(places), toleranceCm);
    return (reversed ? [...simple].reverse() : simple).slice(0, -1);
  });
}

/** One region per label in use, covering the grid's box without gap or overlap. */
export function labelRegions(grid: NodeGrid, labels: Int32Array, known?: KnownBorder): ReadonlyMap<number, Region> {
  const lattice = latticeOf(grid, labels);
  const borders = directedBorders(lattice);
  const [only] = borders.keys();
  const { columns, rows, spacingCm: h, origin: [x0, y0] = [0, 0] } = grid;
  if (borders.size === 1 && only !== undefined) {
    return new Map([
      [
        only,
        [
          [
            [x0, y0],
            [x0 + columns * h, y0],
            [x0 + columns * h, y0 + rows * h],
            [x0, y0 + rows * h],
          ],
        ],
      ],
    ]);
  }
  const how: Simplifying = { lattice, stops: junctions(lattice), toleranceCm: known?.toleranceCm ?? 0.75 * h, known };
  return new Map(
    [...borders]
      .sort(([a], [b]) => a - b)
      .map(([label, from]) => [label, traceRings(lattice, from).map((ring) => simplifyRing(ring, label, how))]),
  );
}
