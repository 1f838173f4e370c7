// Day or evening light on this tablet, and who draws by it.

import { ROOM_COOKIE } from './roomCookie';

const YEAR_S = 365 * 24 * 3600;
const listeners = new Set<() => void>();

export const isEvening = (): boolean => document.documentElement.dataset['theme'] === 'evening';

export function setEvening(evening: boolean): void {
  if (evening) document.documentElement.dataset['theme'] = 'evening';
  else delete document.documentElement.dataset['theme'];
  document.cookie = `${ROOM_COOKIE}=${evening ? 'evening' : 'day'}; path=/; max-age=${YEAR_S}; samesite=strict`;
  listeners.forEach((l) => l());
}

/** Called when the light changes. @returns stops it */
export function onRoom(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
