import { memo, type KeyboardEvent } from 'react';
import type { PlanStrip } from '@/core/plan';
import type { Vec } from '@/core/shared';
import type { Slab } from '@/formats/slab';
import { ringCentre, ringPath } from '@/formats/stripsSvg';

export type StripLook = 'wax' | 'planned' | 'laying' | 'setting' | 'ready' | 'now' | 'off';

/** The least and greatest radius of a number's disc, px. */
const DISC_PX = [10, 19] as const;

/** Wax by how far it has set: its foot, its end, its tab. */
const WAX = {
  fresh: { foot: '#F4CB85', end: '#B7640C', bar: '#8A4A06' },
  setting: { foot: '#E6C488', end: '#A5681F', bar: '#7F4A10' },
  ready: { foot: '#D8BC93', end: '#93693B', bar: '#6F4C23' },
} as const;
const WAX_OF: Readonly<Record<StripLook, keyof typeof WAX | null>> = {
  wax: 'fresh',
  planned: null,
  laying: 'fresh',
  setting: 'setting',
  ready: 'ready',
  now: 'ready',
  off: null,
};

interface SlabProps {
  readonly strip: PlanStrip;
  readonly slab: Slab;
  readonly look: StripLook;
  readonly ids: string;
  readonly unit: number;
  readonly strong: boolean;
  readonly broken: boolean;
  readonly onChoose: ((id: string) => void) | undefined;
}

/**
 * A strip as a slab of wax with its tab and number; what is still to be laid is a dashed outline, what is off is bare.
 */
export const WaxSlab = memo(function WaxSlab({ strip, slab, look, ids, unit, strong, broken, onChoose }: SlabProps) {
  const wax = WAX_OF[look];
  const isOff = look === 'off';
  const r = Math.max(DISC_PX[0] * unit, Math.min(DISC_PX[1] * unit, slab.roomCm));
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
      {wax === null ? (
        <path
          d={slab.path}
          fill={isOff ? '#fbf4e6' : 'var(--wax)'}
          fillOpacity={isOff ? 0.9 : 0.07}
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
            <stop offset="0" stopColor={WAX[wax].foot} />
            <stop offset="1" stopColor={WAX[wax].end} />
          </linearGradient>
          <path
            d={slab.path}
            fill={`url(#${ids})`}
            stroke={strong ? 'var(--walnut)' : WAX[wax].bar}
            strokeWidth={(strong ? 4.5 : 1) * unit}
            strokeLinejoin="round"
          />
          <path d={slab.grain} stroke={WAX[wax].bar} strokeOpacity="0.45" strokeWidth={0.9 * unit} fill="none" />
        </>
      )}
      {isOff || strip.pulls < 2 ? null : <Tugs strip={strip} centre={ringCentre(strip.outline)} unit={unit} />}
      {isOff ? null : (
        <path
          d={ringPath(slab.tab)}
          fill={wax === null ? 'none' : WAX[wax].bar}
          stroke={sore ? 'var(--madder)' : WAX.fresh.bar}
          strokeWidth={(sore ? 3 : 1.2) * unit}
          strokeLinejoin="round"
        />
      )}
      <circle
        cx={slab.disc[0]}
        cy={slab.disc[1]}
        r={r}
        fill="#fffdf8"
        fillOpacity={isOff ? 0.4 : 1}
        stroke={strong ? 'var(--walnut)' : 'none'}
        strokeWidth={2 * unit}
      />
      <text
        x={slab.disc[0]}
        y={slab.disc[1] + r * 0.43}
        textAnchor="middle"
        fontSize={r * (order.length > 2 ? 0.92 : 1.2)}
        fontWeight="700"
        fill={isOff ? 'var(--second-ink)' : '#2a211a'}
        style={{ pointerEvents: 'none' }}
      >
        {order}
        {broken ? <tspan fill="#9e2f2a">!</tspan> : null}
      </text>
    </g>
  );
});

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
