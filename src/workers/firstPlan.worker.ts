// A plan worked out on the tablet itself: of a drawn arm, before there is any client or visit to be planned for.

import { planVisit, type Plan, type VisitCase } from '../core/plan';

self.onmessage = ({ data }: MessageEvent<VisitCase>): void => {
  const made = planVisit(data);
  self.postMessage(made.ok ? made.value : null);
};

/** Null where the case cannot be planned. */
export type FirstPlanAnswer = Plan | null;
