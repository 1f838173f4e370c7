// The act in hand in words that are read from two metres: one word, one number or disc, two short lines, the main key.

import { POSITION_NAMES, poseWords, ZONES, type Position } from '@/core/anatomy';
import { type Act, type Signal } from '@/core/hands';
import { prepFor, readStep, USUAL_PRESS_S, type PlanStrip, type StepName } from '@/core/plan';
import type { StudioSettings } from '@/server/db/schema';
import { sideWord } from '@/ui/words';
import { towards } from './bodyWords';
import { clothAsk, layWords } from './layWords';
import { stepWords, type StepContext } from './stepWords';
import { heatNumber, heatSign } from '@/formats/heat';
import { heatFigure, loadWords, shortSource } from '@/features/live/potWords';
import type { PotHere } from './potHere';
import type { FoundStrip } from './useTable';

/** How often a strip is taken off, in a word. */
const GOES: Readonly<Record<number, string>> = { 2: 'two', 3: 'three', 4: 'four' };
const SIGNS: Readonly<Record<StudioSettings['readySign'], string>> = {
  'no-thread': 'No thread left?',
  'no-dent': 'Hardly a dent left?',
  'taps-hard': 'Does it tap hard?',
  'no-catch': 'Free of the glove?',
};

export interface ActWords {
  /** What the heading says to who does not see it. */
  readonly title: string;
  readonly where: string;
  readonly word: string;
  /** Number of a strip, in its disc. */
  readonly disc: string | null;
  /** A bare figure with its unit: seconds or degrees. */
  readonly figure: readonly [value: string, unit: string] | null;
  /** Beside the disc: what its time is, and the time. */
  readonly beside: readonly [string, string] | null;
  /** Of a step: what is open, this one first. */
  readonly list: readonly string[];
  readonly strong: string;
  readonly more: string;
  /** Said to the client now; empty where there is nothing to say. */
  readonly say: string;
  /** Null where there is nothing to confirm. */
  readonly button: string | null;
  /** The second line is a warning. */
  readonly warns: boolean;
}

export interface ActContext extends StepContext {
  readonly found: ReadonlyMap<string, FoundStrip>;
  readonly productName: (id: string) => string;
  readonly readySign: StudioSettings['readySign'];
  readonly signal: Signal;
  /** The next strip to be laid, where one is: its place is powdered meanwhile. */
  readonly nextLay: string | null;
  /** The pot that the act takes its wax from, where something is known of it. */
  readonly pot: PotHere | null;
}

const NOTHING: ActWords = {
  title: '',
  where: '',
  word: '',
  disc: null,
  figure: null,
  beside: null,
  list: [],
  strong: '',
  more: '',
  say: '',
  button: null,
  warns: false,
};

export function actWords(act: Act, context: ActContext): ActWords {
  const { plan, found, productName } = context;
  switch (act.kind) {
    case 'wrist':
      return wristWords(act, context);
    case 'turn': {
      const position = POSITION_NAMES[act.position as Position];
      const stands = plan.schedule.rounds.find((r) => r.strips.includes(act.firstStrip))?.stands ?? '';
      return {
        ...NOTHING,
        title: `Turn: ${position}`,
        where: 'Nothing is on the skin',
        word: 'TURN',
        strong: `Client ${position}. Residue off, draped.`,
        more: stands === '' ? '' : `Then you ${stands.toLowerCase()}`,
        say: 'Take your time turning over.',
        button: 'Turned',
      };
    }
    case 'step': {
      const { word, name, strong, more } = stepWords(act.step, context);
      return {
        ...NOTHING,
        where: PARTS[readStep(act.step).name] ?? 'Finish',
        list: act.open.map((s) => stepWords(s, context).name),
        title: `${name.charAt(0).toUpperCase()}${name.slice(1)}`,
        word,
        strong,
        more,
        button: 'Done',
      };
    }
    case 'held':
      return {
        ...NOTHING,
        title: 'All held',
        where: 'On hold',
        word: 'HELD',
        strong: 'Wax on the skin keeps setting.',
        more: 'What sets stands below with its seconds.',
        button: 'Go on',
      };
    case 'done':
      return {
        ...NOTHING,
        title: 'Finished',
        word: 'DONE',
        strong: 'All off, and the finish is done.',
        more: '',
      };
    case 'stopped':
      return { ...NOTHING, title: 'Stopped' };
    case 'lay':
    case 'pull': {
      const info = found.get(act.strip);
      if (!info) {
        return {
          ...NOTHING,
          title: 'Strip not in this plan',
          word: '?',
          strong: 'This strip is not in the plan.',
          more: 'Undo, or leave the table and look.',
        };
      }
      const { zone } = info;
      const products = new Set(plan.zones.flatMap((z) => (z.strips.length > 0 ? [z.choice?.product] : [])));
      // the pot is named where there is more than one
      const pot = products.size > 1 ? `, ${productName(zone.choice?.product ?? '').toLowerCase()}` : '';
      const where = `${sideWord(ZONES[zone.zone].name, zone.side)}${pot}`;
      return { ...(act.kind === 'lay' ? laying(act, info, context) : pulling(info, context)), where };
    }
  }
}

/** Which part of the visit a step belongs to; the rest is the finish. */
const PARTS: Readonly<Partial<Record<StepName, string>>> = {
  alerts: 'Prepare',
  hands: 'Prepare',
  trim: 'Prepare',
  cleanse: 'Prepare',
  skin: 'Prepare',
  look: 'Look together',
};

const AGAIN = {
  waxed: 'Waxed skin: cooler, less wax. Stir.',
  cooler: 'Cooler for this skin: pot down, stir.',
  warmed: 'The pot was warmed: stir.',
  minutes: 'A quarter of an hour on: stir.',
} as const;

function wristWords(act: Extract<Act, { kind: 'wrist' }>, context: ActContext): ActWords {
  const { plan, found, productName, pot } = context;
  const known = pot && pot.tempC !== null ? `Pot ${heatFigure(pot.tempC)}, ${shortSource(pot.pot)}:` : null;
  const by = pot && known === null ? 'The sensor is silent:' : known;
  const first = found.get(act.firstStrip);
  const zone = first?.zone ?? plan.zones.find((z) => z.choice?.product === act.product);
  const touchC = first && first.strip.pass > 1 ? first.strip.touchC : zone?.heat?.workingC.target;
  return {
    ...NOTHING,
    title: 'Test on your wrist',
    where: productName(act.product),
    word: 'WRIST',
    figure: touchC === undefined || touchC === null ? null : [heatNumber(touchC), heatSign()],
    strong: 'Comfortable on the inner wrist?',
    more: `${act.again === null ? 'Stir first.' : AGAIN[act.again]} ${by ?? 'An estimate:'} the wrist decides.`,
    warns: pot?.warning?.kind === 'over',
    button: 'Wrist test done',
  };
}

/** `to the elbow` for a place, `outwards` for a way. */
const to =
  ({ zone }: FoundStrip) =>
  (v: PlanStrip['pull']): string =>
    towards(zone.zone, zone.side, v).replaceAll('towards ', 'to ');

/** How long the first coat still takes the second; null of a lay that nothing bounds. */
function coatTime(seconds: number | null): ActWords['beside'] {
  if (seconds === null) return null;
  return seconds > 0 ? ['within', `${seconds} s`] : ['First coat is cool: pull early.', 'at once'];
}

/** What is said beside breathing: it belongs before the wax is on the skin. */
const beforeCue = (cue: string): string => cue.replace('Breathe out.', '').trim();

function laying(act: Extract<Act, { kind: 'lay' }>, info: FoundStrip, { signal, pot }: ActContext): ActWords {
  const { strip, zone } = info;
  const { word, strong, more, say, button } = layWords({
    zone,
    strip,
    coat: act.coat,
    part: act.part,
    towards: to(info),
  });
  const pose = act.pose ? poseWords(zone.zone) : null;
  const first = [
    act.walk ? 'Walk round.' : '',
    pose === null ? '' : `${pose.charAt(0).toUpperCase()}${pose.slice(1)}.`,
    zone.keep.length > 0 ? 'Never over the line.' : '',
  ].filter((w) => w !== '');
  const number = String(strip.number);
  const rests = signal.state === 'wait';
  // what is wrong with the load comes before how thick it is
  const warned = pot?.warning ? loadWords(pot.warning) : null;
  return {
    ...NOTHING,
    title: rests ? `Wait, then coat ${number}` : `${word.charAt(0)}${word.slice(1).toLowerCase()} ${number}`,
    word: rests ? 'WAIT' : word,
    disc: rests ? null : number,
    figure: rests ? [String(signal.seconds), 's'] : null,
    beside: rests ? null : coatTime(signal.seconds),
    strong: rests ? 'The first coat rests.' : [...first, strong].join(' '),
    more: rests ? 'Then the second on top.' : (warned ?? more),
    warns: !rests && warned !== null,
    say: say === '' ? beforeCue(ZONES[zone.zone].cue) : say,
    button: rests ? 'Rested sooner: press twice' : button,
  };
}

function pulling(info: FoundStrip, context: ActContext): ActWords {
  const { strip, zone } = info;
  const { signal, readySign, nextLay, found, prep, isDrySkin } = context;
  const facts = ZONES[zone.zone];
  const number = String(strip.number);
  const sign = zone.choice?.family === 'hard' ? SIGNS[readySign] : clothAsk(zone.choice, facts.face);
  const seconds = `${signal.seconds ?? 0} s`;
  const press = zone.hands.pressS > USUAL_PRESS_S ? `Press ${zone.hands.pressS} s.` : 'Press at once.';
  const way = to(info)(strip.pull);
  const how = strip.tabOn === 'hair' ? 'Gently, the tab lies on hair' : `Low and ${strip.pace}`;
  const goes = strip.pulls > 1 && strip.handwork === null ? `, in ${GOES[strip.pulls] ?? strip.pulls} goes` : '';
  const nextInfo = nextLay === null ? undefined : found.get(nextLay);
  const isPowdered = nextInfo !== undefined && prepFor(nextInfo.zone, prep, isDrySkin) === 'powder';
  const meanwhile = nextInfo && isPowdered ? `Powder where ${nextInfo.strip.number} will go.` : facts.stretch;
  switch (signal.state) {
    case 'wait':
      return {
        ...NOTHING,
        title: `Wait, then pull ${number}`,
        word: 'WAIT',
        figure: [String(signal.seconds ?? 0), 's'],
        strong: `${sign} Then pull ${number}.`,
        more: beforeCue(facts.cue) === '' ? meanwhile : `${beforeCue(facts.cue)} ${meanwhile}`,
        button: 'Ready sooner: press twice',
      };
    case 'now':
      return {
        ...NOTHING,
        title: `Now pull ${number}`,
        word: 'NOW',
        disc: number,
        beside: ['over by', seconds],
        strong: 'Past its best: pull it now.',
        more: `Low, ${way}. Press.`,
        button: 'Pulled',
      };
    default:
      return {
        ...NOTHING,
        title: `Pull ${number}`,
        word: 'PULL',
        disc: number,
        beside: [`${sign} Good for`, seconds],
        strong: `${how}, ${way}${goes}.`,
        more: strip.handwork === null ? `${press} ${facts.cue}` : `${strip.handwork} ${press}`,
        say: 'Breathe out.',
        button: 'Pulled',
      };
  }
}
