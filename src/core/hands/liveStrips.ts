// Each strip as it really lies: folded from the journal, with the set window of when it was laid.

import type { LiveGroup } from './live';
import { FIRST_COAT, OFF, SETTING, UNLAID } from './state';
import type { StripMark, TableEvent } from './tableEvents';
import { COAT_REST_S, mostRestS, setAfter, type StripJob } from './types';

export interface LiveStrip {
  readonly stage: number;
  /** Spread and not covered yet; null where it is not. */
  readonly spreadAtMs: number | null;
  /** End of the last lay. */
  readonly laidAtMs: number | null;
  /** Ends of the two lays apart, s; null until there is a second coat. */
  readonly coatsApartS: number | null;
  readonly pulledAtMs: number | null;
  readonly mark: StripMark | null;
}

const NOT_LAID: LiveStrip = {
  stage: UNLAID,
  spreadAtMs: null,
  laidAtMs: null,
  coatsApartS: null,
  pulledAtMs: null,
  mark: null,
};

/**
 * The set window of a strip as it was really laid. How long the second lay took is not noted: as long as planned at
 * most, so set counts from the shorter rest that this leaves and the latest pull from the longer one.
 */
export function windowOf(job: StripJob, strip: LiveStrip | undefined): { readonly min: number; readonly max: number } {
  const apartS = strip?.coatsApartS ?? null;
  if (apartS === null) return { min: job.setMinS, max: job.setMaxS };
  return { min: setAfter(job, Math.max(0, apartS - job.layS)).min, max: setAfter(job, apartS).max };
}

/** Earliest and latest next act of a strip on the skin, s after its last lay. */
export const nextAct = (job: StripJob, strip: LiveStrip | undefined): { readonly min: number; readonly max: number } =>
  strip?.stage === FIRST_COAT ? { min: COAT_REST_S, max: mostRestS(job) } : windowOf(job, strip);

/** Wax lies there without its cloth. */
export const isSpread = (strip: LiveStrip | undefined): boolean => strip?.stage === UNLAID && strip.spreadAtMs !== null;

/** Wax of it is on the skin. */
export const liesOnSkin = (strip: LiveStrip | undefined): boolean =>
  strip?.stage === FIRST_COAT || strip?.stage === SETTING || isSpread(strip);

/** Each strip's stage after these events; only standing ones count. */
export function liveStrips(groups: readonly LiveGroup[], events: readonly TableEvent[]): Map<string, LiveStrip> {
  const strips = new Map<string, LiveStrip>();
  for (const g of groups) {
    for (const j of g.jobs) strips.set(j.id, { ...NOT_LAID });
  }
  const jobs = new Map(groups.flatMap((g) => g.jobs.map((j) => [j.id, j])));
  for (const e of events) {
    const now = e.strip === undefined ? undefined : strips.get(e.strip);
    const job = jobs.get(e.strip ?? '');
    if (!now || !job || e.strip === undefined) continue;
    if (e.kind === 'spread' && now.stage === UNLAID) strips.set(e.strip, { ...now, spreadAtMs: e.atMs });
    else if (e.kind === 'laid' && (now.stage === UNLAID || now.stage === FIRST_COAT)) {
      const stage = now.stage === UNLAID && job.coats === 2 ? FIRST_COAT : SETTING;
      const coatsApartS = now.stage === FIRST_COAT ? (e.atMs - (now.laidAtMs ?? e.atMs)) / 1000 : null;
      strips.set(e.strip, { ...now, stage, spreadAtMs: null, laidAtMs: e.atMs, coatsApartS });
    } else if (e.kind === 'pulled' && (now.stage === SETTING || isSpread(now))) {
      // what was spread and never covered is wiped off
      strips.set(e.strip, { ...now, stage: OFF, spreadAtMs: null, pulledAtMs: e.atMs });
    } else if (e.kind === 'mark' && e.mark) strips.set(e.strip, { ...now, mark: e.mark });
  }
  return strips;
}
