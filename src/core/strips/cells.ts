// Cells: areas of like growth. Flooded from seeds over the field's nodes within ±25° of the seed (±35° with a crossed
// lay), each seed the one that covers most; cells below half a strip join the neighbour nearest in direction, except
// across a parting where a strip of their own is possible. Returned as a label for every node of the sheet's box.

import { angleBetweenDeg, crossingsAt, unit, type Region, type Vec } from '../shared';
import { nodeCentre, nodeDirection, PARTING_DEG, type GrowthField } from '../field';

export const FLOOD_DEG = 25;
export const FLOOD_CROSSED_DEG = 35;
/** Cells below this share of a strip join a neighbour. */
export const JOIN_SHARE = 0.5;
/** Least share of a strip's area that is worth a strip of its own behind a parting. */
const OWN_STRIP_SHARE = 0.15;

const UNSEEN = -1;

export interface CellLabels {
  readonly labels: Int32Array;
  readonly count: number;
}

/** Calls `visit` for the node's neighbours on the grid: left, right, above, below. */
function forNeighbours(field: GrowthField, node: number, visit: (other: number) => void): void {
  const { columns, rows } = field;
  const i = node % columns;
  const j = (node - i) / columns;
  if (i > 0) visit(node - 1);
  if (i + 1 < columns) visit(node + 1);
  if (j > 0) visit(node - columns);
  if (j + 1 < rows) visit(node + columns);
}

/** 1 for every node whose centre lies inside the region, row by row. */
export function nodesInside(field: GrowthField, region: Region): Uint8Array {
  const inside = new Uint8Array(field.columns * field.rows);
  for (let j = 0; j < field.rows; j++) {
    const [x0, y] = nodeCentre(field, j * field.columns);
    const xs = crossingsAt(region, y);
    for (let i = 0; i < field.columns; i++) {
      const x = x0 + i * field.spacingCm;
      let left = 0;
      while (left < xs.length && (xs[left] as number) <= x) left++; // left < length
      inside[j * field.columns + i] = left % 2;
    }
  }
  return inside;
}

const PARTING_COSINE = Math.cos((PARTING_DEG * Math.PI) / 180);

/** Stamp of a node that no flood reaches any more: outside, or labelled. */
const CLOSED = 0x7fffffff;

/**
 * What the floods of one zone share: nodes reached are stamped with the number of the flood, so that nothing is cleared
 * between.
 */
interface Ground {
  readonly field: GrowthField;
  readonly stamp: Int32Array;
  readonly queue: Int32Array;
}

/**
 * Nodes reached from a seed over open nodes within the seed's angle (its cosine), never across a parting; they stand in
 * the queue. Written out without functions within: some hundred floods of thousands of nodes make a layout.
 */
function flood({ field, stamp, queue }: Ground, seed: number, cosine: number, number: number): number {
  const d = field.direction;
  const { columns } = field;
  const last = stamp.length;
  const [sx, sy] = [d[2 * seed] as number, d[2 * seed + 1] as number]; // nodes of this field, here and below
  let length = 1;
  queue[0] = seed;
  stamp[seed] = number;
  for (let head = 0; head < length; head++) {
    const node = queue[head] as number; // head < length
    const nx = d[2 * node] as number;
    const ny = d[2 * node + 1] as number;
    const i = node % columns;
    for (let side = 0; side < 4; side++) {
      let next = node + columns;
      if (side === 0) next = i > 0 ? node - 1 : last;
      else if (side === 1) next = i + 1 < columns ? node + 1 : last;
      else if (side === 2) next = node >= columns ? node - columns : last;
      if (next >= last || (stamp[next] as number) >= number) continue;
      const x = d[2 * next] as number;
      const y = d[2 * next + 1] as number;
      if (x * sx + y * sy < cosine || x * nx + y * ny < PARTING_COSINE) continue;
      stamp[next] = number;
      queue[length++] = next;
    }
  }
  return length;
}

const SECTOR_DEG = 2;
const SECTORS = 360 / SECTOR_DEG;

/** Sector of 2° in which each node's growth points. */
function sectorsOf(field: GrowthField): Uint8Array {
  return Uint8Array.from({ length: field.columns * field.rows }, (_, node) => {
    const turn = Math.atan2(field.direction[2 * node + 1] ?? 0, field.direction[2 * node] ?? 0) / (2 * Math.PI);
    return Math.floor((turn < 0 ? turn + 1 : turn) * SECTORS) % SECTORS;
  });
}

/** How many nodes point within so many sectors of one: no flood from there can be larger. */
function mostWithin(perSector: Int32Array, sector: number, reach: number): number {
  if (2 * reach + 1 >= SECTORS) return Infinity;
  let n = 0;
  for (let k = -reach; k <= reach; k++) n += perSector[(sector + k + SECTORS) % SECTORS] ?? 0;
  return n;
}

/** Labels the nodes inside the outline (`nodesInside`); nodes outside take the label of the nearest labelled node. */
export function growthCells(
  field: GrowthField,
  inside: Uint8Array,
  stripAreaCm2: number,
  floodDeg: number,
  joinShare = JOIN_SHARE,
): CellLabels {
  const { labels, count } = floodedOnce(field, inside, floodDeg);
  const own = labels.slice();
  joinSmallCells(field, own, count, stripAreaCm2, joinShare);
  spreadOutward(field, own);
  return { labels: own, count };
}

/** Floods of a field, by its inside and angle: every product's strips begin from the same. A field never changes. */
const FLOODED = new WeakMap<GrowthField, { inside: Uint8Array; floodDeg: number; cells: CellLabels }[]>();

function floodedOnce(field: GrowthField, inside: Uint8Array, floodDeg: number): CellLabels {
  const known = FLOODED.get(field) ?? [];
  const same = known.find(
    (k) => k.floodDeg === floodDeg && k.inside.length === inside.length && k.inside.every((v, n) => v === inside[n]),
  );
  if (same) return same.cells;
  const cells = flooded(field, inside, floodDeg);
  FLOODED.set(field, [...known, { inside, floodDeg, cells }]);
  return cells;
}

/** Cells as flooded, before small ones join; nodes outside stay unseen. */
function flooded(field: GrowthField, inside: Uint8Array, floodDeg: number): CellLabels {
  const n = field.columns * field.rows;
  const labels = new Int32Array(n).fill(UNSEEN);
  const cosine = Math.cos((floodDeg * Math.PI) / 180);
  const open = Array.from(inside.keys()).filter((node) => inside[node]);
  const stride = Math.max(1, Math.floor(open.length / 160));
  const ground: Ground = { field, stamp: Int32Array.from(inside, (v) => (v ? 0 : CLOSED)), queue: new Int32Array(n) };
  const sectors = sectorsOf(field);
  const reach = Math.ceil(floodDeg / SECTOR_DEG) + 1;
  let [count, floods] = [0, 0];
  for (;;) {
    const left = open.filter((node) => labels[node] === UNSEEN);
    if (left.length === 0) break;
    const seeds = left.length > 60 ? left.filter((_, k) => k % stride === 0) : left;
    const perSector = new Int32Array(SECTORS);
    for (const node of left) perSector[sectors[node] ?? 0] = (perSector[sectors[node] ?? 0] ?? 0) + 1;
    // the most promising first, so that the rest can be left out; of equals the first on the grid
    const most = new Map<number, number>();
    const mostFrom = (sector: number): number => {
      const known = most.get(sector) ?? mostWithin(perSector, sector, reach);
      most.set(sector, known);
      return known;
    };
    const hopes = seeds
      .map((seed) => ({ seed, hope: mostFrom(sectors[seed] as number) }))
      .sort((a, b) => b.hope - a.hope || a.seed - b.seed);
    let best = { seed: -1, length: 0 };
    for (const { seed, hope } of hopes) {
      if (hope < best.length) break;
      if (hope === best.length && seed > best.seed) continue;
      const length = flood(ground, seed, cosine, ++floods);
      if (length > best.length || (length === best.length && seed < best.seed)) best = { seed, length };
      if (best.length === left.length) break;
    }
    const length = flood(ground, best.seed, cosine, ++floods);
    for (let k = 0; k < length; k++) {
      const node = ground.queue[k] as number; // k < length
      labels[node] = count;
      ground.stamp[node] = CLOSED;
    }
    count++;
  }
  return { labels, count };
}

function cellFacts(field: GrowthField, labels: Int32Array): Map<number, { area: number; direction: Vec }> {
  const sums = new Map<number, { nodes: number; x: number; y: number }>();
  labels.forEach((label, node) => {
    if (label === UNSEEN) return;
    const s = sums.get(label) ?? { nodes: 0, x: 0, y: 0 };
    const [dx, dy] = nodeDirection(field, node);
    sums.set(label, { nodes: s.nodes + 1, x: s.x + dx, y: s.y + dy });
  });
  const cellArea = field.spacingCm ** 2;
  return new Map(
    [...sums].map(([label, s]) => [label, { area: s.nodes * cellArea, direction: unit([s.x, s.y]) ?? [0, 1] }]),
  );
}

function joinSmallCells(
  field: GrowthField,
  labels: Int32Array,
  count: number,
  stripAreaCm2: number,
  joinShare: number,
): void {
  for (let round = 0; round < count; round++) {
    const facts = cellFacts(field, labels);
    const small = [...facts]
      .filter(([, f]) => f.area < stripAreaCm2 * joinShare)
      .sort((a, b) => a[1].area - b[1].area || a[0] - b[0]);
    const joined = small.some(([label, fact]) => {
      const around = new Set<number>();
      labels.forEach((own, node) => {
        if (own === label) {
          forNeighbours(field, node, (next) => {
            around.add(labels[next] ?? UNSEEN);
          });
        }
      });
      const candidates = [...around].flatMap((other) => {
        const f = facts.get(other);
        return f && other !== label ? [{ other, turn: angleBetweenDeg(f.direction, fact.direction) }] : [];
      });
      const nearest = candidates.sort((a, b) => a.turn - b.turn || a.other - b.other)[0];
      if (!nearest || (nearest.turn > PARTING_DEG && fact.area >= OWN_STRIP_SHARE * stripAreaCm2)) return false;
      labels.forEach((own, node) => {
        if (own === label) labels[node] = nearest.other;
      });
      return true;
    });
    if (!joined) return;
  }
}

function spreadOutward(field: GrowthField, labels: Int32Array): void {
  let front = Array.from(labels.keys()).filter((node) => labels[node] !== UNSEEN);
  while (front.length > 0) {
    const next: number[] = [];
    for (const node of front) {
      forNeighbours(field, node, (other) => {
        if (labels[other] !== UNSEEN) return;
        labels[other] = labels[node] ?? UNSEEN;
        next.push(other);
      });
    }
    front = next;
  }
}
