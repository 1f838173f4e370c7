'use client';

import { zoneKey } from '@/core/anatomy';
import { Modal } from 'antd';
import { ZonePicker } from '@/features/body/ZonePicker.client';
import type { ZoneRef } from '@/server/db/schema';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';

/** The zones on the body itself: a tap goes to a zone of this visit, or puts another one on the bench. */
export function BodyPick({ onClose }: { readonly onClose: () => void }) {
  const { bench, wantedZones, saveZones } = useBench();
  const { choose } = useZone();
  const stopped = new Set(
    bench.plan.zones.filter((z) => z.outcome === 'postpone' || z.outcome === 'decline').map(zoneKey),
  );
  const pick = (ref: ZoneRef): void => {
    const index = bench.zones.findIndex((z) => zoneKey(z) === zoneKey(ref));
    if (index < 0) return saveZones([...wantedZones, ref].map(({ zone, side }) => ({ zone, side })));
    choose(index);
    onClose();
  };
  return (
    <Modal open title="Zones on the body" footer={null} width={860} onCancel={onClose} destroyOnHidden>
      <ZonePicker
        chosen={new Set(wantedZones.map(zoneKey))}
        stopped={stopped}
        seen={new Set(bench.zones.filter((z) => z.data.confirmed).map(zoneKey))}
        lastOn={new Map(bench.client.lastWaxOn.map((z) => [z.zone, z.on]))}
        disabled={bench.visit.status === 'closed'}
        hint="tap a zone of today to chart it, another one to put it on the bench"
        onToggle={pick}
      />
    </Modal>
  );
}
