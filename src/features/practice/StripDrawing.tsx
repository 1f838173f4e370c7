// The strip on the skin: wax with its tab; once it is off its outline, the learner's pull and the planner's.

import type { HandStrip } from '@/core/practice';
import type { Vec } from '@/core/shared';
import type { Drawn } from './SkinSheet.client';
import styles from './Practice.module.css';

interface Props {
  readonly drawn: Drawn;
  readonly strip: HandStrip;
  readonly isOff: boolean;
  readonly pulled: { readonly way: Vec; readonly liftDeg: number } | undefined;
  /** The planner's pull; undefined where none is shown. */
  readonly planned: Vec | undefined;
  /** Where the learner aims. */
  readonly aim: Vec | null;
}

/** A thicker end of the strip, cm, and on a short one a share of it. */
const TAB_CM = 0.9;
const TAB_SHARE = 0.16;

export function StripDrawing({ drawn, strip, isOff, pulled, planned, aim }: Props) {
  const { outline, lay, tab, lengthCm } = strip;
  const along = (way: Vec, cm: number): Vec => [tab[0] + way[0] * cm, tab[1] + way[1] * cm];
  const [left, right] = [outline[0], outline[1]];
  const thick = Math.min(TAB_CM, TAB_SHARE * lengthCm);
  const tabRing =
    left && right
      ? [left, right].concat([right, left].map((p): Vec => [p[0] - lay[0] * thick, p[1] - lay[1] * thick]))
      : outline;
  return (
    <g>
      <defs>
        <marker id="pull-tip" viewBox="0 0 10 10" refX={8} refY={5} markerWidth={5} markerHeight={5} orient="auto">
          <path d="M1 1L9 5L1 9" fill="none" stroke="context-stroke" strokeWidth={2} />
        </marker>
      </defs>
      <path d={drawn.path(outline)} className={isOff ? styles.bare : styles.wax} />
      {isOff ? null : <path d={drawn.path(tabRing)} className={styles.tab} />}
      {planned ? <Arrow drawn={drawn} from={tab} to={along(planned, lengthCm + 1)} kind={styles.planned} /> : null}
      {pulled ? (
        <Arrow
          drawn={drawn}
          from={tab}
          to={along(pulled.way, lengthCm + 1)}
          kind={styles.pulled}
          lift={pulled.liftDeg}
        />
      ) : null}
      {aim ? <Arrow drawn={drawn} from={tab} to={along(aim, lengthCm)} kind={styles.pulled} /> : null}
    </g>
  );
}

/** Off the skin it bends up and away from it. */
function Arrow({
  drawn,
  from,
  to,
  kind,
  lift = 0,
}: {
  readonly drawn: Drawn;
  readonly from: Vec;
  readonly to: Vec;
  readonly kind: string | undefined;
  readonly lift?: number;
}) {
  const [a, b] = [drawn.at(from), drawn.at(to)];
  const up = Math.sin((lift * Math.PI) / 180) * Math.hypot(b[0] - a[0], b[1] - a[1]);
  const bend = `${(a[0] + b[0]) / 2} ${(a[1] + b[1]) / 2 - up * 0.15}`;
  return <path d={`M${a[0]} ${a[1]}Q${bend} ${b[0]} ${b[1] - up}`} className={kind} markerEnd="url(#pull-tip)" />;
}
