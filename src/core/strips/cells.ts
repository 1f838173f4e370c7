// Cells: areas of like growth. Flooded from seeds over the field's nodes within ±25° of the seed (±35° with a crossed lay),
// each seed the one that covers most; cells below half a strip join the neighbour nearest in direction, except across a
// parting where a strip of their own is possible. Returned as a label for every node of the sheet's box.

import { angleBetweenDeg, isInside, unit, type Ring, type Vec } from '../shared';
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

function neighbours(field: GrowthField, node: number): readonly number[] {
  const { columns, rows } = field;
  const i = node % columns;
  const j = (node - i) / columns;
  const around: number[] = [];
  if (i > 0) around.push(node - 1);
  if (i + 1 < columns) around.push(node + 1);
  if (j > 0) around.push(node - columns);
  if (j + 1 < rows) around.push(node + columns);
  return around;
}

const PARTING_COSINE = Math.cos((PARTING_DEG * Math.PI) / 180);

/** Nodes reached from a seed over unlabelled inner nodes within the seed's angle (its cosine), never across a parting. */
function flood(field: GrowthField, inside: readonly boolean[], labels: Int32Array, seed: number, cosine: number): readonly number[] {
  const d = field.direction;
  const similar = (a: number, b: number): number =>
    (d[2 * a] as number) * (d[2 * b] as number) + (d[2 * a + 1] as number) * (d[2 * b + 1] as number); // nodes of this field
  const seen = new Uint8Array(labels.length);
  const queue = [seed];
  seen[seed] = 1;
  for (let head = 0; head < queue.length; head++) {
    const node = queue[head] as number; // head < length
    for (const next of neighbours(field, node)) {
      if (seen[next] || !inside[next] || labels[next] !== UNSEEN) continue;
      if (similar(next, seed) < cosine || similar(node, next) < PARTING_COSINE) continue;
      seen[next] = 1;
      queue.push(next);
    }
  }
  return queue;
}

/** Labels the nodes inside the outline; nodes outside take the label of the nearest labelled node. */
export function growthCells(field: GrowthField, outline: Ring, stripAreaCm2: number, floodDeg: number, joinShare = JOIN_SHARE): CellLabels {
  const n = field.columns * field.rows;
  const inside = Array.from({ length: n }, (_, node) => isInside([outline], nodeCentre(field, node)));
  const labels = new Int32Array(n).fill(UNSEEN);
  const cosine = Math.cos((floodDeg * Math.PI) / 180);
  const open = inside.flatMap((yes, node) => (yes ? [node] : []));
  const stride = Math.max(1, Math.floor(open.length / 160));
  let count = 0;
  for (;;) {
    const left = open.filter((node) => labels[node] === UNSEEN);
    if (left.length === 0) break;
    const seeds = left.length > 60 ? left.filter((_, k) => k % stride === 0) : left;
    let best: readonly number[] = [];
    for (const seed of seeds) {
      const reach = flood(field, inside, labels, seed, cosine);
      if (reach.length > best.length) best = reach;
      if (best.length === left.length) break;
    }
    for (const node of best) labels[node] = count;
    count++;
  }
  joinSmallCells(field, labels, count, stripAreaCm2, joinShare);
  spreadOutward(field, labels);
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
  return new Map([...sums].map(([label, s]) => [label, { area: s.nodes * cellArea, direction: unit([s.x, s.y]) ?? [0, 1] }]));
}

function joinSmallCells(field: GrowthField, labels: Int32Array, count: number, stripAreaCm2: number, joinShare: number): void {
  for (let round = 0; round < count; round++) {
    const facts = cellFacts(field, labels);
    const small = [...facts].filter(([, f]) => f.area < stripAreaCm2 * joinShare).sort((a, b) => a[1].area - b[1].area || a[0] - b[0]);
    const joined = small.some(([label, fact]) => {
      const around = new Set<number>();
      labels.forEach((own, node) => {
        if (own === label) for (const next of neighbours(field, node)) around.add(labels[next] ?? UNSEEN);
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
      for (const other of neighbours(field, node)) {
        if (labels[other] !== UNSEEN) continue;
        labels[other] = labels[node] ?? UNSEEN;
        next.push(other);
      }
    }
    front = next;
  }
}
