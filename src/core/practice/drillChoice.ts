// Which wax for this hair, and why? Cases as they come to the table, chosen by the matching engine where the house
// has no first choice; asked only where the choice is clear.

import { ZONES, type Family, type ZoneId } from '../anatomy';
import { matchOptions } from '../matching';
import { chooseVisit, planMemory, planVisit, randomCase, type VisitCase } from '../plan';
import { seededRandom, type Random } from '../shared';
import { WAX_ANSWERS, type Drill, type WaxAnswer } from './drillTypes';

type ProductDrill = Extract<Drill, { readonly kind: 'product' }>;

const ZONES_ASKED: readonly [ZoneId, ...ZoneId[]] = [
  'lower-leg-front',
  ...(['underarm', 'forearm', 'upper-lip', 'chin', 'upper-back', 'brow', 'thigh-front'] as const),
];
/** The next best family costs this much more, or cannot be used. */
const CLEAR = 1.15;
const MOST_TRIED = 60;
/** Hair that nothing holds yet, mm. */
const TOO_SHORT = { min: 1, max: 2.4 } as const;

const memory = planMemory();

/** The family that is clearly right for a case; null where it is a matter of taste. */
function clearly(visit: VisitCase): WaxAnswer | null {
  const made = chooseVisit(visit, { choiceOnly: true, memory });
  const [zone] = made.ok ? made.value.zones : [];
  if (!zone) return null;
  const { best, options } = matchOptions(zone.match, zone.found.options);
  if (!best) return 'none';
  const others = options.filter((o) => o.eligible && o.product.family !== best.product.family);
  return others.every((o) => o.cost > CLEAR * best.cost) ? best.product.family : null;
}

const bestOf = (visit: VisitCase, family: Family): readonly string[] => {
  const made = planVisit(visit, { memory });
  const [zone] = made.ok ? made.value.zones : [];
  const [own] = (zone?.options ?? []).filter((o) => o.family === family && !o.eligible);
  return own?.why.slice(0, 1) ?? [];
};

export function choice(answer: WaxAnswer, seed: number, random: Random): ProductDrill {
  for (let k = 0; k < MOST_TRIED; k++) {
    const own = seededRandom(Math.floor(random.next() * 2147483647));
    const usual = randomCase(own, { preferences: { first: 'none' } }, own.pick(ZONES_ASKED));
    const lengthMm = Math.round(10 * own.between(TOO_SHORT.min, TOO_SHORT.max)) / 10;
    const short = usual.zones.map((z) => ({ ...z, hair: { ...z.hair, lengthMm } }));
    const made = answer === 'none' ? { ...usual, zones: short } : usual;
    const [zone] = made.zones;
    if (!zone || clearly(made) !== answer) continue;
    const planned = planVisit(made, { memory });
    const [plan] = planned.ok ? planned.value.zones : [];
    const others = ZONES[zone.zone].families.filter((f) => f !== answer).flatMap((f) => bestOf(made, f));
    return {
      ...{ kind: 'product', zone: zone.zone, choices: WAX_ANSWERS, right: answer },
      hair: zone.hair,
      sensitivity: made.client.sensitivity ?? 3,
      why: [...(plan?.reasons.slice(0, 2) ?? []), ...others],
    };
  }
  throw new Error(`no case calls for ${answer} from seed ${seed}`);
}
