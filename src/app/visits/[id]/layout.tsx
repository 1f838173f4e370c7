import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { KeptHere } from '@/features/kept/KeptHere.client';
import { BenchProvider } from '@/features/visit/BenchContext.client';
import { BarPots } from '@/features/live/BarPots.client';
import { OnEveryPage } from '@/features/live/OnEveryPage.client';
import { BenchFrame } from '@/features/visit/BenchFrame.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadBench } from '@/server/services/bench';
import { notePageRead } from '@/server/trail';
import { topBarFacts } from '@/server/topBar';
import { TopBar } from '@/ui/TopBar.client';

export const dynamic = 'force-dynamic';

interface Props {
  readonly children: ReactNode;
  readonly params: Promise<{ id: string }>;
}

export default async function VisitLayout({ children, params }: Props) {
  const { id } = await params;
  const bench = loadBench(getDb(), id, nowMs());
  if (!bench.ok) notFound();
  await notePageRead(getDb(), `/visits/${id}`);
  const { pots, ...bar } = await topBarFacts(getDb());
  return (
    <BenchProvider first={bench.value}>
      <TopBar {...bar}>
        <BarPots first={pots} timeZone={bar.timeZone} />
      </TopBar>
      <OnEveryPage />
      <KeptHere />
      <BenchFrame>{children}</BenchFrame>
    </BenchProvider>
  );
}
