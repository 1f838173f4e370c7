'use client';

import { LEAST_CROSSING } from '@/core/field';
import { likelyCauses, type Cause } from '@/core/reading';
import type { BenchZone } from '@/server/services/bench';
import { useBench } from '../BenchContext.client';
import type { ZoneReading } from './useZoneReading';

/** Likely causes of what was read of a zone, likeliest first; none before anything was said. */
export function useCauses({ data }: BenchZone, { reading, zone, said }: ZoneReading): readonly Cause[] {
  const { bench } = useBench();
  const { choice } = zone;
  const isAnswered = said('left') || said('broken') || (reading.likes ?? []).some((l) => l.like === 'blunt');
  if (!choice || !isAnswered) return [];
  const option = zone.options.find((o) => o.product === choice.product && o.way === choice.way);
  return likelyCauses({
    removedShare: reading.removedPct / 100,
    brokenShare: reading.brokenPct / 100,
    leftKind: reading.leftKind,
    family: choice.family,
    workableShare: option?.workableShare ?? 1,
    crossingGrowth:
      data.hair.curl >= 4 || zone.crossingShare >= LEAST_CROSSING || (data.hair.flags ?? []).includes('layers'),
    drySkin: bench.client.skin === 'dry',
    heatFelt: reading.heatFelt,
    shaved: data.hair.history === 'shaved',
  });
}
