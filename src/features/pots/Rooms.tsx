import Link from 'next/link';
import styles from './Rooms.module.css';

const ROOMS = [
  { href: '/pots', name: 'Pots' },
  { href: '/kitchen', name: 'Kitchen' },
  { href: '/shelf', name: 'Shelf' },
] as const;

/** The rooms of the place Pots, as words at the right of the heading. */
export function Rooms({ here }: { readonly here: (typeof ROOMS)[number]['href'] }) {
  return (
    <nav className={styles.rooms} aria-label="Rooms">
      {ROOMS.map((r) => (
        <Link key={r.href} href={r.href} aria-current={r.href === here ? 'page' : undefined}>
          {r.name}
        </Link>
      ))}
    </nav>
  );
}
