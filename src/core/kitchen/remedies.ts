// What went wrong, and what helps: boiled on, loosened, brushed down, thrown away. By the same balance as the recipe.

import { secondsLeft, type BoilInput } from './boil';
import { endC, waterLeftG, type Firmness, type Recipe } from './recipe';

export type Trouble = 'too-soft' | 'too-hard' | 'crystals' | 'burnt' | 'foam';

export interface Remedy {
  readonly trouble: Trouble;
  readonly asks: string;
  readonly says: string;
}

/** Too soft is boiled on by so much, K. */
export const BOIL_ON_K = 2;
const ORDER: readonly Firmness[] = ['soft', 'firm', 'hard'];

/** Hot water to stir in so that paste taken off at a heat becomes as soft as one taken off at a lower one, g. */
export const waterToLoosenG = (recipe: Recipe, offC: number, wantedC: number, waterC: number): number =>
  Math.max(0, waterLeftG(recipe, wantedC, waterC) - waterLeftG(recipe, offC, waterC));

export interface RemedyInput extends BoilInput {
  readonly firmness: Firmness;
  /** The last heat read, °C. */
  readonly readC: number;
}

/** Every trouble with its remedy for this batch as it stands, the likeliest first. */
export function remedies(input: RemedyInput): readonly Remedy[] {
  const { recipe, readC, firmness, waterC } = input;
  const aim = endC(firmness, waterC);
  const onC = Math.max(aim, readC) + BOIL_ON_K;
  const onS = secondsLeft({ ...input, endC: onC }, Math.max(readC, waterC));
  const softer = endC(ORDER[Math.max(0, ORDER.indexOf(firmness) - 1)] ?? 'soft', waterC);
  const over = Math.max(readC, aim);
  // too hard at the wanted heat: as soft as the next softer paste; over it: back to the wanted one
  const loosenG = waterToLoosenG(recipe, over, over > aim + 0.5 ? aim : Math.min(softer, aim - BOIL_ON_K), waterC);
  const list: readonly Remedy[] = [
    {
      trouble: 'too-soft',
      asks: 'Too soft?',
      says: `Boil on${onS === null ? '' : ` about ${Math.max(1, Math.round(onS / 60))} min`}, to ${Math.round(onC)} °C.`,
    },
    {
      trouble: 'too-hard',
      asks: 'Too hard?',
      says: `Off the heat: stir in ${Math.max(1, Math.round(loosenG))} g of hot water by the spoon. It spits.`,
    },
    {
      trouble: 'crystals',
      asks: 'Crystals?',
      says: 'Brush the rim with hot water; a little more lemon.',
    },
    { trouble: 'burnt', asks: 'Smoke, dark?', says: 'Burnt. Off the heat, throw it away.' },
  ];
  return readC > aim + 1
    ? [...list.filter((r) => r.trouble === 'too-hard'), ...list.filter((r) => r.trouble !== 'too-hard')]
    : list;
}
