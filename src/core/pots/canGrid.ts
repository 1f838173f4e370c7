// The wax in a can as rings: rings outward, layers upward, each with its share of the volume, what it touches, and how
// much of the heated wall and of the open top it meets. Bottom and side are one wall of metal.

/** A usual can of about half a litre, m (from memory). */
export const CAN_RADIUS_M = 0.045;
export const RINGS = 8;
export const LAYERS = 8;

/** What meets what, by number of cell; flat, because a pot walks over them some million times. */
export interface Links {
  readonly a: Int16Array;
  /** −1 where `a` meets the wall. */
  readonly b: Int16Array;
  /** Area over distance, m: times a conductivity it is a conductance, W/K. */
  readonly wayM: Float64Array;
}

export interface CanGrid {
  /** Share of the volume of each cell, ring by ring from the middle, layer by layer from the bottom; sums to 1. */
  readonly shares: Float64Array;
  readonly between: Links;
  readonly wall: Links;
  /** Cells under the open top, their area, m², and the way from their middle up to it, m. */
  readonly top: readonly { readonly cell: number; readonly areaM2: number; readonly halfM: number }[];
  /** Largest sum of a cell's ways over its share, m: what bounds a time step. */
  readonly quickestM: number;
}

interface Link {
  readonly a: number;
  readonly b: number;
  readonly wayM: number;
}

const flat = (links: readonly Link[]): Links => ({
  a: Int16Array.from(links, (l) => l.a),
  b: Int16Array.from(links, (l) => l.b),
  wayM: Float64Array.from(links, (l) => l.wayM),
});

export const cellAt = (ring: number, layer: number): number => layer * RINGS + ring;

/** The grid of a volume of wax, m³, in the can. */
export function canGrid(volumeM3: number): CanGrid {
  const topM2 = Math.PI * CAN_RADIUS_M ** 2;
  const heightM = volumeM3 / topM2;
  const [wide, high] = [CAN_RADIUS_M / RINGS, heightM / LAYERS];
  const shares = new Float64Array(RINGS * LAYERS);
  const links: Link[] = [];
  const wall: Link[] = [];
  const top: { cell: number; areaM2: number; halfM: number }[] = [];
  for (let layer = 0; layer < LAYERS; layer++) {
    for (let ring = 0; ring < RINGS; ring++) {
      const cell = cellAt(ring, layer);
      const flatM2 = (topM2 * (2 * ring + 1)) / RINGS ** 2;
      const outerM2 = 2 * Math.PI * (ring + 1) * wide * high;
      shares[cell] = (2 * ring + 1) / RINGS ** 2 / LAYERS;
      if (ring + 1 < RINGS) links.push({ a: cell, b: cellAt(ring + 1, layer), wayM: outerM2 / wide });
      else wall.push({ a: cell, b: -1, wayM: outerM2 / (wide / 2) });
      if (layer + 1 < LAYERS) links.push({ a: cell, b: cellAt(ring, layer + 1), wayM: flatM2 / high });
      else top.push({ cell, areaM2: flatM2, halfM: high / 2 });
      if (layer === 0) wall.push({ a: cell, b: -1, wayM: flatM2 / (high / 2) });
    }
  }
  const sums = new Float64Array(RINGS * LAYERS);
  for (const { a, b, wayM } of [...links, ...wall]) {
    for (const cell of b < 0 ? [a] : [a, b]) sums[cell] = (sums[cell] ?? 0) + wayM;
  }
  const quickestM = Math.max(...sums.map((sum, i) => sum / (shares[i] ?? 1)));
  return { shares, between: flat(links), wall: flat(wall), top, quickestM };
}
