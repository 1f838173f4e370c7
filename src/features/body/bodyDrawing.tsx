// Plain line drawings for the body map: no skin colour, no features but what helps to find a place. Units of anatomy/bodyMap.ts.

import type { Figure } from '@/core/anatomy';

type Point = readonly [number, number];

/** Right half of the outline, from the neck down the arm and the leg to the crotch; the left half mirrors it. */
const HALF: readonly Point[] = [
  [54.5, 26], [55.5, 30], [62, 32], [68, 34], [71.5, 39], [72.5, 48], [74.5, 62], [75.5, 74], [78, 88], [79.5, 102], [82, 112], [81, 119], [77.5, 120], [74.5, 114], [73, 102], [69.5, 86],
  [67.5, 72], [66.5, 58], [65, 66], [64.5, 78], [66.5, 90], [67, 104], [66, 122], [64, 142], [63.5, 156], [63.8, 168], [61.5, 184], [60.3, 196], [64, 206], [62.5, 209.5], [54, 209.5], [53.4, 198],
  [52.6, 180], [52.8, 158], [52.2, 142], [51, 120], [50, 107],
];

/** Smooth line through points (Catmull–Rom as cubic Béziers). */
function smooth(points: readonly Point[]): string {
  const at = (i: number): Point => points[Math.min(points.length - 1, Math.max(0, i))] ?? [0, 0];
  const start = at(0);
  return points.slice(1).reduce((path, p, k) => {
    const [a, b, d] = [at(k - 1), at(k), at(k + 2)];
    const one: Point = [b[0] + (p[0] - a[0]) / 6, b[1] + (p[1] - a[1]) / 6];
    const two: Point = [p[0] - (d[0] - b[0]) / 6, p[1] - (d[1] - b[1]) / 6];
    return `${path} C${one[0].toFixed(2)} ${one[1].toFixed(2)} ${two[0].toFixed(2)} ${two[1].toFixed(2)} ${p[0]} ${p[1]}`;
  }, `M${start[0]} ${start[1]}`);
}

/** Closed smooth line through the corners of a region, kept close to them. */
export function closedCurve(points: readonly Point[]): string {
  const n = points.length;
  const at = (i: number): Point => points[((i % n) + n) % n] ?? [0, 0];
  const [x0, y0] = at(0);
  return `${points.reduce((path, _, k) => {
    const [a, b, p, d] = [at(k - 1), at(k), at(k + 1), at(k + 2)];
    const one: Point = [b[0] + (p[0] - a[0]) / 9, b[1] + (p[1] - a[1]) / 9];
    const two: Point = [p[0] - (d[0] - b[0]) / 9, p[1] - (d[1] - b[1]) / 9];
    return `${path} C${one[0].toFixed(2)} ${one[1].toFixed(2)} ${two[0].toFixed(2)} ${two[1].toFixed(2)} ${p[0]} ${p[1]}`;
  }, `M${x0} ${y0}`)} Z`;
}

const line = { fill: 'none', stroke: 'var(--walnut)', strokeWidth: 0.9, strokeLinecap: 'round' } as const;
const faint = { ...line, stroke: 'var(--hairline-strong)', strokeWidth: 0.6 } as const;
const mirror = (points: readonly Point[]): readonly Point[] => points.map(([x, y]): Point => [100 - x, y]);
const body = `${smooth(HALF)} ${smooth([...mirror(HALF)].reverse()).replace('M', 'L')}`;

export const bodyOutline = (figure: Exclude<Figure, 'face'>): React.ReactNode => (
  <g>
    <path d={body} {...line} fill="var(--sheet)" />
    <ellipse cx="50" cy="14.5" rx="8.6" ry="11.2" {...line} fill="var(--sheet)" />
    {figure === 'front' ? (
      <>
        <path d="M38 46 q4 6 9 2 M62 46 q-4 6 -9 2" {...faint} />
        <path d="M50 84 v2.2" {...line} />
        <path d="M40 92 L49 107 M60 92 L51 107" {...faint} />
        <path d="M54 146 q4 3 8 0 M46 146 q-4 3 -8 0" {...faint} />
        <path d="M66.5 58 q-2.5 -6 0 -11 M33.5 58 q2.5 -6 0 -11" {...faint} />
      </>
    ) : (
      <>
        <path d="M50 33 V86" {...faint} />
        <path d="M50 90 V106 M36 106 q7 4 13 0 M64 106 q-7 4 -13 0" {...faint} />
        <path d="M55 148 h6 M39 148 h6" {...faint} />
        <path d="M42 40 q-3 8 2 14 M58 40 q3 8 -2 14" {...faint} />
      </>
    )}
  </g>
);

export const faceOutline = (
  <g>
    <path d="M36 92 L34 119 M64 92 L66 119" {...line} />
    <path d="M50 10 C72 10 84 28 83 50 C82 76 68 103 50 103 C32 103 18 76 17 50 C16 28 28 10 50 10 Z" {...line} fill="var(--sheet)" />
    <path d="M84 46 q8 -4 8 6 q-1 12 -8 14 M16 46 q-8 -4 -8 6 q1 12 8 14" {...line} />
    <path d="M57 43 q10 -6 20 -1 M43 43 q-10 -6 -20 -1" {...line} strokeWidth="1.6" />
    <path d="M59 52 q8 -5 15 0 M41 52 q-8 -5 -15 0" {...line} />
    <path d="M50 50 L47.5 65 q2.5 3 5 0" {...line} />
    <path d="M38 82 q6 -4 12 -1 q6 -3 12 1 q-12 7 -24 0 Z" {...line} />
    <path d="M45 97 q5 2 10 0" {...faint} />
  </g>
);
