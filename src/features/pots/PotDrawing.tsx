// A pot cut open: the can with its wax as high as its grams, the heater's coils lit while it is on, the probe.

/** Grams of a can filled to its rim line (from memory: half a litre). */
const FULL_G = 500;
const [TOP, BOTTOM] = [40, 150];
const COILS = [56, 80, 104, 128];

interface Props {
  readonly waxG: number;
  readonly isOn: boolean;
  readonly hasProbe: boolean;
  /** Paste is paler than wax. */
  readonly isPaste: boolean;
}

export function PotDrawing({ waxG, isOn, hasProbe, isPaste }: Props) {
  const level = BOTTOM - (BOTTOM - TOP) * Math.min(1, waxG / FULL_G);
  return (
    <svg viewBox="0 0 230 172" width="180" height="135" role="img" aria-label={`${waxG} g in the pot`}>
      <path
        d="M12 44 V140 Q12 166 42 166 H158 Q188 166 188 140 V44"
        fill="var(--sheet)"
        stroke="var(--walnut)"
        strokeWidth="2"
      />
      <path
        d={`M32 ${level} H168 V${BOTTOM - 20} Q168 ${BOTTOM} 146 ${BOTTOM} H54 Q32 ${BOTTOM} 32 ${BOTTOM - 20} Z`}
        fill={isPaste ? 'var(--wax-tint)' : 'var(--wax)'}
      />
      <path
        d={`M32 24 V${BOTTOM - 20} Q32 ${BOTTOM} 54 ${BOTTOM} H146 Q168 ${BOTTOM} 168 ${BOTTOM - 20} V24`}
        fill="none"
        stroke="var(--walnut)"
        strokeWidth="2.5"
      />
      <path d={`M32 ${level} H206`} stroke="var(--walnut)" strokeWidth="1.5" strokeDasharray="5 4" />
      {COILS.flatMap((y) =>
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
