import type { Plan } from '@/core/plan';
import { FACT_WORDS } from '@/core/screening';

/** More are read in the slip, before the table. */
const MOST = 4;

/** What is looked at before the first wax: the card's alerts, and what was answered today that asks for care. */
export function alertsToday(alerts: readonly string[], { screening }: Pick<Plan, 'screening'>): readonly string[] {
  const today = screening.reasons.flatMap((r) =>
    r.outcome === 'adapt' && r.fact !== null ? [FACT_WORDS[r.fact]] : [],
  );
  const all = [...new Set([...alerts, ...today])];
  return all.length > MOST ? [...all.slice(0, MOST), `${all.length - MOST} more in the slip`] : all;
}
