import Link from 'next/link';
import type { LiveTable } from '@/core/hands';
import type { FoundStrip } from './WorkStation.client';
import styles from './Work.module.css';

interface Props {
  readonly table: LiveTable;
  readonly found: ReadonlyMap<string, FoundStrip>;
  readonly onPulled: (id: string) => void;
  readonly readHref: string;
}

/** Stopped: what is still on the skin, first aid in plain words, nothing new is proposed. */
export function StoppedPanel({ table, found, onPulled, readHref }: Props) {
  return (
    <div className={styles.stopped}>
      <h1 className={styles.title}>Stopped</h1>
      {table.onSkin.length > 0 ? (
        <section>
          <p className={styles.how}>Still on the skin. Take it off when the skin allows, or soften it with oil.</p>
          <div className={styles.pair}>
            {table.onSkin.map((id) => (
              <button key={id} type="button" onClick={() => onPulled(id)}>
                Strip {found.get(id)?.strip.number} is off
              </button>
            ))}
          </div>
        </section>
      ) : (
        <p className={styles.how}>Nothing is left on the skin.</p>
      )}
      <ul className={styles.aid}>
        <li>
          <strong>Burn or blister:</strong> cool running water for 20 minutes, nothing else on it. Refer.
        </li>
        <li>
          <strong>Skin lifted, raw:</strong> no more wax there. Clean, cover, refer.
        </li>
        <li>
          <strong>Bleeding that does not stop:</strong> press with gauze, refer.
        </li>
      </ul>
      <p className={styles.cue}>
        Stay calm, tell the client what it is. <Link href={readHref}>Record it under Read</Link>. Stopped by mistake?
        Undo takes it back.
      </p>
    </div>
  );
}
