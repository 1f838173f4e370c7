'use client';

import { zoneKey } from '@/core/anatomy';
import { Button } from 'antd';
import { useKeys } from '@/ui/useKeys';
import { useGo } from '../useGo';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { StationFoot } from '../StationFoot.client';
import { lookedWord, useLooked } from './useLooked';
import { ZoneChart } from './ZoneChart.client';
import styles from './Chart.module.css';

/** Hair on the body as it really grows: comb, mark, assess. */
export function ChartStation() {
  const { bench } = useBench();
  const { zone } = useZone();
  const go = useGo();
  const looked = useLooked();
  const closed = bench.visit.status === 'closed';
  const onward = (): void => {
    looked();
    go(`/visits/${bench.visit.id}/match`);
  };
  useKeys(closed || !zone ? {} : { a: onward });
  if (!zone) return <p>No zone yet: choose one under Consult.</p>;
  const word = lookedWord(bench.zones);
  const short = word.startsWith('As last time');
  return (
    <div className={styles.station}>
      <ZoneChart key={zoneKey(zone)} zone={zone} />
      <StationFoot>
        <Button type="primary" onClick={onward} disabled={closed} title="( A )">
          {word === '' ? 'On to the match' : `${word}${short ? '' : ': on to the match'}`}
        </Button>
      </StationFoot>
    </div>
  );
}
