// A client's progress to take home: A5, first name, four curves, one sentence; nothing of health.

import 'server-only';
import { dateInWords } from '../clock';
import type { Progress, ProgressPoint } from './progress';
import { a5, BLACK, INK, innerWidth, MARGIN, RULE, sent } from './a5';

const CURVE = { height: 62, gap: 34 } as const;

interface Drawn {
  readonly title: string;
  readonly points: readonly ProgressPoint[];
  readonly at: readonly [x: number, y: number];
  readonly width: number;
}

function curve(doc: PDFKit.PDFDocument, { title, points, at: [x0, y0], width }: Drawn): void {
  doc.font('bold').fontSize(9.5).fillColor(BLACK).text(title, x0, y0, { width, lineBreak: false });
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) {
    doc
      .font('text')
      .fontSize(8.5)
      .text('not noted', x0, y0 + 18, { lineBreak: false });
    return;
  }
  const most = Math.max(1, ...points.map((p) => p.value));
  const foot = y0 + 22 + CURVE.height;
  const x = (i: number): number => x0 + 6 + (i * (width - 44)) / Math.max(1, points.length - 1);
  const y = (value: number): number => foot - (value / most) * (CURVE.height - 12);
  doc
    .moveTo(x0, foot)
    .lineTo(x0 + width - 30, foot)
    .lineWidth(0.6)
    .stroke(RULE);
  points.forEach((p, i) => {
    if (i === 0) doc.moveTo(x(0), y(p.value));
    else doc.lineTo(x(i), y(p.value));
  });
  doc.lineWidth(1.6).stroke(INK);
  doc
    .font('text')
    .fontSize(9)
    .fillColor(BLACK)
    .text(String(first.value), x0, y(first.value) - 13, { lineBreak: false });
  doc
    .font('bold')
    .fontSize(13)
    .text(String(last.value), x(points.length - 1) + 6, y(last.value) - 8, { lineBreak: false });
}

export function progressPdf(progress: Progress): ReadableStream<Uint8Array> {
  const doc = a5('Visit by visit');
  const { name, pain, minutes, density, tweezed, words, everyDays } = progress;
  const dates = [...density, ...minutes, ...pain].map((p) => p.on).sort();
  const [from, to] = [dates[0], dates.at(-1)];
  doc
    .font('bold')
    .fontSize(18)
    .fillColor(BLACK)
    .text(`${name.split(' ')[0] ?? ''}, visit by visit`);
  doc.font('text').fontSize(9);
  doc.text(from && to ? `${dateInWords(from)} to ${dateInWords(to)}` : 'No visit yet').moveDown(0.8);
  const width = (innerWidth(doc) - 16) / 2;
  const top = doc.y;
  const step = CURVE.height + CURVE.gap + 14;
  const drawn: readonly (readonly [string, readonly ProgressPoint[]])[] = [
    ['How it felt, 0–10', pain],
    ['Minutes at the table', minutes],
    ['Hairs per cm²', density],
    ['Hairs tweezed', tweezed],
  ];
  drawn.forEach(([title, points], i) => {
    const at = [MARGIN + (i % 2) * (width + 16), top + Math.floor(i / 2) * step] as const;
    curve(doc, { title, points, at, width });
  });
  doc.x = MARGIN;
  doc.y = top + 2 * step + 6;
  if (words !== '') doc.font('bold').fontSize(10.5).fillColor(BLACK).text(words).moveDown(0.6);
  doc.font('text').fontSize(9.5);
  if (everyDays !== null) doc.text(`Here every ${everyDays} days on average.`).moveDown(0.4);
  doc.text('Hair often thins over time when the interval is kept; that it stays away is no promise.');
  return sent(doc);
}
