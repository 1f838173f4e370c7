import { lengthSpreadCv } from '@/core/hair';
import { sigmaOfCv } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';

const WIDTH = 150;
const HEIGHT = 30;
const MOST_MM = 18;

/** The length distribution of today's hair; filled where the product can hold it, its limits as dotted lines. */
export function HoldCurve({
  hair,
  shortestMm,
  longestMm,
}: {
  readonly hair: ChartHair;
  readonly shortestMm: number;
  readonly longestMm: number;
}) {
  const sigma = sigmaOfCv(lengthSpreadCv(hair));
  const density = (mm: number): number => Math.exp(-0.5 * (Math.log(mm / hair.lengthMm) / sigma) ** 2) / mm;
  const peak = density(hair.lengthMm * Math.exp(-sigma * sigma));
  const x = (mm: number): number => (mm / MOST_MM) * WIDTH;
  const y = (mm: number): number => HEIGHT - 1 - (density(mm) / peak) * (HEIGHT - 5);
  const path = (from: number, to: number): string => {
    const points = Array.from({ length: 41 }, (_, i) => from + ((to - from) * i) / 40);
    return `M${x(from)} ${HEIGHT - 1} ${points.map((mm) => `L${x(mm).toFixed(1)} ${y(Math.max(0.05, mm)).toFixed(1)}`).join(' ')} L${x(to)} ${HEIGHT - 1} Z`;
  };
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden="true"
      style={{ maxWidth: '100%', display: 'block' }}
    >
      <path d={path(0.1, MOST_MM)} fill="#e6d9c2" />
      <path d={path(shortestMm, Math.min(MOST_MM, longestMm))} fill="var(--wax)" />
      <line x1={x(shortestMm)} x2={x(shortestMm)} y1="1" y2={HEIGHT} stroke="var(--walnut)" strokeDasharray="2 2" />
      <line x1={x(longestMm)} x2={x(longestMm)} y1="8" y2={HEIGHT} stroke="var(--walnut)" strokeDasharray="2 2" />
      <line x1="0" x2={WIDTH} y1={HEIGHT - 0.5} y2={HEIGHT - 0.5} stroke="var(--hairline-strong)" />
    </svg>
  );
}
