import { memo, type CSSProperties, type KeyboardEvent } from 'react';
import type { StripMark } from '@/core/hands';
import type { PlanStrip } from '@/core/plan';
import type { Vec } from '@/core/shared';
import type { Slab } from '@/formats/slab';
import { ringCentre, ringPath } from '@/formats/stripsSvg';

export type StripLook = 'wax' | 'planned' | 'laying' | 'setting' | 'ready' | 'now' | 'off';

/** The glow of fresh wax in the evening, px. */
const HALO_PX = 12;
/** How far wax of a look has set, 0–1; null where none lies. */
const SET_OF: Readonly<Record<StripLook, number | null>> = {
  wax: 0,
  planned: null,
  laying: 0,
  setting: 0.4,
  ready: 1,
  now: 1,
  off: null,
};
/** The light on fresh wax is gone by then. */
const STREAK_GONE = 0.75;

const waxColour = (part: 'foot' | 'end' | 'tab', set: number): string =>
  `color-mix(in srgb, var(--set-${part}) ${Math.round(100 * set)}%, var(--fresh-${part}))`;

interface SlabProps {
  readonly strip: PlanStrip;
  readonly slab: Slab;
  readonly look: StripLook;
  readonly ids: string;
  readonly unit: number;
  readonly strong: boolean;
  readonly broken: boolean;
  /** The least and greatest radius of its number's disc, px. */
  readonly discPx: readonly [number, number];
  /** How far it has set, 0–1; absent = by its look. */
  readonly set?: number | undefined;
  /** How it came off. */
  readonly mark?: StripMark | null | undefined;
  /** Gone over again: the numbers there are those of the later strips. */
  readonly under?: boolean;
  readonly onChoose: ((id: string) => void) | undefined;
}

/**
 * A strip as a slab of wax with its tab and number; what is still to be laid is a dashed outline, what is off is bare.
 */
export const WaxSlab = memo(function WaxSlab({
  strip,
  slab,
  look,
  ids,
  unit,
  strong,
  broken,
  discPx,
  set: setShare,
  mark,
  under = false,
  onChoose,
}: SlabProps) {
  const set = SET_OF[look] === null ? null : (setShare ?? SET_OF[look]);
  const isOff = look === 'off';
  const r = discRadius(slab, discPx, unit);
  const sore = strip.tabOn === 'hair';
  const order = String(strip.number);
  return (
    <g
      {...(onChoose
        ? {
            role: 'button',
            tabIndex: 0,
            'aria-label': `Strip ${order}`,
            onClick: () => onChoose(strip.id),
            onKeyDown: (e: KeyboardEvent) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              onChoose(strip.id);
            },
            style: { cursor: 'pointer' },
          }
        : {})}
    >
      {set === null ? (
        <path
          d={slab.path}
          fill={isOff ? 'var(--skin)' : 'var(--wax)'}
          fillOpacity={isOff ? 1 : 0.07}
          stroke={isOff ? 'var(--hairline-strong)' : 'var(--wax-dark)'}
          strokeWidth={1.4 * unit}
          strokeDasharray={isOff ? `${1.5 * unit} ${4 * unit}` : `${6 * unit} ${4 * unit}`}
        />
      ) : (
        <>
          <linearGradient
            id={ids}
            gradientUnits="userSpaceOnUse"
            x1={slab.foot[0]}
            y1={slab.foot[1]}
            x2={slab.end[0]}
            y2={slab.end[1]}
          >
            <stop offset="0" stopColor={waxColour('foot', set)} />
            <stop offset="1" stopColor={waxColour('end', set)} />
          </linearGradient>
          <path
            className="wax-slab"
            style={{ '--halo': `${HALO_PX * unit * (1 - set)}px` } as CSSProperties}
            d={slab.path}
            fill={`url(#${ids})`}
            stroke={strong ? 'var(--walnut)' : waxColour('tab', set)}
            strokeWidth={(strong ? 4.5 : 1) * unit}
            strokeLinejoin="round"
          />
          <path
            d={slab.grain}
            stroke={waxColour('tab', set)}
            strokeOpacity="0.45"
            strokeWidth={0.9 * unit}
            fill="none"
          />
          {set < STREAK_GONE ? <Streak slab={slab} widthCm={strip.widthMm / 10} fade={1 - set / STREAK_GONE} /> : null}
        </>
      )}
      {isOff || strip.pulls < 2 ? null : <Tugs strip={strip} centre={ringCentre(strip.outline)} unit={unit} />}
      {isOff ? null : (
        <path
          d={ringPath(slab.tab)}
          fill={set === null ? 'none' : waxColour('tab', set)}
          stroke={sore ? 'var(--madder)' : 'var(--fresh-tab)'}
          strokeWidth={(sore ? 3 : 1.2) * unit}
          strokeLinejoin="round"
        />
      )}
      {under ? null : (
        <>
          <circle
            cx={slab.disc[0]}
            cy={slab.disc[1]}
            r={r}
            fill="var(--disc)"
            fillOpacity={isOff ? 0 : 1}
            stroke={discEdge(strong, isOff)}
            strokeWidth={2 * unit}
          />
          <text
            x={slab.disc[0]}
            y={slab.disc[1] + r * 0.43}
            textAnchor="middle"
            fontSize={r * (order.length > 2 ? 0.92 : 1.2)}
            fontWeight="700"
            fill={isOff ? 'var(--second-ink)' : 'var(--disc-ink)'}
            style={{ pointerEvents: 'none' }}
          >
            {order}
            {broken ? <tspan fill="var(--field-now)">!</tspan> : null}
          </text>
        </>
      )}
      {isOff && mark && !under ? <MarkSign mark={mark} middle={towardsFoot(slab, 2.1 * r)} r={r * 0.8} /> : null}
    </g>
  );
});

/** As large as its strip lets it be, between the least and the greatest, sheet centimetres. */
export const discRadius = (
  { roomCm }: Pick<Slab, 'roomCm'>,
  [least, most]: SlabProps['discPx'],
  unit: number,
): number => Math.max(least * unit, Math.min(most * unit, roomCm));

/** A place from the disc along the slab, away from its tab. */
function towardsFoot({ disc, foot, end }: Slab, byCm: number): Vec {
  const [x, y]: Vec = [foot[0] - end[0], foot[1] - end[1]];
  const length = Math.hypot(x, y) || 1;
  return [disc[0] + (byCm * x) / length, disc[1] + (byCm * y) / length];
}

const discEdge = (strong: boolean, isOff: boolean): string => {
  if (strong) return 'var(--disc-ink)';
  return isOff ? 'var(--hairline-strong)' : 'none';
};

/** Light on wax that has just been laid, along its length. */
function Streak({ slab, widthCm, fade }: { readonly slab: Slab; readonly widthCm: number; readonly fade: number }) {
  const along: Vec = [slab.end[0] - slab.foot[0], slab.end[1] - slab.foot[1]];
  const length = Math.hypot(...along) || 1;
  const aside: Vec = [(-along[1] / length) * 0.3 * widthCm, (along[0] / length) * 0.3 * widthCm];
  const on = (share: number): string =>
    `${slab.foot[0] + along[0] * share + aside[0]} ${slab.foot[1] + along[1] * share + aside[1]}`;
  return (
    <path
      d={`M${on(0.24)}L${on(0.66)}`}
      stroke="#fff6dd"
      strokeOpacity={0.85 * fade}
      strokeWidth={0.08 * widthCm}
      strokeLinecap="round"
    />
  );
}

/** How a strip came off, as a sign: tick, short hairs, zigzag, ring. */
export function MarkSign({
  mark,
  middle: [x, y],
  r,
}: {
  readonly mark: StripMark;
  readonly middle: Vec;
  readonly r: number;
}) {
  const at = (u: number, v: number): string => `${x + u * r} ${y + v * r}`;
  const SHAPES: Readonly<Record<StripMark, string>> = {
    clean: `M${at(-1, 0)}L${at(-0.3, 0.7)}L${at(1, -0.8)}`,
    'some-left': [-0.8, 0, 0.8].map((k) => `M${at(k - 0.2, 0.8)}L${at(k + 0.2, -0.8)}`).join(''),
    broke: `M${at(-1, 0.6)}L${at(-0.35, -0.6)}L${at(0.3, 0.6)}L${at(1, -0.6)}`,
    sore: `M${at(-1, 0)}A${r} ${r} 0 1 1 ${at(1, 0)}A${r} ${r} 0 1 1 ${at(-1, 0)}M${at(-0.1, 0)}L${at(0.1, 0)}`,
  };
  return (
    <path
      d={SHAPES[mark]}
      fill="none"
      stroke={mark === 'sore' ? 'var(--madder)' : 'var(--second-ink)'}
      strokeWidth={0.24 * r}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

/** Where one tug ends and the next begins. */
function Tugs({ strip, centre, unit }: { readonly strip: PlanStrip; readonly centre: Vec; readonly unit: number }) {
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
