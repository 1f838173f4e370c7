'use client';

import { useRef, useState } from 'react';
import type { SheetContent } from './combTool';

export interface ChartEdits {
  readonly undos: number;
  readonly redos: number;
  /** A change was made: what stood before goes on the pile. */
  readonly done: (before: SheetContent, after: SheetContent) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Forgets the piles: what lies on them was made on a sheet of another size. */
  readonly clear: () => void;
}

/** Undo and redo without limit while the station is open; every step is saved like any other change. */
export function useChartEdits(
  content: SheetContent,
  locked: boolean,
  save: (content: SheetContent) => void,
): ChartEdits {
  const before = useRef<SheetContent[]>([]);
  const after = useRef<SheetContent[]>([]);
  const [counts, setCounts] = useState({ undos: 0, redos: 0 });
  const count = (): void => setCounts({ undos: before.current.length, redos: after.current.length });
  /** Takes the last content off one pile and lays the present one on the other. */
  const step = (from: typeof before, to: typeof after): void => {
    const target = from.current.at(-1);
    if (!target || locked) return;
    from.current = from.current.slice(0, -1);
    to.current = [...to.current, content];
    count();
    save(target);
  };
  return {
    ...counts,
    done: (was, now) => {
      before.current = [...before.current, was];
      after.current = [];
      count();
      save(now);
    },
    undo: () => step(before, after),
    redo: () => step(after, before),
    clear: () => {
      before.current = [];
      after.current = [];
      count();
    },
  };
}
