'use client';

import type { BenchZone } from '@/server/services/bench';
import { useBench } from '../BenchContext.client';

/** Zones nobody has looked at today, or with a mark nobody has. */
export const notLookedAt = (zones: readonly BenchZone[]): readonly BenchZone[] =>
  zones.filter((z) => !z.data.confirmed || z.data.marks.some((m) => m.unseen));

/** What one tap says of all zones not yet looked at. */
export function lookedWord(zones: readonly BenchZone[]): string {
  const unseen = zones.filter((z) => !z.data.confirmed);
  const marks = zones.some((z) => z.data.marks.some((m) => m.unseen)) ? ', marks too' : '';
  if (unseen.length === 0) return marks === '' ? '' : 'Marks still there';
  const word = unseen.every((z) => z.last !== null) ? 'As last time' : 'Charted';
  return `${word}${marks}${word === 'As last time' && zones.length > 1 ? ', all zones' : ''}`;
}

/** Says of every zone that it was looked at and is as it is charted, its marks too. */
export function useLooked(): () => void {
  const { bench, saveChart } = useBench();
  return () => {
    for (const z of notLookedAt(bench.zones)) {
      saveChart(z, {
        ...z.data,
        marks: z.data.marks.map(({ kind, at, radiusMm, note, since }) => ({
          kind,
          at,
          radiusMm,
          ...(note ? { note } : {}),
          ...(since ? { since } : {}),
        })),
        confirmed: true,
      });
    }
  };
}
