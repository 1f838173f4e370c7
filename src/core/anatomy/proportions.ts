// The standing figure as tables: heights of the landmarks as shares of the stature, and half-widths by height for
// trunk, leg and arm. Landmarks and breadths after Drillis & Contini 1966 (Body segment parameters, as reprinted in
// biomechanics handbooks; values from memory); what lies between them is drawn to the canon of eight heads, from
// memory. x outward from the middle line, h up from the floor.

/** Heights over the floor as shares of the stature. */
export const LANDMARK = {
  crown: 1,
  eye: 0.936,
  chin: 0.87,
  shoulder: 0.818,
  elbow: 0.63,
  hip: 0.53,
  wrist: 0.485,
  fingertip: 0.377,
  knee: 0.285,
  ankle: 0.039,
} as const;

/** Breadths as shares of the stature. */
export const BREADTH = { shoulders: 0.259, hips: 0.191, foot: 0.055 } as const;

/** [height, inner x, outer x], top to bottom. */
export type WidthRow = readonly [number, number, number];
export type WidthTable = readonly WidthRow[];

export const HEAD: WidthTable = [
  [1, 0, 0.009],
  [0.996, 0, 0.02],
  [0.985, 0, 0.0305],
  [0.968, 0, 0.0375],
  [0.953, 0, 0.041],
  [0.936, 0, 0.042],
  [0.915, 0, 0.0405],
  [0.897, 0, 0.036],
  [0.882, 0, 0.0285],
  [0.8725, 0, 0.0175],
  [0.87, 0, 0.006],
];

export const TRUNK: WidthTable = [
  [0.88, 0, 0.0235],
  [0.862, 0, 0.0255],
  [0.848, 0, 0.03],
  [0.838, 0, 0.043],
  [0.829, 0, 0.066],
  [0.818, 0, 0.092],
  [0.8, 0, 0.107],
  [0.775, 0, 0.103],
  [0.75, 0, 0.0935],
  [0.715, 0, 0.0885],
  [0.67, 0, 0.081],
  [0.63, 0, 0.0745],
  [0.605, 0, 0.0745],
  [0.575, 0, 0.081],
  [0.545, 0, 0.0905],
  [0.515, 0, 0.0955],
  [0.495, 0, 0.0962],
  [0.482, 0, 0.088],
  [0.472, 0, 0.06],
  [0.469, 0, 0.02],
];

export const LEG: WidthTable = [
  [0.525, 0.04, 0.082],
  [0.49, 0.008, 0.0962],
  [0.468, 0.0035, 0.0962],
  [0.43, 0.0055, 0.0935],
  [0.38, 0.0105, 0.087],
  [0.335, 0.0165, 0.0785],
  [0.305, 0.02, 0.0725],
  [0.285, 0.0215, 0.0705],
  [0.262, 0.0205, 0.069],
  [0.235, 0.017, 0.0715],
  [0.2, 0.0155, 0.0725],
  [0.165, 0.0185, 0.067],
  [0.12, 0.024, 0.0565],
  [0.08, 0.0275, 0.051],
  [0.055, 0.0285, 0.0495],
  [0.039, 0.0275, 0.051],
  [0.022, 0.0255, 0.0595],
  [0.009, 0.025, 0.0705],
  [0.002, 0.029, 0.0735],
  [0, 0.036, 0.067],
];

export const ARM: WidthTable = [
  [0.822, 0.082, 0.1],
  [0.812, 0.08, 0.1175],
  [0.795, 0.082, 0.1275],
  [0.77, 0.09, 0.1315],
  [0.74, 0.0985, 0.1345],
  [0.7, 0.1075, 0.1395],
  [0.66, 0.1155, 0.1455],
  [0.63, 0.1215, 0.151],
  [0.6, 0.1255, 0.1585],
  [0.57, 0.1325, 0.1645],
  [0.53, 0.1445, 0.1705],
  [0.485, 0.158, 0.178],
  [0.465, 0.159, 0.185],
  [0.44, 0.16, 0.193],
  [0.415, 0.1665, 0.1935],
  [0.395, 0.1735, 0.1925],
  [0.38, 0.18, 0.1895],
  [0.377, 0.183, 0.187],
];

/**
 * The head from the front: half-widths of the face as shares of its height, crown 0 to chin 1; hairline, brows and base
 * of the nose follow the canon of equal thirds.
 */
export const FACE: WidthTable = [
  [0, 0, 0.05],
  [0.012, 0, 0.115],
  [0.045, 0, 0.185],
  [0.1, 0, 0.25],
  [0.17, 0, 0.296],
  [0.26, 0, 0.325],
  [0.36, 0, 0.337],
  [0.48, 0, 0.338],
  [0.6, 0, 0.325],
  [0.7, 0, 0.298],
  [0.8, 0, 0.252],
  [0.88, 0, 0.198],
  [0.94, 0, 0.145],
  [0.985, 0, 0.085],
  [1, 0, 0.025],
];

/** Heights on the face as shares from crown to chin. */
export const FACE_AT = { hairline: 0.142, brow: 0.428, eye: 0.5, noseBase: 0.714, mouth: 0.81, chin: 1 } as const;

/** Inner and outer x at a height, by straight lines between the rows; the nearest row beyond the ends. */
export function widthAt(table: WidthTable, height: number): readonly [number, number] {
  const descending = (table[0]?.[0] ?? 0) > (table.at(-1)?.[0] ?? 0);
  const rows = descending ? table : [...table].reverse();
  const below = rows.findIndex((r) => r[0] <= height);
  const lower = rows[below === -1 ? rows.length - 1 : below] ?? [0, 0, 0];
  // above all rows the first stands for both, below them the last
  const upper = rows[below === -1 ? rows.length - 1 : Math.max(0, below - 1)] ?? lower;
  const t = upper[0] === lower[0] ? 0 : (height - lower[0]) / (upper[0] - lower[0]);
  return [lower[1] + t * (upper[1] - lower[1]), lower[2] + t * (upper[2] - lower[2])];
}
