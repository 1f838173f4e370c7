import { describe, expect, it } from 'vitest';
import { seededRandom } from '@/core/shared';
import { LINE_MS, steadyClock } from './steadyClock';

const rig = (aheadMs: number | null = null, first = { stopwatch: 0, wall: 0 }) => {
  const at = { ...first, kept: aheadMs };
  const clock = steadyClock({
    stopwatchMs: () => at.stopwatch,
    wallMs: () => at.wall,
    kept: { read: () => at.kept, write: (ms) => (at.kept = ms) },
  });
  return { at, clock };
};
const SERVER = 1_800_000_000_000;

describe('the steady clock', () => {
  it('shows the server’s time on a tablet whose own clock is an hour off', () => {
    const { at, clock } = rig();
    at.stopwatch = SERVER + 3_600_000;
    clock.heard(SERVER);
    at.stopwatch += 40_000;
    expect(clock.now()).toBe(SERVER + 40_000);
  });
  it('lets a line that is late or early change no set time', () => {
    const { at, clock } = rig(0);
    at.stopwatch = SERVER;
    const laid = clock.now();
    at.stopwatch += 20_000;
    clock.heard(at.stopwatch - LINE_MS);
    clock.heard(at.stopwatch + LINE_MS);
    at.stopwatch += 25_000;
    expect(clock.now() - laid).toBe(45_000);
  });
  it('is set anew after a sleep in which the stopwatch stood', () => {
    const { at, clock } = rig(0);
    at.stopwatch = SERVER;
    clock.heard(SERVER + 600_000);
    expect(clock.now()).toBe(SERVER + 600_000);
  });
  it('is off by less than 0.3 s over 30 minutes with a sleep of five, on a line that takes up to 0.2 s', () => {
    const random = seededRandom(11);
    const { at, clock } = rig();
    let server = SERVER;
    const errors: number[] = [];
    for (let second = 0; second < 1800; second++) {
      // the stopwatch stands while the tablet sleeps, and runs 40 ppm fast otherwise
      const isAsleep = second >= 900 && second < 1200;
      server += 1000;
      if (isAsleep) continue;
      at.stopwatch += 1000.04;
      // the server is heard every quarter of a minute, and as soon as the tablet is awake
      if (second % 15 === 0 || second === 1200) clock.heard(server - random.between(0, 200));
      errors.push(Math.abs(clock.now() - server));
    }
    expect(errors).toHaveLength(1500);
    expect(Math.max(...errors)).toBeLessThan(300);
    expect(Math.max(...errors)).toBeGreaterThan(0);
  });
  it('goes on from what the last page knew of the tablet’s clock, before the server is heard', () => {
    const { clock } = rig(5000, { stopwatch: SERVER + 5000, wall: SERVER + 5000 });
    expect(clock.now()).toBe(SERVER);
  });
  it('of a page that slept gives the next page the tablet’s clock, not the sleeper’s stopwatch', () => {
    const slept = rig(0, { stopwatch: SERVER, wall: SERVER });
    slept.at.wall = SERVER + 600_000;
    slept.clock.heard(SERVER + 600_000);
    const next = rig(slept.at.kept, { stopwatch: SERVER + 600_000, wall: SERVER + 600_000 });
    expect(next.clock.now()).toBe(SERVER + 600_000);
  });
});
