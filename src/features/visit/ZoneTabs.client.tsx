'use client';

import { sheetFor, ZONES, zoneKey, type Side, type ZoneId } from '@/core/anatomy';
import { ringPath } from '@/formats/stripsSvg';
import { useInSight } from '@/ui/useInSight';
import { sideWord } from '@/ui/words';
import { useBench } from './BenchContext.client';
import { useZone } from './BenchFrame.client';
import styles from './ZoneTabs.module.css';

/** The zones of the visit as a filmstrip that never wraps; the chosen one is looked at by every station. */
export function ZoneTabs({ note }: { readonly note?: (key: string) => string }) {
  const { bench } = useBench();
  const { index, choose } = useZone();
  const { line, chosen } = useInSight<HTMLDivElement, HTMLButtonElement>(index);
  if (bench.zones.length < 2) return null;
  return (
    <div ref={line} className={styles.tabs} role="group" aria-label="Zone">
      {bench.zones.map((z, i) => (
        <button
          key={zoneKey(z)}
          ref={i === index ? chosen : null}
          type="button"
          aria-pressed={i === index}
          className={styles.tab}
          title={sideWord(z.name, z.side)}
          onClick={() => choose(i)}
        >
          <Outline zone={z.zone} side={z.side} />
          <span className={styles.tabWords}>
            {/* a side alone would not say which zone where there are others */}
            <b>{sideWord(z.name, z.side)}</b>
            {note && note(zoneKey(z)) !== '' ? <span>{note(zoneKey(z))}</span> : null}
          </span>
        </button>
      ))}
    </div>
  );
}

function Outline({ zone, side }: { readonly zone: ZoneId; readonly side: Side }) {
  const made = sheetFor(ZONES[zone], side, {});
  if (!made.ok) return null;
  const { widthCm: w, heightCm: h, outline } = made.value;
  const line = Math.max(w / 34, h / 44);
  return (
    <svg
      className={styles.outline}
      viewBox={`${-line} ${-line} ${w + 2 * line} ${h + 2 * line}`}
      aria-hidden="true"
      focusable="false"
    >
      <path d={ringPath(outline)} strokeWidth={1.5 * line} />
    </svg>
  );
}
