// The pot cut open: syrup, its foam, how far foam may come, the flame while it is on the heat.

import { sized } from '@/formats/size';
import type { Kettle } from '@/core/kitchen';
import { headroom, type Recipe } from '@/core/kitchen';

interface Props {
  readonly recipe: Recipe;
  readonly kettle: Kettle;
  readonly isOn: boolean;
  /** It foams while it boils. */
  readonly foams: boolean;
}

const [LEFT, RIGHT, TOP, FLOOR] = [22, 218, 30, 262] as const;

/** Bubbles of the foam, always the same, share of its width and height and their size. */
const BUBBLES = Array.from({ length: 42 }, (_, i) => ({
  x: ((i * 61) % 97) / 97,
  y: ((i * 37) % 53) / 53,
  r: 5 + ((i * 7) % 6),
}));

export function KettleDrawing({ recipe, kettle, isOn, foams }: Props) {
  const { fillCm, foamCm, freeCm, isEnough } = headroom(recipe, kettle);
  const y = (cm: number): number => FLOOR - ((FLOOR - TOP) * Math.min(cm, kettle.heightCm)) / kettle.heightCm;
  const syrupY = y(fillCm);
  const foamY = y(foams ? (fillCm + foamCm) / 2 : fillCm);
  const limitY = y(Math.min(kettle.heightCm - 1, foamCm));
  return (
    <svg
      viewBox="0 0 240 312"
      role="img"
      aria-label={`${sized(fillCm, 'cm', 1)} of syrup in the pot, ${sized(freeCm, 'cm', 0)} free`}
    >
      <path
        d={`M${LEFT} ${syrupY} H${RIGHT} V${FLOOR - 14} Q${RIGHT} ${FLOOR} ${RIGHT - 14} ${FLOOR} H${LEFT + 14} Q${LEFT} ${FLOOR} ${LEFT} ${FLOOR - 14} Z`}
        fill="var(--wax)"
        opacity="0.75"
      />
      {foams
        ? BUBBLES.map((b, i) => (
            <circle
              key={i}
              cx={LEFT + 8 + b.x * (RIGHT - LEFT - 16)}
              cy={syrupY - 3 - b.y * Math.max(6, syrupY - foamY - 8)}
              r={b.r}
              fill="var(--wax-tint)"
              stroke="var(--wax)"
              strokeWidth="1.5"
            />
          ))
        : null}
      <path
        d={`M${LEFT - 8} ${TOP} H${LEFT} V${FLOOR - 14} Q${LEFT} ${FLOOR} ${LEFT + 14} ${FLOOR} H${RIGHT - 14} Q${RIGHT} ${FLOOR} ${RIGHT} ${FLOOR - 14} V${TOP} H${RIGHT + 8}`}
        fill="none"
        stroke="var(--walnut)"
        strokeWidth="3"
      />
      <path d={`M${LEFT + 10} ${limitY} H${RIGHT - 10}`} stroke="var(--madder)" strokeWidth="2" strokeDasharray="6 4" />
      <text x="120" y={limitY - 6} textAnchor="middle" fill="var(--madder)" fontSize="13" fontWeight="700">
        {isEnough ? 'foam to here: heat down' : 'too full: it foams over'}
      </text>
      <text
        x={LEFT + 12}
        y={Math.max(limitY + 26, (limitY + foamY) / 2 + 5)}
        fontSize="16"
        fontWeight="700"
        fill="var(--walnut)"
      >
        {sized(freeCm, 'cm', 0)} free
      </text>
      {isOn ? (
        <g fill="none" stroke="var(--madder)" strokeWidth="2">
          {[50, 85, 120, 155, 190].map((x) => (
            <path key={x} d={`M${x} 272 q7 10 0 18 q-7 -8 0 -18z`} fill="var(--madder-tint)" />
          ))}
        </g>
      ) : null}
      <path d="M14 298 H226" stroke="var(--walnut)" strokeWidth="2" />
    </svg>
  );
}
