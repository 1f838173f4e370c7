// How much one machine of the network may ask. A tablet at the table sends some ten acts a second and loads a page
// now and then; a program that tries doors sends thousands. Plain Node, as the rest of the outermost door.

/** So many at once after a rest, and so many a second for good. */
export const BURST = 400;
export const PER_SECOND = 40;
/** Machines remembered at once; who asked longest ago is forgotten first. */
const MOST_MACHINES = 2_000;

/**
 * A limit by machine. Of what is refused nothing is lost: tablets keep what they sent and send it again.
 * @returns {(machine: string, nowMs: number) => null | { status: number, code: string, message: string }}
 */
export function limitByMachine({ burst = BURST, perSecond = PER_SECOND } = {}) {
  /** @type {Map<string, { left: number, atMs: number }>} */
  const machines = new Map();
  return (machine, nowMs) => {
    const known = machines.get(machine) ?? { left: burst, atMs: nowMs };
    const left = Math.min(burst, known.left + ((nowMs - known.atMs) / 1000) * perSecond);
    machines.delete(machine);
    machines.set(machine, { left: left < 1 ? left : left - 1, atMs: nowMs });
    if (machines.size > MOST_MACHINES) machines.delete(machines.keys().next().value);
    if (left >= 1) return null;
    return {
      status: 429,
      code: 'too-many',
      message: 'Too much was asked from here at once. Wait a moment: what you did is kept and sent again.',
    };
  };
}
