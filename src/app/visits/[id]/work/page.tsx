import type { Metadata } from 'next';
import { WorkStation } from '@/features/visit/work/WorkStation.client';

export const metadata: Metadata = { title: 'Work' };

export default function WorkPage() {
  return <WorkStation />;
}
