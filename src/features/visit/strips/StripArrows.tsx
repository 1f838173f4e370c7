// What a strip's lay and pull look like on the sheet: an arrow, and where the other hand holds the skin.

import type { PlanZone } from '@/core/plan';
import type { Vec } from '@/core/shared';

type Strip = PlanZone['strips'][number];

export function PullArrow({ strip, unit }: { readonly strip: Strip; readonly unit: number }) {
  const { tab, pull } = strip;
  const from = beside(tab, pull, strip);
  const hand: Vec = [tab[0] - pull[0] * 0.35, tab[1] - pull[1] * 0.35];
  return (
    <g style={{ pointerEvents: 'none' }}>
      <Arrow from={from} along={pull} length={strip.lengthMm / 10 + 0.9} unit={unit} />
      <circle cx={hand[0]} cy={hand[1]} r={14 * unit} fill="none" stroke="var(--verdigris)" strokeWidth={3 * unit} />
      <text
        x={hand[0] + 20 * unit}
        y={hand[1] + 8 * unit}
        fontSize={17 * unit}
        fill="var(--verdigris)"
        stroke="var(--sheet)"
        strokeWidth={4 * unit}
        paintOrder="stroke"
      >
        stretch here
      </text>
    </g>
  );
}

/** The stroke of the lay, ending in the thick tab. */
export function LayArrow({ strip, unit }: { readonly strip: Strip; readonly unit: number }) {
  const { lay, lengthMm, tab, pull } = strip;
  const length = lengthMm / 10;
  const end = beside(tab, pull, strip);
  // where lay and pull go the same way the stroke starts at the tab, else it ends there
  const towardsTab = lay[0] * pull[0] + lay[1] * pull[1] < 0;
  const from: Vec = towardsTab
    ? [end[0] - lay[0] * (length + 0.5), end[1] - lay[1] * (length + 0.5)]
    : [end[0] + lay[0] * 0.6, end[1] + lay[1] * 0.6];
  return (
    <g style={{ pointerEvents: 'none' }}>
      <Arrow from={from} along={lay} length={length} unit={unit} />
    </g>
  );
}

/** A point moved off the strip's middle line, so that its number stays readable. */
function beside(at: Vec, along: Vec, strip: Strip): Vec {
  const off = 0.24 * (strip.widthMm / 10);
  return [at[0] - along[1] * off, at[1] + along[0] * off];
}

function Arrow({
  from,
  along,
  length,
  unit,
}: {
  readonly from: Vec;
  readonly along: Vec;
  readonly length: number;
  readonly unit: number;
}) {
  const tip: Vec = [from[0] + along[0] * length, from[1] + along[1] * length];
  const head = 12 * unit;
  const [nx, ny] = [-along[1], along[0]];
  const neck: Vec = [tip[0] - along[0] * head * 1.4, tip[1] - along[1] * head * 1.4];
  return (
    <>
      <line
        x1={from[0]}
        y1={from[1]}
        x2={neck[0]}
        y2={neck[1]}
        stroke="var(--walnut)"
        strokeWidth={4 * unit}
        strokeLinecap="round"
      />
      <path
        d={`M${tip.join(' ')}L${neck[0] + nx * head * 0.75} ${neck[1] + ny * head * 0.75}L${neck[0] - nx * head * 0.75} ${neck[1] - ny * head * 0.75}Z`}
        fill="var(--walnut)"
      />
    </>
  );
}
