// The drills of one person: what was answered, how every skill stands, what is asked next.

import 'server-only';
import { judgeAnswer, nextSkill, SKILLS, standings, type SkillStanding } from '../../core/practice';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { refused, type ServiceResult } from '../errors';
import { drillAnswersOf, insertDrillAnswer } from '../repos/drillRepo';

export interface DrillAnswer {
  readonly skill: string;
  readonly seed: number;
  readonly answer: string;
}

export interface DrillsView {
  /** Asked next, with the seed of its question. */
  readonly skill: string;
  readonly seed: number;
  readonly standings: readonly SkillStanding[];
  /** Today and altogether, answers and right ones. */
  readonly answered: number;
  readonly right: number;
}

const SEEDS = 2147483647;

export function loadDrills(db: Db, personId: string | null, nowMs: number): DrillsView {
  const rows = drillAnswersOf(db, personId);
  const all = standings(SKILLS, rows, nowMs);
  const first = SKILLS[0] ?? '';
  return {
    skill: nextSkill(all, nowMs) ?? first,
    // never the same twice
    seed: (rows.length * 48_271 + 1 + (rows.at(-1)?.seed ?? 0)) % SEEDS,
    standings: all,
    answered: rows.length,
    right: rows.filter((r) => r.right).length,
  };
}

/** Keeps an answer; whether it is right is worked out here, not believed. */
export function answerDrill(
  db: Db,
  { skill, seed, answer }: DrillAnswer,
  by: { readonly atMs: number; readonly personId: string | null },
): ServiceResult<null> {
  return atomically(db, () => {
    if (!SKILLS.includes(skill)) return refused('There is no such question.', 'skill');
    const right = judgeAnswer(skill, seed, answer);
    if (right === null) return refused('That is none of the answers.', 'answer');
    insertDrillAnswer(db, { skill, seed, answer, right, ...by });
    return ok(null);
  });
}
