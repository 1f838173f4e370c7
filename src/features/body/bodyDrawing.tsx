// Plain line drawings for the body map: no skin colour, no features but what helps to find a place. The silhouettes
// come from the core.

import { SILHOUETTES, type Figure } from '@/core/anatomy';

type Point = readonly [number, number];

/** Closed line through the corners of a region, rounded a little at each, never beyond the shorter of its two sides. */
export function closedCurve(points: readonly Point[]): string {
  const n = points.length;
  const at = (i: number): Point => points[((i % n) + n) % n] ?? [0, 0];
  const length = (a: Point, b: Point): number => Math.hypot(b[0] - a[0], b[1] - a[1]);
  /** Half the tangent at a corner. */
  const tangent = (i: number): Point => {
    const [a, b, c] = [at(i - 1), at(i), at(i + 1)];
    const span = length(a, c);
    const reach = span === 0 ? 0 : (0.3 * Math.min(length(a, b), length(b, c))) / span;
    return [(c[0] - a[0]) * reach, (c[1] - a[1]) * reach];
  };
  const f = (v: number): string => v.toFixed(2);
  const [x0, y0] = at(0);
  return `${points.reduce((path, from, k) => {
    const [to, out, into] = [at(k + 1), tangent(k), tangent(k + 1)];
    return `${path} C${f(from[0] + out[0])} ${f(from[1] + out[1])} ${f(to[0] - into[0])} ${f(to[1] - into[1])} ${to[0]} ${to[1]}`;
  }, `M${x0} ${y0}`)} Z`;
}

const line = { fill: 'none', stroke: 'var(--walnut)', strokeWidth: 0.9, strokeLinecap: 'round' } as const;
const faint = { ...line, stroke: 'var(--hairline-strong)', strokeWidth: 0.6 } as const;

/** Outlines first and their ground over them: what remains of the lines is the outline of all together. */
const silhouette = (figure: Figure): React.ReactNode => {
  const paths = SILHOUETTES[figure].map((ring) => `M${ring.map(([x, y]) => `${x} ${y}`).join('L')}Z`);
  return (
    <>
      <g {...line} strokeWidth="1.9" strokeLinejoin="round">
        {paths.map((d) => (
          <path key={d.slice(0, 24)} d={d} />
        ))}
      </g>
      <g fill="var(--sheet)">
        {paths.map((d) => (
          <path key={d.slice(0, 24)} d={d} />
        ))}
      </g>
    </>
  );
};

export const bodyOutline = (figure: Exclude<Figure, 'face'>): React.ReactNode => (
  <g>
    {silhouette(figure)}
    {figure === 'front' ? (
      <>
        <path d="M36 60.5 q6 5.5 12.5 1 M64 60.5 q-6 5.5 -12.5 1" {...faint} />
        <path d="M50 85.5 v2" {...line} />
        <path d="M36 103 Q42 110 49.5 113.5 M64 103 Q58 110 50.5 113.5" {...faint} />
        <path d="M38 151.5 q3.5 2.4 7 0 M62 151.5 q-3.5 2.4 -7 0" {...faint} />
      </>
    ) : (
      <>
        <path d="M50 40 V96" {...faint} />
        <path d="M50 98 V111 M33 110 q9 5 16.2 1.5 M67 110 q-9 5 -16.2 1.5" {...faint} />
        <path d="M55.5 150 h8 M44.5 150 h-8" {...faint} />
        <path d="M39.5 47 q-2.5 8 3 13 M60.5 47 q2.5 8 -3 13" {...faint} />
      </>
    )}
  </g>
);

export const faceOutline = (
  <g>
    <path d="M34 90 Q35.5 104 31 119 M66 90 Q64.5 104 69 119" {...line} />
    <path
      d="M83.4 47.5 q9.5 -6 9.6 7 q-.6 13 -7.4 19.5 q-2.4 1.6 -4.4 -.6 M16.6 47.5 q-9.5 -6 -9.6 7 q.6 13 7.4 19.5 q2.4 1.6 4.4 -.6"
      {...line}
    />
    {silhouette('face')}
    <path d="M56.5 47.5 q9.5 -6.5 20 -1.5 M43.5 47.5 q-9.5 -6.5 -20 -1.5" {...line} strokeWidth="1.6" />
    <path d="M58.5 55.5 q7.5 4.6 15 0 M41.5 55.5 q-7.5 4.6 -15 0" {...line} />
    <path d="M49 56 Q46 69 43.8 73.4 q2.6 3.4 6.2 1.6 q3.6 1.8 6.2 -1.6" {...line} />
    <path
      d="M38.6 84.8 q6 -3.6 11.4 -1.4 q5.4 -2.2 11.4 1.4 q-11.4 8.4 -22.8 0 Z M38.6 84.8 q11.4 2.6 22.8 0"
      {...line}
    />
    <path d="M45 94.5 q5 -1.6 10 0" {...faint} />
  </g>
);
