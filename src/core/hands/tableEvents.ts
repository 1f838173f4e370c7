// What the hands did at the table, as it stands in the journal: append-only, an undo names what it takes back.

import type { AddedRound } from './addedRound';
import type { Incident } from './incident';

export const MARKS = ['clean', 'some-left', 'broke', 'sore'] as const;
export type StripMark = (typeof MARKS)[number];
export const TABLE_EVENT_KINDS = [
  'wrist',
  'turned',
  'spread',
  'laid',
  'pulled',
  'mark',
  'hold',
  'resume',
  'stop',
  'undo',
  'step',
  'reheat',
  'aid',
  'round',
  'incident',
  'lump',
] as const;
export type TableEventKind = (typeof TABLE_EVENT_KINDS)[number];

export interface TableEvent {
  readonly id: string;
  readonly atMs: number;
  readonly kind: TableEventKind;
  readonly strip?: string;
  readonly mark?: StripMark;
  /** Of a pull before its window: by how much, whole s. */
  readonly earlyS?: number;
  /** Product of a wrist test, of a pot that was warmed again or changed, of a fresh lump. */
  readonly product?: string;
  /** Of a wrist test, or of a lay that was warned of: how warm the pot was, and who said so. */
  readonly pot?: { readonly tempC: number; readonly from: 'probe' | 'simulated' | 'hand' };
  /** How the client lies after a turn. */
  readonly position?: string;
  /** Of a step of the preparation or the finish, or of first aid (firstAid.ts). */
  readonly step?: string;
  /** The step was left out, and that is said. */
  readonly skipped?: boolean;
  readonly incident?: Incident;
  /** Another round over ground that is off. */
  readonly round?: AddedRound;
  /** Event taken back by an undo. */
  readonly undoes?: string;
}

/** True of an act that brings wax onto the skin. */
export const bringsWax = ({ kind }: TableEvent): boolean => kind === 'laid' || kind === 'spread';

/** True where wax has been laid and not undone: from then on the plan of the table stands. */
export const hasBegun = (events: readonly TableEvent[]): boolean => standing(events).some(bringsWax);

/** Events that count: not undone, in the order given. */
export function standing(events: readonly TableEvent[]): readonly TableEvent[] {
  const undone = new Set(events.flatMap((e) => (e.kind === 'undo' && e.undoes ? [e.undoes] : [])));
  return events.filter((e) => e.kind !== 'undo' && !undone.has(e.id));
}

/** Events that are acts of the hands; marks say how a strip came off, an incident is a record. */
export const deeds = (counted: readonly TableEvent[]): readonly TableEvent[] =>
  counted.filter((e) => e.kind !== 'mark' && e.kind !== 'incident');
