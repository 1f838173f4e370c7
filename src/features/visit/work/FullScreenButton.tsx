'use client';

import { useSyncExternalStore } from 'react';
import styles from './Work.module.css';

const watch = (tell: () => void): (() => void) => {
  document.addEventListener('fullscreenchange', tell);
  return () => document.removeEventListener('fullscreenchange', tell);
};

/** The table over the whole screen, without the browser's bars; not there where the browser cannot. */
export function FullScreenButton() {
  const isFull = useSyncExternalStore(
    watch,
    () => document.fullscreenElement !== null,
    () => false,
  );
  const can = useSyncExternalStore(
    watch,
    () => document.fullscreenEnabled,
    () => false,
  );
  if (!can) return null;
  const toggle = (): void => {
    // refused by the browser: the table stays as it is
    const done = isFull ? document.exitFullscreen() : document.documentElement.requestFullscreen();
    done.catch(() => undefined);
  };
  return (
    <button
      type="button"
      className={`${styles.bare} ${styles.wide}`}
      aria-label={isFull ? 'Leave full screen' : 'Full screen'}
      onClick={toggle}
    >
      <svg
        viewBox="0 0 24 24"
        width="24"
        height="24"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        aria-hidden="true"
      >
        {isFull ? (
          <path d="M9 4v5H4M15 4v5h5M9 20v-5H4M15 20v-5h5" />
        ) : (
          <path d="M4 9V4h5M20 9V4h-5M4 15v5h5M20 15v5h-5" />
        )}
      </svg>
    </button>
  );
}
