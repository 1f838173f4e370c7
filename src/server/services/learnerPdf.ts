// A learner's record on paper: A5, the weeks of every skill, examinations, what is next.

import 'server-only';
import { habitWords, HAND_WORDS, skillGroup } from '../../formats/skillWords';
import { dateInWords } from '../clock';
import { a5, BLACK, INK, innerWidth, MARGIN, RULE, sent } from './a5';
import { WEEKS, type Learner } from './learners';

const ROW = 24;
const NAME_WIDTH = 124;

/** @param on the studio’s civil date */
export function learnerPdf(learner: Learner, on: string): ReadableStream<Uint8Array> {
  const doc = a5('Practice record');
  const width = innerWidth(doc);
  doc.font('bold').fontSize(18).fillColor(BLACK).text(`${learner.name}, practice record`);
  doc.font('text').fontSize(9.5);
  doc.text(`${dateInWords(on)}; planned at the level “${HAND_WORDS[learner.level]}”.`).moveDown(0.6);
  doc
    .fontSize(8)
    .text('Share right by the week, the present one last; the height of a bar is the share, the number how many.');
  doc.moveDown(0.4);
  const cell = (width - NAME_WIDTH) / WEEKS;
  for (const { skill, weeks } of learner.skills) {
    const y = doc.y;
    doc
      .font('text')
      .fontSize(9)
      .fillColor(BLACK)
      .text(skillGroup(skill), MARGIN, y + 6, { width: NAME_WIDTH, lineBreak: false });
    weeks.forEach(({ share, count }, k) => {
      const x = MARGIN + NAME_WIDTH + k * cell;
      if (share === null) return;
      const height = Math.max(1, (ROW - 8) * share);
      doc.rect(x + 2, y + ROW - 4 - height, 9, height).fill(INK);
      doc
        .fillColor(BLACK)
        .fontSize(7)
        .text(String(count), x + 13, y + ROW - 12, { lineBreak: false });
    });
    doc
      .moveTo(MARGIN, y + ROW - 2)
      .lineTo(MARGIN + width, y + ROW - 2)
      .lineWidth(0.4)
      .stroke(RULE);
    doc.x = MARGIN;
    doc.y = y + ROW;
  }
  doc.moveDown(0.8).font('bold').fontSize(11).fillColor(BLACK).text('Examinations');
  doc.font('text').fontSize(9.5);
  if (learner.exams.length === 0) doc.text('None yet.');
  for (const { level, on, sum, most, passed, phase } of learner.exams.slice(0, 8)) {
    const marks = phase === 'closed' ? `${sum ?? 0} of ${most}, ${passed ? 'passed' : 'not passed'}` : 'not closed';
    doc.text(`${level}, ${dateInWords(on)}: ${marks}`);
  }
  doc.moveDown(0.8).font('bold').fontSize(11).text('Next');
  doc.font('text').fontSize(9.5);
  if (learner.habit) doc.text(`Strips: ${habitWords(learner.habit.fault)}, ${learner.habit.strips} of the last.`);
  doc.text(learner.next ? `Questions: ${skillGroup(learner.next)}.` : 'Every question sits.');
  return sent(doc);
}
