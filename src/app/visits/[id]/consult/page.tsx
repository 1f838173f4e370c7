import type { Metadata } from 'next';
import { ConsultStation } from '@/features/visit/consult/ConsultStation.client';

export const metadata: Metadata = { title: 'Consult' };

export default function ConsultPage() {
  return <ConsultStation />;
}
