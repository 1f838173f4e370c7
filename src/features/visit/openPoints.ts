// What is still open on a visit before the table, in one line.

import type { Bench } from '@/server/services/bench';
import { sideWord } from '@/ui/words';

/** More points than this are counted, not named. */
const MOST_NAMED = 2;

const inSentence = (z: { readonly name: string; readonly side: string }): string => {
  const name = sideWord(z.name, z.side);
  return name.slice(0, 1).toLowerCase() + name.slice(1);
};

export function openPoints({ visit, zones, plan }: Bench): readonly string[] {
  if (visit.status === 'closed') return [];
  const unseen = zones.filter((z) => !z.data.confirmed);
  const marked = zones.filter((z) => z.data.confirmed && z.data.marks.some((m) => m.unseen));
  const [only] = unseen;
  return [
    ...(zones.length === 0 ? ['no zone chosen'] : []),
    ...(visit.consult.confirmedAtMs === null ? ['consultation'] : []),
    ...(unseen.length === 1 && only ? [`${inSentence(only)} not looked at`] : []),
    ...(unseen.length > 1 ? [`${unseen.length} zones not looked at`] : []),
    ...(marked.length > 1 ? [`marks on ${marked.length} zones`] : marked.map((z) => `marks on ${inSentence(z)}`)),
    ...(plan.zones.some((z) => z.choice === null) ? ['a zone without product'] : []),
  ];
}

/** `Open: consultation, 2 zones not looked at.`; empty where nothing is. */
export function openLine(bench: Bench): string {
  const points = openPoints(bench);
  if (points.length === 0) return '';
  const named = points.slice(0, MOST_NAMED).join(', ');
  return `Open: ${named}${points.length > MOST_NAMED ? ` and ${points.length - MOST_NAMED} more` : ''}.`;
}
