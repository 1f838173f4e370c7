'use client';

import type { HeatingInput } from '@/core/pots';
import type { PotOnPage } from '@/server/services/pots';
import type { TodayPot } from '@/server/services/todayPots';
import { useWorkerAnswer } from '@/ui/useWorkerAnswer';
import type { PotAnswer } from '@/workers/pot.worker';
import { schoolWords } from './schoolWords';

interface Props {
  readonly pot: PotOnPage;
  readonly ofDay: TodayPot;
  readonly roomC: number;
}

/** What the way it is heated asks for, from cold, for the next visit's window. */
export function SchoolAdvice({ pot, ofDay, roomC }: Props) {
  const { next, school } = pot;
  const input: HeatingInput | null = next
    ? {
        product: ofDay.product,
        pot: { heaterW: ofDay.heaterW, lid: ofDay.lid, waxG: Math.max(60, pot.waxG) },
        roomC,
        window: { minC: next.minC, targetC: (next.minC + next.maxC) / 2, maxC: next.maxC },
      }
    : null;
  const answer = useWorkerAnswer<HeatingInput, PotAnswer>(
    () => new Worker(new URL('../../workers/pot.worker.ts', import.meta.url), { type: 'module' }),
    input,
  );
  if (!input) return <p className="quiet">No visit of today wants it.</p>;
  if (answer === 'failed') return <p className="quiet">This tablet could not work it out.</p>;
  return (
    <p className="quiet" role="status">
      {answer === null ? 'From cold: working it out …' : schoolWords(school, answer)}
    </p>
  );
}
