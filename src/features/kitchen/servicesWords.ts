import { ZONES } from '@/core/anatomy';
import { massUsedG } from '@/core/materials';
import { SHIPPED_PRODUCTS } from '@/core/products';

const PASTE = SHIPPED_PRODUCTS.find((p) => p.id === 'sugar-firm');
const HAND_MM = 2;

/** What a pair takes, moulded by hand, g; by the sheet of a usual body. */
function pairG(zone: 'underarm' | 'lower-leg-front'): number {
  const [wide, high] = ZONES[zone].sheetCm;
  const strip = { areaCm2: 2 * wide * high, thicknessMm: HAND_MM, coats: 1 };
  return PASTE ? massUsedG({ product: PASTE, manner: 'hand', ...strip }) : 1;
}

/** For how many visits so much paste does. */
export function servicesWords(grams: number): string {
  const [arms, shins] = [Math.floor(grams / pairG('underarm')), Math.floor(grams / pairG('lower-leg-front'))];
  return `about ${arms} pairs of underarms or ${shins} of shins`;
}
