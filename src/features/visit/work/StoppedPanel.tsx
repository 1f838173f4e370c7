import { deg } from '@/formats/heat';
import { Link } from '@/ui/Link';
import type { ReactNode } from 'react';
import { SEEN, WATER_MIN, type Aid } from '@/core/hands';
import { CurtainButton } from '@/ui/Curtain.client';
import { timeOfDay } from '@/ui/words';
import { NotTaken } from '../SyncWords.client';
import type { Table } from './useTable';
import styles from './Stopped.module.css';

interface Props {
  readonly t: Table;
  readonly timeZone: string;
  readonly recordHref: string;
  readonly productName: (id: string) => string;
  /** The zone with what lies on it. */
  readonly sheet: ReactNode;
}

/** Stopped: first aid at once, then what is still on the skin, then what was seen. Nothing new is proposed. */
export function StoppedPanel({ t, timeZone, recordHref, productName, sheet }: Props) {
  const { aid, table, found } = t;
  if (!aid) return null;
  const onSkin = table.onSkin.map((id) => ({ id, number: found.get(id)?.strip.number ?? '' }));
  const last = found.get(table.lastPulled ?? table.onSkin.at(-1) ?? '');
  const product = last?.zone.choice?.product;
  return (
    <div className={styles.stopped}>
      <section className={styles.aid} aria-label="First aid">
        <p>1 First aid · stopped at {timeOfDay(aid.stoppedAtMs, timeZone)}</p>
        {aid.isBurn ? <Water aid={aid} /> : <NoBurn />}
        {aid.isBurn ? (
          <p className={styles.refer}>
            <b>Get medical help</b> if the skin is white or blistered, if it is larger than a palm, on the face or in a
            fold, or if anyone feels faint.
          </p>
        ) : null}
        <div className={styles.pair}>
          {aid.isBurn ? (
            <>
              <button
                type="button"
                className={styles.full}
                onClick={() => t.aids(aid.isRunning ? 'water-off' : 'water-on')}
              >
                {aid.isRunning ? 'Water is off: pause' : 'Water runs again'}
              </button>
              <button type="button" onClick={() => t.aids('not-a-burn')}>
                Not a burn
              </button>
            </>
          ) : (
            <button type="button" onClick={() => t.aids('a-burn')}>
              It is a burn
            </button>
          )}
        </div>
      </section>
      <section className={styles.rest} aria-label="Then">
        <div className={styles.restHead}>
          <h2>
            2{' '}
            {onSkin.length > 0
              ? `Still on the skin: ${onSkin.map((s) => s.number).join(', ')}`
              : 'Nothing is left on the skin'}
          </h2>
          <CurtainButton className={styles.bare} drawn />
        </div>
        <div className={styles.sheet}>{sheet}</div>
        {onSkin.length > 0 ? (
          <>
            <p>
              Away from the place: oil, lift an edge, <b>ease it off. No pull.</b>
            </p>
            <div className={styles.offs}>
              {onSkin.map((s) => (
                <button key={s.id} type="button" onClick={() => t.pulled(s.id)}>
                  {s.number} is off
                </button>
              ))}
              {onSkin.length > 1 ? (
                <button type="button" onClick={() => t.pulled(...onSkin.map((s) => s.id))}>
                  All off
                </button>
              ) : null}
            </div>
          </>
        ) : null}
        <div className={styles.record}>
          <h2>
            3 Then the record <small>no hurry, it is kept</small>
          </h2>
          {product && last ? (
            <p>
              {table.lastPulled ? 'Last pulled' : 'On the skin'}: strip {last.strip.number},{' '}
              {productName(product).toLowerCase()}
              {last.zone.heat ? `, planned about ${deg(last.zone.heat.workingC.target)} at touch` : ''}.
            </p>
          ) : null}
          <div className={styles.seen} role="group" aria-label="What is seen">
            <span>What is seen</span>
            {SEEN.map((s) => (
              <button
                key={s}
                type="button"
                aria-pressed={aid.seen.includes(s)}
                // what was noted is taken back by undo
                onClick={() => !aid.seen.includes(s) && t.aids(s)}
              >
                {s}
              </button>
            ))}
          </div>
          <div className={styles.ends}>
            <Link href={recordHref}>Go on with the record</Link>
            <button type="button" onClick={t.undo} disabled={!table.undoable}>
              Undo <kbd>↑</kbd>
            </button>
          </div>
        </div>
        <NotTaken />
      </section>
    </div>
  );
}

/** Minutes of cool water still to run, large, and as marks that fill. */
function Water({ aid }: { readonly aid: Aid }) {
  const ranMin = aid.ranMs / 60_000;
  const left = Math.max(0, Math.ceil(WATER_MIN - ranMin));
  return (
    <>
      <h1>{left > 0 ? 'Cool running water, now' : 'Twenty minutes of water are done'}</h1>
      {left > 0 ? (
        <p className={styles.minutes} role="timer">
          <b>{left}</b>
          <span>
            {left === 1 ? 'minute' : 'minutes'}
            <br />
            {aid.isRunning ? 'more' : 'more, water is off'}
          </span>
        </p>
      ) : null}
      <div className={styles.scale} aria-hidden="true">
        {Array.from({ length: WATER_MIN }, (_, i) => (
          <i key={i} data-full={i < Math.floor(ranMin)} />
        ))}
      </div>
      <p>
        <b>Cool, not icy. No cream, oil or powder on it.</b> Rings and tight cloth off. Keep the rest warm. Say calmly
        what you do.
      </p>
    </>
  );
}

function NoBurn() {
  return (
    <>
      <h1>Stay calm, say what it is</h1>
      <ul className={styles.cases}>
        <li>
          <b>Skin lifted, raw:</b> no more wax there. Clean, cover, refer.
        </li>
        <li>
          <b>Bleeding that does not stop:</b> press with gauze, refer.
        </li>
        <li>
          <b>Feels faint:</b> lie flat, legs up, air. Help if it does not pass.
        </li>
      </ul>
    </>
  );
}
