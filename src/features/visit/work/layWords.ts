// What the hands do to lay a strip, said by product and way: one stroke or two, a tab or a cloth, each coat its own.

import type { ZoneId } from '@/core/anatomy';
import { ZONES } from '@/core/anatomy';
import type { PlanStrip, PlanZone } from '@/core/plan';

export interface LayWords {
  readonly title: string;
  /** `before` **`way`** `after`: the way is what is read from afar. */
  readonly before: string;
  readonly way: string;
  readonly after: string;
  /** Looked at before the act is confirmed. */
  readonly ask: string;
  readonly button: string;
  /** Said to the client; empty where there is nothing to say. */
  readonly say: string;
}

export interface Laying {
  readonly zone: Pick<PlanZone, 'choice'> & { readonly zone: ZoneId };
  readonly strip: Pick<PlanStrip, 'number' | 'lay' | 'thicknessMm' | 'spreadWith'>;
  readonly coat: 1 | 2;
  /** A direction in words of the body. */
  readonly towards: (way: PlanStrip['lay']) => string;
}

const TAB = 'Thick tab at the end, stick tapped off.';
const FREE_END = 'A free end of the cloth to hold?';
const cloth = (isFace: boolean): string =>
  isFace ? 'cloth on, pressed only' : 'cloth on, rubbed three times along the growth';

/** Thickness of one coat: the slab's is the sum of both. */
const coatMm = ({ zone, strip }: Laying): number =>
  zone.choice?.coats === 2 ? Math.round((100 * strip.thicknessMm) / 2) / 100 : strip.thicknessMm;

function hardWords(laying: Laying, usual: LayWords): LayWords {
  const { zone, strip, coat, towards } = laying;
  const mm = coatMm(laying);
  const whichCoat = coat === 1 ? 'First coat: ' : 'Second coat, over the first: ';
  const before = zone.choice?.coats === 2 ? whichCoat : '';
  const rim = ` about ${mm} mm. Rim thicker than the middle.`;
  if (zone.choice?.way === 'crossed') {
    const back = towards([-strip.lay[0], -strip.lay[1]]);
    return {
      ...usual,
      before: `${before}Two strokes of the same wax. First against the growth with firm pressure, `,
      after: `; then drawn back with it, ${back},${rim}`,
      ask: 'Some pressure now: tell the client.',
      say: '“some pressure now”',
    };
  }
  const HOW: Readonly<Record<string, string>> = { against: 'Against', counter: 'Against', across: 'Across' };
  const how = HOW[zone.choice?.way ?? ''] ?? 'With';
  const start = before === '' ? how : before + how.toLowerCase();
  return { ...usual, before: `${start} the growth, `, after: `,${rim}` };
}

/** Words of one lay. */
export function layWords(laying: Laying): LayWords {
  const { zone, strip, towards } = laying;
  const usual: LayWords = {
    title: `Lay strip ${strip.number}`,
    before: 'With the growth, ',
    way: towards(strip.lay),
    after: '.',
    ask: TAB,
    button: 'Laid',
    say: '',
  };
  const isFace = ZONES[zone.zone].face;
  if (strip.spreadWith !== null) {
    return {
      ...usual,
      title: `Cloth on strip ${strip.number}`,
      before: 'The wax lies already. Along the growth, ',
      after: `: ${cloth(isFace)}.`,
      ask: FREE_END,
      button: 'Cloth is on',
    };
  }
  if (zone.choice?.way === 'moulded') {
    return {
      ...usual,
      title: `Mould strip ${strip.number}`,
      before: 'Against the growth, ',
      after: `, about ${strip.thicknessMm} mm.`,
      ask: 'Two or three strokes, pressed in.',
      button: 'Moulded',
    };
  }
  if (zone.choice?.way === 'strip') {
    return {
      ...usual,
      after: `, a film of about ${strip.thicknessMm} mm; cloth on, smoothed down hard along the growth.`,
      ask: FREE_END,
      button: 'Laid, cloth on',
    };
  }
  if (zone.choice?.family === 'soft') {
    return {
      ...usual,
      after: `, as thin as a film, about ${strip.thicknessMm} mm; ${cloth(isFace)}.`,
      ask: FREE_END,
      button: 'Laid, cloth on',
    };
  }
  return hardWords(laying, usual);
}

/** What is looked at before a strip that does not set by itself is pulled. */
export function clothAsk(choice: PlanZone['choice'], isFace: boolean): string {
  if (choice?.way === 'moulded') return 'Flick, hand parallel to the skin.';
  if (choice?.way === 'strip') return 'Cloth smoothed down hard? Pull low, along the skin.';
  return isFace ? 'Press only; strip clean.' : 'Rubbed on three times along the growth?';
}
