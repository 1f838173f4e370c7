'use client';

import { zoneKey } from '@/core/anatomy';
import { sideWord } from '@/ui/words';
import { useBench } from './BenchContext.client';
import { useZone } from './BenchFrame.client';
import styles from './ZoneTabs.module.css';

/** The zones of the visit; the chosen one is looked at by every station. */
export function ZoneTabs({ note }: { readonly note?: (key: string) => string }) {
  const { bench } = useBench();
  const { index, choose } = useZone();
  if (bench.zones.length < 2) return null;
  return (
    <div className={styles.tabs} role="group" aria-label="Zone">
      {bench.zones.map((z, i) => (
        <button
          key={zoneKey(z)}
          type="button"
          aria-pressed={i === index}
          className={styles.tab}
          onClick={() => choose(i)}
        >
          {sideWord(z.name, z.side)}
          {note && note(zoneKey(z)) !== '' ? <span>{note(zoneKey(z))}</span> : null}
        </button>
      ))}
    </div>
  );
}
