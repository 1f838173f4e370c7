import { redirect } from 'next/navigation';
import { getDb } from '@/server/db/client';
import { journalOf } from '@/server/repos/journalRepo';
import { readVisit } from '@/server/repos/visitRepo';

/** To where the visit is: at the table if work has begun, to its reading when closed, else to the consultation. */
export default async function VisitPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const db = getDb();
  const visit = readVisit(db, id);
  if (visit?.status === 'closed') redirect(`/visits/${id}/read`);
  const hasBegun = visit !== undefined && journalOf(db, id).length > 0;
  redirect(`/visits/${id}/${hasBegun ? 'work' : 'consult'}`);
}
