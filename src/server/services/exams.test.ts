import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { demoStudio } from '../../demo/studioForTests';
import { SHIPPED_BOARD, type ExamEvent } from '../../core/exam';
import type { OpenDatabase } from '../db/openDatabase';
import { addExamAct, boardNow, loadExam, loadExams, makeExam, saveBoard, type ExamAct, type ExamView } from './exams';
import { examSheetPdf } from './examSheetPdf';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const MIN = 60_000;
const BY = { personId: 'ines', atMs: NOW };
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const made = (mode: 'two' | 'self' = 'two'): string => {
  const exam = makeExam(open.db, { level: 'leg', candidate: { personId: 'rook' }, mode }, NOW);
  if (!exam.ok) throw new Error(exam.error.message);
  return exam.value.id;
};
const act = (id: string, does: ExamAct, minutes = 0): string => {
  const done = addExamAct(open.db, id, does, { personId: 'ines', nowMs: NOW + minutes * MIN });
  return done.ok ? 'ok' : done.error.message;
};
const seen = (id: string, as: 'candidate' | 'examiner', minutes = 0): ExamView => {
  const exam = loadExam(open.db, id, as, NOW + minutes * MIN);
  if (!exam.ok) throw new Error(exam.error.code);
  return exam.value;
};
const kinds = (view: ExamView): readonly string[] => view.events.map((e: ExamEvent) => e.kind);

describe('an examination', () => {
  it('is seen from two sides: the candidate sees no mark before the sheet is closed', () => {
    const id = made();
    expect(act(id, { kind: 'mark', step: 'hands', mark: 'right' })).toContain('not begun');
    expect(act(id, { kind: 'start' })).toBe('ok');
    expect(act(id, { kind: 'done', step: 'hands' }, 1)).toBe('ok');
    expect(act(id, { kind: 'mark', step: 'hands', mark: 'half' }, 1)).toBe('ok');
    expect(act(id, { kind: 'penalty', penalty: 'up' }, 2)).toBe('ok');
    expect(kinds(seen(id, 'candidate'))).toEqual(['start', 'done']);
    expect(kinds(seen(id, 'examiner'))).toEqual(['start', 'done', 'mark', 'penalty']);
    for (const { id: step } of SHIPPED_BOARD.steps) act(id, { kind: 'mark', step, mark: 'right' }, 17);
    expect(act(id, { kind: 'close' }, 17)).toBe('ok');
    expect(kinds(seen(id, 'candidate', 18))).toContain('penalty');
    const [line] = loadExams(open.db, NOW + 20 * MIN).exams;
    expect(line).toMatchObject({ name: 'Rook', phase: 'closed', sum: 15, most: 16, passed: true, on: '2027-05-08' });
  });
  it('what is refused is not kept, and what is kept cannot be changed', () => {
    const id = made();
    act(id, { kind: 'start' });
    expect(act(id, { kind: 'start' })).toContain('Nothing was noted');
    expect(act(id, { kind: 'done', step: 'lay' })).toContain('Another step');
    expect(act('no-such', { kind: 'start' })).toContain('No such examination');
    expect(kinds(seen(id, 'examiner'))).toEqual(['start']);
    expect(() => open.db.run(sql`update exam_events set event = '{}'`)).toThrow();
    expect(() => open.db.run(sql`delete from exams`)).toThrow();
  });
  it('goes by the server’s clock, and never backwards when that is set back', () => {
    const id = made();
    act(id, { kind: 'start' }, 10);
    act(id, { kind: 'done', step: 'hands' }, 3);
    expect(seen(id, 'examiner').events.map((e) => e.atMs)).toEqual([NOW + 10 * MIN, NOW + 10 * MIN]);
  });
  it('wants somebody: of the studio by id, a guest by name', () => {
    const of = (candidate: { personId: string } | { name: string }): string => {
      const exam = makeExam(open.db, { level: 'lip', candidate, mode: 'self' }, NOW);
      return exam.ok ? 'ok' : exam.error.message;
    };
    expect([of({ name: 'Pia' }), of({ name: '  ' }), of({ personId: 'nobody' })]).toEqual([
      ...['ok', 'Who is examined?', 'Nobody of that name works here.'],
    ]);
  });
  it('keeps the board that it began with when the studio changes its own', () => {
    const id = made();
    const own = { ...SHIPPED_BOARD, minutes: 20, callMin: 10, steps: SHIPPED_BOARD.steps.slice(0, 5) };
    const { version } = boardNow(open.db);
    expect(saveBoard(open.db, { version, board: own }, BY).ok).toBe(true);
    expect(boardNow(open.db).board).toEqual(own);
    // another tablet’s older board does not write over it
    const late = saveBoard(open.db, { version, board: SHIPPED_BOARD }, BY);
    expect(late.ok ? '' : late.error.code).toBe('stale');
    const wrong = saveBoard(open.db, { version: boardNow(open.db).version, board: { ...own, callMin: 30 } }, BY);
    expect(wrong.ok ? [] : wrong.error.details.map((d) => d.path)).toEqual(['callMin']);
    expect(seen(id, 'candidate').board.minutes).toBe(16);
    expect(seen(made(), 'candidate').board.minutes).toBe(20);
  });
  it('has a score sheet on paper', async () => {
    const [line] = loadExams(open.db, NOW).exams.filter((e) => e.phase === 'closed');
    // the demo’s own: thirteen and a half of the steps at most, two off for the second dip
    expect(line).toMatchObject({ name: 'Rook', sum: 12, most: 16, passed: true });
    const bytes = new Uint8Array(await new Response(examSheetPdf(seen(line?.id ?? '', 'candidate'))).arrayBuffer());
    expect(new TextDecoder('latin1').decode(bytes.slice(0, 5))).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(5000);
  });
});
