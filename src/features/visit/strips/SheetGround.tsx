// What a sheet of strips lies on: the body round the zone, its hair, what stays of it, marks that are kept clear of.

import { memo, useMemo } from 'react';
import { bodyRound, sheetFor, standingShare, ZONES } from '@/core/anatomy';
import { growthField } from '@/core/field';
import type { PlanZone } from '@/core/plan';
import { boxOf, type Ring, type Vec } from '@/core/shared';
import { ringPath } from '@/formats/stripsSvg';
import type { ChartData } from '@/server/db/schema';
import { hairPaths, plantHair } from '../chart/hairs';

/** Hairs drawn at most, per cm² and in all; more at the table, where the sheet is large. */
const SPARSE = 6;
const FEW = 700;
export const MANY_HAIRS = 1300;

/** Marks that are worked around, each with its clearance. */
export function KeptClear({ zone, unit }: { readonly zone: PlanZone; readonly unit: number }) {
  return zone.excluded.map((e) => (
    <g key={e.at.join()}>
      <circle
        cx={e.at[0]}
        cy={e.at[1]}
        r={e.clearanceMm / 10}
        fill="var(--sheet)"
        stroke="var(--madder)"
        strokeWidth={2 * unit}
        strokeDasharray={`${5 * unit} ${4 * unit}`}
      />
      <circle cx={e.at[0]} cy={e.at[1]} r={4 * unit} fill="var(--walnut)" />
    </g>
  ));
}

/** The body round the zone, faint. */
export function Ghost({ zone, unit }: { readonly zone: PlanZone; readonly unit: number }) {
  const round = bodyRound(zone.zone, zone.side);
  if (!round) return null;
  const [w, h] = zone.sheetCm;
  const onSheet = (ring: Ring): Ring => ring.map(([u, v]): Vec => [u * w, v * h]);
  return (
    <g fill="none" stroke="var(--ghost)" aria-hidden="true">
      {round.silhouette.map((ring, i) => (
        <path key={i} d={ringPath(onSheet(ring))} strokeWidth={1.6 * unit} />
      ))}
      {round.beside.map((ring, i) => (
        <path
          key={i}
          d={ringPath(onSheet(ring))}
          strokeWidth={1.2 * unit}
          strokeDasharray={`${1.5 * unit} ${5 * unit}`}
          strokeLinecap="round"
        />
      ))}
    </g>
  );
}

/** Hair that stays by what was agreed: its line, and the word on it. */
export function Stays({ zone, ids, unit }: { readonly zone: PlanZone; readonly ids: string; readonly unit: number }) {
  const [keep] = zone.keep;
  if (!keep) return null;
  const box = boxOf([zone.outline]);
  const { x0, x1, y0, y1 } = boxOf([keep.outline]);
  const [cx, cy] = [
    (Math.max(box.x0, x0) + Math.min(box.x1, x1)) / 2,
    (Math.max(box.y0, y0) + Math.min(box.y1, y1)) / 2,
  ];
  return (
    <g>
      <clipPath id={`${ids}keep`}>
        <path d={ringPath(zone.outline)} />
      </clipPath>
      <g clipPath={`url(#${ids}keep)`} fill="var(--verdigris)" fillOpacity="0.1" stroke="var(--verdigris)">
        {zone.keep.map((k) => (
          <path key={k.outline.join()} d={ringPath(k.outline)} strokeWidth={3 * unit} />
        ))}
      </g>
      <text
        x={cx}
        y={cy + 6 * unit}
        textAnchor="middle"
        fontSize={17 * unit}
        fontWeight="650"
        fill="var(--verdigris)"
        stroke="var(--sheet)"
        strokeWidth={4 * unit}
        paintOrder="stroke"
      >
        stays
      </text>
    </g>
  );
}

/** The hair under the strips, tapered. */
export const Hairs = memo(function Hairs({
  zone,
  data,
  unit,
  most = FEW,
}: {
  readonly zone: PlanZone;
  readonly data: ChartData;
  readonly unit: number;
  /** Hairs drawn at most. */
  readonly most?: number | undefined;
}) {
  const paths = useMemo(() => {
    const facts = ZONES[zone.zone];
    const sheet = sheetFor(facts, zone.side, {}, zone.sheetCm);
    if (!sheet.ok) return null;
    const field = growthField(facts, zone.side, sheet.value, data.strokes);
    const share = facts.thinned ? (at: Vec) => standingShare(facts, zone.side, sheet.value, at) : undefined;
    const ground = { outline: zone.outline, excluded: zone.excluded, areaCm2: zone.areaCm2, share };
    const roots = plantHair(
      ground,
      facts,
      data.hair.density,
      Math.min(most, SPARSE * zone.areaCm2),
    )(data.densities ?? []);
    return hairPaths(roots, field, data.hair);
  }, [zone, data, most]);
  if (!paths) return null;
  const width = (0.5 + 0.16 * data.hair.coarseness) * unit;
  return (
    <g stroke="var(--walnut)" strokeOpacity="0.6" strokeLinecap="round" fill="none">
      <path d={paths.whole} strokeWidth={width} />
      <path d={paths.root} strokeWidth={1.7 * width} />
    </g>
  );
});
