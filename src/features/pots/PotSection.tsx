// A pot cut open: the can with its wax as high as its grams, what is molten and what is still solid, how far down the
// visits of today will take it, the heater's rings lit while it is on, the probe.

import { sized } from '@/formats/size';

/** Grams of a can filled to its rim line (from memory: half a litre). */
const FULL_G = 500;
const [TOP, BOTTOM, LEFT, RIGHT] = [40, 150, 32, 168] as const;
const RINGS = [56, 80, 104, 128];
/** Levels nearer to each other are not written twice, px. */
const APART = 15;

export interface Level {
  readonly label: string;
  readonly grams: number;
}

interface Props {
  readonly waxG: number;
  /** Share that is molten, 0–1; null = not known. */
  readonly melted: number | null;
  readonly isOn: boolean;
  readonly hasProbe: boolean;
  /** Paste is paler than wax. */
  readonly isPaste: boolean;
  /** What the visits will leave, in their order. */
  readonly after: readonly Level[];
}

const yOf = (grams: number): number => BOTTOM - (BOTTOM - TOP) * Math.min(1, Math.max(0, grams / FULL_G));

function spread(levels: readonly Level[]): readonly (Level & { readonly y: number })[] {
  const shown: (Level & { readonly y: number })[] = [];
  for (const level of levels) {
    const y = yOf(level.grams);
    const last = shown.at(-1);
    if (!last || y - last.y >= APART) shown.push({ ...level, y });
  }
  return shown;
}

export function PotSection({ waxG, melted, isOn, hasProbe, isPaste, after }: Props) {
  const level = yOf(waxG);
  const wax = `M${LEFT} ${level} H${RIGHT} V${BOTTOM - 20} Q${RIGHT} ${BOTTOM} ${RIGHT - 22} ${BOTTOM} H${LEFT + 22} Q${LEFT} ${BOTTOM} ${LEFT} ${BOTTOM - 20} Z`;
  const isCold = melted !== null && melted < 0.05 && !isPaste;
  const core = melted === null || isPaste ? 0 : Math.sqrt(1 - melted);
  const [cx, cy] = [(LEFT + RIGHT) / 2, (level + BOTTOM) / 2];
  const levels = spread([{ label: `now ${sized(waxG, 'g')}`, grams: waxG }, ...after]);
  return (
    <svg viewBox="0 0 300 172" role="img" aria-label={sectionWords(waxG, melted, isPaste)}>
      <path
        d="M12 44 V140 Q12 166 42 166 H158 Q188 166 188 140 V44"
        fill="var(--sheet)"
        stroke="var(--walnut)"
        strokeWidth="2"
      />
      <path d={wax} fill={isPaste || isCold ? 'var(--wax-tint)' : 'var(--wax)'} />
      {isCold ? (
        <g stroke="var(--second-ink)" strokeWidth="1.5">
          {[0, 1, 2, 3, 4, 5].map((i) => (
            <path
              key={i}
              d={`M${52 + ((i * 43) % 96)} ${level + 14 + ((i * 17) % Math.max(10, BOTTOM - level - 24))} h14`}
            />
          ))}
        </g>
      ) : null}
      {core > 0.3 && !isCold && waxG > 0 ? (
        <>
          <ellipse
            cx={cx}
            cy={cy}
            rx={(core * (RIGHT - LEFT - 24)) / 2}
            ry={(core * (BOTTOM - level - 12)) / 2}
            fill="var(--wax-tint)"
            stroke="var(--wax-dark)"
            strokeWidth="1.5"
            strokeDasharray="5 3"
          />
          <text x={cx - 18} y={cy + 5} textAnchor="middle" fontSize="13" fill="var(--walnut)">
            solid
          </text>
        </>
      ) : null}
      <path
        d={`M${LEFT} 24 V${BOTTOM - 20} Q${LEFT} ${BOTTOM} ${LEFT + 22} ${BOTTOM} H${RIGHT - 22} Q${RIGHT} ${BOTTOM} ${RIGHT} ${BOTTOM - 20} V24`}
        fill="none"
        stroke="var(--walnut)"
        strokeWidth="2.5"
      />
      {levels.map(({ label, y }) => (
        <g key={label}>
          <path d={`M${LEFT} ${y} H200`} stroke="var(--walnut)" strokeWidth="1.5" strokeDasharray="5 4" />
          <text x="204" y={y + 4} fontSize="13" fill="var(--walnut)">
            {label}
          </text>
        </g>
      ))}
      {RINGS.flatMap((y) =>
        [22, 178].map((x) => (
          <circle
            key={`${x} ${y}`}
            cx={x}
            cy={y}
            r="4.5"
            fill={isOn ? 'var(--madder-tint)' : 'var(--sheet)'}
            stroke={isOn ? 'var(--madder)' : 'var(--hairline-strong)'}
            strokeWidth="2"
          />
        )),
      )}
      {hasProbe ? (
        <g stroke="var(--walnut)" fill="var(--sheet)">
          <path d="M136 4 V112" strokeWidth="3.5" />
          <circle cx="136" cy="114" r="4.5" strokeWidth="2" />
        </g>
      ) : null}
    </svg>
  );
}

function sectionWords(waxG: number, melted: number | null, isPaste: boolean): string {
  if (melted === null || isPaste) return `${sized(waxG, 'g')} in the pot`;
  return `${sized(waxG, 'g')} in the pot, about ${Math.round(100 * melted)} % molten`;
}
