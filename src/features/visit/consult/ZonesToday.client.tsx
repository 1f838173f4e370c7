'use client';

import { servicesIn, zonesOf, type Service } from '@/core/agreement';
import { sidesOf, ZONE_IDS, ZONES, zoneKey } from '@/core/anatomy';
import type { ZoneRef } from '@/server/db/schema';
import { plural, sideWord } from '@/ui/words';
import { ZonePicker } from '@/features/body/ZonePicker.client';
import styles from './Consult.module.css';

const ALL: readonly ZoneRef[] = ZONE_IDS.flatMap((zone) => sidesOf(ZONES[zone]).map((side) => ({ zone, side })));
/** The edge lies within the extended bikini: the larger takes the smaller's place. */
const withoutInner = (zones: readonly ZoneRef[]): readonly ZoneRef[] =>
  zones.filter(
    (z) => z.zone !== 'bikini-edge' || !zones.some((o) => o.zone === 'bikini-extended' && o.side === z.side),
  );

interface Props {
  readonly zones: readonly ZoneRef[];
  /** The server is still planning them. */
  readonly planning: boolean;
  /** Keys of zones that must be left alone today. */
  readonly stopped: ReadonlySet<string>;
  /** Date of the last wax by zone key. */
  readonly lastOn: ReadonlyMap<string, string>;
  readonly services: readonly Service[];
  readonly chosen: readonly string[];
  readonly disabled: boolean;
  readonly onChange: (zones: readonly ZoneRef[], services: readonly string[]) => void;
}

/** Services put their zones down together; each zone can be taken off or added by itself. */
export function ZonesToday({ zones, planning, stopped, lastOn, services, chosen, disabled, onChange }: Props) {
  const keys = new Set(zones.map(zoneKey));
  const whole = new Set(servicesIn(services, zones).map((s) => s.id));
  const set = (wanted: readonly ZoneRef[], picked: readonly string[]): void => {
    if (wanted.length === 0) return;
    const there = new Set(withoutInner(wanted).map(zoneKey));
    onChange(
      ALL.filter((z) => there.has(zoneKey(z))),
      picked,
    );
  };
  const toggleService = (s: Service): void => {
    if (!whole.has(s.id)) return set([...zones, ...s.zones], [...chosen.filter((id) => id !== s.id), s.id]);
    const others = zonesOf(services.filter((o) => o.id !== s.id && chosen.includes(o.id) && whole.has(o.id)));
    const gone = new Set(s.zones.map(zoneKey).filter((k) => !others.some((o) => zoneKey(o) === k)));
    set(
      zones.filter((z) => !gone.has(zoneKey(z))),
      chosen.filter((id) => id !== s.id),
    );
  };
  const toggleZone = (ref: ZoneRef): void =>
    set(keys.has(zoneKey(ref)) ? zones.filter((z) => zoneKey(z) !== zoneKey(ref)) : [...zones, ref], chosen);
  const chip = (o: ZoneRef): React.ReactNode => (
    <button
      key={zoneKey(o)}
      type="button"
      className={styles.chip}
      aria-pressed={keys.has(zoneKey(o))}
      disabled={disabled || (keys.size === 1 && keys.has(zoneKey(o)))}
      onClick={() => toggleZone(o)}
    >
      {sideWord(ZONES[o.zone].name, o.side)}
    </button>
  );
  const outside = ALL.filter((o) => !keys.has(zoneKey(o)));
  return (
    <>
      <div className={styles.chips} role="group" aria-label="Services">
        {services.map((s) => (
          <button
            key={s.id}
            type="button"
            className={styles.chip}
            aria-pressed={whole.has(s.id)}
            title={s.says}
            disabled={disabled}
            onClick={() => toggleService(s)}
          >
            {s.name}
          </button>
        ))}
      </div>
      <h3 className={styles.label}>
        {plural(zones.length, 'zone')} on the bench
        {planning ? (
          <span className="quiet" role="status">
            {' '}
            · planning …
          </span>
        ) : null}
      </h3>
      <div className={styles.chips} role="group" aria-label="Zones today">
        {ALL.filter((o) => keys.has(zoneKey(o))).map(chip)}
      </div>
      <ZonePicker chosen={keys} stopped={stopped} lastOn={lastOn} disabled={disabled} onToggle={toggleZone} />
      <details className={styles.more}>
        <summary>Other zones by name</summary>
        <div className={styles.chips} role="group" aria-label="Other zones">
          {outside.map(chip)}
        </div>
      </details>
    </>
  );
}
