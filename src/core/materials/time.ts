// Minutes round the strips: preparing and finishing a zone, tweezing, turning the room over. Values from memory.

/** Tweezing one hair, s. */
const PER_HAIR_S = 3;
/** Consultation and look, s. */
const CONSULT_S = 240;
const PREPARE_ZONE_S = 60;
const FINISH_ZONE_S = 75;
export const TURNOVER_MIN = 8;
const NEWCOMER_FACTOR = 1.35;
const BOOKING_STEP_MIN = 5;

export const tweezeS = (hairs: number): number => hairs * PER_HAIR_S;

/** Minutes at the table: the hands' schedule and the tweezing. */
export const tableMinutes = (scheduleS: number, hairs: number): number => (scheduleS + tweezeS(hairs)) / 60;

export interface VisitParts {
  readonly prepareMin: number;
  readonly layPullMin: number;
  readonly readMin: number;
  readonly finishMin: number;
  readonly turnoverMin: number;
}

export interface VisitWork {
  /** First pass of all zones, and later passes, s. */
  readonly scheduleS: number;
  readonly laterS: number;
  /** Hairs tweezed. */
  readonly hairs: number;
  readonly zones: number;
  readonly newcomer: boolean;
}

/** The real parts of a visit, minutes. */
export function visitParts({ scheduleS, laterS, hairs, zones, newcomer }: VisitWork): VisitParts {
  const factor = newcomer ? NEWCOMER_FACTOR : 1;
  return {
    prepareMin: ((CONSULT_S + PREPARE_ZONE_S * zones) / 60) * factor,
    layPullMin: ((scheduleS + laterS) / 60) * factor,
    readMin: (tweezeS(hairs) / 60) * factor,
    finishMin: (FINISH_ZONE_S * zones) / 60,
    turnoverMin: TURNOVER_MIN,
  };
}

/** Minutes to book: all parts, up to the next five. */
export function bookingMinutes(parts: VisitParts): number {
  const total = parts.prepareMin + parts.layPullMin + parts.readMin + parts.finishMin + parts.turnoverMin;
  return Math.ceil(total / BOOKING_STEP_MIN - 1e-9) * BOOKING_STEP_MIN;
}
