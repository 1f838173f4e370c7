// Learners: what each has practised week by week, what is next, how the hand's own visits speak for its level.

import 'server-only';
import {
  byWeek,
  habitOf,
  handEvidence,
  LEVELS,
  PIECES,
  SKILLS,
  standings,
  type HandEvidence,
  type Level,
  type Piece,
  type SkillStanding,
  type Week,
} from '../../core/practice';
import { ok } from '../../core/shared';
import type { Db, DbOrTx } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { drillAnswersOf } from '../repos/drillRepo';
import { examsOf } from '../repos/examRepo';
import { insertPractisedStrip, practisedSince } from '../repos/practiceRepo';
import { readPeople, readPerson, type PersonRow } from '../repos/studioRepo';
import { timedOfPerson } from '../repos/visitRepo';
import { linesOf, type ExamLine } from './exams';

export const WEEKS = 8;
const WEEK_MS = 7 * 86_400_000;
/** Strips looked at for a habit. */
const LAST_STRIPS = 12;
/** Known well enough to be let rest. */
const SITS = 0.9;

export interface SkillWeeks {
  /** A group of questions, or `strips`. */
  readonly skill: string;
  readonly weeks: readonly Week[];
  /** Of its questions so many sit; null for strips. */
  readonly sits: number | null;
  readonly of: number;
  readonly asked: number;
}

export interface Learner {
  readonly id: string;
  readonly name: string;
  readonly level: PersonRow['level'];
  readonly skills: readonly SkillWeeks[];
  /** Questions and strips of the last seven days. */
  readonly thisWeek: { readonly questions: number; readonly strips: number };
  readonly habit: { readonly fault: string; readonly strips: number } | null;
  /** The group of questions to go on with; null = all of them sit. */
  readonly next: string | null;
  /** The latest first. */
  readonly exams: readonly ExamLine[];
  readonly hand: HandEvidence;
}

export interface PractisedStrip {
  readonly level: Level;
  readonly piece: Piece;
  readonly points: number;
  readonly out: number;
  readonly broken: number;
  readonly left: number;
  readonly fault: string | null;
}

/** Keeps a practised strip for who stands at the tablet by name. */
export function keepPractisedStrip(
  db: DbOrTx,
  strip: PractisedStrip,
  by: { readonly personId: string | null; readonly atMs: number },
): ServiceResult<null> {
  const { personId, atMs } = by;
  if (personId === null) return refused('Nobody has said who stands here: it is not kept.', 'person');
  if (!LEVELS.includes(strip.level) || !PIECES.includes(strip.piece)) {
    return refused('There is no such piece.', 'piece');
  }
  insertPractisedStrip(db, { ...strip, personId, atMs });
  return ok(null);
}

const groupOf = (skill: string): string => skill.split(':')[0] ?? skill;

/** The group with the least that sits, of those asked first; then one that was never asked. */
function nextOf(all: readonly SkillStanding[]): string | null {
  const groups = [...new Set(SKILLS.map(groupOf))];
  const open = groups
    .map((group) => {
      const own = all.filter((s) => groupOf(s.skill) === group);
      const sits = own.filter((s) => s.answers > 0 && s.known >= SITS && s.right > 0).length;
      return { group, share: sits / own.length, asked: own.some((s) => s.answers > 0) };
    })
    .filter((g) => g.share < 1)
    .sort((a, b) => Number(b.asked) - Number(a.asked) || a.share - b.share);
  return open[0]?.group ?? null;
}

function learnerOf(db: DbOrTx, person: PersonRow, nowMs: number): Learner {
  const answers = drillAnswersOf(db, person.id);
  const strips = practisedSince(db, person.id, nowMs - WEEKS * WEEK_MS);
  const all = standings(SKILLS, answers, nowMs);
  const weeksOf = (group: string): SkillWeeks => {
    const own = all.filter((s) => groupOf(s.skill) === group);
    const given = answers.filter((a) => groupOf(a.skill) === group);
    return {
      ...{ skill: group, of: own.length, asked: given.length },
      sits: own.filter((s) => s.answers > 0 && s.known >= SITS && s.right > 0).length,
      weeks: byWeek(
        given.map((a) => ({ atMs: a.atMs, share: a.right ? 1 : 0 })),
        nowMs,
        WEEKS,
      ),
    };
  };
  const points = strips.map((s) => ({ atMs: s.atMs, share: s.points / 100 }));
  const ratios = timedOfPerson(db, person.id, '').map((v) => v.tableMin / Math.max(1, v.plannedMin));
  const since = nowMs - WEEK_MS;
  return {
    ...{ id: person.id, name: person.name, level: person.level, next: nextOf(all) },
    skills: [
      { skill: 'strips', weeks: byWeek(points, nowMs, WEEKS), sits: null, of: 0, asked: strips.length },
      ...[...new Set(SKILLS.map(groupOf))].map(weeksOf),
    ],
    thisWeek: {
      questions: answers.filter((a) => a.atMs > since).length,
      strips: strips.filter((s) => s.atMs > since).length,
    },
    habit: habitOf(strips.slice(-LAST_STRIPS).map((s) => s.fault)),
    exams: [...linesOf(db, examsOf(db, person.id), nowMs)].reverse(),
    hand: handEvidence(person.level, ratios),
  };
}

/** Everybody who works here, who learns first. */
export function loadLearners(db: Db, nowMs: number): readonly Learner[] {
  const order = { trainee: 0, practised: 1, expert: 2 } as const;
  return readPeople(db)
    .map((p) => learnerOf(db, p, nowMs))
    .sort((a, b) => order[a.level] - order[b.level]);
}

export function loadLearner(db: Db, id: string, nowMs: number): ServiceResult<Learner> {
  const person = readPerson(db, id);
  return person ? ok(learnerOf(db, person, nowMs)) : notFound('person');
}
