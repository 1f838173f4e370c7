// The arm that is drawn for the first plan: nobody's, with hair as forearms usually have it.

import type { Stroke } from '@/core/field';
import type { VisitCase } from '@/core/plan';
import type { ChartData } from '@/server/db/schema';

/** As it is drawn for a plan: nothing of it is kept. */
export const ARM_CHART: ChartData = {
  v: 1,
  hair: { lengthMm: 8, coarseness: 3, density: 3, curl: 1, history: 'first' },
  strokes: [],
  marks: [],
  product: null,
  way: null,
  reason: '',
  confirmed: true,
};

/** The case of the drawn arm: what stands on the shelf, how it was combed. */
export const armCase = (on: string, products: readonly string[], strokes: readonly Stroke[]): VisitCase => ({
  version: 1,
  on,
  client: { consent: true, sensitivity: 2 },
  studio: { level: 'practised', products },
  zones: [{ zone: 'forearm', side: 'left', hair: { ...ARM_CHART.hair, history: 'first' }, strokes }],
});
