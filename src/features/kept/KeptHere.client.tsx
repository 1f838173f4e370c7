'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import styles from './Kept.module.css';
import { isKept } from './isKept';
import { keepHere } from './keptPages';

/** A page that is only passed through is not kept. */
const STAYED_MS = 4_000;
const ASK_EVERY_MS = 3_000;

/** Has this page kept on the tablet; says so where it is the kept one that is shown, until the server is back. */
export function KeptHere() {
  const path = usePathname();
  const [isAway, setIsAway] = useState(false);
  useEffect(() => {
    if (isKept()) return undefined;
    const timer = setTimeout(() => void keepHere(path), STAYED_MS);
    return () => clearTimeout(timer);
  }, [path]);
  useEffect(() => {
    if (!isKept()) return undefined;
    // the page of the server said nothing of it: shown once the page stands
    const shown = setTimeout(() => setIsAway(true), 0);
    const timer = setInterval(() => {
      fetch('/api/health', { cache: 'no-store' }).then(
        (answer) => {
          if (!answer.ok) return;
          clearInterval(timer);
          delete document.documentElement.dataset['kept'];
          setIsAway(false);
        },
        () => undefined,
      );
    }, ASK_EVERY_MS);
    return () => {
      clearTimeout(shown);
      clearInterval(timer);
    };
  }, []);
  if (!isAway) return null;
  return (
    <p role="status" className={styles.away}>
      The server does not answer. This is what this tablet has kept: go on, what you do is kept and sent when it is
      back.
    </p>
  );
}
