'use client';

import { Link } from '@/ui/Link';
import { opensTo, useWho } from './Who.client';
import styles from './Rooms.module.css';

const PLACES = {
  pots: [
    { href: '/pots', name: 'Pots' },
    { href: '/kitchen', name: 'Kitchen' },
    { href: '/shelf', name: 'Shelf' },
  ],
  practice: [
    { href: '/practice', name: 'A strip' },
    { href: '/practice/drills', name: 'Questions' },
    { href: '/practice/exam', name: 'Examination' },
    { href: '/practice/learners', name: 'Learners' },
  ],
  ledger: [
    { href: '/ledger', name: 'Sums' },
    { href: '/ledger/day', name: 'Day' },
    { href: '/ledger/book', name: 'Book' },
  ],
} as const;
type Place = keyof typeof PLACES;

interface Props<P extends Place> {
  readonly of: P;
  readonly here: (typeof PLACES)[P][number]['href'];
}

/** The rooms of a place, as words at the right of the heading. */
export function Rooms<P extends Place>({ of, here }: Props<P>) {
  const { role } = useWho();
  const open = PLACES[of].filter((r) => opensTo(role, r.href));
  if (open.length < 2) return null;
  return (
    <nav className={styles.rooms} aria-label="Rooms">
      {open.map((r) => (
        <Link key={r.href} href={r.href} aria-current={r.href === here ? 'page' : undefined}>
          {r.name}
        </Link>
      ))}
    </nav>
  );
}
