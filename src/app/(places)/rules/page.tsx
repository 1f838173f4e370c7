import type { Metadata } from 'next';
import { RulesView } from '@/features/rules/RulesView.client';
import { getDb } from '@/server/db/client';
import { loadRules } from '@/server/services/consultRules';

export const metadata: Metadata = { title: 'Rules of the consultation' };

export default function RulesPage() {
  return <RulesView first={loadRules(getDb())} />;
}
