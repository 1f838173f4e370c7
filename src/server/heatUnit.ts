// The studio's unit of heat, told to what writes words on this server.

import 'server-only';
import { tellHeatUnit, type HeatUnit } from '../formats/heat';
import type { Db } from './db/openDatabase';
import { readStudio } from './repos/studioRepo';

export function heatUnitOf(db: Db): HeatUnit {
  const unit = readStudio(db)?.settings.heatUnit ?? 'C';
  tellHeatUnit(unit);
  return unit;
}
