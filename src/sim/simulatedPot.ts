// One simulated pot under its probe: the pot engine's own physics, a probe with a little noise, and the faults that
// real ones have. Nothing here is measured.

import { evenPot, potStep, temps, USUAL_POT, type PotState } from '../core/pots';
import type { Random } from '../core/shared';
import type { PotFault, PotUnderProbe } from './protocol';

export interface SimulatedPot {
  readonly pot: PotUnderProbe;
  readonly state: PotState;
  readonly fault: PotFault;
  /** How far the probe has drifted, K. */
  readonly driftK: number;
  /** Seconds until the probe's plug makes or breaks contact again. */
  readonly contactS: number;
  readonly isOut: boolean;
}

/** Of a kitchen probe, K either way (from memory). */
const NOISE_K = 0.1;
/** A probe that drifts reads so much less each minute, to at most so much. */
const DRIFT_K_MIN = 1;
const MOST_DRIFT_K = 8;
/** A thermostat that sticks heats on to here, as a pot's own safety switch would end it, °C. */
const STUCK_C = 95;
/** A loose plug tells and is silent for about so long, s. */
const OUT_S = 40;

export const simulated = (pot: PotUnderProbe): SimulatedPot => ({
  pot,
  state: evenPot(pot.product, pot.waxG, pot.tempC),
  fault: 'NONE',
  driftK: 0,
  contactS: 0,
  isOut: false,
});

/** Another setting of the thermostat. */
export const setTo = (one: SimulatedPot, setC: number | null): SimulatedPot => ({ ...one, pot: { ...one.pot, setC } });

/** A fault put in, or taken out: then the probe is right again. */
export const withFault = (one: SimulatedPot, fault: PotFault): SimulatedPot => ({
  ...one,
  fault,
  driftK: 0,
  contactS: OUT_S,
  isOut: fault === 'DROPOUT',
});

/** Some seconds on. */
export function after(one: SimulatedPot, seconds: number): SimulatedPot {
  const { pot, fault } = one;
  const heater = { heaterW: USUAL_POT.heaterW, waxG: pot.waxG, lid: USUAL_POT.lid };
  // a stuck thermostat does not switch off; one that is off at the plug stays off
  const setC = fault === 'STUCK' && pot.setC !== null ? STUCK_C : pot.setC;
  const { state } = potStep(pot.product, heater, one.state, setC, pot.roomC, seconds);
  const flips = fault === 'DROPOUT' && one.contactS <= seconds;
  return {
    ...one,
    state,
    driftK: fault === 'DRIFT' ? Math.min(MOST_DRIFT_K, one.driftK + (DRIFT_K_MIN * seconds) / 60) : 0,
    contactS: flips ? OUT_S : Math.max(0, one.contactS - seconds),
    isOut: flips ? !one.isOut : one.isOut,
  };
}

/** What the probe tells, °C; null while it tells nothing. */
export function probeC(one: SimulatedPot, random: Random): number | null {
  if (one.isOut) return null;
  const { mixedC } = temps(one.pot.product, one.state);
  return mixedC - one.driftK + random.between(-NOISE_K, NOISE_K);
}
