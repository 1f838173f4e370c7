import { sized } from '@/formats/size';
import { dayMonthYear } from '@/ui/words';

const WIDTH = 420;
const HEIGHT = 66;

/** Lengths found at each visit, as pins of that length on a line of dates; one pin a visit. */
export function LengthThread({
  lengths,
}: {
  readonly lengths: readonly { readonly on: string; readonly lengthMm: number }[];
}) {
  const shown = lengths.slice(-12);
  const longest = Math.max(8, ...shown.map((l) => l.lengthMm));
  const x = (i: number): number => 16 + (i * (WIDTH - 40)) / Math.max(1, shown.length - 1);
  const y = (mm: number): number => HEIGHT - 18 - (mm / longest) * (HEIGHT - 34);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={shown.map((l) => `${dayMonthYear(l.on)}: ${sized(l.lengthMm, 'mm')}`).join('; ')}
      style={{ width: '100%', maxWidth: 460, display: 'block' }}
    >
      <line x1="4" x2={WIDTH - 4} y1={HEIGHT - 18} y2={HEIGHT - 18} stroke="var(--hairline-strong)" />
      {shown.map((l, i) => (
        <g key={l.on}>
          <path
            d={`M${x(i)} ${HEIGHT - 18} q 2 ${-(HEIGHT - 18 - y(l.lengthMm)) / 2} 0 ${-(HEIGHT - 18 - y(l.lengthMm))}`}
            stroke="var(--walnut)"
            strokeWidth="2"
            fill="none"
          />
          <text x={x(i) + 4} y={y(l.lengthMm) + 2} fontSize="12" fill="var(--walnut)">
            {l.lengthMm}
          </text>
          {i === 0 || i === shown.length - 1 ? (
            <text
              x={i === 0 ? 4 : WIDTH - 4}
              y={HEIGHT - 4}
              fontSize="11.5"
              textAnchor={i === 0 ? 'start' : 'end'}
              fill="var(--second-ink)"
            >
              {dayMonthYear(l.on)}
            </text>
          ) : null}
        </g>
      ))}
      <text x={WIDTH - 4} y="11" fontSize="11.5" textAnchor="end" fill="var(--second-ink)">
        mm
      </text>
    </svg>
  );
}
