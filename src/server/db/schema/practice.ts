// Answers given in the practice room: each one for good. How well a skill is known is worked out from them.

import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { people } from './studio';

export const drillAnswers = sqliteTable(
  'drill_answers',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    /** Who stood at the tablet; null = nobody has said. */
    personId: text('person_id').references(() => people.id),
    atMs: integer('at_ms').notNull(),
    /** As in core/practice: `strip:lift`. */
    skill: text('skill').notNull(),
    /** The question can be made again from skill and seed. */
    seed: integer('seed').notNull(),
    answer: text('answer').notNull(),
    right: integer('right', { mode: 'boolean' }).notNull(),
  },
  (t) => [index('drill_answers_person').on(t.personId, t.seq)],
);
