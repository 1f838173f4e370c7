import { memo } from 'react';
import { ZONES } from '@/core/anatomy';
import { growthField } from '@/core/field';
import { sheetFor } from '@/core/anatomy';
import type { PlanZone } from '@/core/plan';
import type { ChartData } from '@/server/db/schema';
import { boxOf, type Ring, type Vec } from '@/core/shared';
import { ringCentre, ringPath } from '@/formats/stripsSvg';
import { plantHair, wayOf } from '../chart/hairs';

export type StripLook = 'planned' | 'laying' | 'setting' | 'ready' | 'now' | 'off';

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
const MARGIN = 1.4;
const FILL: Readonly<Record<StripLook, { fill: string; opacity: number; stroke: string; dash?: string }>> = {
  planned: { fill: 'var(--wax)', opacity: 0.16, stroke: 'var(--wax-dark)' },
  laying: { fill: 'var(--wax)', opacity: 0.55, stroke: 'var(--walnut)' },
  setting: { fill: 'var(--wax)', opacity: 0.75, stroke: 'var(--walnut)' },
  ready: { fill: 'var(--wax)', opacity: 0.92, stroke: 'var(--verdigris)' },
  now: { fill: 'var(--wax)', opacity: 0.92, stroke: 'var(--walnut)' },
  off: { fill: 'var(--sheet)', opacity: 0.55, stroke: 'var(--hairline-strong)', dash: '.2 .18' },
};

/** Strips as translucent slabs over the hair: number, thick tab, pull arrow from the tab against the lay. */
export function StripSheet({
  zone,
  data,
  looks,
  chosen,
  onChoose,
  act,
  arrow = 'pull',
  broken,
  maxHeight = 400,
}: Props) {
  const box = boxOf([zone.outline, ...zone.strips.map((s): Ring => [s.tab])]);
  const [x0, y0] = [Math.min(0, box.x0) - MARGIN, Math.min(0, box.y0) - MARGIN];
  const [w, h] = [Math.max(zone.sheetCm[0], box.x1) + MARGIN - x0, Math.max(zone.sheetCm[1], box.y1) + MARGIN - y0];
  const unit = Math.max(w / 760, h / maxHeight);
  return (
    <svg
      viewBox={`${x0} ${y0} ${w} ${h}`}
      style={{ width: '100%', height: '100%', display: 'block' }}
      role="group"
      aria-label={`${ZONES[zone.zone].name}, ${zone.strips.length} strips`}
    >
      <path d={ringPath(zone.outline)} fill="#fbf4e6" stroke="var(--hairline-strong)" strokeWidth={1.5 * unit} />
      <Hairs zone={zone} data={data} unit={unit} />
      {zone.strips.map((s) => {
        const look = FILL[looks.get(s.id) ?? 'planned'];
        const isAct = s.id === act;
        const isChosen = s.id === chosen;
        const restInk = looks.get(s.id) === 'off' ? 'var(--second-ink)' : 'var(--walnut)';
        const centre = ringCentre(s.outline);
        const size = Math.min(34, Math.max(15, (s.widthMm / 10 / unit) * 0.34)) * unit;
        return (
          <g
            key={s.id}
            onClick={onChoose ? () => onChoose(s.id) : undefined}
            style={onChoose ? { cursor: 'pointer' } : undefined}
          >
            <path
              d={ringPath(s.outline)}
              fill={look.fill}
              fillOpacity={look.opacity}
              stroke={look.stroke}
              strokeWidth={(isAct || isChosen ? 3.5 : 1.5) * unit}
              strokeDasharray={look.dash}
            />
            {looks.get(s.id) === 'off' || s.pulls < 2 ? null : <Tugs strip={s} centre={centre} unit={unit} />}
            {looks.get(s.id) === 'off' ? null : <Tab strip={s} unit={unit} strong={isAct || isChosen} />}
            {isAct && arrow === 'lay' ? <LayArrow strip={s} unit={unit} /> : null}
            {(isAct && arrow !== 'lay') || (isChosen && !isAct) ? <PullArrow strip={s} unit={unit} /> : null}
            <text
              x={centre[0]}
              y={centre[1] + size * 0.36}
              textAnchor="middle"
              fontSize={size}
              fontWeight="700"
              fill={isAct ? 'var(--sheet)' : restInk}
              stroke={isAct ? 'var(--walnut)' : 'var(--sheet)'}
              strokeWidth={size * 0.16}
              paintOrder="stroke"
              style={{ pointerEvents: 'none' }}
            >
              {s.order}
              {broken?.has(s.id) ? <tspan fill="var(--madder)"> !</tspan> : null}
            </text>
          </g>
        );
      })}
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
    </svg>
  );
}

type Strip = PlanZone['strips'][number];

function Tab({ strip, unit, strong }: { readonly strip: Strip; readonly unit: number; readonly strong: boolean }) {
  const { tab, pull } = strip;
  const half = (strip.tabKind === 'end' ? Math.min(strip.widthMm / 20, 1.6) : 0.5) * 0.8;
  const [nx, ny] = [-pull[1], pull[0]];
  return (
    <line
      x1={tab[0] - nx * half + pull[0] * 0.45}
      y1={tab[1] - ny * half + pull[1] * 0.45}
      x2={tab[0] + nx * half + pull[0] * 0.45}
      y2={tab[1] + ny * half + pull[1] * 0.45}
      stroke={strip.tabOn === 'hair' ? 'var(--madder)' : 'var(--wax-dark)'}
      strokeWidth={(strong ? 10 : 6) * unit}
      strokeLinecap="round"
    />
  );
}

/** Where one tug ends and the next begins. */
function Tugs({ strip, centre, unit }: { readonly strip: Strip; readonly centre: Vec; readonly unit: number }) {
  const { pull, pulls, lengthMm, widthMm } = strip;
  const [nx, ny] = [-pull[1], pull[0]];
  const half = (0.4 * widthMm) / 10;
  return Array.from({ length: pulls - 1 }, (_, k) => {
    const along = ((k + 1) / pulls - 0.5) * (lengthMm / 10);
    const [x, y] = [centre[0] + pull[0] * along, centre[1] + pull[1] * along];
    return (
      <line
        key={k}
        x1={x - nx * half}
        y1={y - ny * half}
        x2={x + nx * half}
        y2={y + ny * half}
        stroke="var(--walnut)"
        strokeWidth={1.6 * unit}
        strokeDasharray={`${3 * unit} ${3 * unit}`}
      />
    );
  });
}

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
  const d = plantHair(
    { outline: zone.outline, excluded: zone.excluded, areaCm2: zone.areaCm2 },
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
