// What would flip the choice of a zone, worked out beside the page from the open case: some tenths of a second to a few
// seconds.

import { choiceFlips, type ChoiceFlip, type VisitCase } from '../core/plan';
import type { Product } from '../core/products';

export interface FlipsQuestion {
  readonly visit: VisitCase;
  readonly index: number;
  readonly catalogue: readonly Product[];
}

export interface FlipsAnswer {
  /** Null where the case cannot be planned. */
  readonly flips: readonly ChoiceFlip[] | null;
}

self.onmessage = ({ data }: MessageEvent<FlipsQuestion>): void => {
  const found = choiceFlips(data.visit, data.index, { catalogue: data.catalogue });
  self.postMessage({ flips: found.ok ? found.value : null } satisfies FlipsAnswer);
};
