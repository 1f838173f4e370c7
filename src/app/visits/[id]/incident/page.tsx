import type { Metadata } from 'next';
import { IncidentForm } from '@/features/visit/incident/IncidentForm.client';

export const metadata: Metadata = { title: 'Incident record' };

export default function IncidentPage() {
  return <IncidentForm />;
}
