'use client';

import { useSyncExternalStore } from 'react';
import { isEvening, onRoom, setEvening } from './room';

/** Day or evening colours on this tablet. */
export function RoomButton({ className }: { readonly className?: string | undefined }) {
  const evening = useSyncExternalStore(onRoom, isEvening, () => false);
  return (
    <button
      type="button"
      className={className}
      aria-pressed={evening}
      aria-label="Evening light"
      title="Evening light"
      onClick={() => setEvening(!evening)}
    >
      <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true" fill="none" stroke="currentColor">
        <path
          d="M8 11H16L18.5 17H5.5Z"
          strokeWidth="1.8"
          strokeLinejoin="round"
          fill={evening ? 'currentColor' : 'none'}
        />
        <path d="M12 3V11M9 20.5H15M12 17V20.5" strokeWidth="1.8" strokeLinecap="round" />
      </svg>
    </button>
  );
}
