import type { Metadata } from 'next';
import { TrailPage } from '@/features/studio/TrailPage.client';
import { getDb } from '@/server/db/client';
import { loadTrail } from '@/server/services/trailView';

export const metadata: Metadata = { title: 'The trail' };
export const dynamic = 'force-dynamic';

export default function Page() {
  return <TrailPage first={loadTrail(getDb(), {})} />;
}
