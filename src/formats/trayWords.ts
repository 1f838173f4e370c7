// The tray in words: the same on the screen and on paper.

import { withSizes } from './size';

const ITEMS: Readonly<Record<string, string>> = {
  'film-hard': 'Film hard wax',
  'cream-hard': 'Cream hard wax',
  soft: 'Soft wax',
  'sugar-soft': 'Sugar, soft',
  'sugar-firm': 'Sugar, firm',
  'sugar-hard': 'Sugar, hard',
  stick: 'Sticks',
  cloth: 'Cloths',
  gloves: 'Gloves',
  cleanser: 'Cleanser',
  oil: 'Oil',
  powder: 'Powder',
  gauze: 'Gauze',
};

export interface TrayItem {
  readonly item: string;
  readonly amount: number;
  readonly unit: string;
}

/** `Gloves`, `2 pairs`. */
export function itemWords({ item, amount, unit }: TrayItem): { readonly name: string; readonly amount: string } {
  const plain = item.charAt(0).toUpperCase() + item.slice(1).replaceAll('-', ' ');
  const units = unit === 'pair' && amount !== 1 ? 'pairs' : unit;
  // nobody weighs tenths of a gram into a tray
  const count = unit === 'g' || unit === 'ml' ? Math.ceil(amount) : amount;
  return { name: ITEMS[item] ?? plain, amount: unit === 'piece' ? String(count) : withSizes(`${count} ${units}`) };
}
