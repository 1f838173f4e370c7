// The seven stations, what each says of itself in a few words, and which zone they look at.

import { sized, sizedPair } from '@/formats/size';
import type { Bench } from '@/server/services/bench';
import { plural, shortSpan } from '@/ui/words';

export const STATIONS = ['consult', 'chart', 'match', 'strips', 'work', 'read', 'return'] as const;
export type Station = (typeof STATIONS)[number];
export const STATION_NAMES: Readonly<Record<Station, string>> = {
  consult: 'Consult',
  chart: 'Chart',
  match: 'Match',
  strips: 'Strips',
  work: 'Work',
  read: 'Read',
  return: 'Return',
};

const COARSE = ['', 'fine', 'fine', 'medium', 'coarse', 'very coarse'];

export const productName = (bench: Bench, id: string): string =>
  bench.products.find((p) => p.id === id)?.name.split(',')[0] ?? id;

/** Products chosen over all zones, each once. */
export const chosenProducts = (bench: Bench): readonly string[] => [
  ...new Set(bench.plan.zones.flatMap((z) => (z.choice ? [z.choice.product] : []))),
];

/** True while there is no plan to show yet, not even an older one. */
export const isPlanning = ({ planComing, plan, zones }: Bench): boolean =>
  planComing && plan.zones.length === 0 && zones.length > 0;

export function stationResult(bench: Bench, station: Station): string {
  const { plan, zones, visit } = bench;
  const notes = plan.screening.reasons.length;
  const strips = plan.zones.reduce((n, z) => n + z.strips.length, 0);
  switch (station) {
    case 'consult':
      return visit.consult.confirmedAtMs === null
        ? 'not asked yet'
        : `${plan.screening.outcome}${notes > 0 ? ` · ${plural(notes, 'note')}` : ''}`;
    case 'chart': {
      const open = zones.filter((z) => !z.data.confirmed).length;
      if (zones.length === 0) return 'no zone yet';
      const lengths = zones.map((z) => z.data.hair.lengthMm);
      const range =
        Math.min(...lengths) === Math.max(...lengths)
          ? sized(lengths[0] ?? 0, 'mm')
          : sizedPair(Math.min(...lengths), '–', Math.max(...lengths), 'mm');
      return open > 0
        ? `${plural(open, 'zone')} to look at`
        : `${range} · ${COARSE[Math.round(Math.max(...zones.map((z) => z.data.hair.coarseness)))] ?? ''}`;
    }
    case 'match':
      if (isPlanning(bench)) return 'planning …';
      return (
        chosenProducts(bench)
          .map((id) => productName(bench, id).toLowerCase())
          .join(', ') || 'nothing fits yet'
      );
    case 'strips':
      return strips === 0 ? '' : `${plural(strips, 'strip')} · ${Math.round(plan.time.allMinutes)} min`;
    case 'work': {
      const pulled =
        bench.journal.filter((e) => e.kind === 'pulled').length -
        bench.journal.filter(
          (e) => e.kind === 'undo' && bench.journal.some((p) => p.id === e.undoes && p.kind === 'pulled'),
        ).length;
      return pulled > 0 ? `${pulled} of ${strips} off` : '';
    }
    case 'read':
      return bench.readings.length > 0 ? `${bench.readings.length} of ${zones.length} read` : '';
    case 'return': {
      if (visit.status === 'closed') return 'closed';
      const ready = plan.regrowth.flatMap((r, i) => r.ready.filter((w) => w.family === plan.zones[i]?.choice?.family));
      const [first] = ready;
      return first
        ? shortSpan(
            ready.reduce((d, w) => (w.fromOn > d ? w.fromOn : d), first.fromOn),
            ready.reduce((d, w) => (w.toOn < d ? w.toOn : d), first.toOn),
          )
        : '';
    }
  }
}
