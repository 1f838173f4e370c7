import type { LiveTable } from '@/core/hands';
import type { FoundStrip } from './useTable';
import styles from './Work.module.css';

interface Props {
  readonly table: LiveTable;
  readonly found: ReadonlyMap<string, FoundStrip>;
  readonly onLaid: (id: string) => void;
  readonly onPulled: (id: string) => void;
  /** What is said of a load for a strip; null where nothing is. */
  readonly warningOf: (id: string) => string | null;
  readonly onClose: () => void;
}

/** The hands did another strip than was proposed: which was laid, or which came off. */
export function OtherStrip({ table, found, onLaid, onPulled, warningOf, onClose }: Props) {
  const inOrder = (ids: readonly string[]): readonly string[] =>
    [...ids].sort((a, b) => (found.get(a)?.strip.order ?? 0) - (found.get(b)?.strip.order ?? 0));
  const row = (title: string, ids: readonly string[], onChoose: (id: string) => void) =>
    ids.length === 0 ? null : (
      <>
        <p>{title}</p>
        <div>
          {inOrder(ids).map((id) => (
            <button key={id} type="button" onClick={() => onChoose(id)}>
              {found.get(id)?.strip.number}
              <small>{found.get(id)?.zone.side === 'middle' ? '' : found.get(id)?.zone.side}</small>
            </button>
          ))}
        </div>
      </>
    );
  // a strip chosen out of turn takes its load from the same pots
  const warnings = [...new Set(table.layable.flatMap((id) => warningOf(id) ?? []))];
  const settled = table.onSkin.filter((id) => table.readyAtMs.has(id));
  return (
    <div className={styles.another} role="dialog" aria-label="Which strip?">
      {row('Came off', settled, onPulled)}
      {warnings.map((w) => (
        <p key={w} className={styles.warned} role="alert">
          {w}
        </p>
      ))}
      {row('Was laid', table.layable, onLaid)}
      <button type="button" className={styles.plain} onClick={onClose} autoFocus>
        None
      </button>
    </div>
  );
}
