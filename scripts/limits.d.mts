export const BURST: number;
export const PER_SECOND: number;
export function limitByMachine(limit?: {
  readonly burst?: number;
  readonly perSecond?: number;
}): (
  machine: string,
  nowMs: number,
) => null | { readonly status: number; readonly code: string; readonly message: string };
