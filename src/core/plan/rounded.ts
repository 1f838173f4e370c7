// Figures of a plan are rounded once, here: places to a micrometre, directions to a millionth.

import { roundTo, type Ring, type Vec } from '../shared';

export const at4 = ([x, y]: Vec): Vec => [roundTo(x, 4), roundTo(y, 4)];
export const at6 = ([x, y]: Vec): Vec => [roundTo(x, 6), roundTo(y, 6)];
export const ring4 = (ring: Ring): Ring => ring.map(at4);
