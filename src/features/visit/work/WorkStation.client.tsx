'use client';

import { withDates } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { notLookedAt } from '../chart/useLooked';
import { AtTheTable } from './AtTheTable.client';
import { Guard, LookFirst } from './Guards.client';

/** Full screen at the table: one act at a time, asked to be confirmed by the hand. */
export function WorkStation() {
  const { bench } = useBench();
  const { visit, plan } = bench;
  const strips = plan.zones.reduce((n, z) => n + z.strips.length, 0);
  const begun = bench.journal.length > 0;
  const at = `/visits/${visit.id}`;
  if (strips === 0) {
    return (
      <Guard
        title="Nothing to lay"
        text={plan.zones[0]?.reasons[0] ? withDates(plan.zones[0].reasons[0]) : 'Choose zones and product first.'}
        href={`${at}/match`}
        link="To the match"
      />
    );
  }
  if (visit.consult.confirmedAtMs === null && !begun) {
    return (
      <Guard
        title="Ask first"
        text="The consultation is not confirmed yet. Nothing warm touches skin before it."
        href={`${at}/consult`}
        link="To the consultation"
      />
    );
  }
  if (visit.status === 'closed') {
    return (
      <Guard
        title="This visit is closed"
        text="What was done at the table stands in its record."
        href={`${at}/read`}
        link="To the reading"
      />
    );
  }
  if (!begun && notLookedAt(bench.zones).length > 0) return <LookFirst />;
  return <AtTheTable />;
}
