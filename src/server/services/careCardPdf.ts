// The care card on paper: A5, black and one ink, clock times, the hair on a line by weeks, the next date framed.

import 'server-only';
import { careCatalogue, type CareCatalogue } from '../../core/care';
import { homeLines, type CareCard, type CareLine } from '../../formats/careCard';
import { a5, BLACK, INK, innerWidth, MARGIN, RULE, sent } from './a5';

const WHEN = 118;
const HAIR_HEIGHT = 38;
/** Length drawn at full height, mm. */
const FULL_MM = 10;
/** Hairs of one week lean and differ a little, pt and share. */
const HAIRS: readonly (readonly [dx: number, lean: number, share: number])[] = [
  [-7, 3, 0.7],
  [-3, 4, 1],
  [1, 3, 0.85],
  [5, 5, 1.1],
];

function rows(doc: PDFKit.PDFDocument, lines: readonly CareLine[]): void {
  const width = innerWidth(doc);
  for (const { when, what } of lines) {
    const y = doc.y;
    doc.font('bold').fontSize(9.5).fillColor(BLACK).text(when, MARGIN, y, { width: WHEN });
    const left = doc.y;
    doc.font('text').text(what, MARGIN + WHEN, y, { width: width - WHEN });
    doc.y = Math.max(left, doc.y) + 4;
    doc
      .moveTo(MARGIN, doc.y)
      .lineTo(MARGIN + width, doc.y)
      .lineWidth(0.5)
      .stroke(RULE);
    doc.y += 4;
  }
}

function hairLine(doc: PDFKit.PDFDocument, weeksMm: readonly number[], { card }: CareCatalogue): void {
  const width = innerWidth(doc);
  const foot = doc.y + HAIR_HEIGHT + 6;
  const step = width / weeksMm.length;
  weeksMm.forEach((mm, week) => {
    const x = MARGIN + step * (week + 0.5);
    for (const [dx, lean, share] of HAIRS) {
      const height = (HAIR_HEIGHT * Math.min(FULL_MM, mm * share)) / FULL_MM;
      if (height < 1) continue;
      doc
        .moveTo(x + dx, foot)
        .lineTo(x + dx + lean, foot - height)
        .lineWidth(1.2)
        .stroke(INK);
    }
    const label = week === 0 ? card.now : card.weeks(week);
    doc
      .font('text')
      .fontSize(8)
      .fillColor(BLACK)
      .text(label, x - 18, foot + 4, { width: 36, align: 'center' });
  });
  doc
    .moveTo(MARGIN, foot)
    .lineTo(MARGIN + width, foot)
    .lineWidth(1)
    .stroke(BLACK);
  doc.x = MARGIN;
  doc.y = foot + 20;
}

function nextDate(doc: PDFKit.PDFDocument, next: NonNullable<CareCard['next']>, { card }: CareCatalogue): void {
  const width = innerWidth(doc);
  const top = doc.y + 2;
  doc.rect(MARGIN, top, width, 46).lineWidth(1).stroke(INK);
  doc
    .font('bold')
    .fontSize(13)
    .fillColor(INK)
    .text(next.when, MARGIN + 12, top + 8, { width: width - 24 });
  doc
    .font('text')
    .fontSize(9)
    .fillColor(BLACK)
    .text(card.withWhom(next.who, next.minutes), MARGIN + 12, top + 27);
  doc.x = MARGIN;
  doc.y = top + 56;
}

/** One page where it fits; what is to be done before the next visit may go over to a second. */
export function careCardPdf(of: CareCard): ReadableStream<Uint8Array> {
  const words = careCatalogue(of.language);
  const { card, care } = words;
  const doc = a5(card.title);
  doc.font('bold').fontSize(18).fillColor(BLACK).text(card.title);
  const zones = of.zones.charAt(0).toUpperCase() + of.zones.slice(1);
  doc.font('text').fontSize(9).text(`${zones}; ${of.counted}.`).moveDown(0.6);
  rows(doc, of.after);
  hairLine(doc, of.weeksMm, words);
  doc
    .font('bold')
    .fontSize(9.5)
    .fillColor(BLACK)
    .text(care.noShaving, { continued: of.readyFrom !== null });
  if (of.readyFrom !== null) doc.font('text').text(` ${card.readyFrom(of.readyFrom)}`);
  doc.moveDown(0.5);
  if (of.home.length > 0) {
    doc.font('bold').fontSize(9.5).text(`${card.atHome}: `, { continued: true });
    doc
      .font('text')
      .text(`${homeLines(words, of.home).join('; ')}.`)
      .moveDown(0.5);
  }
  if (of.next) nextDate(doc, of.next, words);
  doc.font('bold').fontSize(9.5).fillColor(BLACK).text(care.ring);
  if (of.own !== '') doc.moveDown(0.3).font('text').fontSize(9.5).text(of.own);
  if (of.before.length > 0) {
    doc.moveDown(0.6).font('bold').fontSize(11).text(card.beforeIt).moveDown(0.3);
    rows(doc, of.before);
  }
  return sent(doc);
}
