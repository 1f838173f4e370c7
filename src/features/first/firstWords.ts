// What a shelf opens and what is lost without, in words.

import { sized } from '@/formats/size';
import type { FirstRun } from '@/server/services/firstRun';
import { shortestOf } from './Wares';

type Ware = FirstRun['products'][number];

const FOR: Readonly<Record<Ware['family'], string>> = {
  hard: 'pulled by its own tab, from the face to coarse hair',
  soft: 'thin under cloth, large zones in few pulls',
  sugar: 'by hand or under cloth, little on the skin',
};

/** One line a ware: what it is for and from which length on. */
export const opensWords = (here: readonly Ware[]): readonly { readonly name: string; readonly says: string }[] =>
  here.map((w) => ({
    name: w.name.split(', ')[0] ?? w.name,
    says: `${FOR[w.family]}; hair from ${sized(shortestOf(w), 'mm')}.`,
  }));

const WITHOUT: Readonly<Record<Ware['family'], string>> = {
  hard: 'Without hard wax the face and very coarse hair leave little choice.',
  soft: 'Without soft wax large legs and arms take longer.',
  sugar: 'Without sugar short hair has to wait until it has grown.',
};

/** What is lost without a family that is not there. */
export const lostWords = (here: readonly Ware[]): readonly string[] =>
  (['hard', 'soft', 'sugar'] as const).filter((f) => !here.some((w) => w.family === f)).map((f) => WITHOUT[f]);
