// What would flip the choice of a zone, worked out beside the page from the open case: some tenths of a second to a few seconds.

import { choiceFlips, planMemory, type ChoiceFlip, type VisitCase } from '../core/plan';
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

// one worker is asked for one zone after the other: layouts and windows are kept between them
const memory = planMemory();

self.onmessage = ({ data }: MessageEvent<FlipsQuestion>): void => {
  const found = choiceFlips(data.visit, data.index, { catalogue: data.catalogue, memory });
  self.postMessage({ flips: found.ok ? found.value : null } satisfies FlipsAnswer);
};
