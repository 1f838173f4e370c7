import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { eq, sql } from 'drizzle-orm';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { visits } from '../db/schema';
import { answerDrill } from './drills';
import { keepPractisedStrip, loadLearner, loadLearners, WEEKS, type Learner, type PractisedStrip } from './learners';
import { learnerPdf } from './learnerPdf';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY = 86_400_000;
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const of = (id: string, atMs = NOW): Learner => {
  const learner = loadLearner(open.db, id, atMs);
  if (!learner.ok) throw new Error(learner.error.code);
  return learner.value;
};
const strip = (fault: string | null, points = 80): PractisedStrip => ({
  ...{ level: 'leg', piece: 'plain', points, out: 90, broken: 5, left: 5, fault },
});

describe('learners', () => {
  it('who learns comes first; the demo’s trainee has her weeks, her habit and her practical', () => {
    const all = loadLearners(open.db, NOW);
    expect(all.map((l) => l.level)).toEqual(['trainee', 'practised', 'expert']);
    const [rook] = all;
    expect(rook?.habit?.fault).toBe('lift');
    expect(rook?.exams.map((e) => e.sum)).toEqual([12]);
    const weeks = rook?.skills.find((s) => s.skill === 'strips')?.weeks ?? [];
    expect(weeks.length).toBe(WEEKS);
    expect(weeks.filter((w) => w.count > 0).length).toBeGreaterThan(4);
  });
  it('a strip and a question of today stand in this week, and only with who did them', () => {
    const before = of('bao');
    expect(keepPractisedStrip(open.db, strip('slack'), { personId: 'bao', atMs: NOW }).ok).toBe(true);
    answerDrill(open.db, { skill: 'pot:lay', seed: 1, answer: 'lay' }, { personId: 'bao', atMs: NOW });
    const after = of('bao');
    expect([before.thisWeek, after.thisWeek]).toEqual([
      { questions: 0, strips: 0 },
      { questions: 1, strips: 1 },
    ]);
    expect(of('ines').thisWeek).toEqual({ questions: 0, strips: 0 });
    expect(after.skills.find((s) => s.skill === 'pot')).toMatchObject({ asked: 1, sits: 1, of: 3 });
    expect(after.next).toBe('pot');
    // a week later it is last week’s
    expect(of('bao', NOW + 8 * DAY).thisWeek).toEqual({ questions: 0, strips: 0 });
  });
  it('a strip of nobody is not kept, and a kept one stays', () => {
    const refused = keepPractisedStrip(open.db, strip(null), { personId: null, atMs: NOW });
    expect(refused.ok ? '' : refused.error.message).toContain('not kept');
    expect(() => open.db.run(sql`delete from practice_strips`)).toThrow();
    expect(loadLearner(open.db, 'nobody', NOW).ok).toBe(false);
  });
  it('the hand’s own visits speak for a level, from the minutes that they really took', () => {
    const own = open.db.select().from(visits).where(eq(visits.personId, 'ines')).all();
    const timed = own.filter((v) => v.status === 'closed' && v.endedAs === null);
    expect(timed.length).toBeGreaterThanOrEqual(8);
    for (const [k, v] of timed.entries()) {
      // planned as a practised hand, and always a third longer
      open.db
        .update(visits)
        .set({ plannedMin: 40, tableMin: 40 * (1.33 + 0.01 * (k % 5)) })
        .where(eq(visits.id, v.id))
        .run();
    }
    expect(of('ines').hand).toMatchObject({ fits: 'trainee' });
    expect(of('ines').hand.ratio).toBeCloseTo(1.35, 1);
    expect(of('rook').hand).toMatchObject({ fits: null, ratio: null });
  });
  it('the record prints', async () => {
    const bytes = new Uint8Array(await new Response(learnerPdf(of('rook'), '2027-05-08')).arrayBuffer());
    expect(new TextDecoder('latin1').decode(bytes.slice(0, 5))).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(5000);
  });
});
