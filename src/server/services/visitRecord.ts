// One visit on one page, to be read and signed: what was agreed, what was worked with and how, what was left, what the
// client felt, the minutes by the table's own journal. Only what was said or done; estimates say that they are.

import { sized } from '../../formats/size';
import { degrees } from '../../formats/heat';
import 'server-only';
import { zoneKey } from '../../core/anatomy';
import { homeCareWords } from '../../core/care';
import { bringsWax, deeds, standing, type TableEvent } from '../../core/hands';
import { lumpsUsed, planAtTable, type Plan, type PlanZone } from '../../core/plan';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { shelvedPlan } from '../planning/planner';
import { readClient } from '../repos/clientRepo';
import { homeCareOf } from '../repos/homeCareRepo';
import { journalOf } from '../repos/journalRepo';
import { careOf } from '../repos/pastRepo';
import { readPerson, readStudio } from '../repos/studioRepo';
import { readingsOf, readVisit } from '../repos/visitRepo';
import { placeWords, type RecordBlock } from './recordBlocks';
import { readWords, tableWords } from './recordWords';

const block = (kind: 'title' | 'heading' | 'visit' | 'line' | 'quiet', text: string): RecordBlock => ({ kind, text });
const minutes = (ms: number): string => `${Math.max(0, Math.round(ms / 60_000))} min`;

/** Preparing, wax on the skin, finishing, by the clock of the table. */
function partsWords(counted: readonly TableEvent[]): string {
  // a record of what went wrong may be written days later: only what hands did counts
  const acts = deeds(counted);
  const [start, end] = [acts[0], acts.at(-1)];
  const first = counted.find(bringsWax);
  const last = counted.findLast((e) => e.kind === 'pulled');
  if (!start || !end || !first || !last) return '';
  return [
    `Minutes: ${minutes(first.atMs - start.atMs)} preparing`,
    `${minutes(last.atMs - first.atMs)} laying and pulling`,
    `${minutes(end.atMs - last.atMs)} finishing.`,
  ].join(', ');
}

/** What was laid of each product, by the plan's own grams. */
function gramsWords(zones: readonly PlanZone[], laid: ReadonlySet<string>): string {
  const grams = new Map<string, number>();
  for (const { choice, strips } of zones) {
    const used = strips.filter((s) => laid.has(s.id)).reduce((sum, s) => sum + s.massG, 0);
    if (choice && used > 0) grams.set(choice.product, (grams.get(choice.product) ?? 0) + used);
  }
  const parts = [...grams].map(([product, g]) => `${product.replaceAll('-', ' ')} about ${sized(Math.round(g), 'g')}`);
  return parts.length > 0 ? `Used, as planned for what was laid: ${parts.join(', ')}.` : '';
}

/** `Firm sugar: 3 lumps.` of paste that is worked by hand. */
const lumpsWords = (plan: Plan, counted: readonly TableEvent[]): string =>
  [...lumpsUsed(plan, counted)]
    .map(([product, n]) => `${product.replaceAll('-', ' ')}: ${n} ${n === 1 ? 'lump' : 'lumps'}, into the bin.`)
    .join(' ');

function zoneBlocks(
  z: PlanZone,
  done: { readonly off: ReadonlySet<string>; readonly read: string },
): readonly RecordBlock[] {
  const own = z.strips.filter((s) => s.pass === 1);
  const off = own.filter((s) => done.off.has(s.id)).length;
  const heat = z.heat
    ? `, planned at about ${degrees(z.heat.workingC.target)} at touch, ${sized(z.heat.thicknessMm, 'mm')}`
    : '';
  return [
    block('visit', placeWords(z.zone, z.side)),
    block(
      'line',
      `${z.choice?.product.replaceAll('-', ' ') ?? ''}, ${z.choice?.way ?? ''}${heat}. ${off} of ${own.length} strips.`,
    ),
    block('line', `Read: ${done.read}`),
  ];
}

/** Not found where nothing was laid. */
export function visitRecord(db: Db, visitId: string): ServiceResult<readonly RecordBlock[]> {
  const visit = readVisit(db, visitId);
  const client = visit && readClient(db, visit.clientId);
  const studio = readStudio(db);
  const fixed = visit?.planHash ? shelvedPlan(db, visit.planHash) : undefined;
  if (!visit || !client || !studio || !fixed) return notFound('record of this visit');
  const journal = journalOf(db, visitId);
  const counted = standing(journal);
  const ids = (kind: TableEvent['kind']): ReadonlySet<string> =>
    new Set(counted.flatMap((e) => (e.kind === kind && e.strip !== undefined ? [e.strip] : [])));
  // what was spread and wiped off after a stop was no strip
  const laid = ids('laid');
  const off = new Set([...ids('pulled')].filter((id) => laid.has(id)));
  const worked = planAtTable(fixed, journal);
  const zones = worked.zones.filter((z) => z.strips.length > 0);
  const read = new Map(readingsOf(db, visitId).map((r) => [zoneKey(r), readWords(r.data)]));
  const care = careOf(db, visitId).filter((c) => c.whenTold === 'after');
  const home = homeCareWords(homeCareOf(db, visitId));
  return ok([
    block('title', `Visit of ${visit.onDate}`),
    block('quiet', `${studio.name} · ${readPerson(db, visit.personId)?.name ?? ''}. Confidential.`),
    block('heading', client.name),
    block('line', [client.byline, client.bornOn ? `born ${client.bornOn}` : ''].filter(Boolean).join(' · ')),
    block('line', visit.consult.consent ? 'Consent was given.' : 'No consent was noted.'),
    block('line', visit.consult.agreed.words),
    block('heading', 'What was done'),
    ...zones.flatMap((z) => zoneBlocks(z, { off, read: read.get(zoneKey(z)) ?? 'not read.' })),
    block('heading', 'At the table'),
    block('line', partsWords(counted)),
    block('line', gramsWords(zones, laid)),
    block('line', lumpsWords(worked, counted)),
    ...tableWords(journal, studio.timeZone).map((w) => block('line', w)),
    ...(care.length > 0 ? [block('heading', 'Told for home'), ...care.map((c) => block('line', `· ${c.text}`))] : []),
    ...(home === '' ? [] : [block('line', `Advised for home: ${home}.`)]),
    block('heading', 'Signed'),
    block('line', 'Practitioner: ______________________      Client: ______________________      Date: ____________'),
  ]);
}
