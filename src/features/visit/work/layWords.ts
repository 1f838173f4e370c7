// What the hands do to lay a strip, said by product and way in two short lines: how and where to; then how much, what
// ends it. One stroke or two, a tab or a cloth, each coat its own.

import { sized } from '@/formats/size';
import type { ZoneId } from '@/core/anatomy';
import { ZONES } from '@/core/anatomy';
import type { PlanStrip, PlanZone } from '@/core/plan';

export interface LayWords {
  /** The big word of the act. */
  readonly word: string;
  /** How and where to. */
  readonly strong: string;
  readonly more: string;
  readonly button: string;
  /** Said to the client before the lay; empty where there is nothing to say. */
  readonly say: string;
}

export interface Laying {
  readonly zone: Pick<PlanZone, 'choice'> & { readonly zone: ZoneId };
  readonly strip: Pick<PlanStrip, 'number' | 'lay' | 'thicknessMm' | 'spreadWith' | 'pass' | 'way'>;
  readonly coat: 1 | 2;
  /** Spread or covered, of a strip that is laid in two acts. */
  readonly part?: 'spread' | 'cloth' | null;
  /** A direction in words of the body, after `to` where it is a place. */
  readonly towards: (way: PlanStrip['lay']) => string;
}

const TAB = 'thick tab. Tap the stick off.';
const clothOn = (isFace: boolean): string =>
  `Cloth on, ${isFace ? 'pressed only' : 'rubbed three times'}; a free end to hold.`;

/** Thickness of one coat: the slab's is the sum of both. */
const isTwoCoats = ({ zone, strip }: Laying): boolean => zone.choice?.coats === 2 && strip.pass === 1;
const coatMm = (laying: Laying): number =>
  isTwoCoats(laying) ? Math.round((100 * laying.strip.thicknessMm) / 2) / 100 : laying.strip.thicknessMm;

function hardWords(laying: Laying, usual: LayWords): LayWords {
  const { zone, strip, coat, towards } = laying;
  const mm =
    strip.pass > 1
      ? `Less wax, about ${sized(coatMm(laying), 'mm')}; press firmly.`
      : `About ${sized(coatMm(laying), 'mm')}, ${TAB}`;
  const isTwo = isTwoCoats(laying);
  const way = strip.way ?? zone.choice?.way ?? '';
  if (way === 'crossed') {
    const back = towards([-strip.lay[0], -strip.lay[1]]);
    return {
      ...usual,
      strong: `Pressed against the growth, ${towards(strip.lay)}; the same wax back, ${back}.`,
      more: mm,
      say: 'Some pressure now.',
    };
  }
  const HOW: Readonly<Record<string, string>> = { against: 'Against', counter: 'Against', across: 'Across' };
  const how = HOW[way] ?? 'With';
  const coatWords =
    coat === 1
      ? `First coat, about ${sized(coatMm(laying), 'mm')}; it rests, then the second.`
      : `Over the first. ${mm}`;
  return { ...usual, strong: `${how} the growth, ${towards(strip.lay)}.`, more: isTwo ? coatWords : mm };
}

/** Words of one lay. */
export function layWords(laying: Laying): LayWords {
  const { zone, strip, towards, coat, part } = laying;
  const usual: LayWords = {
    word: coat === 2 ? 'COAT' : 'LAY',
    strong: `With the growth, ${towards(strip.lay)}.`,
    more: '',
    button: 'Laid',
    say: '',
  };
  const isFace = ZONES[zone.zone].face;
  if (strip.spreadWith !== null) {
    return {
      ...usual,
      word: 'CLOTH',
      strong: `The wax lies. Along the growth, ${towards(strip.lay)}.`,
      more: clothOn(isFace),
      button: 'Cloth is on',
    };
  }
  if (zone.choice?.way === 'moulded') {
    return {
      ...usual,
      word: 'MOULD',
      strong: `Against the growth, ${towards(strip.lay)}.`,
      more: `Two or three strokes, pressed in, about ${sized(strip.thicknessMm, 'mm')}.`,
      button: 'Moulded',
    };
  }
  if (part === 'spread') {
    return {
      ...usual,
      word: 'SPREAD',
      more: `Film of ${sized(strip.thicknessMm, 'mm')}, warm; as far as this strip and its patch go.`,
      button: 'Spread',
    };
  }
  if (part === 'cloth') {
    return {
      ...usual,
      word: 'CLOTH',
      strong: `On at once, along the growth, ${towards(strip.lay)}.`,
      more: isFace
        ? 'Smoothed down hard along the growth; a free end to hold.'
        : 'Smoothed down hard, rubbed three times; a free end to hold.',
      button: 'Cloth is on',
    };
  }
  if (zone.choice?.way === 'strip') {
    return {
      ...usual,
      more: `Film of ${sized(strip.thicknessMm, 'mm')}. Cloth on, smoothed down hard; a free end.`,
      button: 'Laid, cloth on',
    };
  }
  if (zone.choice?.family === 'soft') {
    return {
      ...usual,
      more: `Film of ${sized(strip.thicknessMm, 'mm')}. ${clothOn(isFace)}`,
      button: 'Laid, cloth on',
    };
  }
  return hardWords(laying, usual);
}

/** What is looked at before a strip that does not set by itself is pulled. */
export function clothAsk(choice: PlanZone['choice'], isFace: boolean): string {
  if (choice?.way === 'moulded') return 'Flick, hand flat to the skin.';
  if (choice?.way === 'strip') return 'Cloth smoothed down hard?';
  return isFace ? 'Pressed only, strip clean?' : 'Rubbed three times?';
}
