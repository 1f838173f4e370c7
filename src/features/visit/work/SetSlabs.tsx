import { ZONES } from '@/core/anatomy';
import type { LiveTable } from '@/core/hands';
import type { FoundStrip } from './useTable';
import styles from './Work.module.css';

interface Props {
  readonly table: LiveTable;
  readonly found: ReadonlyMap<string, FoundStrip>;
  /** The strip in hand, which has its own place. */
  readonly act: string | null;
  readonly nowMs: number;
}

/** As many as fit beside each other; those that are ready first are shown. */
const MOST = 3;

/** What else sets, as slabs with their seconds to the ready sign. */
export function SetSlabs({ table, found, act, nowMs }: Props) {
  const here = act === null ? undefined : found.get(act)?.zone;
  const others = table.onSkin
    .filter((id) => id !== act)
    .map((id) => ({ id, readyAtMs: table.readyAtMs.get(id) ?? Infinity, ...found.get(id) }))
    .sort((a, b) => a.readyAtMs - b.readyAtMs);
  if (others.length === 0) return null;
  return (
    <ul className={styles.slabs} aria-label="Also on the skin">
      {others.slice(0, MOST).map(({ id, strip, zone, readyAtMs }) => {
        const left = Math.ceil((readyAtMs - nowMs) / 1000);
        const isReady = readyAtMs <= nowMs;
        const first = readyAtMs === Infinity;
        const word = isReady ? 'ready' : `${left} s`;
        const unset = table.strips.get(id)?.spreadAtMs ? 'no cloth yet' : 'first coat';
        return (
          <li key={id} data-ready={isReady}>
            <svg viewBox="0 0 116 48" aria-hidden="true">
              <path d="M24 1H99V47H24A23 23 0 0 1 24 1Z" className={styles.slab} />
              <rect x="98" y="0" width="17" height="48" rx="3" className={styles.slabTab} />
              <circle cx="70" cy="24" r="20" className={styles.slabDisc} />
              <text x="70" y="34" textAnchor="middle" className={styles.slabNumber}>
                {strip?.number}
              </text>
            </svg>
            <b>{first ? unset : word}</b>
            {zone && here && zone !== here ? (
              <small>{zone.zone === here.zone ? zone.side : ZONES[zone.zone].name}</small>
            ) : null}
          </li>
        );
      })}
      {others.length > MOST ? <li className={styles.moreSlabs}>and {others.length - MOST}</li> : null}
    </ul>
  );
}
