'use client';

import { Modal } from 'antd';
import type { Service } from '@/core/agreement';
import { BODY_REGIONS, FIGURE_SIZE, FIGURES, ZONES, zoneKey, type Figure } from '@/core/anatomy';
import { closedCurve, faceOutline, bodyOutline } from '@/features/body/bodyDrawing';
import type { ZoneRef } from '@/server/db/schema';
import { sideWord } from '@/ui/words';
import styles from './Consult.module.css';

interface Props {
  readonly services: readonly Service[];
  /** Ids of services whose zones are all chosen. */
  readonly whole: ReadonlySet<string>;
  readonly zones: readonly ZoneRef[];
  readonly chosen: ReadonlySet<string>;
  readonly onService: (service: Service) => void;
  readonly onZone: (zone: ZoneRef) => void;
  readonly onClose: () => void;
}

/** Services drawn by what they take off; every zone by its name below. */
export function ServicesPick({ services, whole, zones, chosen, onService, onZone, onClose }: Props) {
  return (
    <Modal
      open
      title="Services and zones"
      footer={null}
      width={900}
      style={{ top: 24 }}
      onCancel={onClose}
      destroyOnHidden
    >
      <div className={styles.services} role="group" aria-label="Services">
        {services.map((s) => (
          <button
            key={s.id}
            type="button"
            className={styles.service}
            aria-pressed={whole.has(s.id)}
            onClick={() => onService(s)}
          >
            <TakenOff zones={s.zones} />
            <span>
              <b>{s.name}</b>
              <small>{s.says}</small>
            </span>
          </button>
        ))}
      </div>
      <h3 className={styles.label}>Zone by zone</h3>
      <div className={styles.chips} role="group" aria-label="Zones by name">
        {zones.map((z) => (
          <button
            key={zoneKey(z)}
            type="button"
            className={styles.chip}
            aria-pressed={chosen.has(zoneKey(z))}
            disabled={chosen.size === 1 && chosen.has(zoneKey(z))}
            onClick={() => onZone(z)}
          >
            {sideWord(ZONES[z.zone].name, z.side)}
          </button>
        ))}
      </div>
    </Modal>
  );
}

/** The figure that shows most of it, its places filled. */
function TakenOff({ zones }: { readonly zones: readonly ZoneRef[] }) {
  const keys = new Set(zones.map(zoneKey));
  const on = (figure: Figure) => BODY_REGIONS.filter((r) => r.figure === figure && keys.has(zoneKey(r)));
  const figure = FIGURES.reduce((best, f) => (on(f).length > on(best).length ? f : best));
  const [w, h] = FIGURE_SIZE[figure];
  return (
    <svg viewBox={`0 0 ${w} ${h}`} aria-hidden="true" className={styles.taken}>
      {figure === 'face' ? faceOutline : bodyOutline(figure)}
      {on(figure).map((r) => (
        <path key={zoneKey(r)} d={closedCurve(r.outline)} fill="var(--wax)" stroke="var(--wax-dark)" strokeWidth="1" />
      ))}
    </svg>
  );
}
