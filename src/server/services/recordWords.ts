// What the record says of a reading and of the table, in words: only what was said and what was done.

import { degrees, withHeat } from '../../formats/heat';
import { ZONES } from '../../core/anatomy';
import { incidentLines, SEEN, standing, type AddedRound, type TableEvent } from '../../core/hands';
import { readStep } from '../../core/plan';
import {
  isSaid,
  PATCH_KINDS,
  STRIP_PICTURES,
  type PatchKind,
  type ReadField,
  type StripLike,
  type StripPicture,
  type Tried,
} from '../../core/reading';
import { timeInWords } from '../clock';
import type { Reading } from '../db/schema';

const LEFT = { none: 'nothing left', few: 'a few left', patch: 'a patch left', many: 'much left' } as const;
const FELT = { 'too-warm': 'felt too warm', right: 'felt right', 'too-cool': 'felt too cool' } as const;
const BLED = { none: 'no bleeding', points: 'bleeding points', 'keeps-on': 'bleeding that did not stop' } as const;

const LIKE: Readonly<Record<StripPicture, string>> = {
  roots: 'full of roots',
  sparse: 'sparse',
  blunt: 'with blunt ends',
  flakes: 'with skin flakes',
  bare: 'with bare patches',
};
const KIND: Readonly<Record<PatchKind, string>> = {
  short: 'too short',
  flat: 'lying flat',
  'other-way': 'growing another way',
};
const TRIED_WORDS: Readonly<Record<Tried, string>> = {
  'cold-pack': 'a cold pack',
  breathing: 'breathing out',
  'no-coffee': 'no coffee before',
  'cycle-days': 'other days of the cycle',
};

/** `2 strips full of roots, 1 sparse`: only those that were looked at. */
function likesWords(likes: readonly StripLike[]): string {
  const counts = STRIP_PICTURES.flatMap((p) => {
    const n = likes.filter((l) => l.like === p).length;
    return n > 0 ? [`${n} ${LIKE[p]}`] : [];
  });
  return counts.length > 0 ? `strips: ${counts.join(', ')}` : '';
}

/** `12 hairs left, 8 growing another way`; by count where they were tapped, else in a word. */
function leftWords({ hairs = [], left }: Reading): string {
  if (hairs.length === 0) return LEFT[left];
  const kinds = PATCH_KINDS.flatMap((k) => {
    const n = hairs.filter((h) => h.kind === k).length;
    return n > 0 ? [`${n} ${KIND[k]}`] : [];
  });
  return [`${hairs.length} hairs left`, ...kinds].join(', ');
}

/** What was read by picture and what the client said; empty parts were not said. */
function picturedWords({ likes, leave, combed, tweezedMin, pain, tried }: Reading): readonly string[] {
  return [
    likesWords(likes ?? []),
    leave ? 'the rest left for next time' : '',
    combed && combed.length > 0 ? 'combed anew for next time' : '',
    tweezedMin === undefined ? '' : `tweezed for ${tweezedMin} min`,
    pain === undefined ? '' : `pain ${pain} of 10`,
    tried && tried.length > 0 ? `tried ${tried.map((t) => TRIED_WORDS[t]).join(' and ')}` : '',
  ].filter(Boolean);
}

/** `Read: 96 % removed, nothing left, skin pink, felt right.`; what nobody said is not in it. */
export function readWords(reading: Reading): string {
  // read by picture there is no share that anybody said
  const isPictured = reading.likes !== undefined || reading.hairs !== undefined;
  const said: readonly (readonly [ReadField, string])[] = [
    ...(isPictured ? [] : ([['broken', `${reading.brokenPct} % broken`]] as const)),
    ['left', leftWords(reading)],
    ['tweezed', `${reading.tweezed} tweezed`],
    ['skin', `skin ${reading.skin}`],
    ['bleeding', BLED[reading.bleeding]],
    ['heatFelt', FELT[reading.heatFelt]],
  ];
  const words = [
    ...(reading.removedSaid && !isPictured ? [`${reading.removedPct} % removed`] : []),
    ...said.filter(([field]) => isSaid(reading, field)).map(([, w]) => w),
    ...picturedWords(reading),
  ];
  return `${words.length > 0 ? `${words.join(', ')}.` : 'not read.'} ${reading.note}`.trim();
}

const STEPS: Readonly<Record<string, string>> = {
  alerts: 'alerts looked at',
  hands: 'hands and gloves',
  trim: 'trim',
  cleanse: 'cleansing',
  skin: 'drying and powder or oil',
  look: 'the look in the mirror',
  light: 'bright light and touch',
  residue: 'residue off',
  calm: 'bleeding calm',
  mirror: 'the client’s look in the mirror',
  care: 'care told',
};

/** `Left underarm gone over again: 2 of 3 small strips, pass 2, about 50 °C.` */
function roundLine(round: AddedRound, counted: readonly TableEvent[]): string {
  const off = new Set(counted.flatMap((e) => (e.kind === 'pulled' ? [e.strip] : [])));
  const done = round.strips.filter((s) => off.has(s.id)).length;
  const name = ZONES[round.zone].name;
  const where = round.side === 'middle' ? name : `${name}, ${round.side},`;
  const passes = [...new Set(round.strips.map((s) => s.pass))].sort().join(' and ');
  const heat = round.touchC === null ? '' : `, planned at about ${degrees(round.touchC)}`;
  const why = round.reason === '' ? '' : ` Why a third: ${round.reason}`;
  return `${where} gone over again: ${done} of ${round.strips.length} small strips, pass ${passes}${heat}.${why}`;
}

/** Products and times as the record has them. */
export const incidentNames = (timeZone: string): Parameters<typeof incidentLines>[1] => ({
  product: (id) => id.replaceAll('-', ' '),
  time: (atMs) => timeInWords(atMs, timeZone),
});

const SAID_BY = { probe: 'by the sensor', simulated: 'by the simulated sensor', hand: 'measured by hand' } as const;
const potWords = ({ pot }: TableEvent): string => (pot ? ` (pot ${degrees(pot.tempC)} ${SAID_BY[pot.from]})` : '');

/** Wrist tests where the pot said something, and loads that were taken warmer than the window. */
function heatWords(counted: readonly TableEvent[], timeZone: string): readonly string[] {
  const tests = counted.filter((e) => e.kind === 'wrist' && e.pot);
  const hot = counted.filter((e) => e.kind === 'laid' && e.pot);
  const named = tests.map(
    (e) => `${e.product?.replaceAll('-', ' ') ?? ''} ${timeInWords(e.atMs, timeZone)}${potWords(e)}`,
  );
  const most = hot.toSorted((a, b) => (b.pot?.tempC ?? 0) - (a.pot?.tempC ?? 0))[0];
  return [
    ...(named.length > 0 ? [`Wrist tests: ${named.join(', ')}.`] : []),
    ...(most ? [`Laid from a pot over its window: ${hot.length}${potWords(most)}.`] : []),
  ];
}

/** What the table has to say beside lays and pulls: left out, early, stopped, seen. */
export function tableWords(journal: readonly TableEvent[], timeZone = 'UTC'): readonly string[] {
  const counted = standing(journal);
  const leftOut = counted.flatMap((e) =>
    e.kind === 'step' && e.skipped && e.step !== undefined ? [STEPS[readStep(e.step).name] ?? e.step] : [],
  );
  const early = counted.filter((e) => e.earlyS !== undefined);
  const aid = new Set(counted.flatMap((e) => (e.kind === 'aid' ? [e.step] : [])));
  const seen: readonly string[] = [...SEEN.filter((s) => aid.has(s)), ...(aid.has('not-a-burn') ? ['not a burn'] : [])];
  const again = counted.flatMap((e) => (e.round ? [e.round] : [])).map((r) => roundLine(r, counted));
  return [
    ...heatWords(counted, timeZone),
    ...again,
    ...(leftOut.length > 0 ? [`Left out at the table: ${leftOut.join(', ')}.`] : []),
    ...(early.length > 0
      ? [`Pulled before the window: ${early.length}, up to ${Math.max(...early.map((e) => e.earlyS ?? 0))} s early.`]
      : []),
    ...counted.flatMap((e) =>
      e.incident
        ? [
            `Incident${e.incident.corrects === null ? '' : ' record, corrected'}: ${withHeat(incidentLines(e.incident, incidentNames(timeZone)).join(' '))}`,
          ]
        : [],
    ),
    ...(counted.some((e) => e.kind === 'stop')
      ? [`The work was stopped.${seen.length > 0 ? ` Noted: ${seen.join(', ')}.` : ''}`]
      : []),
  ];
}
