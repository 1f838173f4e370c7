'use client';

import { Link } from '@/ui/Link';
import { opensTo, useWho } from '@/ui/Who.client';
import styles from './Studio.module.css';

const ROOMS = [
  {
    href: '/studio/house',
    name: 'Name, clock and money',
    says: 'What the studio is called, its time zone, its currency, the first day of its week, its air.',
  },
  {
    href: '/studio/people',
    name: 'People',
    says: 'Who works here, how practised their hands are, which services they do, their PINs.',
  },
  {
    href: '/studio/tablets',
    name: 'Tablets',
    says: 'Which tablets are known, who was at them last; a code that makes another one known.',
  },
  {
    href: '/studio/services',
    name: 'Services',
    says: 'What you offer and what each takes off, drawn on the body.',
  },
  {
    href: '/products',
    name: 'Products',
    says: 'What each label says, how it is laid, what is on the shelf, and what counts when products are compared.',
  },
  {
    href: '/prices',
    name: 'Prices and lengths',
    says: 'What services cost and how long they are booked, and what an hour of hands and room costs.',
  },
  {
    href: '/hours',
    name: 'Hours and tables',
    says: 'When you are open, on how many tables you work: visits are offered within.',
  },
  {
    href: '/studio/ways',
    name: 'House rules',
    says: 'How this house does it where practitioners disagree, and why.',
  },
  {
    href: '/studio/texts',
    name: 'Texts',
    says: 'What clients sign, take home and are written, with every version.',
  },
  {
    href: '/rules',
    name: 'Rules of the consultation',
    says: 'Who may be waxed today, where, with what; the studio’s own changes and why.',
  },
  {
    href: '/studio/keeping',
    name: 'Keeping and moving',
    says: 'For how long cards and messages are kept; the whole studio as one file, out and in.',
  },
  {
    href: '/studio/trail',
    name: 'The trail',
    says: 'Who wrote what and who looked at health notes, line by line; a line taken out is noticed.',
  },
] as const;

/** What the studio itself decides. */
export function StudioView() {
  const { role } = useWho();
  return (
    <section className={styles.page}>
      <h1>Studio</h1>
      <ul>
        {ROOMS.filter((r) => opensTo(role, r.href)).map((r) => (
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
