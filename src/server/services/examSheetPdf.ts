// The score sheet of a closed examination: A5, every step with its mark, what was taken off, the sum, who signs.

import 'server-only';
import { examState, type ExamMark } from '../../core/exam';
import { LEVEL_FACTS } from '../../core/practice';
import { dateInWords } from '../clock';
import { a5, BLACK, INK, innerWidth, MARGIN, RULE, sent } from './a5';
import type { ExamView } from './exams';

const MARK_WORDS: Readonly<Record<ExamMark, string>> = { right: 'right', half: 'half', not: 'not' };
const OVER_WORDS = { done: 'all steps done', time: 'time was over', halt: 'halted' } as const;
const ROW = 21;
const MARK_WIDTH = 62;

const marks = (n: number): string => String(Math.round(10 * n) / 10);

export function examSheetPdf(exam: ExamView): ReadableStream<Uint8Array> {
  const { board, name, level, mode, on } = exam;
  const state = examState(board, exam.events, exam.nowMs);
  const { score } = state;
  const doc = a5('Score sheet');
  const width = innerWidth(doc);
  const room = (height: number): void => {
    if (doc.y + height > doc.page.height - MARGIN) doc.addPage();
  };
  doc.font('bold').fontSize(17).fillColor(BLACK).text(`Practical: ${LEVEL_FACTS[level].name.toLowerCase()}`);
  doc
    .font('text')
    .fontSize(10)
    .text(`${name}, ${dateInWords(on)}`);
  const took = Math.round(state.elapsedMs / 6000) / 10;
  const how = state.over ? `, ${OVER_WORDS[state.over]}` : '';
  doc.text(`${took} of ${board.minutes} minutes${how}${state.haltedFor ? `: ${state.haltedFor}` : ''}`).moveDown(0.7);
  const line = (left: string, small: string, right: string): void => {
    room(ROW);
    const y = doc.y;
    doc
      .font('text')
      .fontSize(9.5)
      .fillColor(BLACK)
      .text(left, MARGIN, y, { width: width - MARK_WIDTH, lineBreak: false });
    if (small !== '') {
      doc.fontSize(7.5).text(small, MARGIN + 14, y + 11, { width: width - MARK_WIDTH, lineBreak: false });
    }
    doc
      .font('bold')
      .fontSize(9.5)
      .text(right, MARGIN + width - MARK_WIDTH, y, { width: MARK_WIDTH, align: 'right', lineBreak: false });
    doc
      .moveTo(MARGIN, y + ROW - 2)
      .lineTo(MARGIN + width, y + ROW - 2)
      .lineWidth(0.4)
      .stroke(RULE);
    doc.x = MARGIN;
    doc.y = y + ROW;
  };
  const gives = { right: 1, half: board.half, not: 0 } as const;
  board.steps.forEach((step, k) => {
    const mark = state.marks[step.id];
    const noted = state.notes.filter((n) => n.step === step.id).map((n) => n.text);
    const right = mark ? `${MARK_WORDS[mark]}  ${marks(step.worth * gives[mark])}` : 'no mark';
    line(`${k + 1}  ${step.name}`, [step.looksFor, ...noted].filter((t) => t !== '').join(' · '), right);
  });
  for (const id of state.penalties) {
    const found = board.penalties.find((p) => p.id === id);
    line(found?.name ?? id, '', `−${marks(found?.off ?? 0)}`);
  }
  room(90);
  doc.moveDown(0.6);
  const done = score.passed ? 'passed' : 'not passed';
  const verdict = score.passed === null ? 'not marked to the end' : done;
  doc
    .font('bold')
    .fontSize(14)
    .fillColor(INK)
    .text(`${marks(score.sum)} of ${marks(score.most)}: ${verdict}`, MARGIN, doc.y, { width });
  doc
    .font('text')
    .fontSize(9)
    .fillColor(BLACK)
    .text(
      `Passed from ${marks(board.pass * score.most)}.${mode === 'self' ? ' Marked by the candidate, no examiner.' : ''}`,
    )
    .moveDown(2.2);
  const y = doc.y;
  const half = (width - 20) / 2;
  ['Candidate', mode === 'self' ? 'Seen by' : 'Examiner'].forEach((who, k) => {
    const x = MARGIN + k * (half + 20);
    doc
      .moveTo(x, y)
      .lineTo(x + half, y)
      .lineWidth(0.6)
      .stroke(BLACK);
    doc.fontSize(8).text(who, x, y + 4, { width: half, lineBreak: false });
  });
  return sent(doc);
}
