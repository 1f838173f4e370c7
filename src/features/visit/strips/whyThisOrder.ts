// Why a strip comes where it does, in words, from its tab and its neighbours.

import type { Plan, PlanStrip } from '@/core/plan';
import { FELT_DENSITY } from '@/core/strips';

const TABS: Readonly<Record<PlanStrip['tabKind'], string>> = {
  end: 'whole end',
  narrow: 'narrow end',
  hook: 'side, as a hook',
  stick: 'stick',
};

/** Where densities differ: how thick the hair is here, and whether that is why it comes early. */
function thinness(strip: PlanStrip, plan: Plan): readonly string[] {
  const zone = plan.zones.find((z) => z.strips.includes(strip));
  const others = zone?.strips.flatMap((s) => s.density ?? []) ?? [];
  if (strip.density === null || others.length === 0) return [];
  const [least, most] = [Math.min(...others), Math.max(...others)];
  if (most - least < FELT_DENSITY) return [];
  if (strip.density - least < FELT_DENSITY) {
    return ['Among the thinnest hair: it comes before thicker hair where tabs and the clock allow it.'];
  }
  if (most - strip.density < FELT_DENSITY) {
    return ['Among the thickest hair: thinner hair goes first where tabs and the clock allow it.'];
  }
  return [];
}

/** What the tab lies on, and what that asks of the order; `numbers` names strips by their place in it. */
function tabWords(strip: PlanStrip, numbers: (ids: readonly string[]) => string): string {
  if (strip.dab) return 'Its rim lies on hair that stays: grip it by its stick, not by a tab.';
  if (strip.tabKind === 'stick') return 'No room for a tab: lift it by a stick bedded in its end.';
  if (strip.tabOn === 'bare') return `Tab (${TABS[strip.tabKind]}) on skin without hair.`;
  if (strip.tabOn === 'cleared') {
    return `Tab (${TABS[strip.tabKind]}) on skin that ${numbers(strip.needsBefore)} has cleared: after it.`;
  }
  return 'No clear skin for its tab: a sore start, lift it gently.';
}

export function whyThisOrder(strip: PlanStrip, plan: Plan): readonly string[] {
  const orderOf = new Map(plan.zones.flatMap((z) => z.strips.map((s) => [s.id, s.number])));
  const numbers = (ids: readonly string[]): string =>
    ids
      .map((id) => orderOf.get(id) ?? '?')
      .sort((a, b) => Number(a) - Number(b))
      .join(', ');
  return [
    tabWords(strip, numbers),
    ...(strip.touches.length > 0 ? [`Never on the skin together with ${numbers(strip.touches)}: they touch.`] : []),
    ...thinness(strip, plan),
    ...(strip.crossing
      ? [
          `About ${Math.round(100 * strip.crossing.share)} % of the hair under it crosses the rest: what stays stands the other way, not missed.`,
        ]
      : []),
    ...(strip.handwork === null ? [] : [strip.handwork]),
    `Ready about ${strip.setS.min}–${strip.setS.max} s after the lay, an estimate: ask the wax.`,
  ];
}
