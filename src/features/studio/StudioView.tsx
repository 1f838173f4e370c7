import Link from 'next/link';
import styles from './Studio.module.css';

const ROOMS = [
  {
    href: '/products',
    name: 'Products',
    says: 'What each label says, how it is laid, what is on the shelf, and what counts when products are compared.',
  },
  {
    href: '/prices',
    name: 'Services, prices and lengths',
    says: 'What services cost and how long they are booked, and what an hour of hands and room costs.',
  },
  {
    href: '/hours',
    name: 'Hours and tables',
    says: 'When you are open, on how many tables you work: visits are offered within.',
  },
  {
    href: '/rules',
    name: 'Rules of the consultation',
    says: 'Who may be waxed today, where, with what; the studio’s own changes and why.',
  },
] as const;

/** What the studio itself decides; people and units are not there yet. */
export function StudioView() {
  return (
    <section className={styles.page}>
      <h1>Studio</h1>
      <ul>
        {ROOMS.map((r) => (
          <li key={r.href}>
            <h2>
              <Link href={r.href}>{r.name}</Link>
            </h2>
            <p className="quiet">{r.says}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}
