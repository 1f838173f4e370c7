// A drill's question beside the page: a strip is pulled for it, or the rules are asked.

import { drillOf, practise, type Drill, type Practised } from '../core/practice';

export interface DrillAsked {
  readonly skill: string;
  readonly seed: number;
}
export interface DrillMade extends DrillAsked {
  readonly drill: Drill;
  /** The skin with what came of the strip; null where there is none to see. */
  readonly skin: Practised | null;
}

self.onmessage = ({ data: { id, question } }: MessageEvent<{ readonly id: number; readonly question: DrillAsked }>) => {
  let answer: DrillMade | null = null;
  try {
    const drill = drillOf(question.skill, question.seed);
    const skin = 'scene' in drill ? practise({ scene: drill.scene, acts: drill.acts, slab: null, asks: null }) : null;
    answer = { ...question, drill, skin };
  } catch {
    // the page says that it could not be made
  }
  self.postMessage({ id, answer });
};
