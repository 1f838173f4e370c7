// From a plan to the groups that the live table works through: the same jobs as the schedule had.

import { poseKey } from '../anatomy';
import type { LiveGroup, StripJob } from '../hands';
import type { Plan, PlanStrip, PlanZone } from './planTypes';
import { pullS } from './stripJobs';
import { roundSteps } from './tableSteps';

/** How often the pot has come down before a round: the heats of the same product up to it. */
function heatStage({ rounds }: Plan['schedule'], place: number): number {
  const { product } = rounds[place] ?? { product: '' };
  const heats = rounds.slice(0, place + 1).filter((g) => g.product === product);
  return heats.filter((g, i) => i > 0 && g.touchC !== heats[i - 1]?.touchC).length;
}

/** Sugar under cloth is spread and then covered; soft wax is laid with its cloth in one go. */
export const isCovered = (choice: PlanZone['choice']): boolean => choice?.family === 'sugar' && choice.way === 'strip';

/** Jobs in the order in which their first coat is laid. */
const layOrder = (plan: Plan, index: ReadonlyMap<string, number>): readonly number[] => [
  ...new Set(
    plan.schedule.events.flatMap((e) => (e.do === 'lay' && e.strip !== null ? (index.get(e.strip) ?? []) : [])),
  ),
];

/** The rounds in order of work; lay times are those of the schedule. */
export function liveGroups(plan: Plan): readonly LiveGroup[] {
  const layS = new Map<string, number>();
  for (const e of plan.schedule.events) {
    if (e.do === 'lay' && e.strip !== null && !layS.has(e.strip)) layS.set(e.strip, e.forS);
  }
  const strips = new Map<string, { strip: PlanStrip; zone: PlanZone }>(
    plan.zones.flatMap((zone) => zone.strips.map((strip) => [strip.id, { strip, zone }])),
  );
  return plan.schedule.rounds.map(({ product, position, parts, strips: ids }, place): LiveGroup => {
    const index = new Map(ids.map((id, i) => [id, i]));
    const indices = (list: readonly string[]): readonly number[] => list.flatMap((id) => index.get(id) ?? []);
    const jobs = ids.flatMap((id): StripJob[] => {
      const found = strips.get(id);
      if (!found) return [];
      const { strip, zone } = found;
      return [
        {
          id,
          side: zone.side === 'middle' ? null : zone.side,
          pose: poseKey(zone.zone, zone.side),
          layS: layS.get(id) ?? 10,
          coats: zone.choice?.coats === 2 ? 2 : 1,
          setMinS: strip.setS.min,
          setMaxS: strip.setS.max,
          ...(isCovered(zone.choice) && strip.spreadWith === null ? { spreads: true } : {}),
          ...(zone.heat?.rest ? { rest: zone.heat.rest } : {}),
          pullS: pullS(strip.lengthMm / 10, strip.pulls),
          pressS: zone.hands.pressS,
          needs: indices(strip.spreadWith === null ? strip.needsBefore : [...strip.needsBefore, strip.spreadWith]),
          touches: indices(strip.touches),
        },
      ];
    });
    const sequence = plan.schedule.events.flatMap((e) =>
      (e.do === 'lay' || e.do === 'pull') && e.strip !== null ? (index.get(e.strip) ?? []) : [],
    );
    return {
      product,
      heatStage: heatStage(plan.schedule, place),
      position,
      ...(parts.every((p) => p.pattern !== null) ? { order: layOrder(plan, index) } : {}),
      jobs,
      sequence,
      ...roundSteps(plan, place),
      maxOnSkin: plan.schedule.maxOnSkin,
      walkS: plan.schedule.walkS,
      poseS: plan.schedule.poseS,
    };
  });
}
