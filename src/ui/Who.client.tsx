'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { may, neededFor, type May, type Role, type Who } from '@/core/doors';

const NOBODY: Who = { role: 'owner', id: null, name: null, restAfterMin: null, seconds: [] };
const WhoContext = createContext<Who>(NOBODY);

/** Who has signed in, for what is shown; what is done is decided by the server. */
export function WhoHere({ who, children }: { readonly who: Who; readonly children: ReactNode }) {
  return <WhoContext value={who}>{children}</WhoContext>;
}
export const useWho = (): Who => useContext(WhoContext);
export const useMay = (what: May): boolean => may(useWho().role, what);

/** True where the page at an address is open to a role. */
export function opensTo(role: Role, href: string): boolean {
  const needs = neededFor('GET', href.split(/[?#]/)[0] ?? href);
  return needs === 'anybody' || needs === 'signed-in' || (needs !== null && may(role, needs));
}
