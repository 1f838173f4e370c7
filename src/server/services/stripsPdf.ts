// The strips of a visit for the wall or the tray: A4, one zone a page, drawn to fit, with what the hand needs to know.
// No name, no health words, no cost.

import 'server-only';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import type { Plan, PlanZone } from '../../core/plan';
import { pullArrow, ringCentre, ringPath, strokeFor, zoneTitle } from '../../formats/stripsSvg';

const FONTS = join(process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf');
const INK = '#2A211A';
const MARGIN_PT = 42;
const DRAWING_PT = 380;
const MARGIN_CM = 1.4;
const TAB_WORDS = { end: 'end', narrow: 'narrow', hook: 'side' } as const;

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
    const arrow = pullArrow(s, 9 * line);
    doc
      .lineWidth(1.4 * line)
      .path(ringPath(s.outline))
      .fillOpacity(0.18)
      .fillAndStroke('#B86A12', '#94530B')
      .fillOpacity(1);
    doc
      .lineWidth(2 * line)
      .moveTo(...arrow.from)
      .lineTo(...arrow.to)
      .stroke('#256B63')
      .path(ringPath(arrow.head))
      .fill('#256B63');
  }
  for (const s of zone.strips) {
    const [cx, cy] = ringCentre(s.outline);
    const size = Math.min(16 * line, 0.06 * s.widthMm);
    doc
      .font('bold')
      .fontSize(size)
      .fillColor(INK)
      .text(String(s.number), cx - 5, cy - 0.5 * size, { width: 10, align: 'center', lineBreak: false });
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
      ? `about ${Math.round(zone.heat.workingC.target)} °C at touch, ${zone.heat.thicknessMm} mm. Estimate: test on your wrist.`
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
