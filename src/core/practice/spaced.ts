// What to practise next: each skill comes back when it is about to be forgotten, sooner where it was missed. The memory
// model is FSRS (ts-fsrs), played over the answers given; nothing else is kept.

import { createEmptyCard, fsrs, Rating, type Card } from 'ts-fsrs';

export interface Answered {
  readonly skill: string;
  readonly atMs: number;
  readonly right: boolean;
}

export interface SkillStanding {
  readonly skill: string;
  readonly answers: number;
  readonly right: number;
  /** When it is to be asked again; null = never asked yet. */
  readonly dueMs: number | null;
  /** How likely it is known now, 0–1. */
  readonly known: number;
}

// the same answers always give the same day
const model = fsrs({ enable_fuzz: false });

/** How every skill stands. @param answers oldest first */
export function standings(
  skills: readonly string[],
  answers: readonly Answered[],
  nowMs: number,
): readonly SkillStanding[] {
  const by = new Map<string, Answered[]>();
  for (const a of answers) by.set(a.skill, [...(by.get(a.skill) ?? []), a]);
  return skills.map((skill): SkillStanding => {
    const own = by.get(skill) ?? [];
    const [first] = own;
    if (!first) return { skill, answers: 0, right: 0, dueMs: null, known: 0 };
    const card = own.reduce<Card>(
      (c, a) => model.next(c, new Date(a.atMs), a.right ? Rating.Good : Rating.Again).card,
      createEmptyCard(new Date(first.atMs)),
    );
    return {
      ...{ skill, answers: own.length, right: own.filter((a) => a.right).length },
      dueMs: card.due.getTime(),
      known: model.get_retrievability(card, new Date(nowMs), false),
    };
  });
}

/** Asked next: what is due, the longest overdue first; then what was never asked; then what is due soonest. */
export function nextSkill(all: readonly SkillStanding[], nowMs: number): string | null {
  const due = all.filter((s) => s.dueMs !== null && s.dueMs <= nowMs);
  const rank = (s: SkillStanding): number => s.dueMs ?? 0;
  const [late] = [...due].sort((a, b) => rank(a) - rank(b));
  const fresh = all.find((s) => s.dueMs === null);
  const [soon] = [...all].sort((a, b) => rank(a) - rank(b));
  return (late ?? fresh ?? soon)?.skill ?? null;
}
