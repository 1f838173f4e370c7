import { memo, useId, useMemo } from 'react';
import { bodyRound, sheetFor, standingShare, ZONES } from '@/core/anatomy';
import { growthField } from '@/core/field';
import type { PlanZone } from '@/core/plan';
import type { ChartData } from '@/server/db/schema';
import { boxOf, type Ring, type Vec } from '@/core/shared';
import { slabOf } from '@/formats/slab';
import { ringPath } from '@/formats/stripsSvg';
import { plantHair, wayOf } from '../chart/hairs';
import { lying } from './lying';
import { WaxSlab, type StripLook } from './WaxSlab';

export type { StripLook } from './WaxSlab';

interface Props {
  readonly zone: PlanZone;
  readonly data: ChartData;
  readonly looks: ReadonlyMap<string, StripLook>;
  readonly chosen?: string | null;
  readonly onChoose?: (id: string) => void;
  /** Tab, pull arrow and stretching hand of this strip are drawn large. */
  readonly act?: string | null;
  /** The arrow of the act: the stroke of the lay, or the pull from the tab. */
  readonly arrow?: 'lay' | 'pull';
  /** Strips that break a rule: marked with a bar and an exclamation mark. */
  readonly broken?: ReadonlySet<string>;
  /** About how tall it is drawn, px; sets the thickness of lines and figures. */
  readonly maxHeight?: number;
}

const SPARSE = 3.2;
/** Half the gap between slabs, how deep a tab is, the size of words, px. */
const INSET_PX = 2.5;
const TAB_PX = 12;
const WORD_PX = 15;

/**
 * The zone as it lies, what is beyond its borders, and the strips as wax: number, tab, grain along the lay; what is
 * still to be laid is a dashed outline, what is off is bare skin.
 */
export function StripSheet({
  zone: planned,
  data,
  looks,
  chosen,
  onChoose,
  act,
  arrow = 'pull',
  broken,
  maxHeight = 400,
}: Props) {
  const { zone, edges, transform } = useMemo(() => lying(planned), [planned]);
  const box = boxOf([zone.outline, ...zone.strips.map((s): Ring => [s.tab])]);
  const [w0, h0] = [box.x1 - box.x0, box.y1 - box.y0];
  const unit = Math.max(w0 / 640, h0 / (maxHeight - 60));
  const pad = 30 * unit;
  const [x0, y0, w, h] = [box.x0 - pad, box.y0 - pad, w0 + 2 * pad, h0 + 2 * pad];
  const slabs = useMemo(
    () => new Map(zone.strips.map((s) => [s.id, slabOf(s, INSET_PX * unit, TAB_PX * unit)])),
    [zone, unit],
  );
  const key = useId();
  return (
    <svg
      viewBox={`${x0} ${y0} ${w} ${h}`}
      style={{ width: '100%', height: '100%', display: 'block' }}
      role="group"
      aria-label={`${ZONES[zone.zone].name}, ${zone.strips.length} strips`}
    >
      <g transform={transform}>
        <Ghost zone={planned} unit={unit} />
      </g>
      <path d={ringPath(zone.outline)} fill="#fbf4e6" stroke="var(--hairline-strong)" strokeWidth={1.5 * unit} />
      <g transform={transform}>
        <Hairs zone={planned} data={data} unit={unit} />
      </g>
      {zone.strips.map((s) => {
        const slab = slabs.get(s.id);
        return slab ? (
          <WaxSlab
            key={s.id}
            strip={s}
            slab={slab}
            look={looks.get(s.id) ?? 'wax'}
            ids={`${key}${s.id}`}
            unit={unit}
            strong={s.id === act || s.id === chosen}
            broken={broken?.has(s.id) ?? false}
            onChoose={onChoose}
          />
        ) : null;
      })}
      {zone.strips.map((s) => {
        const isAct = s.id === act;
        if (isAct && arrow === 'lay') return <LayArrow key={s.id} strip={s} unit={unit} />;
        return isAct || s.id === chosen ? <PullArrow key={s.id} strip={s} unit={unit} /> : null;
      })}
      <Stays zone={zone} ids={key} unit={unit} />
      {zone.excluded.map((e) => (
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
      ))}
      <g fontSize={WORD_PX * unit} fill="var(--second-ink)" textAnchor="middle" aria-hidden="true">
        <text x={x0 + w / 2} y={y0 + 17 * unit}>
          {edges.up}
        </text>
        <text x={x0 + w / 2} y={y0 + h - 7 * unit}>
          {edges.down}
        </text>
        <text transform={`translate(${x0 + 17 * unit} ${y0 + h / 2}) rotate(-90)`}>{edges.left}</text>
        <text transform={`translate(${x0 + w - 17 * unit} ${y0 + h / 2}) rotate(90)`}>{edges.right}</text>
      </g>
    </svg>
  );
}

/** The body round the zone, faint. */
function Ghost({ zone, unit }: { readonly zone: PlanZone; readonly unit: number }) {
  const round = bodyRound(zone.zone, zone.side);
  if (!round) return null;
  const [w, h] = zone.sheetCm;
  const onSheet = (ring: Ring): Ring => ring.map(([u, v]): Vec => [u * w, v * h]);
  return (
    <g fill="none" stroke="#b9a994" aria-hidden="true">
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
function Stays({ zone, ids, unit }: { readonly zone: PlanZone; readonly ids: string; readonly unit: number }) {
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

type Strip = PlanZone['strips'][number];

function PullArrow({ strip, unit }: { readonly strip: Strip; readonly unit: number }) {
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
function LayArrow({ strip, unit }: { readonly strip: Strip; readonly unit: number }) {
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

/** A sparse drawing of the hair under the strips. */
export const Hairs = memo(function Hairs({
  zone,
  data,
  unit,
}: {
  readonly zone: PlanZone;
  readonly data: ChartData;
  readonly unit: number;
}) {
  const facts = ZONES[zone.zone];
  const sheet = sheetFor(facts, zone.side, {}, zone.sheetCm);
  if (!sheet.ok) return null;
  const field = growthField(facts, zone.side, sheet.value, data.strokes);
  const length = Math.min(1.2, data.hair.lengthMm / 10);
  const share = facts.thinned ? (at: Vec) => standingShare(facts, zone.side, sheet.value, at) : undefined;
  const d = plantHair(
    { outline: zone.outline, excluded: zone.excluded, areaCm2: zone.areaCm2, share },
    facts,
    data.hair.density,
    Math.min(700, SPARSE * zone.areaCm2),
  )(data.densities ?? [])
    .map((root) => {
      const { at } = root;
      const [dx, dy] = wayOf(root, field);
      return `M${at[0].toFixed(2)} ${at[1].toFixed(2)}l${(dx * length).toFixed(2)} ${(dy * length).toFixed(2)}`;
    })
    .join('');
  return <path d={d} stroke="var(--walnut)" strokeOpacity="0.55" strokeWidth={1.1 * unit} fill="none" />;
});
