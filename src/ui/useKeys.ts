'use client';

import { useEffect, useLayoutEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';

type Handler = (event: KeyboardEvent) => void;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
    target.getAttribute('role') === 'slider');

/** Single keys switched off by the user (WCAG 2.1.4); kept on this tablet. */
export const keysAreOff = (): boolean =>
  typeof localStorage !== 'undefined' && localStorage.getItem('strickle-keys') === 'off';

/**
 * How often each key is bound now; shown on the root element, so that whoever drives the page knows when its keys
 * answer.
 */
const bound = new Map<string, number>();
function note(names: readonly string[], by: 1 | -1): void {
  for (const name of names) bound.set(name, (bound.get(name) ?? 0) + by);
  document.documentElement.dataset['keys'] = [...bound]
    .filter(([, n]) => n > 0)
    .map(([name]) => name)
    .join(' ');
}

/** Binds keys while mounted. None fires while typing or with Ctrl, Alt or Meta held. */
export function useKeys(keys: Readonly<Record<string, Handler>>): void {
  const latest = useRef(keys);
  // with the picture, not after it: a key answers what is seen
  useLayoutEffect(() => {
    latest.current = keys;
  });
  const names = Object.keys(keys).join(' | ');
  useEffect(() => {
    if (names === '') return;
    const list = names.split(' | ');
    const handlers = Object.fromEntries(
      list.map((name): [string, Handler] => [
        name,
        (event) => {
          if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || keysAreOff()) return;
          if (document.querySelector('[role="dialog"][aria-modal="true"]') && !name.startsWith('Escape')) return;
          latest.current[name]?.(event);
        },
      ]),
    );
    const unbind = tinykeys(window, handlers);
    note(list, 1);
    return () => {
      unbind();
      note(list, -1);
    };
  }, [names]);
}
