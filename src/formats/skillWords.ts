// Names of what is practised: one word for one thing on every screen and paper.

const SKILL_KINDS: Readonly<Record<string, string>> = {
  strips: 'Strips on skin',
  strip: 'Faults of a strip',
  after: 'What is left',
  pot: 'Heat by wrist and flow',
  today: 'May I wax today',
  way: 'Direction',
  length: 'Length',
  product: 'Which wax',
  order: 'Order of strips',
  rhythm: 'Rhythm of hand sugar',
};
/** The group of a skill, in words. */
export const skillGroup = (skill: string): string => SKILL_KINDS[skill.split(':')[0] ?? ''] ?? skill;

/** How practised a hand is. */
export const HAND_WORDS = { trainee: 'learning', practised: 'practised', expert: 'expert' } as const;

const HABIT_WORDS: Readonly<Record<string, string>> = {
  ...{ lift: 'pulled upward', turned: 'pulled aside', quick: 'torn off', slow: 'pulled slowly', slack: 'slack skin' },
  ...{ 'on-hair': 'the tab on hair', cool: 'wax too cool', hot: 'wax too hot', early: 'pulled too early' },
  ...{ late: 'waited too long', thin: 'wax too thin', lay: 'laid across the growth', damp: 'damp skin' },
  ...{ rub: 'the cloth not pressed on', untold: 'the pull not counted in' },
};
export const habitWords = (fault: string): string => HABIT_WORDS[fault] ?? fault;
