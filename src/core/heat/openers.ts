// What bounds a working window on either side, and what would open an empty one: a thinner slab within the label, or
// holding the load in the air before it is laid. Suggestions to be tried on the wrist; none of them makes an option
// eligible.

import { roundTo } from '../shared';
import { viscosityLaw } from '../products';
import { holdUntil, potForTouch } from './stick';
import { thicknessNodes } from './heatTable';
import { NARROWEST_K, workingWindow, type HeatNeed, type WorkingWindow } from './window';

export interface Opener {
  readonly kind: 'thinner' | 'hold';
  readonly text: string;
}

const c = (tempC: number): string => `${roundTo(tempC, 1)} °C`;

const HIGH_WORDS = {
  feel: (temp: string) => `this skin bears ${temp} on a slab half a millimetre thicker`,
  label: (temp: string) => `its label ends at ${temp}`,
  flow: (temp: string) => `it runs from ${temp}`,
} as const;

/** The bound on either side in words. */
export function boundWords(w: WorkingWindow): { readonly low: string; readonly high: string } {
  return {
    low:
      w.lowBound === 'flow' ? `flows slowly enough to grip only from ${c(w.minC)}` : `its label begins at ${c(w.minC)}`,
    high: HIGH_WORDS[w.highBound](c(w.maxC)),
  };
}

/** Stiffer than its band by up to this factor wax still spreads, in shorter strokes (from memory). */
const STILL_SPREADS = 2;
const LONGEST_HOLD_S = 30;

/**
 * The thickest slab, thinner than planned and within the label, that has a window; undefined where none has. Thinner
 * never bears less: halving finds it.
 */
function thinner(need: HeatNeed, planned: WorkingWindow): WorkingWindow | undefined {
  const slabs = thicknessNodes(need.manner).filter((mm) => mm < planned.thicknessMm - 1e-9);
  let best: WorkingWindow | undefined;
  let [low, high] = [0, slabs.length - 1];
  while (low <= high) {
    const mid = (low + high) >> 1;
    const window = workingWindow({ ...need, thicknessMm: slabs[mid] });
    if (window.empty) high = mid - 1;
    else {
      best = window;
      low = mid + 1;
    }
  }
  return best;
}

/** What would open an empty window; nothing where it is not empty or where nothing of one's own hand helps. */
export function windowOpeners(need: HeatNeed, window: WorkingWindow = workingWindow(need)): readonly Opener[] {
  // the label is never opened, and where flow and label clash no hand helps
  if (!window.empty || window.highBound !== 'feel') return [];
  const out: Opener[] = [];
  const slab = thinner(need, window);
  if (slab) {
    out.push({
      kind: 'thinner',
      text: `Laid ${slab.thicknessMm} mm thin it has one: ${c(slab.minC)} to ${c(slab.maxC)}.`,
    });
  }
  const stiffer = viscosityLaw(need.product.viscosity).atC(window.maxC) / need.manner.flowPaS.max;
  if (
    window.lowBound === 'flow' &&
    need.mannerName !== 'hand' &&
    stiffer <= STILL_SPREADS &&
    window.maxC >= need.manner.labelC.min
  ) {
    const stick = { product: need.product, roomC: need.roomC };
    const heldS = holdUntil(potForTouch(window.minC + NARROWEST_K, need.mannerName, stick), window.maxC, stick);
    if (heldS !== null && heldS <= LONGEST_HOLD_S) {
      out.push({
        kind: 'hold',
        text: `Held on the stick about ${Math.round(heldS)} s it touches at ${c(window.maxC)}, stiffer than usual: short strokes, wrist first.`,
      });
    }
  }
  return out;
}
