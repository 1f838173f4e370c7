// What was brought in from before the studio kept its records here, and cards of one person that were put together.

import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Family } from '../../../core/anatomy';
import { json } from '../json';
import { clients } from './clients';
import type { MergeUndo, ZoneRef } from './documents';
import { people } from './studio';

/** A visit of before, as far as a table told it: nothing was charted, planned or read of it here. */
export const pastVisits = sqliteTable(
  'past_visits',
  {
    id: text('id').primaryKey(),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    onDate: text('on_date').notNull(),
    /** Zones that the words were understood as; the words stand beside them. */
    zones: json<readonly ZoneRef[]>()('zones').notNull(),
    what: text('what').notNull().default(''),
    /** Null = not told, or not understood. */
    family: text('family').$type<Family>(),
    product: text('product').notNull().default(''),
    minutes: integer('minutes'),
    paidMinor: integer('paid_minor'),
    /** Of the hair as it came, mm. */
    lengthMm: real('length_mm'),
    words: text('words').notNull().default(''),
    importId: text('import_id').notNull(),
  },
  (t) => [index('past_visits_client').on(t.clientId, t.onDate), index('past_visits_import').on(t.importId)],
);

/** Two cards of one person made one, with what it takes to part them again. */
export const merges = sqliteTable(
  'merges',
  {
    id: text('id').primaryKey(),
    keptId: text('kept_id')
      .notNull()
      .references(() => clients.id),
    goneId: text('gone_id')
      .notNull()
      .references(() => clients.id),
    atMs: integer('at_ms').notNull(),
    byId: text('by_id').references(() => people.id),
    undo: json<MergeUndo>()('undo').notNull(),
    undoneAtMs: integer('undone_at_ms'),
  },
  (t) => [index('merges_kept').on(t.keptId), index('merges_gone').on(t.goneId)],
);
