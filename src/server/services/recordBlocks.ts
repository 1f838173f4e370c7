// What stands in the record of one client, line by line, before it is set on paper. Days are the studio's.

import { sized } from '../../formats/size';
import { degrees } from '../../formats/heat';
import 'server-only';
import { howMuchInWords } from '../../core/agreement';
import { ZONES, zoneKey, type ZoneId } from '../../core/anatomy';
import { keepInWords } from '../../core/outcomes';
import { FACT_WORDS, type FoundFact } from '../../core/screening';
import { civilDateAt } from '../clock';
import type { CardFact, Signature } from '../db/schema';
import type { ClientRecord, DamagedVisit, RecordHead, RecordVisit } from './clientRecord';
import { pastWords } from './pastWords';
import { readWords, tableWords } from './recordWords';

export type RecordBlock =
  | { readonly kind: 'title' | 'heading' | 'visit' | 'line' | 'quiet'; readonly text: string }
  | { readonly kind: 'signature'; readonly signature: Signature };

const factWords = (f: FoundFact | CardFact): string =>
  [
    FACT_WORDS[f.fact],
    f.lastOn && `last on ${f.lastOn}`,
    f.zones && f.zones.join(', '),
    f.clearance && `cleared by ${f.clearance.by} on ${f.clearance.on}`,
    'since' in f && f.since && `since ${f.since}`,
    'until' in f && f.until && `until ${f.until}`,
  ]
    .filter(Boolean)
    .join(', ');
/** `Underarm, left`. */
export const placeWords = (zone: string, side: string): string =>
  `${ZONES[zone as ZoneId].name}${side === 'middle' ? '' : `, ${side}`}`; // zones are checked on the way in

function visitLines(v: RecordVisit, timeZone: string): readonly string[] {
  const { consult } = v;
  return [
    consult.facts.length > 0
      ? `Found: ${consult.facts.map(factWords).join('; ')}.`
      : 'Nothing found at the consultation.',
    consult.judged
      ? `Answer by rules ${consult.judged.ruleSet}: ${consult.judged.outcome}${consult.judged.earliestOn ? ` until ${consult.judged.earliestOn}` : ''}.`
      : '',
    ...consult.overrides.map(
      (o) => `Went on in spite of ${o.code}: ${o.reason}${o.by === undefined ? '' : ` (${o.by} said so too)`}`,
    ),
    ...consult.agreed.howMuch.map((h) => {
      const drawn = v.charts.find((c) => zoneKey(c) === zoneKey(h))?.data.keep;
      return `${howMuchInWords(h.zone, h.choice)} ${keepInWords(h.zone, h.choice, drawn)}`.trim();
    }),
    consult.agreed.words,
    ...v.charts.map(
      (c) =>
        `${placeWords(c.zone, c.side)}: ${sized(c.data.hair.lengthMm, 'mm')}, coarseness ${c.data.hair.coarseness}, density ${c.data.hair.density}; ${c.data.marks.length} marks.`,
    ),
    ...v.worked.map((w) => {
      const heat = w.targetC === null ? '' : `, planned at about ${degrees(w.targetC)}`;
      return `${placeWords(w.zone, w.side)}: ${w.choice.product.replaceAll('-', ' ')}, ${w.choice.way}${heat}.`;
    }),
    ...v.readings.map((r) => `${placeWords(r.zone, r.side)}: ${readWords(r.data)}`),
    ...tableWords(v.journal, timeZone),
  ];
}

const line = (text: string): RecordBlock => ({ kind: 'line', text });
const quiet = (text: string): RecordBlock => ({ kind: 'quiet', text });
const heading = (text: string): RecordBlock => ({ kind: 'heading', text });

function cardBlocks({ client: { note, profile } }: RecordHead): readonly RecordBlock[] {
  const prone = profile.ingrownProne ? ', prone to ingrown hair' : '';
  return [
    heading('Card'),
    line(`Sensitivity ${profile.sensitivity} of 5, ${profile.skin} skin${prone}.`),
    ...profile.standing.map((f) => line(`· ${factWords(f)}`)),
    ...profile.reactions.map((r) => {
      const product = r.product ? `, ${r.product.replaceAll('-', ' ')}` : '';
      return line(`· ${r.on}: reaction, ${r.what}${product}. ${r.words}`);
    }),
    ...profile.patchTests.map((t) => {
      const [product, result] = [t.product.replaceAll('-', ' '), t.result ?? 'not read yet'];
      return line(`· ${t.laidOn}: patch test, ${product}, ${t.place}: ${result}.`);
    }),
    line(note),
  ];
}

function consentBlocks({ client, consents, consentEnds, timeZone }: RecordHead): readonly RecordBlock[] {
  const { consentOn } = client.profile;
  const none = consentOn ? `Noted on the card on ${consentOn}; no signature on file.` : 'None.';
  return [
    heading('Consents'),
    ...(consents.length === 0 ? [line(none)] : []),
    ...consents.flatMap((c): readonly RecordBlock[] => [
      line(
        `${civilDateAt(c.atMs, timeZone)}, signed by the ${c.signedBy}, ${c.signerName}; words of version ${c.textVersion}:`,
      ),
      quiet(c.words),
      { kind: 'signature', signature: c.signature },
    ]),
    ...consentEnds.map((e) => line(`${civilDateAt(e.atMs, timeZone)}: taken back. ${e.words}`)),
  ];
}

function visitBlocks(v: RecordVisit | DamagedVisit, timeZone: string): readonly RecordBlock[] {
  const title = (more: string): RecordBlock => ({ kind: 'visit', text: `${v.onDate}, ${v.by}${more}` });
  if ('damaged' in v) return [title(''), line('This visit is damaged in the data file: a backup has it whole.')];
  const end = v.endedAs ?? (v.status === 'open' ? 'open' : '');
  return [title(end === '' ? '' : `: ${end}`), ...visitLines(v, timeZone).map(line)];
}

/** The whole record in order, a visit at a time. */
export function* recordBlocks({ head, visits }: ClientRecord): Generator<RecordBlock> {
  yield* headBlocks(head);
  yield heading('Visits');
  let isEmpty = true;
  for (const v of visits) {
    yield* visitBlocks(v, head.timeZone);
    isEmpty = false;
  }
  if (isEmpty) yield line('None yet.');
  if (head.pastVisits.length > 0) yield heading('Before this book, as it was told');
  for (const p of head.pastVisits) yield line(`${p.onDate}: ${pastWords(p, head.currency)}`);
  yield* tailBlocks(head);
}

function headBlocks(record: RecordHead): readonly RecordBlock[] {
  const { client, timeZone } = record;
  const day = (atMs: number): string => civilDateAt(atMs, timeZone);
  const born = client.bornOn ? `born ${client.bornOn}` : '';
  return [
    { kind: 'title', text: client.name },
    quiet([client.byline, born, client.phone].filter(Boolean).join(' · ')),
    quiet(`${record.studio}, record as of ${day(Date.parse(record.exportedAt))}. Confidential.`),
    ...cardBlocks(record),
    ...consentBlocks(record),
  ];
}

function tailBlocks({ messages, edits, timeZone }: RecordHead): readonly RecordBlock[] {
  const day = (atMs: number): string => civilDateAt(atMs, timeZone);
  return [
    ...(messages.length > 0 ? [heading('Words sent or given')] : []),
    ...messages.flatMap((m) => [line(`${day(m.createdAtMs)}, ${m.kind}:`), quiet(m.words)]),
    ...(edits.length > 0 ? [heading('Changes of the card')] : []),
    ...edits.map((e) => {
      const changes = e.changes.map((c) => `${c.field}: “${c.from}” → “${c.to}”`).join('; ');
      return line(`${day(e.atMs)}${e.by ? `, ${e.by}` : ''}: ${changes}`);
    }),
  ];
}
