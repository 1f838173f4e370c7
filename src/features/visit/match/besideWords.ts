// An option beside the choice, in a few words: what it does better, and what that would cost. Figures as they are
// shown.

import type { PlanOption } from '@/core/plan';

/** Skin load that an eye tells apart in the bar. */
const LOAD_APART = 0.05;

const stays = (o: PlanOption): number => o.leftHairs - o.tweezed;

/** "8 min quicker", "8 min longer", or nothing. */
function minuteWords(o: PlanOption, choice: PlanOption): { readonly better: string[]; readonly worse: string[] } {
  const by = Math.round(o.allMinutes) - Math.round(choice.allMinutes);
  if (by < 0) return { better: [`${-by} min quicker`], worse: [] };
  return { better: [], worse: by > 0 ? [`${by} min longer`] : [] };
}

export function besideWords(o: PlanOption, choice: PlanOption): string {
  const { better, worse } = minuteWords(o, choice);
  const load = o.skinLoad - choice.skinLoad;
  if (load < -LOAD_APART) better.push('gentler');
  if (load > LOAD_APART) worse.push('harder on the skin');
  const [left, leftThere] = [stays(o), stays(choice)];
  if (left < leftThere) better.push(left === 0 ? 'leaves nothing for next time' : `leaves ${left}, not ${leftThere}`);
  if (left > leftThere) worse.push(`leaves about ${left} for next time`);
  const more = o.tweezed - choice.tweezed;
  if (left === leftThere && more < 0) better.push(`${-more} fewer to tweeze`);
  if (left === leftThere && more > 0) worse.push(`${more} more to tweeze`);
  const text = [better.join(', '), worse.length > 0 && better.length > 0 ? `but ${worse.join(', ')}` : worse.join(', ')]
    .filter((t) => t !== '')
    .join(', ');
  return text === '' ? 'Alike in every figure shown.' : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}
