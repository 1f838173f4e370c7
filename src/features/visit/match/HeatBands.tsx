import { deg, readHeat } from '@/formats/heat';
import type { WorkingWindow } from '@/core/heat';
import styles from './Match.module.css';

const WIDTH = 340;
const LEFT = 84;

export type BandWindow = Pick<WorkingWindow, 'flowC' | 'feelMaxC' | 'labelC' | 'minC' | 'maxC' | 'empty'>;

/** As it is read aloud. */
const told = (tempC: number): number => Math.round(readHeat(tempC));

/** The working window as the overlap of three bands: flows right, feels right, label; with this client's target. */
export function HeatBands({ window: w, targetC }: { readonly window: BandWindow; readonly targetC: number }) {
  const low = Math.floor(Math.min(w.flowC.min, w.labelC.min) / 2) * 2 - 2;
  const high = Math.ceil(Math.max(Math.min(w.flowC.max, w.labelC.max + 6), w.labelC.max) / 2) * 2 + 2;
  const x = (c: number): number =>
    LEFT + ((Math.min(high, Math.max(low, c)) - low) / (high - low)) * (WIDTH - LEFT - 12);
  const step = high - low > 16 ? 4 : 2;
  const ticks = Array.from({ length: Math.floor((high - low) / step) + 1 }, (_, i) => low + i * step);
  const rows = [
    { name: 'flows right', from: w.flowC.min, to: w.flowC.max, fill: 'var(--wax-tint)', line: 'var(--wax)' },
    { name: 'feels right', from: low, to: w.feelMaxC, fill: 'var(--verdigris-tint)', line: 'var(--verdigris)' },
    {
      name: 'label',
      from: w.labelC.min,
      to: w.labelC.max,
      fill: 'color-mix(in srgb, var(--muslin) 90%, var(--walnut))',
      line: 'var(--second-ink)',
    },
  ];
  const said = w.empty
    ? 'No working heat: the bands do not overlap.'
    : `Working heat at touch ${told(w.minC)} to ${told(w.maxC)} degrees, at ${told(targetC)}.`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 134`}
      role="img"
      aria-label={`${said} Estimate.`}
      className={styles.bands}
      data-feel-max={w.feelMaxC.toFixed(2)}
    >
      {ticks.map((c) => (
        <g key={c}>
          <line x1={x(c)} x2={x(c)} y1="4" y2="112" stroke="var(--hairline)" />
          <text x={x(c)} y="128" textAnchor="middle" fontSize="13" fill="var(--second-ink)">
            {deg(c)}
          </text>
        </g>
      ))}
      {rows.map((r, i) => (
        <g key={r.name}>
          <text x="0" y={24 + i * 34} fontSize="14" fill="var(--walnut)">
            {r.name}
          </text>
          <rect
            x={x(r.from)}
            y={8 + i * 34}
            width={Math.max(2, x(r.to) - x(r.from))}
            height="24"
            fill={r.fill}
            stroke={r.line}
            rx="4"
          />
        </g>
      ))}
      {w.empty ? null : (
        <rect
          x={x(w.minC)}
          y="3"
          width={Math.max(2, x(w.maxC) - x(w.minC))}
          height="108"
          fill="none"
          stroke="var(--walnut)"
          strokeWidth="2"
          strokeDasharray="5 3"
          rx="4"
        />
      )}
      <line x1={x(targetC)} x2={x(targetC)} y1="2" y2="114" stroke="var(--wax-dark)" strokeWidth="3" />
    </svg>
  );
}
