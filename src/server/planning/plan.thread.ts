// A visit planned in a thread of the server, beside the one that answers requests. Bundled at build
// (scripts/ready.mjs).

import { deflateRawSync } from 'node:zlib';
import { planMemory, planVisit, type VisitCase } from '@/core/plan';
import type { Product } from '@/core/products';

export interface PlanQuestion {
  readonly visitCase: VisitCase;
  readonly currency: string;
  readonly catalogue: readonly Product[];
}

export type PlanAnswer =
  | { readonly ok: true; readonly packed: Uint8Array }
  | { readonly ok: false; readonly details: readonly { readonly path: string; readonly message: string }[] };

/** Shared by all plans of this thread: an answer at the consultation lays no strip anew. */
const memory = planMemory();

/** The plan as deflated JSON, the form in which it lies in the file: the other thread neither writes nor reads it. */
export default function plan({ visitCase, currency, catalogue }: PlanQuestion): PlanAnswer {
  const made = planVisit(visitCase, { currency, catalogue, memory });
  return made.ok
    ? { ok: true, packed: deflateRawSync(JSON.stringify(made.value)) }
    : { ok: false, details: made.error.details };
}
