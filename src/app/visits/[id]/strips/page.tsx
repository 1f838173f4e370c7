import type { Metadata } from 'next';
import { StripsStation } from '@/features/visit/strips/StripsStation.client';

export const metadata: Metadata = { title: 'Strips' };

export default function StripsPage() {
  return <StripsStation />;
}
