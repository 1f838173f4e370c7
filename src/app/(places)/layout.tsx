import type { ReactNode } from 'react';
import { OnEveryPage } from '@/features/live/OnEveryPage.client';
import { civilDateAt, nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';
import { topBarPeople } from '@/server/topBar';
import { TopBar } from '@/ui/TopBar.client';
import { dayMonth, weekday } from '@/ui/words';

export const dynamic = 'force-dynamic';

export default async function PlacesLayout({ children }: { readonly children: ReactNode }) {
  const on = civilDateAt(nowMs(), readStudio(getDb())?.timeZone ?? 'UTC');
  return (
    <>
      <TopBar day={`${weekday(on)} ${dayMonth(on)}`} {...await topBarPeople(getDb())} />
      <OnEveryPage follows />
      <main>{children}</main>
    </>
  );
}
