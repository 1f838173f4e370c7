import type { Metadata } from 'next';
import { MatchStation } from '@/features/visit/match/MatchStation.client';

export const metadata: Metadata = { title: 'Match' };

export default function MatchPage() {
  return <MatchStation />;
}
