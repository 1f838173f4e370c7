'use client';

import { useRef, useState, type KeyboardEvent } from 'react';
import { isRhythmDone, rhythmWord, type Edge, type RhythmStroke } from '@/core/practice';
import type { Vec } from '@/core/shared';
import type { Stroke } from './SkinSheet.client';

const TOWARDS: Readonly<Record<Edge, Vec>> = { up: [0, -1], down: [0, 1], left: [-1, 0], right: [1, 0] };
const KEYS: Readonly<Record<string, Edge>> = {
  ...{ ArrowUp: 'up', ArrowDown: 'down', ArrowLeft: 'left', ArrowRight: 'right' },
};
const PAT_CM = 1;
/** Within this of the line a stroke runs along it: the cosine of 50 degrees. */
const ALONG = 0.64;

function kindOf([x, y]: Vec, growth: Edge): RhythmStroke['kind'] {
  const far = Math.hypot(x, y);
  if (far < PAT_CM) return 'pat';
  const [gx, gy] = TOWARDS[growth];
  const along = (x * gx + y * gy) / far;
  if (along > ALONG) return 'with';
  return along < -ALONG ? 'against' : 'across';
}

export interface Rhythm {
  readonly strokes: readonly RhythmStroke[];
  /** Strokes of a finger or the mouse on the skin. */
  readonly onMove: (stroke: Stroke) => void;
  readonly onEnd: (stroke: Stroke) => void;
  /** Arrow keys: held down they press along, tapped they flick. */
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onKeyUp: (event: KeyboardEvent) => void;
}

/** The strokes of hand sugar as they are made. @param onDone the answer, once the hand has flicked often enough */
export function useRhythm(growth: Edge | null, onDone: (word: string) => void): Rhythm {
  const began = useRef<number | null>(null);
  const [strokes, setStrokes] = useState<readonly RhythmStroke[]>([]);
  const add = (towards: Vec): void => {
    if (!growth || began.current === null) return;
    const tenthsS = Math.round((performance.now() - began.current) / 100);
    began.current = null;
    const all = [...strokes, { kind: kindOf(towards, growth), tenthsS }];
    setStrokes(all);
    if (isRhythmDone(all)) onDone(rhythmWord(all));
  };
  return {
    strokes,
    onMove: () => {
      began.current ??= performance.now();
    },
    onEnd: ({ from, to }) => add([to[0] - from[0], to[1] - from[1]]),
    onKeyDown: (event) => {
      if (!(event.key in KEYS)) return;
      event.preventDefault();
      began.current ??= performance.now();
    },
    onKeyUp: (event) => {
      const edge = KEYS[event.key];
      if (edge) add([2 * TOWARDS[edge][0], 2 * TOWARDS[edge][1]]);
    },
  };
}
