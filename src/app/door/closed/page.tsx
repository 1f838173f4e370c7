import type { Metadata } from 'next';
import { Link } from '@/ui/Link';
import { MAYS, mayNotWords, type May } from '@/core/doors';
import styles from '@/features/door/Door.module.css';

export const metadata: Metadata = { title: 'Not yours to open' };

interface Props {
  readonly searchParams: Promise<{ readonly what?: string | string[] }>;
}

/** What somebody sees instead of a page that is not theirs. */
export default async function ClosedPage({ searchParams }: Props) {
  const { what } = await searchParams;
  const known = typeof what === 'string' && Object.hasOwn(MAYS, what) ? (what as May) : null; // looked up above
  return (
    <main className={styles.door}>
      <h1>This door is closed to you</h1>
      <p>{known === null ? 'Somebody else of the studio opens it.' : mayNotWords(known)}</p>
      <p>
        <Link href="/">To today</Link>
      </p>
    </main>
  );
}
