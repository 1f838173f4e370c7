import { zoneKey } from '@/core/anatomy';
import { standing, type Incident } from '@/core/hands';
import { planAtTable, type PlanZone } from '@/core/plan';
import type { Bench } from '@/server/services/bench';
import { sideWord } from '@/ui/words';
import { StripSheet, type StripLook } from '../strips/StripSheet';
import styles from './Incident.module.css';

interface Props {
  readonly bench: Bench;
  readonly zone: PlanZone | undefined;
  readonly draft: Incident;
  readonly onChange: (more: Partial<Incident>) => void;
}

/** Where it was: the zone, then the strip on its drawing. */
export function IncidentPlace({ bench, zone, draft, onChange }: Props) {
  const worked = planAtTable(bench.plan, bench.journal).zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  const data = bench.zones.find((z) => zone && zoneKey(z) === zoneKey(zone))?.data;
  const off = new Set(standing(bench.journal).flatMap((e) => (e.kind === 'pulled' ? [e.strip] : [])));
  const looks = new Map<string, StripLook>(
    (worked?.strips ?? []).map((s) => [s.id, off.has(s.id) ? 'off' : 'planned']),
  );
  const chosen = worked?.strips.find((s) => s.number === draft.strip)?.id ?? null;
  return (
    <div className={styles.place}>
      <div className={styles.toggles} role="group" aria-label="Where">
        <h2>Where</h2>
        <div>
          {bench.zones.map((z) => (
            <button
              key={zoneKey(z)}
              type="button"
              aria-pressed={draft.zone === z.zone && draft.side === z.side}
              onClick={() => onChange({ zone: z.zone, side: z.side, strip: null })}
            >
              {sideWord(z.name, z.side)}
            </button>
          ))}
        </div>
        {worked ? (
          <p className="quiet" role="status">
            {draft.strip === null ? 'Touch the strip in the drawing, if it was at one.' : `At strip ${draft.strip}.`}
          </p>
        ) : null}
      </div>
      {worked && data ? (
        <div className={styles.sheet}>
          <StripSheet
            zone={worked}
            data={data}
            looks={looks}
            chosen={chosen}
            maxHeight={260}
            onChoose={(id) => {
              const strip = worked.strips.find((s) => s.id === id)?.number ?? null;
              onChange({ strip: strip === draft.strip ? null : strip });
            }}
          />
        </div>
      ) : null}
    </div>
  );
}
