import { useSyncExternalStore } from 'react';
import { COLOURS, EVENING } from './colours';
import { isEvening, onRoom } from './room';

export type PageColours = Readonly<Record<keyof typeof COLOURS, string>>;

/** The colours of the page as it is lit now, for what is drawn by script. */
export const usePageColours = (): PageColours =>
  useSyncExternalStore(
    onRoom,
    () => (isEvening() ? EVENING : COLOURS),
    () => COLOURS,
  );
