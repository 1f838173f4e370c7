// What was drawn for one client in words, beside what was agreed.

import type { ZoneId } from '../anatomy';
import { BROW_STEPS } from './browLine';
import type { DrawnKeep } from './drawn';

/** `The line 0.5 mm off the lower edge, moved by hand.`; empty where nothing was drawn for what was agreed. */
export function keepInWords(zone: ZoneId, outcome: string, drawn: DrawnKeep | undefined): string {
  if (drawn?.outcome !== outcome) return '';
  const step = zone === 'brow' ? BROW_STEPS.find((s) => s.step === drawn.step && s.outcome === outcome) : undefined;
  const moved = drawn.lines !== undefined;
  if (step) return `${step.says}${moved ? ' The line was moved by hand.' : ''}`;
  return moved ? 'The line was moved by hand.' : '';
}
