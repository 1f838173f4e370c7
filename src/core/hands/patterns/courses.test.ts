import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../shared';
import { randomTask } from '../randomTask';
import { scheduleHands } from '../schedule';
import { inCourses } from './courses';
import { LAST_COURSE, type Place } from './places';

const place = (course: number): Place => ({ at: [0, 0], pull: [0, -1], lengthCm: 5, course });

describe('inCourses', () => {
  it('the free search lays no strip before those of an earlier course, whatever the clock says (20 random tasks)', () => {
    const random = seededRandom(71);
    let moved = 0;
    for (let k = 0; k < 20; k++) {
      const input = randomTask(random, random.whole(4, 8));
      // as on an underarm: the strips nearer the far end are worked first
      const courses = input.jobs.map(() => random.whole(0, 1));
      const jobs = inCourses(
        input.jobs.map((j) => ({ ...j, needs: [] })),
        courses.map(place),
      );
      const lays = scheduleHands({ ...input, jobs }).ops.filter((op) => op.kind === 'lay');
      const of = lays.map((op) => courses[op.job] ?? 0);
      expect(of).toEqual([...of].sort((a, b) => a - b));
      const free = scheduleHands({ ...input, jobs: input.jobs.map((j) => ({ ...j, needs: [] })) });
      const freely = free.ops.filter((op) => op.kind === 'lay').map((op) => courses[op.job] ?? 0);
      if (freely.join() !== of.join()) moved++;
    }
    expect(moved).toBeGreaterThan(5);
  });
  it('gives up a course that the tabs do not allow, what comes after everything else last', () => {
    const [a, b, c] = randomTask(seededRandom(3), 3).jobs;
    if (!a || !b || !c) throw new Error('three strips');
    // the first needs the second off, and its course comes before it
    const jobs = [
      { ...a, needs: [1] },
      { ...b, needs: [] },
      { ...c, needs: [] },
    ];
    const bound = inCourses(jobs, [place(0), place(1), place(1 + LAST_COURSE)]);
    expect(bound.map((j) => j.after ?? [])).toEqual([[], [], [0, 1]]);
    const never = inCourses(jobs, [place(0), place(LAST_COURSE), place(0)]);
    expect(never.map((j) => j.after ?? [])).toEqual([[], [], []]);
  });
});
