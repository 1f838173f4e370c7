/** Day or evening colours are kept as a cookie, so that a page comes in its colours at once (src/app/layout.tsx). */
export const ROOM_COOKIE = 'strickle-room';
