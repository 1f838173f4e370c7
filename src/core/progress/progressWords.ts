// What has changed over the visits, in one sentence; nothing is said that does not show clearly.

import type { Trend } from './trend';

export interface ProgressTrends {
  /** Minutes at the table. */
  readonly minutes: Trend | null;
  /** Hairs per cm². */
  readonly density: Trend | null;
  /** 0–10. */
  readonly pain: Trend | null;
  readonly tweezed: Trend | null;
}

const TENTHS = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
/** A change smaller than this is none, min and share. */
const LEAST_MIN = 3;
const LEAST_SHARE = 0.15;

const clear = (trend: Trend | null): Trend | null => (trend?.isClear ? trend : null);
const dropOf = ({ from, to }: Trend): number => (from > 0 ? (from - to) / from : 0);

/** Empty where nothing has clearly changed. @param span `in a year`, as the sentence begins */
export function progressWords({ minutes, density, pain, tweezed }: ProgressTrends, span: string): string {
  const parts: string[] = [];
  const time = clear(minutes);
  if (time && Math.abs(time.from - time.to) >= LEAST_MIN) {
    const shorter = Math.round(time.from - time.to);
    parts.push(`${Math.abs(shorter)} minutes ${shorter > 0 ? 'shorter' : 'longer'} at the table`);
  }
  const hair = clear(density);
  if (hair && Math.abs(dropOf(hair)) >= LEAST_SHARE) {
    const tenths = Math.min(9, Math.max(1, Math.round(10 * Math.abs(dropOf(hair)))));
    parts.push(`${TENTHS[tenths]} in ten hairs ${dropOf(hair) > 0 ? 'fewer' : 'more'}`);
  }
  const sting = clear(pain);
  if (sting && Math.abs(dropOf(sting)) >= LEAST_SHARE) {
    parts.push(
      `it hurts ${dropOf(sting) > 0 ? 'less' : 'more'}: ${Math.round(sting.to)} of 10 instead of ${Math.round(sting.from)}`,
    );
  }
  const by = clear(tweezed);
  if (by && Math.abs(by.from - by.to) >= LEAST_MIN) {
    const fewer = Math.round(by.from - by.to);
    parts.push(`${Math.abs(fewer)} hairs ${fewer > 0 ? 'fewer' : 'more'} left to tweeze`);
  }
  return parts.length === 0 ? '' : `${span}: ${parts.join(', ')}.`;
}
