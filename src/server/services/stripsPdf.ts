// The strips of a visit for the wall or the tray: A4, one zone a page, drawn to fit, with what the hand needs to know.
// No name, no health words, no cost.

import { sized } from '../../formats/size';
import { degrees } from '../../formats/heat';
import 'server-only';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import type { Plan, PlanZone } from '../../core/plan';
import { PULL, pullArrow, ringPath, strokeFor, WAX, waxOf, zoneTitle } from '../../formats/stripsSvg';

const FONTS = join(process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf');
const INK = '#2A211A';
const MARGIN_PT = 42;
const DRAWING_PT = 380;
const MARGIN_CM = 1.4;
const TAB_WORDS = { end: 'end', narrow: 'narrow', hook: 'side', stick: 'stick' } as const;

function draw(doc: PDFKit.PDFDocument, zone: PlanZone, top: number): void {
  const [w, h] = [zone.sheetCm[0] + 2 * MARGIN_CM, zone.sheetCm[1] + 2 * MARGIN_CM];
  const scale = Math.min((doc.page.width - 2 * MARGIN_PT) / w, DRAWING_PT / h);
  const line = strokeFor(zone.sheetCm);
  doc
    .save()
    .translate((doc.page.width - w * scale) / 2, top)
    .scale(scale)
    .translate(MARGIN_CM, MARGIN_CM);
  doc
    .lineWidth(1.6 * line)
    .path(ringPath(zone.outline))
    .fillAndStroke('#FFFDF8', INK);
  for (const s of zone.strips) {
    const { slab, size } = waxOf(s, line);
    const arrow = pullArrow(s, 9 * line);
    const [x, y] = slab.disc;
    doc.path(slab.path).fill(WAX.body).path(ringPath(slab.tab)).fill(WAX.edge);
    if (slab.grain !== '') {
      doc
        .lineWidth(0.6 * line)
        .path(slab.grain)
        .stroke(WAX.edge);
    }
    doc
      .lineWidth(2 * line)
      .moveTo(...arrow.from)
      .lineTo(...arrow.to)
      .stroke(PULL)
      .path(ringPath(arrow.head))
      .fill(PULL);
    doc
      .circle(x, y, 0.8 * size)
      .fill('#FFFDF8')
      .font('bold')
      .fontSize(size)
      .fillColor(INK)
      .text(String(s.number), x - 5, y - 0.5 * size, { width: 10, align: 'center', lineBreak: false });
  }
  if (zone.keep.length > 0) {
    doc
      .save()
      .path(ringPath(zone.outline))
      .clip()
      .lineWidth(3 * line);
    for (const k of zone.keep) doc.path(ringPath(k.outline)).fillOpacity(0.1).fillAndStroke(PULL, PULL).fillOpacity(1);
    doc.restore();
  }
  for (const e of zone.excluded) {
    doc
      .lineWidth(1.4 * line)
      .circle(e.at[0], e.at[1], e.clearanceMm / 10)
      .dash(5 * line, { space: 4 * line })
      .stroke('#9E2F2A')
      .undash();
  }
  doc.restore();
}

const COLUMNS: readonly (readonly [string, number])[] = [
  ['Strip', 40],
  ['mm', 80],
  ['Tab', 110],
  ['Wait, s', 60],
  ['Hand', 220],
];

function table(doc: PDFKit.PDFDocument, zone: PlanZone, top: number): void {
  let y = top;
  const row = (cells: readonly string[], bold: boolean): void => {
    const height = Math.max(
      ...cells.map((c, i) =>
        doc
          .font(bold ? 'bold' : 'text')
          .fontSize(8.5)
          .heightOfString(c, { width: (COLUMNS[i]?.[1] ?? 60) - 6 }),
      ),
    );
    if (y + height > doc.page.height - MARGIN_PT) {
      doc.addPage();
      y = MARGIN_PT;
    }
    let x = MARGIN_PT;
    cells.forEach((c, i) => {
      doc
        .font(bold ? 'bold' : 'text')
        .fontSize(8.5)
        .fillColor(INK)
        .text(c, x, y, { width: (COLUMNS[i]?.[1] ?? 60) - 6 });
      x += COLUMNS[i]?.[1] ?? 60;
    });
    y += height + 3;
  };
  row(
    COLUMNS.map(([name]) => name),
    true,
  );
  for (const s of zone.strips) {
    row(
      [
        String(s.number),
        `${Math.round(s.lengthMm)} × ${Math.round(s.widthMm)}`,
        `${TAB_WORDS[s.tabKind]}, on ${s.tabOn === 'hair' ? 'hair: sore start' : `${s.tabOn} skin`}`,
        `${s.setS.min}–${s.setS.max}`,
        s.handwork ?? (zone.choice?.way === 'moulded' ? 'one flick, parallel' : 'one low pull'),
      ],
      false,
    );
  }
}

/** The plan's strips as a PDF; resolves with its bytes. `nameOf` says a product's name. */
export function stripsPdf(plan: Plan, nameOf: (product: string) => string): Promise<Buffer> {
  const doc = new PDFDocument({
    size: 'A4',
    margin: MARGIN_PT,
    autoFirstPage: false,
    info: { Title: 'Strips', Producer: 'Strickle', Creator: 'Strickle' },
  });
  doc.registerFont('text', join(FONTS, 'DejaVuSans.ttf')).registerFont('bold', join(FONTS, 'DejaVuSans-Bold.ttf'));
  const done = new Promise<Buffer>((resolve, reject) => {
    const parts: Buffer[] = [];
    doc
      .on('data', (part: Buffer) => parts.push(part))
      .on('end', () => resolve(Buffer.concat(parts)))
      .on('error', reject);
  });
  const zones = plan.zones.filter((z) => z.strips.length > 0);
  for (const zone of zones) {
    doc.addPage();
    doc.font('bold').fontSize(16).fillColor(INK).text(zoneTitle(zone), MARGIN_PT, MARGIN_PT);
    const heat = zone.heat
      ? `about ${degrees(zone.heat.workingC.target)} at touch, ${sized(zone.heat.thicknessMm, 'mm')}. Estimate: test on your wrist.`
      : '';
    doc
      .font('text')
      .fontSize(9.5)
      .text(
        `${zone.choice ? nameOf(zone.choice.product) : ''}, ${heat} ${plan.on}. Arrows show the pull; numbers the order of laying.`,
      );
    const top = doc.y + 8;
    draw(doc, zone, top);
    table(doc, zone, top + DRAWING_PT + 14);
  }
  if (zones.length === 0) doc.addPage().font('text').fontSize(11).text('No strips are planned for this visit.');
  doc.end();
  return done;
}
