import type { KeyboardEvent } from 'react';

const STEP: Readonly<Record<string, 1 | -1>> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 };

/** Arrow keys in a drawn radio group, as in the browser's own: the next choice takes the focus and is chosen. */
export function radioKeys(event: KeyboardEvent<HTMLElement>): void {
  const by = STEP[event.key];
  const radios = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="radio"]:not(:disabled)')];
  const at = radios.findIndex((r) => r === document.activeElement);
  if (by === undefined || at < 0) return;
  event.preventDefault();
  const next = radios[(at + by + radios.length) % radios.length];
  next?.focus();
  next?.click();
}
