// Goods as they stand on the plank, first to be used at the left, filled as far as there is something in them; what the
// table keeps of what is for sale stands behind a fence.

import type { ShelfRow } from '@/server/services/shelf';

const [W, H, GAP, MOST] = [46, 58, 10, 5] as const;

export function Goods({ row }: { readonly row: ShelfRow }) {
  const { lots, pack, kind, unit } = row;
  const packs = lots.flatMap((lot) => {
    const count = Math.max(1, Math.ceil(lot.amount / pack));
    return Array.from({ length: count }, (_, i) => ({
      key: `${lot.id} ${i}`,
      lot: lot.lot,
      isPast: lot.isPast,
      // the open one is the one that is not full
      fill: Math.min(1, (lot.amount - (count - 1 - i) * pack) / pack),
    }));
  });
  const shown = packs.slice(0, MOST);
  const fill = kind === 'product' ? 'var(--wax)' : 'var(--hairline-strong)';
  const keptPacks = kind === 'retail' && unit === 'piece' ? row.reserve : 0;
  const fence = Math.min(shown.length, Math.ceil(keptPacks / pack));
  return (
    <svg viewBox={`0 0 ${MOST * (W + GAP) + 34} ${H + 16}`} role="img" aria-label={`${packs.length} on the plank`}>
      {shown.map((p, i) => {
        const x = 4 + i * (W + GAP);
        const height = (H - 12) * Math.max(0.05, p.fill);
        return (
          <g key={p.key} opacity={p.isPast ? 0.45 : 1}>
            <rect x={x} y={12 + H - height} width={W} height={height} fill={fill} />
            <rect
              x={x}
              y="18"
              width={W}
              height={H - 6}
              rx="4"
              fill="none"
              stroke="var(--walnut)"
              strokeWidth="2"
              strokeDasharray={p.isPast ? '4 3' : undefined}
            />
            <path d={`M${x + 4} 18 V12 H${x + W - 4} V18`} fill="none" stroke="var(--walnut)" strokeWidth="2" />
            {p.lot === '' ? null : (
              <text
                x={x + W / 2}
                y="46"
                textAnchor="middle"
                fontSize="12"
                fontWeight="700"
                fill="var(--walnut)"
                stroke="var(--sheet)"
                strokeWidth="4"
                paintOrder="stroke"
              >
                {p.lot.slice(0, 7)}
              </text>
            )}
          </g>
        );
      })}
      {packs.length > MOST ? (
        <text x={MOST * (W + GAP) + 4} y="50" fontSize="14" fill="var(--second-ink)">
          +{packs.length - MOST}
        </text>
      ) : null}
      {fence > 0 ? (
        <path
          d={`M2 6 H${fence * (W + GAP) - 1} V${H + 12}`}
          fill="none"
          stroke="var(--verdigris)"
          strokeWidth="2"
          strokeDasharray="5 4"
        />
      ) : null}
    </svg>
  );
}
