import type { StripPicture as Picture } from '@/core/reading';
import { seededRandom } from '@/core/shared';

/** The drawing's own size; the strip lies in it, foot to the left, tab to the right. */
const [WIDE, HIGH] = [160, 116];
const [X0, X1, Y0, Y1] = [12, 134, 8, 108];
/** How many hairs cling to the strip. */
const HAIRS: Readonly<Record<Picture, number>> = { roots: 54, sparse: 13, blunt: 40, flakes: 24, bare: 34 };
/** The patch without hair, in the drawing. */
const BALD = { x: 66, y: 58, rx: 32, ry: 30 } as const;

interface Hair {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  readonly length: number;
}

function hairsOf(kind: Picture): readonly Hair[] {
  const random = seededRandom(7 + HAIRS[kind]);
  const hairs: Hair[] = [];
  while (hairs.length < HAIRS[kind]) {
    const hair = {
      x: random.between(X0 + 10, X1 - 26),
      y: random.between(Y0 + 8, Y1 - 8),
      turn: random.between(-0.42, 0.18),
      length: kind === 'blunt' ? random.between(7, 11) : random.between(14, 22),
    };
    const isBald = ((hair.x - BALD.x) / BALD.rx) ** 2 + ((hair.y - BALD.y) / BALD.ry) ** 2 < 1;
    if (kind !== 'bare' || !isBald) hairs.push(hair);
  }
  return hairs;
}

const ALL: Readonly<Record<Picture, readonly Hair[]>> = {
  roots: hairsOf('roots'),
  sparse: hairsOf('sparse'),
  blunt: hairsOf('blunt'),
  flakes: hairsOf('flakes'),
  bare: hairsOf('bare'),
};
const FLAKES = Array.from({ length: 16 }, (_, i) => {
  const random = seededRandom(40 + i);
  return { x: random.between(X0 + 8, X1 - 14), y: random.between(Y0 + 8, Y1 - 8), r: random.between(3, 6) };
});

/** A strip as it comes off: with its roots, sparse, broken hair, flakes of skin, or a patch without hair. */
export function StripPicture({ kind }: { readonly kind: Picture }) {
  const isBlunt = kind === 'blunt';
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} aria-hidden="true">
      <linearGradient id={`like-${kind}`} x1="0" x2="1" y1="0" y2="0">
        <stop offset="0" stopColor="var(--set-foot)" />
        <stop offset="1" stopColor="var(--set-end)" />
      </linearGradient>
      <path
        d={`M${X0 + 14} ${Y0 + 1}Q80 ${Y0 - 5} ${X1} ${Y0 + 3}V${Y1 - 3}Q80 ${Y1 + 4} ${X0 + 14} ${Y1 - 1}Q${X0 - 8} 58 ${X0 + 14} ${Y0 + 1}Z`}
        fill={`url(#like-${kind})`}
        stroke="var(--set-tab)"
        strokeWidth="1.6"
      />
      {kind === 'flakes'
        ? FLAKES.map(({ x, y, r }, i) => (
            <path
              key={i}
              d={`M${x - r} ${y}L${x - 0.3 * r} ${y - 0.9 * r}L${x + r} ${y - 0.3 * r}L${x + 0.5 * r} ${y + 0.9 * r}Z`}
              fill="var(--disc)"
              stroke="var(--hairline-strong)"
              strokeWidth="0.7"
            />
          ))
        : null}
      {kind === 'bare' ? (
        <ellipse
          cx={BALD.x}
          cy={BALD.y}
          rx={BALD.rx}
          ry={BALD.ry}
          fill="none"
          stroke="var(--walnut)"
          strokeWidth="1.4"
          strokeDasharray="3 4"
        />
      ) : null}
      {ALL[kind].map(({ x, y, turn, length }, i) => {
        const [dx, dy] = [Math.cos(turn) * length, Math.sin(turn) * length];
        return (
          <g key={i} stroke="var(--disc-ink)" strokeLinecap={isBlunt ? 'butt' : 'round'}>
            <path
              d={`M${x} ${y}q${dx * 0.5} ${dy * 0.5 + (isBlunt ? 0 : 2)} ${dx} ${dy}`}
              fill="none"
              strokeWidth={isBlunt ? 2.6 : 1.5}
            />
            {isBlunt ? (
              <path d={`M${x + dx - 1} ${y + dy - 3}l2 6`} strokeWidth="1.2" />
            ) : (
              <ellipse cx={x} cy={y} rx="2.7" ry="2.1" fill="var(--disc)" strokeWidth="0.9" />
            )}
          </g>
        );
      })}
      <rect x={X1 - 4} y={Y0 - 3} width="14" height={Y1 - Y0 + 6} rx="4" fill="var(--set-tab)" />
    </svg>
  );
}
