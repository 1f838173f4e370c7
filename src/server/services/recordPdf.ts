// The record of one client to be read and handed out: A4, plain text under headings, signatures drawn from their
// strokes.

import 'server-only';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import PDFDocument from 'pdfkit';
import type { Signature } from '../db/schema';
import { sharedThread } from '../giveWay';
import type { ClientRecord } from './clientRecord';
import { recordBlocks, type RecordBlock } from './recordBlocks';

const FONTS = join(process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf');
const INK = '#2A211A';
const SECOND = '#6B5D50';
const SIGNATURE_PT = { width: 180, height: 60 } as const;

class Page {
  readonly doc;

  constructor(title: string) {
    this.doc = new PDFDocument({
      size: 'A4',
      margin: 56,
      info: { Title: title, Producer: 'Strickle', Creator: 'Strickle' },
    });
    this.doc
      .registerFont('text', join(FONTS, 'DejaVuSans.ttf'))
      .registerFont('bold', join(FONTS, 'DejaVuSans-Bold.ttf'));
  }
  set(block: RecordBlock): void {
    switch (block.kind) {
      case 'title':
        return this.heading(block.text, 18);
      case 'heading':
        return this.heading(block.text);
      case 'visit':
        this.doc.moveDown(0.4).font('bold').fontSize(10).fillColor(INK).text(block.text);
        return;
      case 'signature':
        return this.signature(block.signature);
      default:
        return this.line(block.text, block.kind === 'quiet');
    }
  }
  private heading(text: string, size = 13): void {
    this.doc.moveDown(0.8).font('bold').fontSize(size).fillColor(INK).text(text).moveDown(0.2);
  }
  private line(text: string, quiet = false): void {
    if (text !== '') {
      this.doc
        .font('text')
        .fontSize(9.5)
        .fillColor(quiet ? SECOND : INK)
        .text(text, { lineGap: 1.5 });
    }
  }
  private signature(signature: Signature): void {
    if (signature.kind === 'typed') return this.line(`Signed by name: ${signature.name}`);
    const points = signature.strokes.flat();
    if (points.length === 0) return;
    const [x0, y0] = [Math.min(...points.map((p) => p[0])), Math.min(...points.map((p) => p[1]))];
    const scale = Math.min(
      SIGNATURE_PT.width / Math.max(1, Math.max(...points.map((p) => p[0])) - x0),
      SIGNATURE_PT.height / Math.max(1, Math.max(...points.map((p) => p[1])) - y0),
    );
    if (this.doc.y + SIGNATURE_PT.height > this.doc.page.height - 60) this.doc.addPage();
    const top = this.doc.y + 4;
    for (const stroke of signature.strokes) {
      stroke.forEach(([x, y], i) => {
        const at = [56 + (x - x0) * scale, top + (y - y0) * scale] as const;
        if (i === 0) this.doc.moveTo(...at);
        else this.doc.lineTo(...at);
      });
      this.doc.lineWidth(1).strokeColor(INK).stroke();
    }
    this.doc.y = top + SIGNATURE_PT.height + 6;
  }
}

async function setAll(page: Page, blocks: Iterable<RecordBlock>): Promise<void> {
  const pause = sharedThread();
  for (const block of blocks) {
    page.set(block);
    await pause();
  }
  page.doc.end();
}

/** The record as a PDF, sent as it is set. */
export const recordPdf = (record: ClientRecord): ReadableStream<Uint8Array> => blocksPdf(recordBlocks(record));

/** Blocks of text as a PDF, sent as they are set. */
export function blocksPdf(blocks: Iterable<RecordBlock>, title = 'Client record'): ReadableStream<Uint8Array> {
  const page = new Page(title);
  const { doc } = page;
  setAll(page, blocks).catch((error: unknown) => doc.destroy(error instanceof Error ? error : undefined));
  // pdfkit's document is a Node stream of buffers
  return Readable.toWeb(Readable.from(doc)) as ReadableStream<Uint8Array>;
}
