// Small papers: A5, black and one ink, lines and words, nothing filled.

import 'server-only';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import PDFDocument from 'pdfkit';

const FONTS = join(process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf');
export const BLACK = '#111111';
export const INK = '#8A4A06';
export const RULE = '#BBBBBB';
export const MARGIN = 34;

/** An empty sheet with the fonts `text` and `bold`. */
export function a5(title: string): PDFKit.PDFDocument {
  const info = { Title: title, Producer: 'Strickle', Creator: 'Strickle' };
  return new PDFDocument({ size: 'A5', margin: MARGIN, info })
    .registerFont('text', join(FONTS, 'DejaVuSans.ttf'))
    .registerFont('bold', join(FONTS, 'DejaVuSans-Bold.ttf'));
}

/** Width between the margins, pt. */
export const innerWidth = (doc: PDFKit.PDFDocument): number => doc.page.width - 2 * MARGIN;

/** Ends the sheet and sends it as it is set. */
export function sent(doc: PDFKit.PDFDocument): ReadableStream<Uint8Array> {
  doc.end();
  // pdfkit's document is a Node stream of buffers
  return Readable.toWeb(Readable.from(doc)) as ReadableStream<Uint8Array>;
}
