// The pots of the demo as they stand, and the last day on which each felt right: invented, like the rest.

import type { DbOrTx } from '../server/db/openDatabase';
import { insertPot, insertPotHeat, insertPotNote } from '../server/repos/potRepo';
import { POTS } from './scenario';

/** The browser tests set the pots' clock themselves: they begin without the simulated sensor. */
const potSensor = (): 'none' | 'simulated' => (process.env['STRICKLE_DEMO_SENSOR'] === 'off' ? 'none' : 'simulated');

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;
/** Of the sugar, which is off now. */
const PASTE_SET_C = 38;

export function insertPots(tx: DbOrTx, nowMs: number): void {
  for (const [i, pot] of POTS.entries()) {
    const potId = `pot-${i + 1}`;
    insertPot(tx, { id: potId, channel: i + 1, sensor: potSensor(), ...pot });
    // an earlier day first: the log is in the order of time
    const thenMs = nowMs - (21 + 3 * i) * DAY_MS;
    const setThenC = pot.setC ?? PASTE_SET_C;
    const by = { potId, personId: 'ines' };
    insertPotNote(tx, { ...by, kind: 'set', tempC: setThenC, atMs: thenMs - HOUR_MS });
    insertPotNote(tx, { ...by, kind: 'wrist', felt: 'right', tempC: setThenC - 1, atMs: thenMs });
    insertPotNote(tx, { ...by, kind: 'set', tempC: null, atMs: thenMs + 4 * HOUR_MS });
    insertPotNote(tx, { potId, kind: 'set', tempC: pot.setC, atMs: nowMs - HOUR_MS, personId: null });
    insertPotHeat(tx, { potId, atMs: nowMs, tempC: pot.setC ?? 22 });
  }
}
