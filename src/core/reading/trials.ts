// One side with one product, the other with another: what the client said and what was seen of each, side by side.
// Evidence for this client's next choice; it decides nothing by itself.

import { ZONES, type Side, type ZoneId } from '../anatomy';
import { dateInWords, type CivilDate } from '../shared';

export interface TrialSide {
  readonly side: Side;
  readonly product: string;
  readonly way: string;
  /** Null where it was not said. */
  readonly pain: number | null;
  readonly skin: string | null;
  /** Hairs left or tweezed; null where nothing was said. */
  readonly left: number | null;
  /** From its first lay to its last pull; null where the table did not note it. */
  readonly minutes: number | null;
}

export interface Trial {
  readonly zone: ZoneId;
  readonly on: CivilDate;
  readonly sides: readonly [TrialSide, TrialSide];
}

/** The zones of one visit whose two sides were worked with different products, or the same one in another way. */
export function trialsIn(on: CivilDate, worked: readonly (TrialSide & { readonly zone: ZoneId })[]): readonly Trial[] {
  return worked.flatMap((left): Trial[] => {
    const right = worked.find((w) => w.zone === left.zone && w.side === 'right');
    const isTrial = left.side === 'left' && right && (right.product !== left.product || right.way !== left.way);
    return isTrial ? [{ zone: left.zone, on, sides: [left, right] }] : [];
  });
}

function sideWords({ side, product, pain, skin, left, minutes }: TrialSide, name: (id: string) => string): string {
  const said = [
    pain === null ? '' : `pain ${pain}`,
    skin === null ? '' : `skin ${skin}`,
    left === null ? '' : `${left} left or tweezed`,
    minutes === null ? '' : `${minutes} min`,
  ].filter(Boolean);
  return `${side} ${name(product)}: ${said.length > 0 ? said.join(', ') : 'nothing said'}`;
}

/** `8 May 2027, underarm: left film hard: pain 5, skin pink, 9 min; right firm sugar: pain 3, skin calm, 12 min.` */
export const trialWords = ({ zone, on, sides: [a, b] }: Trial, name: (id: string) => string): string =>
  `${dateInWords(on)}, ${ZONES[zone].name.toLowerCase()}: ${sideWords(a, name)}; ${sideWords(b, name)}.`;
