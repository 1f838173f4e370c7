// Strips of a zone for the question of their order: off, still to come, and the three that are offered by a letter.

import type { Drill } from '@/core/practice';
import type { Drawn } from './SkinSheet.client';
import styles from './Practice.module.css';

export function OrderDrawing({
  drawn,
  drill,
}: {
  readonly drawn: Drawn;
  readonly drill: Extract<Drill, { kind: 'order' }>;
}) {
  return (
    <g>
      {drill.off.map((ring, k) => (
        <path key={`off${k}`} d={drawn.path(ring)} className={styles.offStrip} />
      ))}
      {drill.others.map((ring, k) => (
        <path key={`to${k}`} d={drawn.path(ring)} className={styles.toCome} />
      ))}
      {drill.offered.map(({ letter, outline, tab }) => {
        const [x, y] = drawn.at(middleOf(outline));
        const [tx, ty] = drawn.at(tab);
        return (
          <g key={letter}>
            <path d={drawn.path(outline)} className={styles.wax} />
            <circle cx={tx} cy={ty} r={9} className={styles.tab} />
            <circle cx={x} cy={y} r={19} className={styles.letterDisc} />
            <text x={x} y={y} className={styles.letter}>
              {letter}
            </text>
          </g>
        );
      })}
    </g>
  );
}

const middleOf = (ring: readonly (readonly [number, number])[]): readonly [number, number] => [
  ring.reduce((s, p) => s + p[0], 0) / Math.max(1, ring.length),
  ring.reduce((s, p) => s + p[1], 0) / Math.max(1, ring.length),
];
