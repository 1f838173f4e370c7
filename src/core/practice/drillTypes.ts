// The questions of the practice room, kind by kind.

import type { ZoneId } from '../anatomy';
import type { HairCase } from '../plan';
import type { Fact, Outcome } from '../screening';
import type { Ring, Vec } from '../shared';
import type { Decision, DecisionReason } from './decide';
import type { Looked } from './practise';
import type { Flow, WristSays } from './signs';
import type { Act, FaultCode, Scene } from './types';

export const POT_ANSWERS = ['lay', 'cooler', 'warmer'] as const;
export type PotAnswer = (typeof POT_ANSWERS)[number];
export type Drill =
  | {
      readonly kind: 'today';
      readonly fact: Fact;
      /** Null where it makes no difference. */
      readonly daysAgo: number | null;
      readonly zone: ZoneId;
      readonly choices: readonly Outcome[];
      readonly right: Outcome;
      /** The rules’ own sentences. */
      readonly why: readonly string[];
    }
  | {
      readonly kind: 'strip';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      readonly looked: Looked;
      readonly choices: readonly FaultCode[];
      readonly right: FaultCode;
    }
  | {
      readonly kind: 'after';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      readonly looked: Looked;
      readonly choices: readonly Decision[];
      readonly right: readonly Decision[];
      readonly reason: DecisionReason;
    }
  | {
      readonly kind: 'pot';
      readonly product: string;
      readonly zone: ZoneId;
      readonly flow: Flow;
      readonly wrist: WristSays;
      readonly choices: readonly PotAnswer[];
      readonly right: PotAnswer;
    }
  | {
      readonly kind: 'way';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      /** How it was stroked, and whether it lay down. */
      readonly stroked: Edge;
      readonly lay: boolean;
      readonly choices: readonly Edge[];
      readonly right: Edge;
    }
  | {
      readonly kind: 'length';
      /** Of each hair drawn, mm. */
      readonly lengthsMm: readonly number[];
      readonly choices: readonly LengthMm[];
      readonly right: LengthMm;
    }
  | {
      /** Which strip is laid next? */
      readonly kind: 'order';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      readonly level: string;
      /** Strips that are off, those that are still to come, and those that are offered. */
      readonly off: readonly Ring[];
      readonly others: readonly Ring[];
      readonly offered: readonly { readonly letter: Letter; readonly outline: Ring; readonly tab: Vec }[];
      readonly choices: readonly Letter[];
      readonly right: Letter;
    }
  | {
      readonly kind: 'product';
      readonly zone: ZoneId;
      readonly hair: HairCase;
      readonly sensitivity: number;
      readonly choices: readonly WaxAnswer[];
      readonly right: WaxAnswer;
      /** The engine’s own sentences. */
      readonly why: readonly string[];
    }
  | {
      /** Hand sugar by rhythm: the answer is what the hand did. */
      readonly kind: 'rhythm';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      /** Where the hair points. */
      readonly growth: Edge;
      readonly choices: readonly never[];
      readonly right: 'rhythm';
    };

export const LETTERS = ['A', 'B', 'C'] as const;
export type Letter = (typeof LETTERS)[number];
export const WAX_ANSWERS = ['hard', 'soft', 'sugar', 'none'] as const;
/** A family, or none today. */
export type WaxAnswer = (typeof WAX_ANSWERS)[number];

export const EDGES = ['up', 'down', 'left', 'right'] as const;
/** Towards which edge of the sheet. */
export type Edge = (typeof EDGES)[number];
export const TOWARDS: Readonly<Record<Edge, Vec>> = { up: [0, -1], down: [0, 1], left: [-1, 0], right: [1, 0] };
/** Lengths to tell apart by eye, mm. */
export const LENGTHS_MM = ['2', '4', '6', '9', '14'] as const;
export type LengthMm = (typeof LENGTHS_MM)[number];
