import type { Metadata } from 'next';
import { ReturnStation } from '@/features/visit/return/ReturnStation.client';

export const metadata: Metadata = { title: 'Return' };

export default function ReturnPage() {
  return <ReturnStation />;
}
