// The same visit worked with one family throughout: material, minutes and what is left over, side by side. From the
// options that the match has found anyway; a family that some zone rules out is said to be so.

import { FAMILIES, type Family, zoneKey } from '../anatomy';
import { marginOf, type Margin, type Rates } from '../materials';
import type { Plan, PlanOption } from './planTypes';

export interface FamilyMoney {
  readonly family: Family;
  /** Zones on which nothing of this family holds today; empty where the whole visit could be worked with it. */
  readonly notOn: readonly string[];
  readonly strips: number;
  readonly tableMinutes: number;
  /** Booked minutes: those of the plan with this family's minutes at the table. */
  readonly minutes: number;
  /** Null where it could not be done. */
  readonly margin: Margin | null;
}

/** Small things beside the product (sticks, cloth, gloves, …) are counted as in the plan. */
export function familyMoney(plan: Plan, priceMinor: number, rates: Rates): readonly FamilyMoney[] {
  const zones = plan.zones.filter((z) => z.choice !== null);
  const products = new Set(zones.flatMap((z) => z.options.map((o) => o.product)));
  const small = plan.materials.filter((m) => !products.has(m.item)).reduce((s, m) => s + m.costMinor, 0);
  return FAMILIES.map((family): FamilyMoney => {
    const best = zones.map((z) => ({
      zone: z,
      option: z.options.find((o): o is PlanOption => o.family === family && o.eligible),
    }));
    const notOn = best.filter((b) => !b.option).map((b) => zoneKey(b.zone));
    const sum = (of: (o: PlanOption) => number): number => best.reduce((s, b) => s + (b.option ? of(b.option) : 0), 0);
    const tableMinutes = sum((o) => o.allMinutes);
    const minutes = Math.max(1, plan.time.bookingMinutes - plan.time.allMinutes + tableMinutes);
    return {
      family,
      notOn,
      strips: sum((o) => o.strips),
      tableMinutes,
      minutes,
      margin:
        zones.length === 0 || notOn.length > 0
          ? null
          : marginOf({ priceMinor, materialsMinor: sum((o) => o.costMinor) + small, minutes }, rates),
    };
  });
}
