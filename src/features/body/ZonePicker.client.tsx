'use client';

import { BODY_REGIONS, ZONES, type BodyRegion, type Figure, zoneKey } from '@/core/anatomy';
import type { ZoneRef } from '@/server/db/schema';
import { dayMonthYear, sideWord } from '@/ui/words';
import { BodyFigures } from './BodyFigures';
import { closedCurve } from './bodyDrawing';
import styles from './Body.module.css';

interface Props {
  /** Keys of today's zones. */
  readonly chosen: ReadonlySet<string>;
  /** Keys of zones that must be left alone today. */
  readonly stopped: ReadonlySet<string>;
  /** Date of the last wax by zone key. */
  readonly lastOn: ReadonlyMap<string, string>;
  /** Keys of zones whose chart has been looked at today. */
  readonly seen?: ReadonlySet<string>;
  readonly hint?: string;
  /** Shows one figure only. */
  readonly only?: Figure;
  /** Only what is taken and what is not: no day is meant. */
  readonly plain?: boolean;
  readonly disabled: boolean;
  readonly onToggle: (zone: ZoneRef) => void;
}

const HINT = 'tap a zone to add it to today or to remove it';

/**
 * Zones taken from the body itself: a tap adds one to today or removes it; drawn lines say what has been charted
 * before.
 */
export function ZonePicker({
  chosen,
  stopped,
  lastOn,
  seen,
  hint = HINT,
  only,
  plain = false,
  disabled,
  onToggle,
}: Props) {
  const label = (r: BodyRegion): string => {
    const last = lastOn.get(zoneKey(r));
    if (plain) return sideWord(ZONES[r.zone].name, r.side);
    return [
      sideWord(ZONES[r.zone].name, r.side),
      chosen.has(zoneKey(r)) ? 'today' : '',
      seen?.has(zoneKey(r)) ? 'looked at today' : '',
      stopped.has(zoneKey(r)) ? 'left alone today' : '',
      last ? `last ${dayMonthYear(last)}` : 'not charted yet',
    ]
      .filter(Boolean)
      .join(', ');
  };
  const act = (r: BodyRegion): void => {
    if (!disabled) onToggle({ zone: r.zone, side: r.side });
  };
  return (
    <div>
      <BodyFigures
        hint={hint}
        only={only}
        over={(figure) =>
          BODY_REGIONS.filter((r) => r.figure === figure).map((r) => (
            <path
              key={zoneKey(r)}
              d={closedCurve(r.outline)}
              className={styles.region}
              role="button"
              tabIndex={disabled ? -1 : 0}
              aria-label={label(r)}
              aria-pressed={chosen.has(zoneKey(r))}
              aria-disabled={disabled}
              data-known={lastOn.has(zoneKey(r))}
              data-seen={seen?.has(zoneKey(r)) ?? false}
              data-stopped={chosen.has(zoneKey(r)) && stopped.has(zoneKey(r))}
              onClick={() => act(r)}
              onKeyDown={(e) => {
                if (e.key === 'Enter' || e.key === ' ') {
                  e.preventDefault();
                  act(r);
                }
              }}
            >
              <title>{label(r)}</title>
            </path>
          ))
        }
      />
      {plain ? null : <Legend hasSeen={seen !== undefined} isShort={only !== undefined} />}
    </div>
  );
}

function Legend({ hasSeen, isShort }: { readonly hasSeen: boolean; readonly isShort: boolean }) {
  return (
    <p className={styles.legend} data-short={isShort}>
      <span>
        <i data-kind="today" />
        today
      </span>
      {hasSeen ? (
        <span>
          <i data-kind="seen" />
          looked at today
        </span>
      ) : null}
      <span>
        <i data-kind="known" />
        charted before
      </span>
      <span>
        <i />
        not charted yet
      </span>
      <span>
        <i data-kind="stopped" />
        left alone today
      </span>
    </p>
  );
}
