// The record of one client to be read and handed out: A4, plain text under headings, signatures drawn from their
// strokes.

import 'server-only';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { howMuchInWords } from '../../core/agreement';
import { ZONES, type ZoneId } from '../../core/anatomy';
import { FACT_WORDS, type FoundFact } from '../../core/screening';
import { civilDateAt } from '../clock';
import type { CardFact, ChartData, Consult, Reading, Signature } from '../db/schema';
import type { ClientRecord } from './clientRecord';

const FONTS = join(process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf');
const INK = '#2A211A';
const SECOND = '#6B5D50';
const SIGNATURE_PT = { width: 180, height: 60 } as const;

const factWords = (f: FoundFact | CardFact): string =>
  [
    FACT_WORDS[f.fact],
    f.lastOn && `last on ${f.lastOn}`,
    f.zones && f.zones.join(', '),
    'since' in f && f.since && `since ${f.since}`,
    'until' in f && f.until && `until ${f.until}`,
  ]
    .filter(Boolean)
    .join(', ');
const placeWords = (zone: string, side: string): string =>
  `${ZONES[zone as ZoneId].name}${side === 'middle' ? '' : `, ${side}`}`; // zones are checked on the way in

interface RecordVisit {
  readonly onDate: string;
  readonly by: string;
  readonly endedAs: string | null;
  readonly status: string;
  readonly consult: Consult;
  readonly charts: readonly { readonly zone: string; readonly side: string; readonly data: ChartData }[];
  readonly readings: readonly { readonly zone: string; readonly side: string; readonly data: Reading }[];
  readonly worked: readonly {
    readonly zone: string;
    readonly side: string;
    readonly choice: { readonly product: string; readonly way: string } | null;
    readonly targetC: number | null;
  }[];
}

class Page {
  readonly doc = new PDFDocument({
    size: 'A4',
    margin: 56,
    info: { Title: 'Client record', Producer: 'Strickle', Creator: 'Strickle' },
  });

  constructor() {
    this.doc
      .registerFont('text', join(FONTS, 'DejaVuSans.ttf'))
      .registerFont('bold', join(FONTS, 'DejaVuSans-Bold.ttf'));
  }
  heading(text: string, size = 13): void {
    this.doc.moveDown(0.8).font('bold').fontSize(size).fillColor(INK).text(text).moveDown(0.2);
  }
  line(text: string, quiet = false): void {
    if (text !== '') {
      this.doc
        .font('text')
        .fontSize(9.5)
        .fillColor(quiet ? SECOND : INK)
        .text(text, { lineGap: 1.5 });
    }
  }
  signature(signature: Signature): void {
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

function visitLines(v: RecordVisit): readonly string[] {
  const { consult } = v;
  return [
    consult.facts.length > 0
      ? `Found: ${consult.facts.map(factWords).join('; ')}.`
      : 'Nothing found at the consultation.',
    consult.judged
      ? `Answer by rules ${consult.judged.ruleSet}: ${consult.judged.outcome}${consult.judged.earliestOn ? ` until ${consult.judged.earliestOn}` : ''}.`
      : '',
    ...consult.overrides.map((o) => `Went on in spite of ${o.code}: ${o.reason}`),
    ...consult.agreed.howMuch.map((h) => howMuchInWords(h.zone, h.choice)),
    consult.agreed.words,
    ...v.charts.map(
      (c) =>
        `${placeWords(c.zone, c.side)}: ${c.data.hair.lengthMm} mm, coarseness ${c.data.hair.coarseness}, density ${c.data.hair.density}; ${c.data.marks.length} marks.`,
    ),
    ...v.worked.flatMap((w) =>
      w.choice
        ? [
            `${placeWords(w.zone, w.side)}: ${w.choice.product.replaceAll('-', ' ')}, ${w.choice.way}${w.targetC === null ? '' : `, planned at about ${Math.round(w.targetC)} °C`}.`,
          ]
        : [],
    ),
    ...v.readings.map((r) =>
      `${placeWords(r.zone, r.side)}: ${r.data.removedPct} % removed, skin ${r.data.skin}, ${r.data.tweezed} tweezed. ${r.data.note}`.trim(),
    ),
  ];
}

/** The record as a PDF; resolves with its bytes. */
export function recordPdf(record: ClientRecord): Promise<Buffer> {
  const page = new Page();
  const { doc } = page;
  const done = new Promise<Buffer>((resolve, reject) => {
    const parts: Buffer[] = [];
    doc
      .on('data', (part: Buffer) => parts.push(part))
      .on('end', () => resolve(Buffer.concat(parts)))
      .on('error', reject);
  });
  const { client } = record;
  const { profile } = client;
  const day = (atMs: number): string => civilDateAt(atMs, record.timeZone);
  page.heading(client.name, 18);
  page.line(
    [client.byline, client.bornOn ? `born ${client.bornOn}` : '', client.phone].filter(Boolean).join(' · '),
    true,
  );
  page.line(`${record.studio}, record as of ${day(Date.parse(record.exportedAt))}. Confidential.`, true);
  page.heading('Card');
  page.line(
    `Sensitivity ${profile.sensitivity} of 5, ${profile.skin} skin${profile.ingrownProne ? ', prone to ingrown hair' : ''}.`,
  );
  for (const f of profile.standing) page.line(`· ${factWords(f)}`);
  for (const r of profile.reactions) {
    page.line(`· ${r.on}: reaction, ${r.what}${r.product ? `, ${r.product.replaceAll('-', ' ')}` : ''}. ${r.words}`);
  }
  for (const t of profile.patchTests) {
    page.line(
      `· ${t.laidOn}: patch test, ${t.product.replaceAll('-', ' ')}, ${t.place}: ${t.result ?? 'not read yet'}.`,
    );
  }
  page.line(client.note);
  page.heading('Consents');
  if (record.consents.length === 0) {
    page.line(profile.consentOn ? `Noted on the card on ${profile.consentOn}; no signature on file.` : 'None.');
  }
  for (const c of record.consents) {
    page.line(`${day(c.atMs)}, signed by the ${c.signedBy}, ${c.signerName}; words of version ${c.textVersion}:`);
    page.line(c.words, true);
    page.signature(c.signature);
  }
  page.heading('Visits');
  if (record.visits.length === 0) page.line('None yet.');
  for (const visit of record.visits) {
    const v = visit as unknown as RecordVisit; // clientRecord writes these fields
    page.doc.moveDown(0.4);
    page.doc
      .font('bold')
      .fontSize(10)
      .fillColor(INK)
      .text(`${v.onDate}, ${v.by}${v.endedAs ? `: ${v.endedAs}` : v.status === 'open' ? ': open' : ''}`);
    for (const line of visitLines(v)) page.line(line);
  }
  if (record.messages.length > 0) page.heading('Words sent or given');
  for (const m of record.messages) {
    page.line(`${day(m.createdAtMs)}, ${m.kind}:`);
    page.line(m.words, true);
  }
  if (record.edits.length > 0) page.heading('Changes of the card');
  for (const e of record.edits) {
    page.line(
      `${day(e.atMs)}${e.by ? `, ${e.by}` : ''}: ${e.changes.map((c) => `${c.field}: “${c.from}” → “${c.to}”`).join('; ')}`,
    );
  }
  doc.end();
  return done;
}
