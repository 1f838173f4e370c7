import type { Metadata } from 'next';
import { ReadStation } from '@/features/visit/read/ReadStation.client';

export const metadata: Metadata = { title: 'Read' };

export default function ReadPage() {
  return <ReadStation />;
}
