// The ways on which practitioners disagree: each a choice of the studio, with one that is shipped and why. Some decide
// the plan, the others are said where the work is prepared. Common practice; no source.

import type { Schools } from '../matching';

export interface WayChoice {
  readonly id: string;
  readonly name: string;
}
export interface HouseWay {
  readonly id: string;
  readonly name: string;
  /** The first one is shipped. */
  readonly choices: readonly [WayChoice, ...WayChoice[]];
  /** Why the first one is shipped. */
  readonly why: string;
  /** Decides the plan, the consultation or the words at the table; the others are said on the tray card. */
  readonly plans: boolean;
}

const way = (id: string, name: string, choices: HouseWay['choices'], why: string, plans = false): HouseWay => ({
  id,
  name,
  choices,
  why,
  plans,
});
const c = (id: string, name: string): WayChoice => ({ id, name });

export const HOUSE_WAYS: readonly HouseWay[] = [
  way(
    'hardLay',
    'Lay of hard wax',
    [c('with', 'with the growth'), c('against', 'against it'), c('free', 'as each strip has it')],
    'fewest broken hairs on ordinary growth',
    true,
  ),
  way(
    'shortHair',
    'Short or flat hair, hard wax',
    [c('crossed', 'laid crosswise'), c('none', 'not crossed')],
    'wraps it from both sides',
    true,
  ),
  way(
    'sugarWay',
    'Sugar',
    [
      c('usual', 'by hand, with strip on lip and brow'),
      c('hand', 'by hand everywhere'),
      c('strip', 'with strip everywhere'),
    ],
    'least breakage by hand; fingers are too broad on small facial zones',
    true,
  ),
  way(
    'maxHardPasses',
    'Passes of hard wax at most',
    [c('2', 'two'), c('1', 'one'), c('3', 'three, the third with a reason')],
    'skin lifts',
    true,
  ),
  way(
    'prep',
    'Prepare the skin',
    [c('powder', 'powder after drying'), c('oil', 'a trace of oil'), c('dry', 'dry only')],
    'powder takes moisture; oil only where skin is dry or delicate',
    true,
  ),
  way(
    'readySign',
    'Sign that hard wax is ready',
    [
      c('no-thread', 'no thread when touched'),
      c('no-dent', 'hardly a dent'),
      c('taps-hard', 'taps dull and hard'),
      c('no-catch', 'does not catch the glove'),
    ],
    'countdowns never replace the hand',
    true,
  ),
  way(
    'gloves',
    'Gloves',
    [c('plain', 'plain'), c('oiled', 'lightly oiled'), c('bare-sugar', 'clean bare hands for sugar')],
    'hygiene first; oil keeps the glove clean',
  ),
  way(
    'sticks',
    'Sticks',
    [c('one', 'one a dip'), c('half', 'halves, each end once'), c('bin', 'binned at once')],
    'never twice into a shared pot',
  ),
  way(
    'cloth',
    'Strip cloth',
    [c('fresh', 'fresh, or folded to a free part'), c('reuse', 'used until built up')],
    'stray wax takes hair that should stay',
  ),
  way(
    'rub',
    'Strip on soft wax',
    [c('rub', 'rubbed three times, pressed only on the face'), c('press', 'pressed only')],
    'rubbing drags thin skin',
  ),
  way(
    'thick',
    'Thickness of hard wax',
    [c('generous', 'generous, with a thick rim'), c('label', 'as the label says')],
    'thin edges stay on',
  ),
  way(
    'pull',
    'Pull',
    [
      c('quick', 'quick'),
      c('slower', 'slower on fine hair'),
      c('tugs', 'in planned tugs on the knee, near eyes, on long bikini strips'),
    ],
    'fine hair breaks',
  ),
  way(
    'tweeze',
    'When to tweeze',
    [c('setting', 'while strips set'), c('rounds', 'between rounds'), c('end', 'at the end')],
    'uses the wait',
  ),
  way(
    'leftovers',
    'What the tweezers do not get',
    [c('clean-up', 'gone over again while a pass is left'), c('stay', 'left for next time')],
    'clients notice; the skin may say stop',
    true,
  ),
  way(
    'numbing',
    'Numbing',
    [c('cold', 'a cold pack on request'), c('cream', 'cream as labelled, nowhere intimate')],
    'cold is harmless',
  ),
  way(
    'exfoliate',
    'Scrub before',
    [c('1-2', 'one to two days before'), c('3-4', 'within three to four days, for sugar')],
    'the skin calms down again',
  ),
  way(
    'medicine',
    'Blood-thinning or steroid medicine',
    [c('adapt', 'adapt and warn'), c('word', 'not without the prescriber’s word')],
    'nobody is advised to stop a medicine',
    true,
  ),
  way(
    'after',
    'After',
    [
      c('oil-gel', 'oil, then soothing gel'),
      c('lotion', 'lotion'),
      c('powder', 'powder in humid heat'),
      c('astringent', 'astringent, as in examinations'),
    ],
    'lifts residue and calms',
  ),
  way(
    'residue',
    'Residue',
    [c('usual', 'oil for wax, water for sugar'), c('dab', 'dabbed with the same wax')],
    'rubbing is what hurts',
  ),
  way(
    'next',
    'Next visit',
    [c('own', 'from this client’s own regrowth'), c('weeks', 'said in fixed weeks as well')],
    'the hair decides',
  ),
];

const BY_ID = new Map(HOUSE_WAYS.map((w) => [w.id, w]));
export const houseWay = (id: string): HouseWay | undefined => BY_ID.get(id);

/** What the ways that decide the plan make of the schools; an unknown choice changes nothing. */
export function schoolsOf(schools: Schools, chosen: Readonly<Record<string, string>>): Schools {
  const of = (id: string): string | undefined =>
    houseWay(id)?.choices.some((k) => k.id === chosen[id]) ? chosen[id] : undefined;
  const sugar = of('sugarWay');
  const kept = sugar === undefined ? schools.sugarWay : undefined;
  const sugarWay = sugar === 'hand' || sugar === 'strip' ? sugar : kept;
  return {
    families: schools.families,
    hardLay: (of('hardLay') as Schools['hardLay'] | undefined) ?? schools.hardLay, // ids are the school's own
    shortHair: (of('shortHair') as Schools['shortHair'] | undefined) ?? schools.shortHair,
    prep: (of('prep') as Schools['prep'] | undefined) ?? schools.prep,
    maxHardPasses: Number(of('maxHardPasses') ?? schools.maxHardPasses),
    ...(sugarWay === undefined ? {} : { sugarWay }),
  };
}
