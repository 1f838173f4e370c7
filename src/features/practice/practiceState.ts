// A practice as it goes: which skin, what is chosen, the strip in hand, the strips pulled. Pure: the same steps give
// the same state, so that it can be kept on the tablet and taken up again after a reload.

import { minutesFor, type Act, type Decision, type Level, type Piece, type Sign } from '@/core/practice';
import type { Way } from '@/core/products';
import type { Vec } from '@/core/shared';

export const STATIONS = ['feel', 'choose', 'wrist', 'lay', 'wait', 'pull', 'look'] as const;
export type Station = (typeof STATIONS)[number];

export const STRETCHES = [
  { taut: 0, word: 'not at all' },
  { taut: 0.5, word: 'lightly' },
  { taut: 0.9, word: 'taut, close to the tab' },
] as const;

export const THICKNESSES = [
  { of: 0.5, word: 'a film, skin shows through' },
  { of: 1, word: 'even, as a coin' },
] as const;

export interface Chosen {
  readonly productId: string;
  readonly way: Way;
  readonly coats: 1 | 2;
  /** Where the thermostat stands, °C. */
  readonly setC: number;
}

export interface InHand {
  readonly from: Vec;
  readonly to: Vec;
  readonly laidAtMs: number;
  /** What each sign said when it was last tried. */
  readonly tried: Readonly<Partial<Record<Sign, boolean>>>;
}

export interface Practice {
  readonly level: Level;
  readonly piece: Piece;
  readonly seed: number;
  readonly station: Station;
  /** Ways the hair was brushed, and whether it lay down. */
  readonly brushed: readonly { readonly towards: Vec; readonly lay: boolean }[];
  readonly chosen: Chosen | null;
  /** The heat at which the wrist was last tested; null = not since it was changed. */
  readonly testedC: number | null;
  readonly strip: InHand | null;
  readonly taut: number;
  /** Wiped, dried and dusted since it was last damp. */
  readonly prepared: boolean;
  /** Of the planned thickness. */
  readonly thick: number;
  /** The cloth of the strip in hand was pressed on. */
  readonly rubbed: boolean;
  /** She was told before the pull. */
  readonly told: boolean;
  /** When the strip in hand was begun; null = none is. */
  readonly begunAtMs: number | null;
  /** Seconds of each strip from its beginning to its pull. */
  readonly seconds: readonly number[];
  readonly acts: readonly Act[];
  /** What was decided about the last strip's ground; null = nothing yet. */
  readonly decided: Decision | null;
  /** The wait before each pull was read off a clock. */
  readonly clock: boolean;
  /** Waits pass five times as quickly. */
  readonly hurried: boolean;
}

export type Step =
  | { readonly do: 'go'; readonly to: Station; readonly atMs: number }
  | { readonly do: 'brush'; readonly towards: Vec; readonly lay: boolean }
  | { readonly do: 'choose'; readonly chosen: Chosen }
  | { readonly do: 'test' }
  | { readonly do: 'lay'; readonly from: Vec; readonly to: Vec; readonly atMs: number }
  | { readonly do: 'sign'; readonly sign: Sign; readonly says: boolean }
  | { readonly do: 'stretch'; readonly taut: number }
  | { readonly do: 'prepare' }
  | { readonly do: 'thick'; readonly thick: number }
  | { readonly do: 'rub' }
  | { readonly do: 'tell' }
  | { readonly do: 'clock' }
  | { readonly do: 'hurry' }
  | { readonly do: 'pull'; readonly act: Act }
  | { readonly do: 'press' }
  | { readonly do: 'decide'; readonly decision: Decision }
  | { readonly do: 'next'; readonly atMs: number }
  | { readonly do: 'begin'; readonly level: Level; readonly piece: Piece; readonly seed: number };

export const begun = (level: Level, piece: Piece, seed: number): Practice => ({
  ...{ level, piece, seed, station: 'feel', brushed: [], chosen: null, testedC: null, strip: null },
  ...{ taut: 0, prepared: false, thick: 1, rubbed: false, told: false, begunAtMs: null, seconds: [] },
  ...{ acts: [], decided: null, clock: false, hurried: false },
});

const MOST_BRUSHED = 12;

export function stepped(p: Practice, step: Step): Practice {
  switch (step.do) {
    case 'begin':
      return { ...begun(step.level, step.piece, step.seed), clock: p.clock, hurried: p.hurried };
    case 'go':
      if (!mayGo(p, step.to)) return p;
      return { ...p, station: step.to, begunAtMs: step.to === 'lay' ? (p.begunAtMs ?? step.atMs) : p.begunAtMs };
    case 'brush':
      return { ...p, brushed: [...p.brushed, { towards: step.towards, lay: step.lay }].slice(-MOST_BRUSHED) };
    case 'choose':
      // another heat or another pot wants the wrist again
      return {
        ...p,
        chosen: step.chosen,
        station: p.station === 'feel' ? 'choose' : p.station,
        testedC: isSamePot(p.chosen, step.chosen) ? p.testedC : null,
      };
    case 'test':
      return p.chosen ? { ...p, testedC: p.chosen.setC } : p;
    case 'lay':
      return {
        ...p,
        strip: { from: step.from, to: step.to, laidAtMs: step.atMs, tried: {} },
        station: 'wait',
      };
    case 'sign':
      return p.strip ? { ...p, strip: { ...p.strip, tried: { ...p.strip.tried, [step.sign]: step.says } } } : p;
    case 'stretch':
      return { ...p, taut: step.taut };
    case 'prepare':
      // what is changed before the lay wants the strip anew
      return { ...p, prepared: true, strip: null };
    case 'thick':
      return { ...p, thick: step.thick, strip: null };
    case 'rub':
      return p.strip ? { ...p, rubbed: true } : p;
    case 'tell':
      return p.strip ? { ...p, told: true } : p;
    case 'clock':
      return { ...p, clock: !p.clock };
    case 'hurry':
      return { ...p, hurried: !p.hurried };
    case 'pull':
      return {
        ...{ ...p, acts: [...p.acts, step.act], decided: null, station: 'look', begunAtMs: null },
        seconds: [...p.seconds, laidFor(p) + step.act.waitS],
      };
    case 'press': {
      const last = p.acts.at(-1);
      return last ? { ...p, acts: [...p.acts.slice(0, -1), { ...last, pressed: true }] } : p;
    }
    case 'decide':
      return { ...p, decided: step.decision };
    case 'next':
      return {
        ...{ ...p, strip: null, station: 'lay', begunAtMs: step.atMs, rubbed: false, told: false },
        prepared: p.prepared && !DAMP_AGAIN.includes(p.level),
      };
  }
}

/** Where skin is wiped and dried anew before every strip: it is damp again at once. */
const DAMP_AGAIN: readonly Level[] = ['underarm', 'lip'];

/** Seconds from the beginning of a strip to the end of its lay. */
const laidFor = ({ strip, begunAtMs }: Practice): number =>
  strip && begunAtMs !== null ? Math.max(0, strip.laidAtMs - begunAtMs) / 1000 : 0;

/** Seconds at the skin so far. */
export const workedS = ({ seconds }: Pick<Practice, 'seconds'>): number => seconds.reduce((a, b) => a + b, 0);
/** Does the next client stand at the door? */
export function isTimeUp(p: Practice): boolean {
  const minutes = minutesFor(p.level, p.piece);
  return minutes !== null && workedS(p) > 60 * minutes;
}

const isSamePot = (a: Chosen | null, b: Chosen): boolean => a?.productId === b.productId && a.setC === b.setC;

/** Stations open up as the work comes to them; wax waits for the wrist. */
export function mayGo(p: Practice, to: Station): boolean {
  if (to === 'feel' || to === 'choose') return true;
  if (to === 'wrist') return p.chosen !== null;
  const isTested = p.chosen !== null && p.testedC !== null;
  if (to === 'lay') return isTested && !isTimeUp(p);
  if (to === 'look') return p.acts.length > 0;
  return isTested && p.strip !== null;
}

const HURRIED = 5;
export const waitedS = (p: Practice, nowMs: number): number =>
  p.strip ? (Math.max(0, nowMs - p.strip.laidAtMs) / 1000) * (p.hurried ? HURRIED : 1) : 0;
