import type { Vec } from '@/core/shared';

/** Which way an arrow key points, y down. */
export const ARROWS: Readonly<Record<string, Vec>> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};
