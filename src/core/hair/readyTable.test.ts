import { describe, expect, it } from 'vitest';
import { ZONES, type ZoneId } from '../anatomy';
import { seededRandom } from '../shared';
import { readyBy, readyTable } from './readyTable';
import { readyWindow, regrowthCurve, regrowthModel } from './regrowth';

const RANGES = [
  { shortestMm: 1.6, longestMm: 13 },
  { shortestMm: 4, longestMm: 13 },
  { shortestMm: 6, longestMm: 20 },
];
const HISTORIES = ['regular', 'lapsed', 'first'] as const;

describe('ready windows by the table', () => {
  it('are those of the whole model within a day, for made-up persons over zones, histories and products', () => {
    const random = seededRandom(16);
    const zones = Object.keys(ZONES) as ZoneId[];
    let compared = 0;
    for (let k = 0; k < 60; k++) {
      const zone = ZONES[zones[Math.floor(random.next() * zones.length)] ?? 'underarm'];
      const history = HISTORIES[k % 3] ?? 'regular';
      const range = RANGES[Math.floor(random.next() * 3)] ?? { shortestMm: 4, longestMm: 13 };
      const person = { rateFactor: Math.exp(0.5 * (random.next() - 0.5) * 2), lagShiftDays: 4 * (random.next() - 0.5) };
      const whole = readyWindow(regrowthCurve(regrowthModel(zone.growth, history, person), range));
      const read = readyBy(readyTable(zone.growth, history, range), person);
      // at the very edge of the horizon one of both may see it and the other not
      if (whole === null || read === null) {
        expect((whole ?? read)?.fromDay ?? 70, zone.id).toBeGreaterThanOrEqual(69);
        continue;
      }
      compared++;
      expect(Math.abs(read.fromDay - whole.fromDay), `${zone.id} from`).toBeLessThanOrEqual(1);
      expect(Math.abs(read.toDay - whole.toDay), `${zone.id} to`).toBeLessThanOrEqual(1);
    }
    expect(compared).toBeGreaterThan(40);
  });
  it('moves with the lag, and comes sooner for whom hair grows faster', () => {
    const table = readyTable(ZONES.underarm.growth, 'regular', RANGES[1] ?? { shortestMm: 4, longestMm: 13 });
    const at = (rateFactor: number, lagShiftDays = 0) => readyBy(table, { rateFactor, lagShiftDays })?.fromDay ?? 99;
    expect(at(1, 3) - at(1)).toBe(3);
    const days = [0.6, 0.8, 1, 1.2, 1.5, 2].map((rate) => at(rate));
    expect(days).toEqual([...days].sort((a, b) => b - a));
    expect(new Set(days).size).toBe(days.length);
  });
});
