'use client';

import { Link } from '@/ui/Link';
import { usePathname } from 'next/navigation';
import { useEffect, type ReactNode } from 'react';
import { AtTablet } from './AtTablet.client';
import { BarClock } from './BarClock.client';
import { Mark } from './Mark';
import { Curtain, CurtainButton } from './Curtain.client';
import { RoomButton } from './Room.client';
import { useKeys } from './useKeys';
import { opensTo, useWho } from './Who.client';
import { may, type Role } from '@/core/doors';
import { useRouter } from 'next/navigation';
import styles from './TopBar.module.css';

interface PlaceLink {
  readonly href: string;
  readonly name: string;
  /** Its room for whom the place itself is not open. */
  readonly or?: { readonly href: string; readonly name: string };
}
const PLACES: readonly PlaceLink[] = [
  { href: '/', name: 'Today' },
  { href: '/clients', name: 'Clients' },
  { href: '/pots', name: 'Pots', or: { href: '/shelf', name: 'Shelf' } },
  { href: '/practice', name: 'Practice' },
  { href: '/ledger', name: 'Ledger', or: { href: '/ledger/day', name: 'Ledger' } },
  { href: '/studio', name: 'Studio' },
];

/** The places of a role, each by the room that is open to it. */
const placesOf = (role: Role) =>
  PLACES.flatMap(({ href: of, name, or }) => {
    if (of === '/studio' && !may(role, 'read')) return [];
    if (opensTo(role, of)) return [{ of, href: of, name }];
    return or && opensTo(role, or.href) ? [{ of, ...or }] : [];
  });

/** The place that a page belongs to. */
function placeOf(path: string): string {
  if (/^\/(clients|ready)/.test(path)) return '/clients';
  if (/^\/(pots|kitchen|shelf)/.test(path)) return '/pots';
  if (/^\/practice/.test(path)) return '/practice';
  if (/^\/ledger/.test(path)) return '/ledger';
  if (/^\/(studio|products|rules|prices|hours)/.test(path)) return '/studio';
  return path === '/' || /^\/(visits|week|post)/.test(path) ? '/' : '';
}

interface Props {
  readonly atMs: number;
  readonly timeZone: string;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** Who stands at this tablet, as far as it has been told. */
  readonly person: string | null;
  /** The pots as they stand. */
  readonly children?: ReactNode;
}

/** Where a page says what is saved and what waits. */
export const BAR_STATE = 'bar-state';

/** The thin bar: the name, the places that exist, today; the pots; what is saved, who is here, the curtain. */
export function TopBar({ atMs, timeZone, people, person, children }: Props) {
  const path = usePathname();
  const router = useRouter();
  const here = placeOf(path);
  const { role } = useWho();
  useKeys({
    t: () => router.push('/'),
    '/': (event) => {
      event.preventDefault();
      const field = document.querySelector<HTMLInputElement>('[data-search]');
      if (field) field.focus();
      else router.push('/clients?search=1');
    },
  });
  useEffect(() => {
    document.documentElement.dataset['ready'] = 'yes';
  }, []);
  // a page that the browser has kept is asked for anew: it must not come back on a tablet that is with a client
  useEffect(() => {
    const shown = (event: PageTransitionEvent): void => {
      if (event.persisted) window.location.reload();
    };
    window.addEventListener('pageshow', shown);
    return () => window.removeEventListener('pageshow', shown);
  }, []);
  return (
    <header className={styles.bar} data-behind data-visit={path.startsWith('/visits/')}>
      <Link href="/" className={styles.name} aria-label="Strickle, to today">
        <Mark />
        <span>Strickle</span>
      </Link>
      <nav className={styles.places} aria-label="Places">
        {placesOf(role).map((p) => (
          <Link key={p.of} href={p.href} className={styles.place} aria-current={here === p.of ? 'page' : undefined}>
            {p.name}
          </Link>
        ))}
      </nav>
      <BarClock atMs={atMs} timeZone={timeZone} />
      {children}
      <div id={BAR_STATE} className={styles.state} />
      <AtTablet people={people} person={person} />
      <RoomButton className={styles.room} />
      <CurtainButton />
      <Curtain />
    </header>
  );
}
