// The catalogue of zones. Sheet sizes, growth and skin: starting values from memory (not handbook data) that meet the
// checks of the regrowth and heat engines together; a studio corrects them by measuring and by its clients' own curves.
// A reference sheet belongs to a body of 1.82 m² and is scaled by √(BSA/1.82), see scale.ts.

import * as pattern from './patterns';
import { BROW_EDGE, STRAY_SHARE } from './browSheet';
import { OUTLINES } from './outlines';
import type { Family, GrowthOfZone, GrowthPattern, SkinKind, SkinOfZone, StripSizeCm, Zone, ZoneId } from './types';

/** Resting surface °C, epidermis µm by kind of skin (from memory). */
const SKIN: Readonly<Record<SkinKind, readonly [number, number]>> = {
  shin: [31, 90],
  thigh: [32.5, 80],
  forearm: [32, 80],
  trunk: [33.5, 80],
  face: [34, 50],
  bikini: [34.5, 60],
  underarm: [35, 60],
};

const ALL: readonly Family[] = ['hard', 'soft', 'sugar'];
const NEVER_SOFT: readonly Family[] = ['hard', 'sugar'];

type GrowthRow = readonly [number, number, number, number, number];
const growth = ([rateMmPerDay, depthMm, growingShare, restartSpreadDays, growingDays]: GrowthRow): GrowthOfZone => ({
  rateMmPerDay,
  depthMm,
  growingShare,
  restartSpreadDays,
  growingDays,
});

// rate mm/day, depth mm, growing share, restart days, growing-phase days (all from memory)
const G = {
  brow: growth([0.18, 1.4, 0.1, 14, 64]),
  lip: growth([0.3, 2.0, 0.65, 14, 120]),
  chin: growth([0.38, 2.8, 0.7, 14, 365]),
  jaw: growth([0.36, 2.8, 0.7, 14, 365]),
  cheek: growth([0.32, 2.4, 0.6, 14, 180]),
  ear: growth([0.22, 1.6, 0.3, 14, 120]),
  nape: growth([0.33, 2.8, 0.7, 14, 730]),
  underarm: growth([0.3, 3.2, 0.3, 14, 120]),
  arm: growth([0.22, 2.0, 0.2, 21, 100]),
  hand: growth([0.21, 1.8, 0.2, 21, 100]),
  back: growth([0.26, 2.6, 0.3, 21, 150]),
  chest: growth([0.28, 2.8, 0.3, 21, 150]),
  thigh: growth([0.25, 2.2, 0.2, 21, 110]),
  lowerLeg: growth([0.26, 2.3, 0.2, 21, 120]),
  foot: growth([0.22, 1.8, 0.2, 21, 110]),
  bikini: growth([0.28, 3.0, 0.3, 14, 120]),
  crease: growth([0.26, 2.6, 0.3, 14, 120]),
} as const;

type Strips = Readonly<Record<Family, StripSizeCm>>;
const strips = (hard: StripSizeCm, soft: StripSizeCm, sugar: StripSizeCm): Strips => ({ hard, soft, sugar });
const S = {
  lip: strips([2, 3], [2, 3], [2, 3]),
  small: strips([1.5, 3], [1.5, 3], [1.5, 3]),
  ear: strips([0.9, 2.5], [0.9, 2.5], [0.9, 2.5]),
  chin: strips([2, 4], [2, 5], [2, 4]),
  jaw: strips([2.5, 5], [3, 6], [2.5, 5]),
  underarm: strips([3, 7], [4, 8], [4, 7]),
  bikini: strips([2.5, 7.5], [3, 8], [2.5, 6]),
  leg: strips([4, 12], [6, 22], [5, 15]),
  arm: strips([4, 10], [5, 18], [5, 14]),
  hand: strips([3, 6], [3.5, 8], [3, 6]),
  // hard as one deep strip peeled piecemeal with a strip to either side, soft in small patches with small cloths
  // (common practice, no source)
  knee: strips([6.2, 12], [4, 6], [4, 8]),
  back: strips([5, 15], [6, 20], [6, 15]),
} as const;

interface Row {
  readonly name: string;
  readonly paired?: boolean;
  readonly sheet: readonly [number, number];
  readonly growth: GrowthOfZone;
  readonly skin: SkinKind;
  readonly strips: Strips;
  readonly pattern: GrowthPattern;
  readonly hairs: number;
  readonly pull: number;
  readonly tender?: number;
  readonly shortest?: number;
  readonly face?: boolean;
  readonly intimate?: boolean;
  readonly families?: readonly Family[];
  readonly stretch?: string;
  readonly cue?: string;
  readonly thinned?: Zone['thinned'];
}

const STRETCH = 'Stretch the skin taut near the end where the pull starts.';
const BREATHE = 'Breathe out.';
const face = { face: true, tender: 0.2, skin: 'face', shortest: 0.75 } as const;

const ROWS: Readonly<Record<ZoneId, Row>> = {
  brow: {
    ...face,
    name: 'Brow',
    paired: true,
    sheet: [8, 5],
    thinned: { within: BROW_EDGE, outside: STRAY_SHARE },
    growth: G.brow,
    strips: S.small,
    pattern: pattern.brow,
    hairs: 30,
    pull: 1.5,
    cue: 'Eyes closed. Breathe out.',
  },
  'between-brows': {
    ...face,
    name: 'Between the brows',
    sheet: [2.5, 2.5],
    growth: G.brow,
    strips: S.small,
    pattern: pattern.up,
    hairs: 20,
    pull: 1.4,
    cue: 'Eyes closed. Breathe out.',
  },
  'upper-lip': {
    ...face,
    name: 'Upper lip',
    sheet: [6.5, 2],
    growth: G.lip,
    strips: S.lip,
    pattern: pattern.lip,
    hairs: 16,
    pull: 1.8,
    stretch: 'Draw the corner of the lip taut, both ways.',
    cue: 'Draw your lip over your teeth. Breathe out.',
  },
  chin: {
    ...face,
    shortest: 1,
    name: 'Chin',
    sheet: [7, 5],
    growth: G.chin,
    strips: S.chin,
    pattern: pattern.chin,
    hairs: 15,
    pull: 1.5,
  },
  'jaw-throat': {
    ...face,
    shortest: 1,
    name: 'Jaw and throat',
    sheet: [14, 9],
    growth: G.jaw,
    strips: S.jaw,
    pattern: pattern.chin,
    hairs: 15,
    pull: 1.5,
  },
  'cheek-sideburn': {
    ...face,
    name: 'Cheek and sideburn',
    paired: true,
    sheet: [7, 9],
    growth: G.cheek,
    strips: S.chin,
    pattern: pattern.down,
    hairs: 30,
    pull: 1.3,
  },
  ear: {
    ...face,
    name: 'Ear',
    paired: true,
    sheet: [5, 6.5],
    growth: G.ear,
    strips: S.ear,
    pattern: pattern.ear,
    hairs: 8,
    pull: 1.5,
    families: ['hard'],
  },
  'nose-rim': {
    ...face,
    name: 'Rim of the nose',
    sheet: [3, 1.5],
    growth: G.ear,
    strips: S.ear,
    pattern: pattern.down,
    hairs: 10,
    pull: 1.8,
    families: NEVER_SOFT,
  },
  nape: {
    name: 'Nape',
    sheet: [12, 7],
    growth: G.nape,
    skin: 'trunk',
    strips: S.jaw,
    pattern: pattern.down,
    hairs: 40,
    pull: 1.1,
  },
  underarm: {
    name: 'Underarm',
    paired: true,
    sheet: [9, 13],
    growth: G.underarm,
    skin: 'underarm',
    strips: S.underarm,
    pattern: pattern.underarm,
    hairs: 12,
    pull: 1.6,
    tender: 0.2,
    stretch: 'Stretch at the outer chest. The arm stays up, covering hand ready.',
    cue: 'Breathe out. The arm stays up.',
  },
  forearm: {
    name: 'Forearm',
    paired: true,
    sheet: [22, 25],
    growth: G.arm,
    skin: 'forearm',
    strips: S.arm,
    pattern: pattern.forearm,
    hairs: 12,
    pull: 0.9,
  },
  'upper-arm': {
    name: 'Upper arm',
    paired: true,
    sheet: [27, 28],
    growth: G.arm,
    skin: 'forearm',
    strips: S.arm,
    pattern: pattern.forearm,
    hairs: 10,
    pull: 0.9,
  },
  hand: {
    name: 'Hand and fingers',
    paired: true,
    sheet: [10, 14],
    growth: G.hand,
    skin: 'forearm',
    strips: S.hand,
    pattern: pattern.forearm,
    hairs: 8,
    pull: 1,
  },
  shoulder: {
    name: 'Shoulder',
    paired: true,
    sheet: [14, 16],
    growth: G.back,
    skin: 'trunk',
    strips: S.back,
    pattern: pattern.downOutward,
    hairs: 12,
    pull: 1.1,
    tender: 0.2,
  },
  'upper-back': {
    name: 'Upper back',
    sheet: [38, 28],
    growth: G.back,
    skin: 'trunk',
    strips: S.back,
    pattern: pattern.back,
    hairs: 12,
    pull: 1.1,
    tender: 0.2,
  },
  'lower-back': {
    name: 'Lower back',
    sheet: [34, 22],
    growth: G.back,
    skin: 'trunk',
    strips: S.back,
    pattern: pattern.back,
    hairs: 12,
    pull: 1.1,
    tender: 0.2,
  },
  chest: {
    name: 'Chest',
    sheet: [32, 24],
    growth: G.chest,
    skin: 'trunk',
    strips: S.back,
    pattern: pattern.chest,
    hairs: 14,
    pull: 1.3,
  },
  abdomen: {
    name: 'Abdomen',
    sheet: [30, 24],
    growth: G.back,
    skin: 'trunk',
    strips: S.back,
    pattern: pattern.abdomen,
    hairs: 12,
    pull: 1.2,
  },
  'thigh-front': {
    name: 'Thigh, front',
    paired: true,
    sheet: [22, 38],
    growth: G.thigh,
    skin: 'thigh',
    strips: S.leg,
    pattern: pattern.downOutward,
    hairs: 4,
    pull: 1,
  },
  'thigh-back': {
    name: 'Thigh, back',
    paired: true,
    sheet: [20, 36],
    growth: G.thigh,
    skin: 'thigh',
    strips: S.leg,
    pattern: pattern.downOutward,
    hairs: 4,
    pull: 1.1,
  },
  knee: {
    name: 'Knee',
    paired: true,
    sheet: [14, 12],
    growth: G.thigh,
    skin: 'shin',
    strips: S.knee,
    pattern: pattern.knee,
    hairs: 9,
    pull: 1.1,
  },
  'lower-leg-front': {
    name: 'Lower leg, front',
    paired: true,
    sheet: [17, 37],
    growth: G.lowerLeg,
    skin: 'shin',
    strips: S.leg,
    pattern: pattern.downOutward,
    hairs: 5,
    pull: 1,
  },
  'lower-leg-back': {
    name: 'Lower leg, back',
    paired: true,
    sheet: [17, 37],
    growth: G.lowerLeg,
    skin: 'shin',
    strips: S.leg,
    pattern: pattern.downOutward,
    hairs: 5,
    pull: 1,
  },
  foot: {
    name: 'Foot and toes',
    paired: true,
    sheet: [9, 20],
    growth: G.foot,
    skin: 'shin',
    strips: S.hand,
    pattern: pattern.down,
    hairs: 5,
    pull: 1.1,
  },
  'bikini-edge': {
    name: 'Bikini edge',
    paired: true,
    sheet: [6, 14],
    growth: G.bikini,
    skin: 'bikini',
    strips: S.bikini,
    pattern: pattern.bikini,
    hairs: 20,
    pull: 1.7,
    tender: 0.3,
    intimate: true,
  },
  'bikini-extended': {
    name: 'Bikini extended',
    paired: true,
    sheet: [8, 16],
    growth: G.bikini,
    skin: 'bikini',
    strips: S.bikini,
    pattern: pattern.bikini,
    hairs: 22,
    pull: 1.9,
    tender: 0.3,
    intimate: true,
  },
  'front-complete': {
    name: 'Front complete',
    sheet: [14, 16],
    growth: G.bikini,
    skin: 'bikini',
    strips: S.bikini,
    pattern: pattern.chin,
    hairs: 25,
    pull: 2.1,
    tender: 0.3,
    intimate: true,
    families: NEVER_SOFT,
  },
  'buttock-crease': {
    name: 'Buttock crease',
    sheet: [6, 18],
    growth: G.crease,
    skin: 'bikini',
    strips: S.bikini,
    pattern: pattern.down,
    hairs: 10,
    pull: 1.4,
    tender: 0.3,
    intimate: true,
    families: NEVER_SOFT,
  },
};

const build = (id: ZoneId, row: Row): Zone => {
  const [restingC, epidermisUm] = SKIN[row.skin];
  const skin: SkinOfZone = { restingC, epidermisUm, tendernessK: row.tender ?? 0 };
  return {
    id,
    name: row.name,
    paired: row.paired ?? false,
    sheetCm: row.sheet,
    shape: OUTLINES[id],
    pattern: row.pattern,
    growth: row.growth,
    shortestFactor: row.shortest ?? 1,
    skinKind: row.skin,
    skin,
    face: row.face ?? false,
    intimate: row.intimate ?? false,
    families: row.families ?? ALL,
    hairsPerCm2: row.hairs,
    thinned: row.thinned,
    pullWeight: row.pull,
    stripCm: row.strips,
    stretch: row.stretch ?? STRETCH,
    cue: row.cue ?? BREATHE,
  };
};

/** Every zone by its id. */
export const ZONES: Readonly<Record<ZoneId, Zone>> = Object.fromEntries(
  (Object.keys(ROWS) as ZoneId[]).map((id) => [id, build(id, ROWS[id])]), // keys of ROWS are ZoneId by its type
) as Record<ZoneId, Zone>;

/** Zones whose ground lies inside another zone. */
export const INSIDE: Readonly<Partial<Record<ZoneId, readonly ZoneId[]>>> = {
  'bikini-edge': ['bikini-extended'],
};

/** `left|right` for paired zones, `middle` for the others. */
export const sidesOf = (zone: Zone): readonly ('left' | 'right' | 'middle')[] =>
  zone.paired ? ['left', 'right'] : ['middle'];
