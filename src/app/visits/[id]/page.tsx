import { redirect } from 'next/navigation';
import { getDb } from '@/server/db/client';
import { journalOf } from '@/server/repos/journalRepo';
import { readVisit } from '@/server/repos/visitRepo';

/** To where the visit is: at the table if work has begun, to its reading when closed, else to the consultation. */
export default async function VisitPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const db = getDb();
  const visit = readVisit(db, id);
  const station = visit?.status === 'closed' ? 'read' : visit && journalOf(db, id).length > 0 ? 'work' : 'consult';
  redirect(`/visits/${id}/${station}`);
}
