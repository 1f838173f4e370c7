// One zone on its way to a plan: sheet, field, hair area, and its layouts, made once per size and way.

import { sheetFor, ZONES, type Sheet, type Zone } from '../anatomy';
import { exclusionOf, growthField, type Exclusion, type GrowthField } from '../field';
import type { Hair } from '../hair';
import { mannerName, type Product, type Way } from '../products';
import { zoneKey } from '../screening';
import { fail, ok, type Result } from '../shared';
import { hairRegion, largestStrip, layOutZone, type HandLevel, type Layout } from '../strips';
import { regionArea } from '../shared';
import type { PlanMemory } from './planMemory';
import type { ClientCase, ZoneCase } from './visitCase';

export interface ZoneWork {
  readonly input: ZoneCase;
  readonly key: string;
  readonly zone: Zone;
  readonly sheet: Sheet;
  readonly hair: Hair;
  readonly field: GrowthField;
  readonly exclusions: readonly Exclusion[];
  readonly hairAreaCm2: number;
  readonly areaCm2: number;
  readonly idPrefix: string;
  /** The layout for a product and way; made on demand and kept. */
  readonly layout: (product: Product, way: Way) => Layout;
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
/** `A`, `B` … `Z`, `AA` … : one prefix a zone, so that strips of all zones share one id space. */
const prefixOf = (index: number): string => (index < LETTERS.length ? (LETTERS[index] ?? 'A') : prefixOf(Math.floor(index / LETTERS.length) - 1) + (LETTERS[index % LETTERS.length] ?? 'A'));

export const hairOf = (input: ZoneCase): Hair => ({
  lengthMm: input.hair.lengthMm, coarseness: input.hair.coarseness, density: input.hair.density, curl: input.hair.curl ?? 1,
  history: input.hair.history ?? 'regular', lastWaxOn: input.hair.lastWaxOn, past: input.hair.past ?? [],
});

export function prepareZone(input: ZoneCase, index: number, client: ClientCase, level: HandLevel, memory: PlanMemory): Result<ZoneWork> {
  const zone = ZONES[input.zone];
  const sheet = sheetFor(zone, input.side, client, input.sheetCm);
  if (!sheet.ok) return fail(sheet.error);
  const field = growthField(zone, input.side, sheet.value, input.strokes ?? []);
  const exclusions = (input.marks ?? []).map(exclusionOf);
  const { hair } = hairRegion(sheet.value.outline, exclusions);
  const idPrefix = prefixOf(index);
  const layouts = new Map<string, Layout>();
  const layout = (product: Product, way: Way): Layout => {
    const key = `${product.family}/${mannerName(product.family, way)}/${way}`;
    const known = layouts.get(key);
    if (known) return known;
    const ground = [zone.id, input.side, sheet.value.widthCm, sheet.value.heightCm, input.strokes ?? [], exclusions, level, idPrefix];
    const made = memory.layouts(JSON.stringify([key, ground]), () => layOutZone(sheet.value.outline, field, exclusions, { way, largestCm: largestStrip(zone, product.family, level) }, idPrefix));
    layouts.set(key, made);
    return made;
  };
  return ok({
    input, key: zoneKey(input), zone, sheet: sheet.value, hair: hairOf(input), field, exclusions, hairAreaCm2: regionArea(hair),
    areaCm2: regionArea([sheet.value.outline]), idPrefix, layout,
  });
}
