'use client';

import { usePathname } from 'next/navigation';
import styles from './TopBar.module.css';
import { useMay } from './Who.client';

const OWNERS = ['/hours', '/prices', '/products', '/rules', '/studio/ways', '/studio/texts'];

/** Said where somebody may read what only the owner changes. */
export function ReadHere() {
  const path = usePathname();
  const mayChange = useMay('house');
  if (mayChange || !OWNERS.some((p) => path === p || path.startsWith(`${p}/`))) return null;
  return (
    <p className={styles.readHere} role="note">
      You can read this; the owner changes it.
    </p>
  );
}
