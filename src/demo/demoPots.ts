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
  const pots = POTS.map((pot, i) => ({ ...pot, id: `pot-${i + 1}`, channel: i + 1 }));
  for (const pot of pots) insertPot(tx, { sensor: potSensor(), ...pot });
  // earlier days first, the oldest of them on top: the log is in the order of time
  for (const { id, channel, setC } of [...pots].reverse()) {
    const thenMs = nowMs - (18 + 3 * channel) * DAY_MS;
    const setThenC = setC ?? PASTE_SET_C;
    const by = { potId: id, personId: 'ines' };
    insertPotNote(tx, { ...by, kind: 'set', tempC: setThenC, atMs: thenMs - HOUR_MS });
    insertPotNote(tx, { ...by, kind: 'wrist', felt: 'right', tempC: setThenC - 1, atMs: thenMs });
    insertPotNote(tx, { ...by, kind: 'set', tempC: null, atMs: thenMs + 4 * HOUR_MS });
  }
  for (const { id, setC } of pots) {
    insertPotNote(tx, { potId: id, kind: 'set', tempC: setC, atMs: nowMs - HOUR_MS, personId: null });
    insertPotHeat(tx, { potId: id, atMs: nowMs, tempC: setC ?? 22 });
  }
}
