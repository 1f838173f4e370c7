'use client';

import { useEffect, useRef, type RefObject } from 'react';

/**
 * Keeps the chosen part of a line that scrolls sideways in sight, whenever `what` changes; the page itself stays where
 * it is.
 */
export function useInSight<Line extends HTMLElement, Part extends HTMLElement>(
  what: unknown,
): { readonly line: RefObject<Line | null>; readonly chosen: RefObject<Part | null> } {
  const line = useRef<Line>(null);
  const chosen = useRef<Part>(null);
  useEffect(() => {
    const [own, box] = [chosen.current?.getBoundingClientRect(), line.current?.getBoundingClientRect()];
    if (!own || !box || !line.current) return;
    if (own.left < box.left) line.current.scrollLeft -= box.left - own.left;
    else if (own.right > box.right) line.current.scrollLeft += own.right - box.right;
  }, [what]);
  return { line, chosen };
}
