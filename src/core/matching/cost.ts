// What an option costs the client, in minutes: the minutes of all passes, and everything else as so many minutes more.
// Rates from memory; a studio scales them, and a visit may say what matters most today. The parts add up to the cost.

export const COST_PARTS = ['minutes', 'load', 'broken', 'left', 'tweezed', 'material'] as const;
export type CostPart = (typeof COST_PARTS)[number];
export type CostParts = Readonly<Record<CostPart, number>>;

/** How a studio counts the parts, as a multiple of the shipped rate. */
export type Counts = Readonly<Record<CostPart, number>>;
export const SHIPPED_COUNTS: Counts = { minutes: 1, load: 1, broken: 1, left: 1, tweezed: 1, material: 1 };
export const MOST_COUNT = 5;

/** What matters most today: that part counts three times. */
export const MATTERS = ['cleanest', 'quickest', 'gentlest', 'cheapest'] as const;
export type Matters = (typeof MATTERS)[number];
const MATTERS_PARTS: Readonly<Record<Matters, readonly CostPart[]>> = {
  cleanest: ['left', 'tweezed'],
  quickest: ['minutes'],
  gentlest: ['load', 'broken'],
  cheapest: ['material'],
};
const MATTERS_TIMES = 3;

const LOAD_MIN = 8;
const LOAD_PER_STEP = 0.5;
const BROKEN_MIN_PER_PERCENT = 0.4;
const INGROWN_TIMES = 4;
const LEFT_MIN_PER_PERCENT = 4;
const TWEEZED_MIN = 0.05;
const MATERIAL_MIN_PER_UNIT = 0.3;

export interface CostFigures {
  readonly allMinutes: number;
  readonly skinLoad: number;
  readonly brokenShare: number;
  /** Share of the hair that neither strips nor tweezers take. */
  readonly staysShare: number;
  readonly tweezed: number;
  readonly costMinor: number;
}

export interface CostBy {
  readonly sensitivity: number;
  readonly ingrownProne: boolean;
  readonly counts?: Counts | undefined;
  readonly matters?: Matters | undefined;
}

export function costParts(f: CostFigures, { sensitivity, ingrownProne, counts, matters }: CostBy): CostParts {
  const times = (part: CostPart): number =>
    (counts ?? SHIPPED_COUNTS)[part] * (matters && MATTERS_PARTS[matters].includes(part) ? MATTERS_TIMES : 1);
  return {
    minutes: times('minutes') * f.allMinutes,
    load: times('load') * f.skinLoad * LOAD_MIN * (1 + LOAD_PER_STEP * Math.max(0, sensitivity - 3)),
    broken: times('broken') * 100 * f.brokenShare * BROKEN_MIN_PER_PERCENT * (ingrownProne ? INGROWN_TIMES : 1),
    left: times('left') * 100 * f.staysShare * LEFT_MIN_PER_PERCENT,
    tweezed: times('tweezed') * f.tweezed * TWEEZED_MIN,
    material: (times('material') * MATERIAL_MIN_PER_UNIT * f.costMinor) / 100,
  };
}

export const costOf = (parts: CostParts): number => COST_PARTS.reduce((s, p) => s + parts[p], 0);
