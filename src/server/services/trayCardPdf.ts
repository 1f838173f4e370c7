// The tray card on paper: A5, black and one ink; heat, strips and minutes read standing, boxes to tick with a pencil.

import 'server-only';
import type { TrayCard } from './trayCard';
import { a5, BLACK, INK, innerWidth, MARGIN, RULE, sent } from './a5';

const BOX = 13;
const ROW = 25;
const LARGE = 30;

function rule(doc: PDFKit.PDFDocument, colour = RULE): void {
  doc
    .moveTo(MARGIN, doc.y)
    .lineTo(doc.page.width - MARGIN, doc.y)
    .lineWidth(0.8)
    .stroke(colour);
}

function large(doc: PDFKit.PDFDocument, { heats, strips, minutes }: TrayCard): void {
  const top = doc.y + 8;
  const figures = [
    ...heats.map((h) => ({ figure: `${h.tempC}°`, words: h.product.toLowerCase(), ink: INK })),
    { figure: String(strips), words: strips === 1 ? 'strip' : 'strips', ink: BLACK },
    { figure: String(minutes), words: 'minutes', ink: BLACK },
  ];
  const width = innerWidth(doc) / figures.length;
  figures.forEach(({ figure, words, ink }, i) => {
    const x = MARGIN + i * width;
    doc.font('bold').fontSize(LARGE).fillColor(ink).text(figure, x, top, { width, lineBreak: false });
    doc
      .font('text')
      .fontSize(9)
      .fillColor(BLACK)
      .text(words, x, top + LARGE + 6, { width, lineBreak: false });
  });
  doc.x = MARGIN;
  doc.y = top + LARGE + 24;
}

export function trayCardPdf(card: TrayCard): ReadableStream<Uint8Array> {
  const doc = a5('Tray card');
  const width = innerWidth(doc);
  doc.font('bold').fontSize(18).fillColor(BLACK).text(card.name);
  doc
    .font('text')
    .fontSize(9.5)
    .text(`${card.what.charAt(0).toUpperCase()}${card.what.slice(1)}. ${card.when}`);
  doc.y += 8;
  rule(doc, BLACK);
  large(doc, card);
  rule(doc, BLACK);
  doc.y += 6;
  for (const { name, amount } of card.items) {
    const y = doc.y;
    doc.rect(MARGIN, y, BOX, BOX).lineWidth(1).stroke(BLACK);
    doc
      .font('text')
      .fontSize(11)
      .fillColor(BLACK)
      .text(name, MARGIN + 24, y, { lineBreak: false });
    doc.font('bold').text(amount, MARGIN, y, { width, align: 'right', lineBreak: false });
    doc.x = MARGIN;
    doc.y = y + ROW - 6;
    rule(doc);
    doc.y += 6;
  }
  if (card.house.length > 0) {
    doc
      .font('text')
      .fontSize(9.5)
      .fillColor(BLACK)
      .text(`${card.house.join('. ')}.`, MARGIN, doc.y, { width });
  }
  doc.y += 12;
  doc.font('text').fontSize(10).fillColor(BLACK);
  doc.text('wrist test  ______________      g left  ______________', MARGIN, doc.y);
  doc
    .moveDown(0.8)
    .fontSize(8.5)
    .text('Every heat is an estimate: the wrist decides, the label comes first.', { width });
  return sent(doc);
}
