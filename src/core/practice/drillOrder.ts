// Which strip is laid next? A zone as the planner lays it, some strips off already; the others offered stand where the
// tab would lie on hair. A whole plan each, some tenths of a second.

import { planMemory, planVisit, type PlanStrip } from '../plan';
import type { Random } from '../shared';
import { LETTERS, type Drill, type Letter } from './drillTypes';
import { product } from './drillStrips';
import { practicePiece } from './levels';
import type { Scene } from './types';

type OrderDrill = Extract<Drill, { readonly kind: 'order' }>;

export const ORDER_LEVELS = ['first-steps', 'leg', 'back'] as const;
export type OrderLevel = (typeof ORDER_LEVELS)[number];

const SEEDS = 2147483647;
const MOST_TRIED = 8;
const memory = planMemory();
const PLANNED_ON = '2027-03-15';

/** Strips in the order of their lays. */
function plannedStrips({ zone, side, hair, sensitivity, skin, roomC }: Scene, id: string): readonly PlanStrip[] {
  const { lengthMm, coarseness, density, curl, history } = hair;
  const made = planVisit(
    {
      ...{ version: 1, on: PLANNED_ON },
      client: { consent: true, sensitivity, skin, knownProducts: [id] },
      studio: { roomC, products: [id] },
      zones: [{ zone, side, product: id, hair: { lengthMm, coarseness, density, curl, history } }],
    },
    { catalogue: [product(id)], memory },
  );
  const strips = made.ok ? (made.value.zones[0]?.strips ?? []) : [];
  return [...strips].sort((a, b) => a.order - b.order);
}

/** Does its tab still lie on hair, these being off? */
const isTooSoon = (strip: PlanStrip, off: ReadonlySet<string>): boolean => strip.needsBefore.some((n) => !off.has(n));

/** The letter that is right of a question: known from the seed alone. */
export const rightLetter = (seed: number): Letter => LETTERS[seed % LETTERS.length] ?? 'A';

/** Moments of the work at which one strip can be laid next and two others of those to come cannot. */
function moments(
  strips: readonly PlanStrip[],
): readonly { readonly laid: number; readonly tooSoon: readonly PlanStrip[] }[] {
  return strips.flatMap((next, laid) => {
    const off = new Set(strips.slice(0, laid).map((s) => s.id));
    const tooSoon = strips.slice(laid + 1).filter((s) => isTooSoon(s, off));
    return isTooSoon(next, off) || tooSoon.length < LETTERS.length - 1 ? [] : [{ laid, tooSoon }];
  });
}

export function order(level: OrderLevel, seed: number, random: Random): OrderDrill {
  for (let k = 0; k < MOST_TRIED; k++) {
    const { scene } = practicePiece(level, 'plain', (seed + 7919 * k) % SEEDS);
    const strips = plannedStrips(scene, random.pick(['cream-hard', 'soft']));
    const [first, ...more] = moments(strips);
    if (!first) continue;
    const { laid, tooSoon } = random.pick([first, ...more]);
    const from = random.whole(0, tooSoon.length - 1);
    const wrong = [tooSoon[from], tooSoon[(from + 1 + random.whole(0, tooSoon.length - 2)) % tooSoon.length]];
    const right = rightLetter(seed);
    const offered = LETTERS.map((letter) => ({ letter, strip: letter === right ? strips[laid] : wrong.shift() }));
    return {
      ...{ kind: 'order', scene, acts: [], choices: LETTERS, right, level },
      off: strips.slice(0, laid).map((s) => s.outline),
      others: strips.slice(laid).map((s) => s.outline),
      offered: offered.flatMap(({ letter, strip }) =>
        strip ? [{ letter, outline: strip.outline, tab: strip.tab }] : [],
      ),
    };
  }
  throw new Error(`no order to ask about from seed ${seed}`);
}
