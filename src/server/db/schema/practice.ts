// Answers given in the practice room: each one for good. How well a skill is known is worked out from them.

import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Board, ExamEvent } from '../../../core/exam';
import { json } from '../json';
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

/** Practical examinations, each by the board as it was when it was made. */
export const exams = sqliteTable(
  'exams',
  {
    id: text('id').primaryKey(),
    madeAtMs: integer('made_at_ms').notNull(),
    /** What is worked on, a level of the practice room. */
    level: text('level').notNull(),
    /** Who is examined; a name alone where it is nobody of the studio. */
    candidateId: text('candidate_id').references(() => people.id),
    candidateName: text('candidate_name').notNull(),
    /** By somebody at a second tablet, or by oneself afterwards. */
    mode: text('mode', { enum: ['two', 'self'] }).notNull(),
    board: json<Board>()('board').notNull(),
  },
  (t) => [index('exams_made').on(t.madeAtMs)],
);

/** What happened at an examination, as it came; the place is the order. */
export const examEvents = sqliteTable(
  'exam_events',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    examId: text('exam_id')
      .notNull()
      .references(() => exams.id),
    personId: text('person_id').references(() => people.id),
    atMs: integer('at_ms').notNull(),
    event: json<ExamEvent>()('event').notNull(),
  },
  (t) => [index('exam_events_exam').on(t.examId, t.seq)],
);

/** The studio's boards, the last one counts. */
export const examBoards = sqliteTable('exam_boards', {
  seq: integer('seq').primaryKey({ autoIncrement: true }),
  personId: text('person_id').references(() => people.id),
  atMs: integer('at_ms').notNull(),
  board: json<Board>()('board').notNull(),
});

/** Strips practised by somebody who stands at the tablet by name: points, and what told. */
export const practiceStrips = sqliteTable(
  'practice_strips',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    atMs: integer('at_ms').notNull(),
    level: text('level').notNull(),
    piece: text('piece').notNull(),
    points: integer('points').notNull(),
    /** Hairs out with the root, broken, left. */
    out: integer('out').notNull(),
    broken: integer('broken').notNull(),
    left: integer('left').notNull(),
    /** What cost most hairs; null = nothing that told. */
    fault: text('fault'),
  },
  (t) => [index('practice_strips_person').on(t.personId, t.seq)],
);
