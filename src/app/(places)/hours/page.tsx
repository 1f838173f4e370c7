import type { Metadata } from 'next';
import { HoursView } from '@/features/studio/HoursView.client';
import { getDb } from '@/server/db/client';
import { loadHours } from '@/server/services/hours';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Hours' };
export const dynamic = 'force-dynamic';

export default function HoursPage() {
  const hours = loadHours(getDb());
  return hours.ok ? <HoursView first={hours.value} /> : <NoStudio />;
}
