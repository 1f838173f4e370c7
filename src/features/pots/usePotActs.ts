'use client';

import { useState } from 'react';
import type { NewPot, PotChange, PotNote, PotsView } from '@/server/services/pots';
import { sendJson, type Sent } from '@/ui/sendJson';
import type { PotFault } from '@/sim/protocol';

export interface Said {
  readonly text: string;
  readonly bad: boolean;
}

export interface PotActs {
  readonly view: PotsView;
  readonly said: Said | null;
  /** True where it was taken: what was typed may go. */
  readonly note: (id: string, note: PotNote) => Promise<boolean>;
  readonly change: (id: string, change: PotChange) => Promise<boolean>;
  readonly add: (pot: NewPot) => Promise<boolean>;
  readonly fault: (id: string, fault: PotFault) => Promise<boolean>;
}

/** What hands can do to the pots; what is refused is said, and what was typed stays. */
export function usePotActs(first: PotsView): PotActs {
  const [view, setView] = useState(first);
  const [said, setSaid] = useState<Said | null>(null);
  const taken = (sent: Sent<PotsView>, done: string): boolean => {
    if (sent.ok) {
      setView(sent.value);
      setSaid({ text: done, bad: false });
      return true;
    }
    const { message, details, code } = sent.error;
    const more =
      code === 'stale' ? 'It was changed elsewhere: load the page again.' : details.map((d) => d.message).join(' ');
    // nothing of it waits on this tablet: a heat is of its moment
    const words =
      code === 'away' ? 'The server does not answer. This was not noted; do it again when it is back.' : message;
    setSaid({ text: `${words} ${code === 'away' ? '' : more}`.trim(), bad: true });
    return false;
  };
  return {
    view,
    said,
    note: async (id, note) =>
      taken(await sendJson('POST', `/api/pots/${id}/notes`, note, crypto.randomUUID()), 'Noted.'),
    change: async (id, change) =>
      taken(await sendJson('PUT', `/api/pots/${id}`, change), change.active ? 'Changed.' : 'Put away.'),
    add: async (pot) => taken(await sendJson('POST', '/api/pots', pot, crypto.randomUUID()), 'Put up, switched off.'),
    fault: async (id, fault) => {
      const sent = await sendJson('POST', `/api/pots/${id}/fault`, { fault }, crypto.randomUUID());
      setSaid(
        sent.ok ? { text: 'The simulated sensor does so now.', bad: false } : { text: sent.error.message, bad: true },
      );
      return sent.ok;
    },
  };
}
