// Figures of a product in the unit that the studio reads: what is typed becomes what is kept.

import { heatSign, heatTyped, readHeat } from '@/formats/heat';
import { readSize, sizeSign, sizeTyped, type Size } from '@/formats/size';

interface UnitRead {
  readonly read: (kept: number) => number;
  readonly typed: (read: number) => number;
  readonly unit: string;
  /** Of the arrow keys. @param own that of what is kept */
  readonly step: (own: number) => number;
}
const SIZES: readonly string[] = ['mm', 'cm', 'g', 'kg'] satisfies readonly Size[];
const isSize = (unit: string): unit is Size => SIZES.includes(unit);
/** An arrow key's step in another unit than the one that is kept. */
const OTHER_STEP = 0.01;
const same = (n: number): number => n;

/** @param kept `°C`, `mm`, `kg` … as the field is kept; what has no other unit stays */
export function unitRead(kept: string): UnitRead {
  if (kept === '°C') {
    return { read: (n) => Number(readHeat(n).toFixed(1)), typed: heatTyped, unit: heatSign(), step: same };
  }
  if (!isSize(kept) || sizeSign(kept) === kept) return { read: same, typed: same, unit: kept, step: same };
  return {
    read: (n) => Number(readSize(n, kept).toFixed(4)),
    typed: (n) => sizeTyped(n, kept),
    unit: sizeSign(kept),
    step: () => OTHER_STEP,
  };
}
