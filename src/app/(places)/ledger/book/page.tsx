import type { Metadata } from 'next';
import { BookPage } from '@/features/ledger/BookPage';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadBook } from '@/server/services/ledgerBook';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Ledger: the book' };
export const dynamic = 'force-dynamic';

export default async function Page({ searchParams }: { readonly searchParams: Promise<{ readonly year?: string }> }) {
  const { year } = await searchParams;
  const asked = /^20\d\d$/.test(year ?? '') ? Number(year) : undefined;
  const book = loadBook(getDb(), asked, nowMs());
  return book.ok ? <BookPage book={book.value} /> : <NoStudio />;
}
