import type { PotWay } from '@/core/pots';

const TURN: Readonly<Record<PotWay, number>> = { rising: -45, steady: 0, falling: 45 };
const NAMES: Readonly<Record<PotWay, string>> = { rising: 'warmer', steady: 'steady', falling: 'cooler' };

/** Which way a pot goes. */
export function WayArrow({ way }: { readonly way: PotWay }) {
  return (
    <svg width="16" height="16" viewBox="-8 -8 16 16" role="img" aria-label={NAMES[way]}>
      <path
        d="M-6 0 H6 M1.5 -4.5 L6 0 L1.5 4.5"
        transform={`rotate(${TURN[way]})`}
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
