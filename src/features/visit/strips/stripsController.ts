// The strips under the hand, outside React: one value and who listens to it. Moves of a drag are gathered and done once
// a frame; what begins or ends a gesture is done at once, after the moves before it. `settled` keeps its identity while
// a drag goes on, so that what does not show the drag need not be drawn again.

import type { Region } from '@/core/shared';
import type { HandStrip } from '@/core/strips';
import { editStep, startEditing, type EditEvent, type Editing } from './stripEditing';

/** Everything but the gesture under way. */
export type Settled = Omit<Editing, 'drag'>;
const SETTLED = ['tool', 'strips', 'before', 'after', 'chosen', 'refusal'] as const satisfies (keyof Settled)[];

/** What the page knows of the ground; see `editStep`. */
export interface Ground {
  readonly hair: Region;
  readonly meant: Region;
}

/** Calls back at the next frame; gives what takes that back. */
type NextFrame = (work: () => void) => () => void;

const nextFrame: NextFrame = (work) => {
  const asked = requestAnimationFrame(work);
  return () => cancelAnimationFrame(asked);
};

export class StripsController {
  readonly #listeners = new Set<() => void>();
  readonly #nextFrame: NextFrame;
  #ground: Ground;
  #state: Editing;
  #settled: Settled;
  #moves: EditEvent[] = [];
  #forget: (() => void) | null = null;

  constructor(strips: readonly HandStrip[], ground: Ground, frame: NextFrame = nextFrame) {
    this.#state = startEditing(strips);
    this.#settled = this.#state;
    this.#ground = ground;
    this.#nextFrame = frame;
  }

  readonly state = (): Editing => this.#state;
  readonly settled = (): Settled => this.#settled;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Marks have come or gone: the ground on which strips may lie is another. */
  ground(ground: Ground): void {
    this.#ground = ground;
  }

  readonly send = (event: EditEvent): void => {
    if (event.kind !== 'move') {
      this.#work([...this.#moves.splice(0), event]);
    } else if (this.#state.drag) {
      this.#moves.push(event);
      this.#forget ??= this.#nextFrame(() => this.#work(this.#moves.splice(0)));
    }
  };

  #work(events: readonly EditEvent[]): void {
    this.#forget?.();
    this.#forget = null;
    const before = this.#state;
    for (const event of events) this.#state = editStep(this.#state, event, this.#ground.hair, this.#ground.meant);
    if (this.#state === before) return;
    if (SETTLED.some((part) => this.#state[part] !== this.#settled[part])) this.#settled = this.#state;
    for (const listener of this.#listeners) listener();
  }
}
