// The practised skin beside the page: hairs of the scene, heat of the slab in hand, what came of the strips pulled.

import { practise, type Practised, type Question } from '../core/practice';

self.onmessage = ({ data: { id, question } }: MessageEvent<{ readonly id: number; readonly question: Question }>) => {
  let answer: Practised | null = null;
  try {
    answer = practise(question);
  } catch {
    // the page says that it could not be drawn
  }
  self.postMessage({ id, answer });
};
