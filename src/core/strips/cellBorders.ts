// From labelled nodes to polygons. Each cell's ring is traced along the node borders; every stretch between two junctions is
// simplified once, in a canonical direction, so that two neighbours share the very same border (error ≤ 0.75 spacing).

import simplify from 'simplify-js';
import type { Region, Ring, Vec } from '../shared';
import type { GrowthField } from '../field';
import type { CellLabels } from './cells';

type Corner = number; // index on the (columns + 1) × (rows + 1) lattice of node corners

interface Lattice {
  readonly columns: number;
  readonly rows: number;
  readonly labelAt: (i: number, j: number) => number;
  readonly corner: (i: number, j: number) => Corner;
  readonly place: (corner: Corner) => Vec;
}

const OUTSIDE = -2;

function latticeOf(field: GrowthField, labels: Int32Array): Lattice {
  const { columns, rows, spacingCm: h } = field;
  return {
    columns, rows,
    labelAt: (i, j) => (i < 0 || j < 0 || i >= columns || j >= rows ? OUTSIDE : (labels[j * columns + i] ?? OUTSIDE)),
    corner: (i, j) => j * (columns + 1) + i,
    place: (corner) => [(corner % (columns + 1)) * h, Math.floor(corner / (columns + 1)) * h],
  };
}

/** Directed unit borders of one cell, the cell on the right hand (clockwise on the sheet). */
function directedBorders(lattice: Lattice, label: number): Map<Corner, Corner[]> {
  const from = new Map<Corner, Corner[]>();
  const push = (a: Corner, b: Corner): void => { from.set(a, [...(from.get(a) ?? []), b]); };
  const { corner, labelAt } = lattice;
  for (let j = 0; j < lattice.rows; j++) {
    for (let i = 0; i < lattice.columns; i++) {
      if (labelAt(i, j) !== label) continue;
      if (labelAt(i, j - 1) !== label) push(corner(i, j), corner(i + 1, j));
      if (labelAt(i + 1, j) !== label) push(corner(i + 1, j), corner(i + 1, j + 1));
      if (labelAt(i, j + 1) !== label) push(corner(i + 1, j + 1), corner(i, j + 1));
      if (labelAt(i - 1, j) !== label) push(corner(i, j + 1), corner(i, j));
    }
  }
  return from;
}

/** Rings of corners of one cell; at a corner met twice the sharpest right turn keeps rings simple. */
function traceRings(lattice: Lattice, label: number): readonly (readonly Corner[])[] {
  const from = directedBorders(lattice, label);
  const width = lattice.columns + 1;
  const heading = (a: Corner, b: Corner): number => (b - a === 1 ? 0 : b - a === width ? 1 : b - a === -1 ? 2 : 3);
  const rings: Corner[][] = [];
  for (const [start, ends] of from) {
    while (ends.length > 0) {
      const ring: Corner[] = [start];
      let here = ends.shift() as Corner; // length > 0
      let came = heading(start, here);
      while (here !== start) {
        ring.push(here);
        const choices = from.get(here) ?? [];
        const turn = (next: Corner): number => (heading(here, next) - came + 5) % 4; // right turn 2, straight 1, left 0
        const next = [...choices].sort((a, b) => turn(b) - turn(a))[0];
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

/** Corners where three or more different labels meet. */
function junctions(lattice: Lattice): ReadonlySet<Corner> {
  const found = new Set<Corner>();
  for (let j = 0; j <= lattice.rows; j++) {
    for (let i = 0; i <= lattice.columns; i++) {
      const around = [lattice.labelAt(i - 1, j - 1), lattice.labelAt(i, j - 1), lattice.labelAt(i, j), lattice.labelAt(i - 1, j)];
      const changes = around.filter((label, k) => label !== around[(k + 1) % 4]).length;
      if (changes > 2) found.add(lattice.corner(i, j));
    }
  }
  return found;
}

function simplifyChain(points: readonly Vec[], tolerance: number): readonly Vec[] {
  return simplify(points.map(([x, y]) => ({ x, y })), tolerance, true).map((p): Vec => [p.x, p.y]);
}

function simplifyRing(ring: readonly Corner[], stops: ReadonlySet<Corner>, lattice: Lattice, tolerance: number): Ring {
  let cuts = ring.flatMap((corner, k) => (stops.has(corner) ? [k] : []));
  if (cuts.length < 2) {
    const low = ring.indexOf(Math.min(...ring));
    const high = ring.indexOf(Math.max(...ring));
    cuts = [...new Set([...cuts, low, high])].sort((a, b) => a - b);
  }
  return cuts.flatMap((start, c) => {
    const end = cuts[(c + 1) % cuts.length] ?? start;
    const length = end > start ? end - start : end + ring.length - start;
    const chain = Array.from({ length: length + 1 }, (_, k) => ring[(start + k) % ring.length] as Corner); // index kept in range
    const reversed = (chain[0] ?? 0) > (chain[chain.length - 1] ?? 0);
    const places = (reversed ? [...chain].reverse() : chain).map(lattice.place);
    const simple = simplifyChain(places, tolerance);
    return (reversed ? [...simple].reverse() : simple).slice(0, -1);
  });
}

/** One region per cell label in use, covering the sheet's box without gap or overlap. */
export function cellRegions(field: GrowthField, cells: CellLabels): readonly Region[] {
  const used = [...new Set(cells.labels)].sort((a, b) => a - b);
  const [only] = used;
  const [w, h] = [field.columns * field.spacingCm, field.rows * field.spacingCm];
  if (used.length === 1 && only !== undefined) return [[[[0, 0], [w, 0], [w, h], [0, h]]]];
  const lattice = latticeOf(field, cells.labels);
  const stops = junctions(lattice);
  return used.map((label) => traceRings(lattice, label).map((ring) => simplifyRing(ring, stops, lattice, 0.75 * field.spacingCm)));
}
