// Share of the body's surface in each of its regions, adult: Lund & Browder 1944 (The estimation of areas of burns,
// Surg Gynecol Obstet 79:352; values from memory). Every zone takes a share of its region; both grow with the body's
// surface alike.

import { regionArea } from '../shared';
import { REFERENCE_BSA_M2, sheetFor } from './scale';
import type { Zone, ZoneId } from './types';

export const REGIONS = [
  'head',
  'neck',
  'trunk-front',
  'trunk-back',
  'buttock',
  'genitalia',
  'upper-arm',
  'forearm',
  'hand',
  'thigh',
  'lower-leg',
  'foot',
] as const;
export type BodyRegionName = (typeof REGIONS)[number];

/** Percent of the body's surface; of one side where the region is paired. */
export const REGION_PERCENT: Readonly<Record<BodyRegionName, number>> = {
  head: 7,
  neck: 2,
  'trunk-front': 13,
  'trunk-back': 13,
  buttock: 2.5,
  genitalia: 1,
  'upper-arm': 4,
  forearm: 3,
  hand: 2.5,
  thigh: 9.5,
  'lower-leg': 7,
  foot: 3.5,
};
export const PAIRED_REGIONS: readonly BodyRegionName[] = [
  'buttock',
  'upper-arm',
  'forearm',
  'hand',
  'thigh',
  'lower-leg',
  'foot',
];

/** The region in which most of a zone lies. */
export const REGION_OF: Readonly<Record<ZoneId, BodyRegionName>> = {
  brow: 'head',
  'between-brows': 'head',
  'upper-lip': 'head',
  chin: 'head',
  'jaw-throat': 'neck',
  'cheek-sideburn': 'head',
  ear: 'head',
  'nose-rim': 'head',
  nape: 'neck',
  underarm: 'trunk-front',
  forearm: 'forearm',
  'upper-arm': 'upper-arm',
  hand: 'hand',
  shoulder: 'trunk-back',
  'upper-back': 'trunk-back',
  'lower-back': 'trunk-back',
  chest: 'trunk-front',
  abdomen: 'trunk-front',
  'thigh-front': 'thigh',
  'thigh-back': 'thigh',
  knee: 'thigh',
  'lower-leg-front': 'lower-leg',
  'lower-leg-back': 'lower-leg',
  foot: 'foot',
  'bikini-edge': 'trunk-front',
  'bikini-extended': 'trunk-front',
  'front-complete': 'trunk-front',
  'buttock-crease': 'buttock',
};

/** Surface of a region, cm², of a body with a surface in m². */
export const regionCm2 = (region: BodyRegionName, bsaM2: number): number =>
  (REGION_PERCENT[region] / 100) * bsaM2 * 10_000;

/**
 * The share of its region that a zone's outline takes on the reference adult, 0–1; the same on every body, as the sheet
 * is scaled by the root of the surface.
 */
export function shareOfRegion(zone: Zone): number {
  const sheet = sheetFor(zone, zone.paired ? 'left' : 'middle', {});
  return sheet.ok ? regionArea([sheet.value.outline]) / regionCm2(REGION_OF[zone.id], REFERENCE_BSA_M2) : 0;
}
