import type { Metadata } from 'next';
import { PracticePage } from '@/features/practice/PracticePage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { readProducts } from '@/server/repos/studioRepo';

export const metadata: Metadata = { title: 'Practice' };
export const dynamic = 'force-dynamic';

const SEEDS = 2147483647;

export default function Page() {
  const atMs = nowMs();
  return <PracticePage products={readProducts(getDb())} seed={atMs % SEEDS} nowMs={atMs} />;
}
