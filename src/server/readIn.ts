// In which units the studio reads, told to what writes words on this server.

import 'server-only';
import { tellHeatUnit, type HeatUnit } from '../formats/heat';
import { tellSizeUnits, type LengthUnit, type WeightUnit } from '../formats/size';
import type { Db } from './db/openDatabase';
import type { StudioSettings } from './db/schema';
import { readStudio } from './repos/studioRepo';

export interface ReadIn {
  readonly heatUnit: HeatUnit;
  readonly lengthUnit: LengthUnit;
  readonly weightUnit: WeightUnit;
}

export const readIn = (settings: Partial<StudioSettings> | undefined): ReadIn => ({
  heatUnit: settings?.heatUnit ?? 'C',
  lengthUnit: settings?.lengthUnit ?? 'mm',
  weightUnit: settings?.weightUnit ?? 'g',
});

export function tellReadIn({ heatUnit, lengthUnit, weightUnit }: ReadIn): void {
  tellHeatUnit(heatUnit);
  tellSizeUnits({ length: lengthUnit, weight: weightUnit });
}

export function readInOf(db: Db): ReadIn {
  const units = readIn(readStudio(db)?.settings);
  tellReadIn(units);
  return units;
}
