import type { Metadata } from 'next';
import { ChartStation } from '@/features/visit/chart/ChartStation.client';

export const metadata: Metadata = { title: 'Chart' };

export default function ChartPage() {
  return <ChartStation />;
}
