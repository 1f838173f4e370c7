import type { ReactNode } from 'react';
import { OnEveryPage } from '@/features/live/OnEveryPage.client';
import { civilDateAt, nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { hasFileFault } from '@/server/fileHealth';
import { readStudio } from '@/server/repos/studioRepo';
import { topBarPeople } from '@/server/topBar';
import { Fault } from '@/ui/Fault';
import { TopBar } from '@/ui/TopBar.client';
import { dayMonth, weekday } from '@/ui/words';

export const dynamic = 'force-dynamic';

export default async function PlacesLayout({ children }: { readonly children: ReactNode }) {
  const on = civilDateAt(nowMs(), readStudio(getDb())?.timeZone ?? 'UTC');
  return (
    <>
      <TopBar day={`${weekday(on)} ${dayMonth(on)}`} {...await topBarPeople(getDb())} />
      <OnEveryPage follows />
      {hasFileFault() ? (
        <Fault text="The data file is damaged in some place: what can be read goes on. Restore the last backup (see the README), or have someone do it." />
      ) : null}
      <main>{children}</main>
    </>
  );
}
