import type { Sheet, Side } from '@/core/anatomy';
import { browGuides } from '@/core/outcomes';
import type { Vec } from '@/core/shared';
import styles from './Keep.module.css';

interface Props {
  readonly side: Side;
  readonly sheet: Sheet;
  readonly place: (at: Vec) => Vec;
}

// shares of the left sheet, the nose to the left
const LID: readonly Vec[] = [
  [0.1, 1.02],
  [0.3, 0.9],
  [0.52, 0.9],
  [0.78, 1.0],
];
const LASHES: readonly Vec[] = [
  [0.1, 1.02],
  [0.28, 1.13],
  [0.56, 1.14],
  [0.78, 1.0],
];
const FOLD: readonly Vec[] = [
  [0.16, 0.93],
  [0.34, 0.83],
  [0.54, 0.83],
  [0.75, 0.92],
];
const NOSE: readonly Vec[] = [
  [-0.01, 0.72],
  [0.03, 0.86],
  [0.015, 1.0],
  [-0.02, 1.14],
];
const TEMPLE: readonly Vec[] = [
  [0.99, 0.3],
  [1.005, 0.6],
  [0.985, 0.9],
  [0.95, 1.12],
];

/** What lies round the brow: the shut eye, the ridge of the nose, the temple, and guides for a shape. */
export function BrowGround({ side, sheet, place }: Props) {
  const at = ([u, v]: Vec): Vec => place([(side === 'right' ? 1 - u : u) * sheet.widthCm, v * sheet.heightCm]);
  const curve = (points: readonly Vec[]): string => {
    const [a, b, c, d] = points.map(at);
    return `M${a?.join(' ')}C${b?.join(' ')} ${c?.join(' ')} ${d?.join(' ')}`;
  };
  const word = (p: Vec, text: string) => (
    <text x={at(p)[0]} y={at(p)[1]} className={styles.edge}>
      {text}
    </text>
  );
  return (
    <g>
      {[LID, LASHES, FOLD, NOSE, TEMPLE].map((points, i) => (
        <path key={i} d={curve(points)} className={styles.ghost} />
      ))}
      {word([0.44, 1.03], 'eye, shut')}
      {word([0.05, 0.98], 'nose')}
      {word([0.95, 0.24], 'temple')}
      <Named at={at} from={[0.24, 0.05]} to={[0.27, 0.34]} className={styles.stays}>
        stays
      </Named>
      <Named at={at} from={[0.9, 0.78]} to={[0.83, 0.6]} className={styles.goes}>
        goes
      </Named>
      {browGuides(side, sheet).map((g) => {
        const [from, to] = [place(g.from), place(g.to)];
        return (
          <g key={g.name}>
            <path d={`M${from.join(' ')}L${to.join(' ')}`} className={styles.guide} />
            <text x={to[0]} y={to[1] - 7} className={styles.edge}>
              {g.name}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** A word beside the sheet with a line to what it names. */
function Named({
  at,
  from,
  to,
  className,
  children,
}: {
  readonly at: (share: Vec) => Vec;
  readonly from: Vec;
  readonly to: Vec;
  readonly className: string | undefined;
  readonly children: string;
}) {
  const [[x, y], [ex, ey]] = [at(from), at(to)];
  return (
    <>
      <path d={`M${x} ${y}L${ex} ${ey}`} className={styles.leader} />
      <text x={x} y={y + (ey > y ? -5 : 16)} className={className}>
        {children}
      </text>
    </>
  );
}
