'use client';

import { useMemo } from 'react';
import type { PotDay, PotDayInput, PotVisit } from '@/core/pots';
import type { Today } from '@/server/services/today';
import type { TodayPots } from '@/server/services/todayPots';
import { useWorkerAnswer, type Answer } from '@/ui/useWorkerAnswer';

/** A heat that differs by less makes no other day. */
const HALF_K = 0.5;
/** So little is still a pot, g. */
const LEAST_G = 20;
/** The day is looked at anew so often, ms. */
const STEP_MS = 300_000;

const visitsOf = (today: Today, productId: string, fromMs: number): readonly PotVisit[] =>
  today.visits.flatMap((v) =>
    v.pots
      .filter((p) => p.productId === productId)
      .map(({ grams, minC, targetC, maxC }) => {
        const startMs = v.startsAtMs + v.parts.prepareMin * 60_000;
        return {
          who: v.clientName,
          fromS: (startMs - fromMs) / 1000,
          toS: (startMs - fromMs) / 1000 + v.parts.layPullMin * 60,
          window: { minC, targetC, maxC },
          grams,
        };
      }),
  );

export interface PotDays {
  /** From which instant its seconds count. */
  readonly fromMs: number;
  readonly days: Answer<readonly PotDay[]>;
}

/** What each pot does over the day, worked out in a worker; in the order of the pots. */
export function usePotDays(today: Today, pots: TodayPots | null, toMs: number): PotDays {
  const fromMs = Math.floor(today.nowMs / STEP_MS) * STEP_MS;
  const asked = useMemo(
    (): readonly PotDayInput[] | null =>
      pots === null || pots.pots.length === 0
        ? null
        : pots.pots.map(({ product, waxG, heaterW, lid, tempC, setC }) => ({
            product,
            // an empty pot is worked out with a dip in it: what is short is said
            pot: { heaterW, lid, waxG: Math.max(LEAST_G, waxG) },
            roomC: pots.roomC,
            tempC: tempC === null ? null : Math.round(tempC / HALF_K) * HALF_K,
            setC,
            visits: visitsOf(today, product.id, fromMs),
            untilS: Math.max(0, (toMs - fromMs) / 1000),
          })),
    [today, pots, fromMs, toMs],
  );
  const days = useWorkerAnswer<readonly PotDayInput[], readonly PotDay[]>(
    () => new Worker(new URL('../../workers/potDay.worker.ts', import.meta.url), { type: 'module' }),
    asked,
  );
  return { fromMs, days };
}
