'use client';

import { zoneKey } from '@/core/anatomy';
import { Button } from 'antd';
import { useState } from 'react';
import type { BenchZone } from '@/server/services/bench';
import { useGo } from '../useGo';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { BodyPick } from './BodyPick.client';
import { ZoneChart } from './ZoneChart.client';
import styles from './Chart.module.css';

/** What one tap says of all zones not yet looked at. */
function confirmWord(zones: readonly BenchZone[], unseen: readonly BenchZone[]): string {
  const marks = zones.some((z) => z.data.marks.some((m) => m.unseen)) ? ', marks too' : '';
  if (unseen.length === 0 && marks === '') return 'On to the match';
  if (unseen.length === 0) return 'Marks still there: on to the match';
  return unseen.every((z) => z.last !== null)
    ? `As last time${marks}${zones.length > 1 ? ', all zones' : ''}`
    : `Charted${marks}: on to the match`;
}

/** Hair on the body as it really grows: comb, mark, assess. */
export function ChartStation() {
  const { bench, saveChart } = useBench();
  const { zone } = useZone();
  const go = useGo();
  const [body, setBody] = useState(false);
  if (!zone) return <p>No zone yet: choose one under Consult.</p>;
  const unseen = bench.zones.filter((z) => !z.data.confirmed);
  const open = bench.zones.filter((z) => !z.data.confirmed || z.data.marks.some((m) => m.unseen));
  const confirmAll = (): void => {
    for (const z of open) {
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
    go(`/visits/${bench.visit.id}/match`);
  };
  return (
    <div className={styles.station}>
      <ZoneChart
        key={zoneKey(zone)}
        zone={zone}
        action={
          <>
            <Button size="large" onClick={() => setBody(true)}>
              Body
            </Button>
            <Button type="primary" size="large" onClick={confirmAll} disabled={bench.visit.status === 'closed'}>
              {confirmWord(bench.zones, unseen)}
            </Button>
          </>
        }
      />
      {body ? <BodyPick onClose={() => setBody(false)} /> : null}
    </div>
  );
}
