// The figures of a product in the order of its label, with the words of the trade. Bounds come from the core.

import type { MannerName } from '@/core/products';

export interface Field {
  readonly path: string;
  readonly label: string;
  readonly step: number;
  readonly unit: string;
}

export const MANNER_WORDS: Readonly<Record<MannerName, string>> = {
  tab: 'With its own tab',
  cloth: 'Under cloth',
  hand: 'By hand',
};

const field = (path: string, label: string, unit: string, step: number): Field => ({ path, label, unit, step });

/** How it is laid in one manner: label, slab, hair, wait, hold on the skin, flow. */
export const mannerFields = (name: MannerName): readonly Field[] => {
  const at = `manners.${name}.`;
  return [
    field(`${at}labelC.min`, 'Label from, at touch', '°C', 1),
    field(`${at}labelC.max`, 'Label to, at touch', '°C', 1),
    field(`${at}thicknessMm.min`, 'Thinnest', 'mm', 0.1),
    field(`${at}thicknessMm.usual`, 'Usual', 'mm', 0.1),
    field(`${at}thicknessMm.max`, 'Thickest', 'mm', 0.1),
    field(`${at}thicknessMm.tender`, 'On tender skin', 'mm', 0.1),
    field(`${at}shortestMm`, 'Shortest hair', 'mm', 0.1),
    field(`${at}longestMm`, 'Longest hair', 'mm', 0.5),
    field(`${at}waitS.min`, 'Wait from', 's', 1),
    field(`${at}waitS.max`, 'Wait to', 's', 1),
    field(`${at}adhesion`, 'Hold on the skin, 0–1', '', 0.05),
    field(`${at}flowPaS.min`, 'Flows right from', 'Pa·s', 1),
    field(`${at}flowPaS.max`, 'Flows right to', 'Pa·s', 1),
  ];
};

export const SHELF_FIELDS: readonly Field[] = [
  field('passes.usual', 'Passes, usual', '', 1),
  field('passes.max', 'Passes, at most', '', 1),
  field('packKg', 'Pack', 'kg', 0.1),
  field('shelfMonths', 'Keeps', 'months', 1),
];

export const FLOW_FIELDS: readonly Field[] = [
  field('viscosity[0][0]', 'Stiff point', 'Pa·s', 1),
  field('viscosity[0][1]', 'at', '°C', 0.5),
  field('viscosity[1][0]', 'Runny point', 'Pa·s', 1),
  field('viscosity[1][1]', 'at', '°C', 0.5),
  field('grip', 'Hold on the hair, 0–1', '', 0.05),
];
export const SETTING_FIELDS: readonly Field[] = [
  field('setting.midC', 'Sets round', '°C', 0.5),
  field('setting.widthK', 'within about ±', 'K', 0.5),
  field('setting.brittleC', 'Brittle at', '°C', 0.5),
  field('setting.latentJkg', 'Latent heat', 'J/kg', 1000),
];
export const HEAT_FIELDS: readonly Field[] = [
  field('conductivityWmK', 'Conductivity', 'W/mK', 0.01),
  field('densityKgM3', 'Density', 'kg/m³', 10),
  field('heatCapacityJkgK', 'Heat capacity', 'J/kgK', 50),
];
