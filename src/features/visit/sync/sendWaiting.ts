// Sends what pages that are gone have left, from whatever page stands open, until it is sent, refused or disputed.

import { isSent, type Box } from './box';
import { syncControl } from './control';
import { disputedDocs } from './reduce';
import { takeOver } from './store';

/** A box whose every document waits for a person's choice has nothing to send. */
const mustWait = (box: Box): boolean =>
  box.acts.length === 0 && disputedDocs(box).length === Object.keys(box.docs).length;

function sendBox(box: Box): Promise<void> {
  return new Promise((resolve) => {
    const control = syncControl({
      box: { ...box, docs: {}, acts: [], refused: [] },
      // every document carries the version that its hand saw
      version: 0,
      journalAt: 0,
      onBench: () => undefined,
      onEntries: () => undefined,
    });
    const end = control.start();
    const look = (): void => {
      const now = control.state();
      if (!isSent(now.box) && !mustWait(now.box)) return;
      end();
      resolve();
    };
    control.subscribe(look);
    control.dispatch({ kind: 'found', box });
  });
}

let running: Promise<void> | null = null;

/** One at a time; boxes of visits that are open in a page stay with that page. */
export function sendWaiting(): Promise<void> {
  running ??= (async () => {
    try {
      for (const box of await takeOver()) if (!isSent(box)) await sendBox(box);
    } catch {
      // no store or no locks in this browser: then nothing was left
    } finally {
      running = null;
    }
  })();
  return running;
}
