import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { KeptHere } from '@/features/kept/KeptHere.client';
import { ClientFormView } from '@/features/form/ClientFormView.client';
import { getDb } from '@/server/db/client';
import { notePageRead } from '@/server/trail';
import { loadForm } from '@/server/services/clientForm';

export const metadata: Metadata = { title: 'Form' };
export const dynamic = 'force-dynamic';

export default async function FormPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const form = loadForm(getDb(), id);
  if (!form.ok) notFound();
  await notePageRead(getDb(), `/form/${id}`);
  return (
    <>
      <KeptHere />
      <ClientFormView form={form.value} />
    </>
  );
}
