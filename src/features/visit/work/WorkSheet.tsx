import { zoneKey } from '@/core/anatomy';
import type { LiveTable } from '@/core/hands';
import type { PlanZone } from '@/core/plan';
import type { Bench } from '@/server/services/bench';
import { StripSheet, type StripLook } from '../strips/StripSheet';

interface Props {
  readonly zone: PlanZone;
  readonly bench: Bench;
  readonly table: LiveTable;
  readonly act: string | null;
  readonly arrow: 'lay' | 'pull';
  readonly nowMs: number;
}

/** The zone at the table: what is off, what sets, what comes now. */
export function WorkSheet({ zone, bench, table, act, arrow, nowMs }: Props) {
  const data = bench.zones.find((z) => zoneKey(z) === zoneKey(zone))?.data;
  if (!data) return null;
  const looks = new Map(
    zone.strips.map((s): [string, StripLook] => {
      const live = table.strips.get(s.id);
      if (s.id === act) return [s.id, 'now'];
      if (!live || live.stage === 0) return [s.id, 'planned'];
      if (live.stage === 3) return [s.id, 'off'];
      return [s.id, live.laidAtMs !== null && nowMs > live.laidAtMs + s.setS.min * 1000 ? 'ready' : 'setting'];
    }),
  );
  return <StripSheet zone={zone} data={data} looks={looks} act={act} arrow={arrow} maxHeight={430} />;
}
