import type { Metadata } from 'next';
import { DoorView } from '@/features/door/DoorView.client';
import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';

export const metadata: Metadata = { title: 'Come in' };
export const dynamic = 'force-dynamic';

export default function DoorPage() {
  return <DoorView studioName={readStudio(getDb())?.name ?? 'Strickle'} />;
}
