// Burn integral of Henriques (1947, Arch Pathol 43:489): dΩ/dt = 3.1e98·exp(−75 000/T), T in kelvin at the basal layer
// (150 000 cal/mol with R = 2 cal/(mol·K); the SI form with 627 kJ/mol and 8.314 gives less damage, the unsafe way).
// Ω = 1 is irreversible damage to the epidermis; this project plans with Ω ≤ 0.01. Values from memory.

export const BURN_LIMIT = 0.01;

/** Damage per second at a basal temperature. */
export const burnRate = (basalC: number): number => 3.1e98 * Math.exp(-75_000 / (basalC + 273.15));
