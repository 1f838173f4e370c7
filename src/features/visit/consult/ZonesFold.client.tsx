'use client';

import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { servicesIn, zonesOf, type Service } from '@/core/agreement';
import { BODY_REGIONS, FIGURES, sidesOf, ZONE_IDS, ZONES, zoneKey, type Figure } from '@/core/anatomy';
import type { ZoneRef } from '@/server/db/schema';
import { sideWord } from '@/ui/words';
import { ZonePicker } from '@/features/body/ZonePicker.client';
import { bothWords, capital } from '../zoneNames';
import { ServicesPick } from './ServicesPick.client';

import styles from './Consult.module.css';

const ALL: readonly ZoneRef[] = ZONE_IDS.flatMap((zone) => sidesOf(ZONES[zone]).map((side) => ({ zone, side })));
const FIGURE_WORDS: Readonly<Record<Figure, string>> = { front: 'Front', back: 'Back', face: 'Face' };
/** The edge lies within the extended bikini: the larger takes the smaller's place. */
const withoutInner = (zones: readonly ZoneRef[]): readonly ZoneRef[] =>
  zones.filter(
    (z) => z.zone !== 'bikini-edge' || !zones.some((o) => o.zone === 'bikini-extended' && o.side === z.side),
  );

interface Props {
  readonly zones: readonly ZoneRef[];
  /** The server is still planning them. */
  readonly planning: boolean;
  /** Keys of zones that must be left alone today, with the day from which they may be worked. */
  readonly stopped: ReadonlyMap<string, string>;
  /** Date of the last wax by zone key. */
  readonly lastOn: ReadonlyMap<string, string>;
  /** How much of a zone comes off, in a word. */
  readonly howMuch: (zone: ZoneRef) => string;
  readonly services: readonly Service[];
  readonly chosen: readonly string[];
  readonly disabled: boolean;
  readonly onChange: (zones: readonly ZoneRef[], services: readonly string[]) => void;
}

/** The figure on which the first zone of today lies. */
const figureOf = (zones: readonly ZoneRef[]): Figure => {
  const [first] = zones;
  return (first && BODY_REGIONS.find((r) => zoneKey(r) === zoneKey(first))?.figure) ?? 'front';
};

/** What comes off today: the body, its zones by name, and the services drawn by what they take off. */
export function ZonesFold(props: Props) {
  const { zones, planning, stopped, lastOn, howMuch, services, chosen, disabled, onChange } = props;
  const [figure, setFigure] = useState<Figure>(() => figureOf(zones));
  const [picking, setPicking] = useState(false);
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
  const toggle = (refs: readonly ZoneRef[]): void => {
    const own = new Set(refs.map(zoneKey));
    const isThere = refs.every((r) => keys.has(zoneKey(r)));
    set(isThere ? zones.filter((z) => !own.has(zoneKey(z))) : [...zones, ...refs], chosen);
  };
  const pairs = zones.filter((z, i) => zones.findIndex((o) => o.zone === z.zone) === i);
  return (
    <section className={styles.fold} aria-label="What comes off today">
      <h2>
        <i>1</i> What comes off today
      </h2>
      <Segmented
        block
        value={figure}
        options={FIGURES.map((f) => ({ value: f, label: FIGURE_WORDS[f] }))}
        onChange={setFigure}
        aria-label="View of the body"
      />
      <ZonePicker
        only={figure}
        chosen={keys}
        stopped={new Set(stopped.keys())}
        lastOn={lastOn}
        disabled={disabled}
        onToggle={(ref) => toggle([ref])}
      />
      <ul className={styles.zones} aria-label="Zones today">
        {pairs.map((z) => {
          const own = zones.filter((o) => o.zone === z.zone);
          const { name } = ZONES[z.zone];
          const words = own.length > 1 ? capital(bothWords(name)) : sideWord(name, z.side);
          const held = own.map((o) => stopped.get(zoneKey(o))).filter((w) => w !== undefined);
          return (
            <li key={z.zone}>
              <button
                type="button"
                aria-pressed="true"
                data-stopped={held.length > 0}
                disabled={disabled || own.length === keys.size}
                title={own.length === keys.size ? 'The last zone stays: a visit has one at least.' : `Remove ${words}`}
                onClick={() => toggle(own)}
              >
                <i aria-hidden="true" />
                <span>
                  <b>{words}</b>
                  {held.length > 0 ? <em>{held[0]}</em> : null}
                </span>
                <small>{held.length > 0 ? '' : howMuch(z)}</small>
              </button>
            </li>
          );
        })}
      </ul>
      {disabled ? null : (
        <Button block type={zones.length === 0 ? 'primary' : 'default'} onClick={() => setPicking(true)}>
          Services and other zones
        </Button>
      )}
      {planning ? (
        <p className="quiet" role="status">
          Planning …
        </p>
      ) : null}
      {picking ? (
        <ServicesPick
          services={services}
          whole={whole}
          zones={ALL}
          chosen={keys}
          onService={toggleService}
          onZone={(ref) => toggle([ref])}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </section>
  );
}
