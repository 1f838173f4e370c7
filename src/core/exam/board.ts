// What a practical examination asks for: time, the call, the steps with what an examiner looks for, what costs marks.
// Shipped: sixteen minutes with a call at half-time, one zone, simulated wax (common practice, no source); each
// studio's examining board has its own.

export const MARKS = ['right', 'half', 'not'] as const;
export type ExamMark = (typeof MARKS)[number];

/** What the candidate's tablet draws beside a step. */
export const PICTURES = ['none', 'growth', 'lay', 'pull'] as const;
export type Picture = (typeof PICTURES)[number];

export interface ExamStep {
  readonly id: string;
  /** To the candidate, as what to do. */
  readonly act: string;
  readonly how: string;
  /** On the examiner's list. */
  readonly name: string;
  readonly looksFor: string;
  /** Marks for doing it right. */
  readonly worth: number;
  readonly picture: Picture;
}

/** What costs marks whenever it is seen. */
export interface Penalty {
  readonly id: string;
  readonly name: string;
  readonly off: number;
}

export interface Board {
  readonly minutes: number;
  /** Minutes after the start at which time is called; null = no call. */
  readonly callMin: number | null;
  /** Share of a step's worth that half gives. */
  readonly half: number;
  /** Share of all marks from which it is passed. */
  readonly pass: number;
  readonly steps: readonly ExamStep[];
  readonly penalties: readonly Penalty[];
}

const step = (
  id: string,
  [act, how]: readonly [string, string],
  [name, looksFor]: readonly [string, string],
  picture: Picture = 'none',
): ExamStep => ({ id, act, how, name, looksFor, worth: 1, picture });

export const SHIPPED_BOARD: Board = {
  minutes: 16,
  callMin: 8,
  half: 0.5,
  pass: 0.75,
  steps: [
    step(
      'hands',
      ['Sanitise your hands', 'Before you touch anything.'],
      ['Hands sanitised', 'before touching anything'],
    ),
    step(
      'station',
      ['Disinfect the station', 'Leave it wet for its full time.'],
      ['Station disinfected', 'wet for its full time'],
    ),
    step('drape', ['Drape her', 'Clothes covered, hair held back.'], ['Draping', 'clothes covered, hair held back']),
    step('gloves', ['Gloves on', 'Both hands, from now on.'], ['Gloves on', 'both, before the skin is touched']),
    step(
      'skin',
      ['Cleanse the skin and dry it', 'Antiseptic, then dry, then a little dust.'],
      ['Skin cleansed and dry', 'antiseptic, wiped, then dry'],
    ),
    step('wrist', ['Try it on your wrist', 'Stir first. Say how it feels.'], ['Wrist test', 'seen on her own wrist']),
    step(
      'stick',
      ['A fresh stick, one dip', 'Wipe it off at the rim.'],
      ['Fresh stick, one dip', 'never a second dip of the same stick'],
    ),
    step('lid', ['Close the lid at once', 'Before the wax is on the skin.'], ['Lid closed at once', 'not left open']),
    step(
      'lay',
      ['Lay with the growth', 'Thin and even, the stick at 45°.'],
      ['Wax with the growth', 'thin, 45°, even edge'],
      'lay',
    ),
    step(
      'strip',
      ['Press the strip on', 'Leave an end free; rub three times with the growth.'],
      ['Strip pressed, free end', 'rubbed with the growth'],
      'lay',
    ),
    step(
      'taut',
      ['Hold the skin taut', 'The hand close to where the pull starts.'],
      ['Skin taut', 'hand close to where the pull starts'],
      'pull',
    ),
    step(
      'pull',
      ['Pull against the growth', 'Low, in one go, past the far edge.'],
      ['Pulled against the growth', 'low, in one go'],
      'pull',
    ),
    step(
      'press',
      ['Palm on at once', 'A few seconds. Ask how she is.'],
      ['Pressed at once', 'and asked how she is'],
      'growth',
    ),
    step(
      'soothe',
      ['Soothe the skin', 'Take off what is left of the wax, then the lotion.'],
      ['Soothed', 'no wax left, lotion on'],
      'growth',
    ),
    step(
      'waste',
      ['Waste away at once', 'Sticks and strips into the lidded bin.'],
      ['Waste discarded at once', 'nothing used lies about'],
    ),
    step(
      'after',
      ['Gloves off, hands, station', 'Hands again; the station disinfected again.'],
      ['Gloves off, hands, station', 'both disinfected again'],
    ),
  ],
  penalties: [
    { id: 'second-dip', name: 'Second dip of the same stick', off: 2 },
    { id: 'no-wrist', name: 'Wax on skin before the wrist test', off: 2 },
    { id: 'twice', name: 'Wax a second time on the same skin', off: 2 },
    { id: 'up', name: 'Pulled upward', off: 1 },
    { id: 'floor', name: 'Something dropped and used again', off: 1 },
  ],
};

export interface BoardFault {
  readonly path: string;
  readonly message: string;
}

export const MOST_MINUTES = 240;
export const MOST_STEPS = 60;

const twice = (ids: readonly string[]): boolean => new Set(ids).size !== ids.length;

/** What is wrong with a board; empty where it can be examined by. */
export function boardFaults({ minutes, callMin, half, pass, steps, penalties }: Board): readonly BoardFault[] {
  const faults: BoardFault[] = [];
  const say = (path: string, message: string): void => void faults.push({ path, message });
  if (!(minutes >= 1 && minutes <= MOST_MINUTES)) say('minutes', `Between 1 and ${MOST_MINUTES} minutes.`);
  if (callMin !== null && !(callMin > 0 && callMin < minutes)) say('callMin', 'The call comes before the end.');
  if (!(half >= 0 && half <= 1)) say('half', 'Half gives between none and all of a step.');
  if (!(pass > 0 && pass <= 1)) say('pass', 'Between 1 and 100 %.');
  if (steps.length === 0) say('steps', 'At least one step.');
  if (steps.length > MOST_STEPS) say('steps', `At most ${MOST_STEPS} steps.`);
  if (twice(steps.map((s) => s.id))) say('steps', 'Two steps have the same sign.');
  if (twice(penalties.map((p) => p.id))) say('penalties', 'Two penalties have the same sign.');
  steps.forEach((s, k) => {
    if (s.act.trim() === '' || s.name.trim() === '') say(`steps[${k}].name`, 'A step wants its name.');
    if (!(s.worth > 0)) say(`steps[${k}].worth`, 'A step is worth something.');
  });
  penalties.forEach((p, k) => {
    if (p.name.trim() === '') say(`penalties[${k}].name`, 'A penalty wants its name.');
    if (!(p.off > 0)) say(`penalties[${k}].off`, 'A penalty costs something.');
  });
  return faults;
}
