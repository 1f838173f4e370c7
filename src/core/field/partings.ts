// Partings: borders between neighbouring nodes whose directions differ by more than 60°. They are kept, never blurred.

import { angleBetweenDeg, type Vec } from '../shared';
import { nodeDirection, PARTING_DEG, type GrowthField } from './growthField';

export interface PartingEdge {
  readonly from: Vec;
  readonly to: Vec;
}

/** Node borders, in sheet centimetres, across which the growth turns by more than 60°. */
export function partingEdges(field: GrowthField): readonly PartingEdge[] {
  const { columns, rows, spacingCm: h } = field;
  const edges: PartingEdge[] = [];
  const differs = (a: number, b: number): boolean =>
    angleBetweenDeg(nodeDirection(field, a), nodeDirection(field, b)) > PARTING_DEG;
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const node = j * columns + i;
      if (i + 1 < columns && differs(node, node + 1)) {
        edges.push({ from: [(i + 1) * h, j * h], to: [(i + 1) * h, (j + 1) * h] });
      }
      if (j + 1 < rows && differs(node, node + columns)) {
        edges.push({ from: [i * h, (j + 1) * h], to: [(i + 1) * h, (j + 1) * h] });
      }
    }
  }
  return edges;
}
