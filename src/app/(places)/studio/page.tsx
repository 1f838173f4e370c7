import type { Metadata } from 'next';
import { StudioView } from '@/features/studio/StudioView';

export const metadata: Metadata = { title: 'Studio' };

export default function StudioPage() {
  return <StudioView />;
}
