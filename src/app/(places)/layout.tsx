import type { ReactNode } from 'react';
import { BarPots } from '@/features/live/BarPots.client';
import { OnEveryPage } from '@/features/live/OnEveryPage.client';
import { getDb } from '@/server/db/client';
import { hasFileFault } from '@/server/fileHealth';
import { topBarFacts } from '@/server/topBar';
import { Fault } from '@/ui/Fault';
import { ReadHere } from '@/ui/ReadHere.client';
import { TopBar } from '@/ui/TopBar.client';

export const dynamic = 'force-dynamic';

export default async function PlacesLayout({ children }: { readonly children: ReactNode }) {
  const { pots, ...bar } = await topBarFacts(getDb());
  return (
    <>
      <TopBar {...bar}>
        <BarPots first={pots} timeZone={bar.timeZone} />
      </TopBar>
      <OnEveryPage follows />
      <ReadHere />
      {hasFileFault() ? (
        <Fault text="The data file is damaged in some place: what can be read goes on. Restore the last backup (see the README), or have someone do it." />
      ) : null}
      <main>{children}</main>
    </>
  );
}
