// What to do with what is left: caution first, then what is cheapest for the skin (common practice, no source).

export interface AfterPass {
  readonly family: 'hard' | 'soft' | 'sugar';
  readonly passesDone: number;
  readonly passLimit: number;
  /** Null where it was not said yet. */
  readonly left: 'none' | 'few' | 'patch' | 'many' | null;
  readonly skin: 'calm' | 'pink' | 'red' | 'shiny' | 'blister' | null;
  readonly bleeding: 'none' | 'points' | 'keeps-on' | null;
  readonly tweezingAllowed: boolean;
}

export interface NextAction {
  readonly code: 'ask' | 'stop' | 'finish' | 'tweeze' | 'second-pass' | 'next-visit';
  readonly text: string;
}

/** The next action on one zone. Never a further pass on sore skin, never a second with soft wax. */
export function nextAction(a: AfterPass): NextAction {
  if (a.skin === 'shiny' || a.skin === 'blister' || a.bleeding === 'keeps-on') {
    return { code: 'stop', text: 'Stop here. First aid, record it, refer. No more wax on this zone today.' };
  }
  if (a.left === null) return { code: 'ask', text: 'Tap what is left, or say that nothing is.' };
  if (a.left === 'none') return { code: 'finish', text: 'Clear. Residue off, soothe, look under a bright light.' };
  if (a.left === 'few' && a.tweezingAllowed) {
    return { code: 'tweeze', text: 'Tweeze what is left: stretch, grip firmly, draw steadily.' };
  }
  const mayRepeat = a.family !== 'soft' && a.passesDone < a.passLimit && a.skin !== 'red';
  if (mayRepeat && a.left !== 'few' && (a.skin === null || a.bleeding === null)) {
    return { code: 'ask', text: 'Look at the skin and say how it is: no further wax before that.' };
  }
  if (mayRepeat && a.left !== 'few') {
    return {
      code: 'second-pass',
      text: `Another round only where hair is left: less wax, more pressure, wrist test first (${a.passesDone + 1} of ${a.passLimit}).`,
    };
  }
  if (a.tweezingAllowed && a.left !== 'many') {
    return { code: 'tweeze', text: 'No further pass on this skin: tweeze without haste.' };
  }
  return {
    code: 'next-visit',
    text:
      a.family === 'soft'
        ? 'Soft wax has had its one pass: clear with a clean cloth, leave the rest for the next visit.'
        : 'Leave the rest for the next visit.',
  };
}
